import { RemoveButton } from '../../kit'
import { useOrder, useRemove } from '../../store/commission'

/** What an older file held and the record could not take over: where it stood, what it said, and why. It stays until it is let go. */
export function KeptAsideList() {
  const order = useOrder()
  const remove = useRemove()
  if (!order.aside?.length) return null
  return (
    <section aria-label="Kept aside">
      <h2 className="h2">Kept aside from an older file</h2>
      <p className="text-quiet">Enter what still applies where it belongs, then remove it here.</p>
      {order.aside.map((a) => (
        <div key={a.id} className="border-rule flex items-start gap-3 border-b py-1">
          <p className="min-w-0 flex-1 leading-tight">
            <span className="font-medium break-all">{a.was}</span>
            <span className="text-quiet block break-all">
              {a.path}: {a.why}
            </span>
          </p>
          <RemoveButton what={`the value kept aside from ${a.path}`} onClick={() => remove(`aside:${a.id}`)} />
        </div>
      ))}
    </section>
  )
}
