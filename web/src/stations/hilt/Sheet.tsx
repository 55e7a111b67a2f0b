import type { ReactNode } from 'react'
import { RemoveButton, TextCell } from '../../kit'
import { useLight } from '../../store/commission'

/** The frame of what is lit: a way back, its name, its removal, and its figures below. */
export function Sheet({
  what,
  name,
  onName,
  onRemove,
  children,
}: {
  what: string
  name: string
  onName: (name: string) => void
  onRemove?: () => void
  children: ReactNode
}) {
  const light = useLight()
  return (
    <section aria-label={what} className="space-y-1.5">
      <button type="button" className="text-brass" onClick={() => light(undefined)}>
        ← all screws and openings
      </button>
      <div className="flex items-center">
        <TextCell
          label={`${what} name`}
          field="name"
          className="font-semibold"
          value={name}
          onCommit={(v) => onName(v.trim() || name)}
        />
        {onRemove ? <RemoveButton what={name} onClick={onRemove} /> : null}
      </div>
      {children}
    </section>
  )
}
