import type { Saber } from '@nubrin/core/record'
import { GENDERS, guessNoun } from '@nubrin/core/words'
import { SelectCell } from '../kit'

type Named = Saber['spoken'][number]
const ARTICLES = { none: 'no article', m: 'der', f: 'die', n: 'das', many: 'die (several)' } as const

/** A thing is called otherwise; an article that nobody has chosen is guessed by its name. */
export function callIt(x: Named, name: string): void {
  x.name = name
  if (x.gender === undefined && !x.several) Object.assign(x, guessNoun({ language: x.language }, name))
}

/** The article that the name of a thing takes. */
export function ArticleCell({
  label,
  of: x,
  onEdit,
}: {
  label: string
  of: Named
  onEdit: (run: (x: Named) => void) => void
}) {
  return (
    <SelectCell
      label={label}
      value={x.several ? 'many' : (x.gender ?? 'none')}
      options={['none', ...GENDERS, 'many'] as const}
      words={(g) => ARTICLES[g]}
      onCommit={(v) =>
        onEdit((y) => {
          delete y.gender
          delete y.several
          if (v === 'many') y.several = true
          else if (v !== 'none') y.gender = v
        })
      }
    />
  )
}
