import { MODE_NAMES } from '@nubrin/core/controls'
import { CHOICES, CHOSEN_BY, Mode, type Saber, STATES, keyWords as words } from '@nubrin/core/record'
import { useState } from 'react'
import { freshId } from '../../data'
import { FactField, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../../kit'
import { useEditSaber, useEditThing, useRemove } from '../../store/commission'

/** One mode in full: what it is, what it sits on and chooses, and when it ends by itself. */
export function ModeSheet({ saber, mode: m }: { saber: Saber; mode: Mode }) {
  const change = useEditThing('modes')
  const remove = useRemove()
  const set = (run: (m: Mode) => void) => change('mode', m.id, run)
  const others = ['', ...saber.modes.filter((x) => x.id !== m.id).map((x) => x.id)]
  const nameOf = (id: string) => saber.modes.find((x) => x.id === id)?.name ?? '–'
  return (
    <section aria-label="Mode" className="bg-card border-brassline mt-3 border-t-2 p-3">
      <div className="flex items-center">
        <p className="flex-1 font-semibold">{m.name}</p>
        <RemoveButton what={m.name} onClick={() => remove(`mode:${m.id}`)} />
      </div>
      <div className="grid grid-cols-7 gap-3">
        <Labelled label="called">
          <TextCell label="Mode’s name" value={m.name} onCommit={(v) => set((x) => void (x.name = v || m.name))} />
        </Labelled>
        <Labelled label="it is">
          <SelectCell
            label="What the mode is"
            value={m.is}
            options={STATES}
            words={(is) => MODE_NAMES[is]}
            onCommit={(v) => set((x) => void (x.is = v))}
          />
        </Labelled>
        <Labelled label="opened over">
          <SelectCell
            label="Opened over"
            value={m.on ?? ''}
            options={others}
            words={nameOf}
            onCommit={(v) => set((x) => setText(x, 'on', v))}
          />
        </Labelled>
        <Labelled label="lets one choose">
          <SelectCell
            label="Lets one choose"
            value={m.chooses ?? ''}
            options={['', ...CHOICES]}
            words={(v) => (v ? words(v) : '–')}
            onCommit={(v) => set((x) => void (v ? (x.chooses = v) : delete x.chooses))}
          />
        </Labelled>
        <Labelled label="by">
          <SelectCell
            label="Chosen by"
            value={m.by ?? ''}
            options={['', ...CHOSEN_BY]}
            words={(v) => v || '–'}
            onCommit={(v) => set((x) => void (v ? (x.by = v) : delete x.by))}
          />
        </Labelled>
        <FactField
          label="ends by itself after"
          value={m.after}
          of={Mode.properties.after}
          source="configured"
          onCommit={(f) => set((x) => void (x.after = f))}
        />
        <Labelled label="and is then">
          <SelectCell
            label="And is then"
            value={m.leads ?? ''}
            options={others}
            words={(v) => (v ? nameOf(v) : m.on ? `${nameOf(m.on)} (usual)` : 'off (usual)')}
            onCommit={(v) => set((x) => setText(x, 'leads', v))}
          />
        </Labelled>
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
