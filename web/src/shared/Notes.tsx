import { setText, TextCell } from '../kit'

interface Noted {
  note?: string
  shopNote?: string
}

/** Two notes for two readers: one is printed for the client, the other never leaves the shop. */
export function Notes<T extends Noted>({
  of: x,
  what,
  onEdit,
  className = 'col-span-full',
}: {
  of: T
  what: string
  onEdit: (run: (x: T) => void) => void
  className?: string
}) {
  return (
    <div className={`grid grid-cols-2 gap-x-3 ${className}`}>
      <TextCell
        title="note for the client"
        label={`Note for the client on ${what}`}
        value={x.note ?? ''}
        onCommit={(v) => onEdit((y) => setText(y as Noted, 'note', v))}
      />
      <TextCell
        title="for the shop only"
        label={`Shop note on ${what}`}
        value={x.shopNote ?? ''}
        onCommit={(v) => onEdit((y) => setText(y as Noted, 'shopNote', v))}
      />
    </div>
  )
}
