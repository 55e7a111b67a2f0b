import { MODE_NAMES } from '@nubrin/core/controls'
import { referencesOf, type Saber } from '@nubrin/core/record'
import { freshId } from '../../data'
import { RemoveButton, TextCell } from '../../kit'
import { useEditSaber, useEditThing, useOrder, useRemove } from '../../store/commission'

/** What a hand can press or move. One that a control uses stays until no control does. */
export function Inputs({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  const set = useEditThing('inputs')
  const remove = useRemove()
  const order = useOrder()
  const pressed = new Set(referencesOf(order).flatMap((r) => (r.from?.startsWith('row:') ? [r.to] : [])))
  const add = (kind: 'button' | 'motion', name: string, part?: string) =>
    editSaber('add input', (s) => {
      s.inputs.push({ id: freshId(), name, kind, ...(part ? { part } : {}) })
      // A board is off or lit before anything else is said of it.
      if (!s.modes.length)
        for (const is of ['off', 'lit'] as const) s.modes.push({ id: freshId(), name: MODE_NAMES[is], is })
    })
  const unused = saber.parts.filter((p) => p.kind === 'switch' && !saber.inputs.some((i) => i.part === p.id))
  return (
    <div className="flex flex-wrap items-center gap-2">
      <h2 className="h2">What hands can do</h2>
      {saber.inputs.map((n, i) => (
        <span key={n.id} data-of={`input:${n.id}`} className="border-rule bg-card flex items-center border px-2">
          <TextCell
            label={`Name of input ${i + 1}`}
            field="name"
            className="w-28! border-0!"
            value={n.name}
            onCommit={(v) => set('input', n.id, (x) => void (x.name = v || n.name))}
          />
          <span className="label">{n.kind}</span>
          {pressed.has(`input:${n.id}`) ? null : <RemoveButton what={n.name} onClick={() => remove(`input:${n.id}`)} />}
        </span>
      ))}
      {unused.map((p) => (
        <button
          key={p.id}
          type="button"
          className="btn"
          onClick={() => add('button', saber.inputs.length ? p.name : 'button', p.id)}
        >
          + {p.name}
        </button>
      ))}
      <button type="button" className="btn" onClick={() => add('button', `button ${saber.inputs.length + 1}`)}>
        + button
      </button>
      {saber.inputs.some((n) => n.kind === 'motion') ? null : (
        <button type="button" className="btn" onClick={() => add('motion', 'hilt')}>
          + motion
        </button>
      )}
    </div>
  )
}
