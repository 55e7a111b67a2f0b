import { type Arrival, nameIn, type Ref } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, RemoveButton, setText, TextCell } from '../../kit'
import { useEdit, useOrder } from '../../store/commission'

/** What was wrong with it on arrival; each becomes work or a wish, or is left by name. */
export function Faults({ arrival: a, onEdit }: { arrival: Arrival; onEdit: (run: (x: Arrival) => void) => void }) {
  const order = useOrder()
  const edit = useEdit()
  const fault = (id: string, run: (x: Arrival['faults'][number]) => void) =>
    onEdit((x) => {
      const y = x.faults.find((q) => q.id === id)
      if (y) run(y)
    })
  /** The fault as a to-do of the shop, or as a wish of the client, named from the fault. */
  const becomes = (id: string, text: string, kind: 'toDo' | 'request') =>
    edit('fault on arrival', (d) => {
      const made = freshId()
      const line = `${a.what}: ${text}`.slice(0, 240)
      if (kind === 'toDo')
        d.toDos.push({ id: made, text: line, about: `arrival:${a.id}`, who: 'shop', blocks: 'shipping', done: false })
      else d.requests.push({ id: made, text: line, status: 'open' })
      const y = d.arrivals.find((q) => q.id === a.id)?.faults.find((q) => q.id === id)
      if (y) y.became = `${kind}:${made}` as Ref<'toDo' | 'request'>
    })
  return (
    <div className="pl-3">
      {a.faults.map((f) => (
        <div key={f.id} className="text-[0.93rem]">
          <div className="flex items-center gap-2">
            <span className="text-stop shrink-0">fault</span>
            <TextCell
              label={`Fault of ${a.what}: ${f.text}`}
              value={f.text}
              onCommit={(v) => fault(f.id, (y) => void (y.text = v || y.text))}
            />
            <RemoveButton
              what={f.text}
              onClick={() => onEdit((y) => void (y.faults = y.faults.filter((q) => q.id !== f.id)))}
            />
          </div>
          {f.became ? (
            <p className="text-quiet truncate pl-10">→ {nameIn(order, f.became) ?? 'gone'}</p>
          ) : (
            <div className="flex items-center gap-3 pl-10">
              <button type="button" className="text-brass shrink-0" onClick={() => becomes(f.id, f.text, 'toDo')}>
                to-do
              </button>
              <button type="button" className="text-brass shrink-0" onClick={() => becomes(f.id, f.text, 'request')}>
                wish
              </button>
              <TextCell
                label={`Why ${f.text} is left`}
                placeholder="or left, because…"
                value={f.left ?? ''}
                onCommit={(v) => fault(f.id, (y) => setText(y, 'left', v))}
              />
            </div>
          )}
        </div>
      ))}
      <AddLine label="fault on arrival" onAdd={(text) => onEdit((x) => void x.faults.push({ id: freshId(), text }))} />
    </div>
  )
}
