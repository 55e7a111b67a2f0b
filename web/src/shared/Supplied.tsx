import { SUPPLIED } from '@nubrin/core/record'
import { bound, SelectCell } from '../kit'

export type Supply = (typeof SUPPLIED)[number]
const SUPPLIED_WORDS: Record<Supply, string> = {
  shop: 'the shop',
  client: 'the client has it',
  notSupplied: 'the client buys it',
  bench: 'only for the bench',
}

/** Who brings a thing. */
export function SuppliedCell({
  of: x,
  what,
  onEdit,
}: {
  of: { supplied?: Supply }
  what: string
  onEdit: (run: (x: { supplied?: Supply }) => void) => void
}) {
  return (
    <SelectCell<Supply | ''>
      label={`Who supplies ${what}`}
      options={['', ...SUPPLIED]}
      words={(v) => (v ? SUPPLIED_WORDS[v] : 'not said')}
      {...bound(x, onEdit).maybe('supplied')}
    />
  )
}
