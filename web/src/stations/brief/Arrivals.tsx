import { FATES, keyWords as words } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, CountCell, RemoveButton, SelectCell, TextCell } from '../../kit'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'

/** What the client sent, as it came, and what became of it. */
export function Arrivals() {
  const order = useOrder()
  const edit = useEdit()
  const set = useEditEntry('arrivals')
  const remove = useRemove()
  return (
    <section aria-label="Parts that arrived">
      <h2 className="h2">What they sent</h2>
      {order.arrivals.map((a, i) => (
        <div key={a.id} className="border-rule border-b pb-1">
          <div className="flex items-center gap-2">
            <TextCell
              label={`Part ${i + 1}`}
              value={a.what}
              className="font-medium"
              onCommit={(v) => set('arrival', a.id, (x) => void (x.what = v))}
            />
            <CountCell
              label={`How many of ${a.what}`}
              className="w-9 shrink-0"
              max={999}
              value={a.quantity}
              onCommit={(v) => set('quantity', a.id, (x) => void (x.quantity = v))}
            />
            <SelectCell
              className="w-24! shrink-0"
              label={`What became of ${a.what}`}
              value={a.fate}
              options={FATES}
              words={words}
              onCommit={(v) => set('fate', a.id, (x) => void (x.fate = v))}
            />
            <RemoveButton what={a.what} onClick={() => remove(`arrival:${a.id}`)} />
          </div>
          <TextCell
            label={`Condition of ${a.what}`}
            placeholder="condition on arrival"
            value={a.condition}
            onCommit={(v) => set('condition', a.id, (x) => void (x.condition = v))}
          />
        </div>
      ))}
      <AddLine
        label="part, as it came"
        onAdd={(what) =>
          edit(
            'add arrival',
            (d) => void d.arrivals.push({ id: freshId(), what, quantity: 1, condition: '', fate: 'undecided' }),
          )
        }
      />
    </section>
  )
}
