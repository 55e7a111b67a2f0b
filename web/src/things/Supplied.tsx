import { SUPPLIED } from '@nubrin/core/record'
import { SelectCell } from '../kit'

export type Supply = (typeof SUPPLIED)[number]
const SUPPLIED_WORDS: Record<Supply, string> = {
  shop: 'the shop',
  client: 'the client has it',
  notSupplied: 'the client buys it',
  bench: 'only for the bench',
}

/** Who brings a thing. */
export function SuppliedCell<T extends { supplied?: Supply }>({
  of: x,
  what,
  onEdit,
}: {
  of: T
  what: string
  onEdit: (run: (x: T) => void) => void
}) {
  return (
    <SelectCell<Supply | ''>
      label={`Who supplies ${what}`}
      value={x.supplied ?? ''}
      options={['', ...SUPPLIED]}
      words={(v) => (v ? SUPPLIED_WORDS[v] : 'not said')}
      onCommit={(v) => onEdit((y) => void (v ? (y.supplied = v) : delete y.supplied))}
    />
  )
}
