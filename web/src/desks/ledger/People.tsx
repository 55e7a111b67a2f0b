import { freshId } from '../../data'
import { AddLine, RemoveButton, setText, TextCell } from '../../kit'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'

/** Who of the shop works on it, and at what. */
export function People() {
  const order = useOrder()
  const edit = useEdit()
  const set = useEditEntry('people')
  const remove = useRemove()
  return (
    <section aria-label="Who works on it">
      <h2 className="h2">Who works on it</h2>
      {order.people.map((p, i) => (
        <div key={p.id} className="border-rule grid grid-cols-[minmax(0,1fr)_minmax(0,2fr)_1.75rem] gap-2 border-b">
          <TextCell
            label={`Person ${i + 1}`}
            className="font-medium"
            value={p.name}
            onCommit={(v) => set('person', p.id, (x) => void (x.name = v || x.name))}
          />
          <TextCell
            label={`What ${p.name} does`}
            placeholder="does what"
            value={p.does ?? ''}
            onCommit={(v) => set('person', p.id, (x) => setText(x, 'does', v))}
          />
          <RemoveButton what={p.name} onClick={() => remove(`person:${p.id}`)} />
        </div>
      ))}
      <AddLine label="name" onAdd={(name) => edit('person', (d) => void d.people.push({ id: freshId(), name }))} />
    </section>
  )
}
