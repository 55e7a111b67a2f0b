import { type Kind, placesOf, type Ref, type Saber, THINGS } from '@nubrin/core/record'
import { GroupedSelect } from './select'
import type { Titled } from './text'

/** The kinds of things that have a place, or can be shown. */
const SHOWN: readonly Kind[] = ['section', 'fastener', 'opening', 'socket', 'part', 'blade', 'zone', 'input', 'preset']

/** Links to a thing of the saber, or to nothing. */
export function RefPicker({
  saber,
  value,
  onCommit,
  kinds = SHOWN,
  ...rest
}: Titled & {
  saber: Saber
  value: Ref | undefined
  onCommit: (ref: Ref | undefined) => void
  label: string
  kinds?: readonly Kind[]
}) {
  const groups = placesOf(saber, kinds).map((g) => ({
    title: THINGS[g.kind][1],
    choices: g.items.map((i) => ({ value: i.ref as string, words: i.name })),
  }))
  return (
    <GroupedSelect
      {...rest}
      value={value ?? ''}
      groups={[{ title: '', choices: [{ value: '', words: '–' }] }, ...groups]}
      onCommit={(v) => onCommit((v || undefined) as Ref | undefined)}
    />
  )
}
