import { DIES, type DieColour, USUAL_DIES } from '@nubrin/core/light'
import { keyWords } from '@nubrin/core/record'
import { SelectCell } from '../kit'

/** The sorts of pixels there are, by what they are made of. */
const MADE: Record<string, DieColour[]> = {
  unsaid: [],
  'red, green, blue': [...USUAL_DIES],
  'red, green, blue, white': [...USUAL_DIES, 'white'],
  'red, green, blue, warm white': [...USUAL_DIES, 'warmWhite'],
  'red, green, blue, amber': [...USUAL_DIES, 'amber'],
  ...Object.fromEntries(DIES.map((d) => [`${keyWords(d)} alone`, [d]])),
}
const sortOf = (dies: readonly DieColour[] | undefined): string =>
  Object.keys(MADE).find((k) => MADE[k]!.join() === (dies ?? []).join()) ?? (dies ?? []).map(keyWords).join(', ')

/** What the pixels of a light are made of. */
export function DiesCell<T extends { dies?: DieColour[] | undefined }>({
  of: x,
  what,
  onEdit,
}: {
  of: T
  what: string
  onEdit: (run: (x: T) => void) => void
}) {
  const now = sortOf(x.dies)
  return (
    <SelectCell
      title="dies"
      field="dies"
      label={`Dies of ${what}`}
      value={now}
      options={Object.keys(MADE).includes(now) ? Object.keys(MADE) : [...Object.keys(MADE), now]}
      words={(v) => (v === 'unsaid' ? 'not recorded' : v)}
      onCommit={(v) =>
        onEdit((y) => {
          if (MADE[v]?.length) y.dies = [...MADE[v]]
          else if (v === 'unsaid') delete y.dies
        })
      }
    />
  )
}
