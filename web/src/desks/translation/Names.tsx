import { languageOf, nounOf, type Ref, readerOf, refTo, type Saber } from '@nubrin/core/record'
import { GENDERS, type Gender, guessNoun, nounWords } from '@nubrin/core/words'
import { freshId } from '../../data'
import { SelectCell, TextCell } from '../../kit'
import { useEditSaber, useOrder } from '../../store/commission'

const ARTICLES = { none: 'no article', m: 'der', f: 'die', n: 'das', many: 'die (several)' } as const
type Article = keyof typeof ARTICLES

/** Things of a saber that a client hears of, in the order of the hilt. */
const namedIn = (s: Saber): { ref: Ref; name: string }[] => [
  ...s.inputs.map((x) => ({ ref: refTo('input', x.id), name: x.name })),
  ...s.hilt.sections.map((x) => ({ ref: refTo('section', x.id), name: x.name })),
  ...s.hilt.fasteners.map((x) => ({ ref: refTo('fastener', x.id), name: x.name })),
  ...s.hilt.sockets.map((x) => ({ ref: refTo('socket', x.id), name: x.name })),
  ...s.blades.map((x) => ({ ref: refTo('blade', x.id), name: x.name })),
]

/** What things are called in the client’s language: by what they are, until somebody gives them a name there; its article is guessed and asked. */
export function Names({ saber: s }: { saber: Saber }) {
  const order = useOrder()
  const editSaber = useEditSaber()
  const language = languageOf(order)
  const reader = readerOf(order)
  const givenOf = (ref: Ref) => s.spoken.find((x) => x.of === ref && x.language === language)
  const put = (ref: Ref, name: string) =>
    editSaber('spoken name', (d) => {
      const had = d.spoken.find((x) => x.of === ref && x.language === language)
      if (!name.trim()) d.spoken = d.spoken.filter((x) => x !== had)
      else if (had) had.name = name.trim()
      else
        d.spoken.push({
          ...{ id: freshId(), of: ref as (typeof d.spoken)[number]['of'], language, name: name.trim() },
          ...guessNoun({ language }, name),
        })
    })
  const article = (ref: Ref, v: Article) =>
    editSaber('article of a spoken name', (d) => {
      const had = d.spoken.find((x) => x.of === ref && x.language === language)
      if (!had) return
      delete had.gender
      delete had.several
      if (v === 'many') had.several = true
      else if (v !== 'none') had.gender = v as Gender
    })
  const title = order.sabers.length > 1 ? `Names on ${s.name}` : 'Names'
  return (
    <section aria-label={title} className="mt-6">
      <h2 className="h2">{title}</h2>
      <p className="text-quiet mb-1">
        Each goes by what it is. Give one a name of its own where that is better; its article is a guess.
      </p>
      <div className="grid grid-cols-2 gap-x-8">
        {namedIn(s).map(({ ref, name }) => {
          const given = givenOf(ref)
          const noun = nounOf(reader, s, ref)
          const value: Article = given?.several ? 'many' : (given?.gender ?? 'none')
          return (
            <div
              key={ref}
              className="border-rule grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)_110px] items-center gap-2 border-b py-1"
            >
              <span className="text-quiet truncate">{name}</span>
              <TextCell
                label={`Name of ${name}`}
                value={given?.name ?? ''}
                placeholder={noun ? nounWords(reader, noun) : ''}
                onCommit={(v) => put(ref, v)}
              />
              {given ? (
                <SelectCell
                  label={`Article of ${name}`}
                  value={value}
                  options={['none', ...GENDERS, 'many'] as const}
                  words={(g) => ARTICLES[g]}
                  onCommit={(v) => article(ref, v)}
                />
              ) : null}
            </div>
          )
        })}
      </div>
    </section>
  )
}
