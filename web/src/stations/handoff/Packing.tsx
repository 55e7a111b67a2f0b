import { proposePacking } from '@nubrin/core/box'
import { freshId } from '../../data'
import { AddLine, CheckBox, CountCell, RemoveButton } from '../../kit'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'

/** What goes into the box, drafted from the record and ticked off when it is in. */
export function Packing() {
  const order = useOrder()
  const edit = useEdit()
  const set = useEditEntry('packing')
  const remove = useRemove()
  const proposed = proposePacking(order)
  const draft = () =>
    edit('draft the packing list', (d) => {
      d.packing.push(...proposed.map((p) => ({ id: freshId(), ...p, packed: false })))
    })
  return (
    <section aria-label="Packing list">
      <div className="flex items-center">
        <h2 className="h2 flex-1">In the box</h2>
        {proposed.length ? (
          <button type="button" className="btn-plain btn" onClick={draft}>
            draft {proposed.length} from the record
          </button>
        ) : null}
      </div>
      {order.packing.map((p) => (
        <div key={p.id} className="border-rule flex items-center gap-2 border-b">
          <CheckBox
            className="flex-1 py-1"
            checked={p.packed}
            onChange={(on) => set('packed', p.id, (x) => void (x.packed = on))}
          >
            {p.what}
          </CheckBox>
          <CountCell
            label={`How many: ${p.what}`}
            className="w-10 shrink-0"
            max={999}
            value={p.quantity}
            onCommit={(v) => set('how many', p.id, (x) => void (x.quantity = v))}
          />
          <RemoveButton what={p.what} onClick={() => remove(`packed:${p.id}`)} />
        </div>
      ))}
      <AddLine
        label="something else in the box"
        onAdd={(what) => edit('pack', (d) => void d.packing.push({ id: freshId(), what, quantity: 1, packed: false }))}
      />
    </section>
  )
}
