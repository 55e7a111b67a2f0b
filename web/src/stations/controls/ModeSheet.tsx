import { MODE_NAMES } from '@nubrin/core/controls'
import { CHOICES, CHOSEN_BY, Mode, type Saber, STATES, keyWords as words } from '@nubrin/core/record'
import { useState } from 'react'
import { freshId } from '../../data'
import { bound, FactField, RemoveButton, SelectCell, TextCell } from '../../kit'
import { useEditSaber, useEditThing, useRemove } from '../../store/commission'

/** One mode in full: what it is, what it sits on and chooses, and when it ends by itself. */
export function ModeSheet({ saber, mode: m }: { saber: Saber; mode: Mode }) {
  const change = useEditThing('modes')
  const remove = useRemove()
  const set = (run: (m: Mode) => void) => change('mode', m.id, run)
  const { choice, given, maybe, text } = bound(m, set)
  const others = ['', ...saber.modes.filter((x) => x.id !== m.id).map((x) => x.id)]
  const nameOf = (id: string) => saber.modes.find((x) => x.id === id)?.name ?? '–'
  return (
    <section aria-label="Mode" className="bg-card border-brassline mt-3 border-t-2 p-3">
      <div className="flex items-center">
        <p className="flex-1 font-semibold">{m.name}</p>
        <RemoveButton what={m.name} onClick={() => remove(`mode:${m.id}`)} />
      </div>
      <div className="grid grid-cols-7 gap-3">
        <TextCell
          title="called"
          label="Mode’s name"
          value={m.name}
          onCommit={(v) => set((x) => void (x.name = v || m.name))}
        />
        <SelectCell
          title="state"
          label="What the mode is"
          options={STATES}
          words={(is) => MODE_NAMES[is]}
          {...choice('is')}
        />
        <SelectCell title="opened over" label="Opened over" options={others} words={nameOf} {...text('on')} />
        <SelectCell
          title="selects"
          label="Lets one choose"
          options={['', ...CHOICES]}
          words={(v) => (v ? words(v) : '–')}
          {...maybe('chooses')}
        />
        <SelectCell
          title="by"
          label="Chosen by"
          options={['', ...CHOSEN_BY]}
          words={(v) => v || '–'}
          {...maybe('by')}
        />
        <FactField label="ends by itself after" of={Mode.properties.after} source="configured" {...given('after')} />
        <SelectCell
          title="leads to"
          label="And is then"
          options={others}
          words={(v) => (v ? nameOf(v) : m.on ? `${nameOf(m.on)} (usual)` : 'off (usual)')}
          {...text('leads')}
        />
      </div>
    </section>
  )
}

/** A new mode: named after what it is; its sheet says the rest. */
export function AddMode({ saber, onDone }: { saber: Saber; onDone: (id: string) => void }) {
  const editSaber = useEditSaber()
  const [is, setIs] = useState<Mode['is']>('menu')
  const missing = STATES.filter((s) => s === 'menu' || !saber.modes.some((m) => m.is === s))
  const wanted = missing.includes(is) ? is : missing[0]!
  const add = () => {
    const id = freshId()
    editSaber('add mode', (s) => void s.modes.push({ id, name: MODE_NAMES[wanted], is: wanted }))
    onDone(id)
  }
  return (
    <section className="w-36 shrink-0" aria-label="Another mode">
      <h3 className="label">another mode</h3>
      <SelectCell label="New mode" value={wanted} options={missing} words={(v) => MODE_NAMES[v]} onCommit={setIs} />
      <button type="button" className="btn-plain btn" onClick={add}>
        + add the mode
      </button>
    </section>
  )
}
