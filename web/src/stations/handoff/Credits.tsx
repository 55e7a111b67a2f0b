import { freshId } from '../../data'
import { AddLine, RemoveButton, TextCell } from '../../kit'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'

/** Who made what. */
export function Credits() {
  const order = useOrder()
  const edit = useEdit()
  const set = useEditEntry('credits')
  const remove = useRemove()
  const add = (text: string) => {
    const [who, ...did] = text.split(':')
    edit('credit', (d) => {
      d.credits.push({ id: freshId(), who: who!.trim(), did: did.join(':').trim() || 'made it' })
    })
  }
  return (
    <section aria-label="Credits">
      <h2 className="h2">Who made what</h2>
      {order.credits.map((k, i) => (
        <div key={k.id} className="flex items-center gap-2">
          <TextCell
            label={`Who ${i + 1}`}
            value={k.who}
            onCommit={(v) => set('credit', k.id, (x) => void (x.who = v))}
          />
          <TextCell
            label={`Did ${i + 1}`}
            value={k.did}
            onCommit={(v) => set('credit', k.id, (x) => void (x.did = v))}
          />
          <RemoveButton what={`credit to ${k.who}`} onClick={() => remove(`credit:${k.id}`)} />
        </div>
      ))}
      <AddLine label="who: did what" onAdd={add} />
    </section>
  )
}
