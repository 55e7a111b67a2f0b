import type { FittedPart } from '@nubrin/core/record'
import { Labelled, TextCell } from '../../kit'

const ENDS = [
  ['lead', 'lead it takes'],
  ['supply', 'supply it plugs into'],
  ['program', 'software that talks to it'],
] as const

/** What stands at the other end of a port; without it the client cannot use it. */
export function OtherEnd({ part: p, onEdit }: { part: FittedPart; onEdit: (run: (p: FittedPart) => void) => void }) {
  const set = (key: (typeof ENDS)[number][0], text: string) =>
    onEdit((x) => {
      const next = { ...x.otherEnd, [key]: text.trim() }
      if (!text.trim()) delete next[key]
      if (Object.keys(next).length) x.otherEnd = next
      else delete x.otherEnd
    })
  return ENDS.map(([key, words]) => (
    <Labelled key={key} label={words}>
      <TextCell
        {...{ label: `${words}: ${p.name}`, field: `otherEnd/${key}`, value: p.otherEnd?.[key] ?? '' }}
        onCommit={(v) => set(key, v)}
      />
    </Labelled>
  ))
}
