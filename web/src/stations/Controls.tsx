import { after, collisions, gestureText } from '@nubrin/core/controls'
import { ACTION_WORDS, ACTIONS, type ControlRow, GESTURES, POSES, STATES, STATUSES, words } from '@nubrin/core/record'
import { useMemo, useState } from 'react'
import { freshId } from '../api'
import { useBench, useEditSaber, useSaber } from '../store/commission'
import { FactField } from '../ui/FactField'
import { Empty, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../ui/fields'
import { Mark } from '../ui/marks'

const STATE_TITLE: Record<(typeof STATES)[number], string> = {
  asleep: 'when asleep',
  off: 'blade off',
  lit: 'blade lit',
  menu: 'in the menu',
  muted: 'muted',
  combat: 'combat mode',
}

export default function Controls() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const light = useBench((b) => b.light)
  const [chosen, setChosen] = useState<string>()
  const clash = useMemo(() => new Set(collisions(saber.controls).flatMap((c) => [c.a.id, c.b.id])), [saber.controls])
  const states = STATES.filter(
    (s) => s === 'off' || s === 'lit' || saber.controls.some((r) => r.state === s || after(r) === s),
  )
  const index = saber.controls.findIndex((r) => r.id === chosen)
  const addInput = (kind: 'button' | 'motion', name: string, part?: string) =>
    editSaber('add input', (s) => void s.inputs.push({ id: freshId(), name, kind, ...(part ? { part } : {}) }))
  const unused = saber.parts.filter((p) => p.kind === 'switch' && !saber.inputs.some((i) => i.part === p.id))
  return (
    <div>
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="h2">What hands can do</h2>
        {saber.inputs.map((n, i) => (
          <span key={n.id} className="border-rule bg-card flex items-center border px-2">
            <TextCell
              label={`Name of input ${i + 1}`}
              className="w-28! border-0!"
              value={n.name}
              onCommit={(v) => editSaber('input', (s) => void (s.inputs[i]!.name = v || n.name))}
            />
            <span className="label">{n.kind}</span>
            {saber.controls.some((r) => r.input === n.id || r.other === n.id) ? null : (
              <RemoveButton
                what={n.name}
                onClick={() => editSaber('remove input', (s) => void s.inputs.splice(i, 1))}
              />
            )}
          </span>
        ))}
        {unused.map((p) => (
          <button
            key={p.id}
            type="button"
            className="btn"
            onClick={() => addInput('button', saber.inputs.length ? p.name : 'button', p.id)}
          >
            + {p.name}
          </button>
        ))}
        <button type="button" className="btn" onClick={() => addInput('button', `button ${saber.inputs.length + 1}`)}>
          + button
        </button>
        {saber.inputs.some((n) => n.kind === 'motion') ? null : (
          <button type="button" className="btn" onClick={() => addInput('motion', 'hilt')}>
            + motion
          </button>
        )}
      </div>
      {saber.inputs.length ? null : (
        <Empty title="Nothing to press yet">
          Name the button first; then say, for each state, what pressing and holding it does.
        </Empty>
      )}
      {saber.inputs.length ? (
        <div className="mt-3 flex gap-4 overflow-x-auto">
          {states.map((state) => (
            <section key={state} aria-label={STATE_TITLE[state]} className="min-w-[215px] flex-1">
              <h3 className="border-ink border-b-2 pb-0.5 font-semibold">{STATE_TITLE[state]}</h3>
              {saber.controls
                .filter((r) => r.state === state)
                .map((r) => (
                  <button
                    key={r.id}
                    type="button"
                    aria-pressed={chosen === r.id}
                    className={`border-rule block w-full border-b px-1 py-1 text-left leading-tight ${chosen === r.id ? 'bg-card' : 'hover:bg-card'}`}
                    onClick={() => {
                      setChosen(r.id)
                      light(`input:${r.input}`)
                    }}
                  >
                    <span className="flex items-center gap-1.5 font-semibold">
                      {clash.has(r.id) ? (
                        <Mark level="stop" size={14} />
                      ) : r.status === 'unsure' ? (
                        <Mark level="caution" size={14} />
                      ) : null}
                      {r.says ?? ACTION_WORDS[r.does]}
                      {after(r) !== r.state ? (
                        <span className="text-brass ml-auto font-normal">→ {after(r)}</span>
                      ) : null}
                    </span>
                    <span className="text-quiet">{gestureText(saber, r)}</span>
                  </button>
                ))}
              <AddRow state={state} onDone={setChosen} />
            </section>
          ))}
          <section className="w-32 shrink-0" aria-label="Another state">
            <h3 className="label">another state</h3>
            {STATES.filter((s) => !states.includes(s)).map((s) => (
              <button
                key={s}
                type="button"
                className="text-brass block"
                onClick={() => {
                  const id = freshId()
                  editSaber(
                    'add control',
                    (x) =>
                      void x.controls.push({
                        id,
                        state: s,
                        pose: 'any',
                        input: x.inputs[0]!.id,
                        gesture: 'tap',
                        does: s === 'asleep' ? 'wake' : 'other',
                        status: 'configured',
                      }),
                  )
                  setChosen(id)
                }}
              >
                + {STATE_TITLE[s]}
              </button>
            ))}
          </section>
        </div>
      ) : null}
      {index >= 0 ? <RowSheet index={index} /> : null}
    </div>
  )
}

function AddRow({ state, onDone }: { state: ControlRow['state']; onDone: (id: string) => void }) {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const [does, setDoes] = useState<ControlRow['does']>(state === 'lit' ? 'retract' : 'ignite')
  const [gesture, setGesture] = useState<ControlRow['gesture']>('tap')
  const [input, setInput] = useState(saber.inputs[0]!.id)
  return (
    <div className="mt-1 grid grid-cols-[1fr_1fr] gap-x-1">
      <SelectCell
        label={`Gesture, ${STATE_TITLE[state]}`}
        value={gesture}
        options={GESTURES}
        words={words}
        onCommit={setGesture}
      />
      <SelectCell
        label={`Input, ${STATE_TITLE[state]}`}
        value={saber.inputs.some((i) => i.id === input) ? input : saber.inputs[0]!.id}
        options={saber.inputs.map((i) => i.id)}
        words={(v) => saber.inputs.find((i) => i.id === v)?.name ?? v}
        onCommit={setInput}
      />
      <SelectCell
        label={`Action, ${STATE_TITLE[state]}`}
        value={does}
        options={ACTIONS}
        words={(a) => ACTION_WORDS[a]}
        onCommit={setDoes}
      />
      <button
        type="button"
        className="btn-plain btn"
        onClick={() => {
          const id = freshId()
          editSaber(
            'add control',
            (s) =>
              void s.controls.push({
                id,
                state,
                pose: 'any',
                input: saber.inputs.some((i) => i.id === input) ? input : s.inputs[0]!.id,
                gesture,
                does,
                status: 'configured',
                ...(gesture === 'hold' ? { hold: { value: null, unit: 's', source: 'unknown' } } : {}),
              }),
          )
          onDone(id)
        }}
      >
        + add it
      </button>
    </div>
  )
}

function RowSheet({ index }: { index: number }) {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const r = saber.controls[index]!
  const set = (run: (r: ControlRow) => void) => editSaber('control', (s) => run(s.controls[index]!))
  return (
    <section aria-label="Control" className="bg-card border-brassline mt-3 border-t-2 p-3">
      <div className="flex items-center">
        <p className="flex-1 font-semibold">
          {STATE_TITLE[r.state]}: {gestureText(saber, r)}
        </p>
        <RemoveButton
          what="this control"
          onClick={() => editSaber('remove control', (s) => void s.controls.splice(index, 1))}
        />
      </div>
      <div className="grid grid-cols-6 gap-3">
        <Labelled label="gesture">
          <SelectCell
            label="Gesture"
            value={r.gesture}
            options={GESTURES}
            words={words}
            onCommit={(v) => set((x) => void (x.gesture = v))}
          />
        </Labelled>
        <Labelled label="how often">
          <SelectCell
            label="How often"
            value={String(r.times ?? 1)}
            options={['1', '2', '3', '4', '5']}
            onCommit={(v) => set((x) => void (v === '1' ? delete x.times : (x.times = Number(v))))}
          />
        </Labelled>
        <FactField
          label="hold for"
          value={r.hold}
          unit="s"
          quantity="time"
          source="configured"
          onCommit={(f) => set((x) => void (x.hold = f))}
        />
        <Labelled label="pose">
          <SelectCell label="Pose" value={r.pose} options={POSES} onCommit={(v) => set((x) => void (x.pose = v))} />
        </Labelled>
        <Labelled label="does">
          <SelectCell
            label="Does"
            value={r.does}
            options={ACTIONS}
            words={(a) => ACTION_WORDS[a]}
            onCommit={(v) => set((x) => void (x.does = v))}
          />
        </Labelled>
        <Labelled label="then it is">
          <SelectCell
            label="Then it is"
            value={r.to ?? ''}
            options={['', ...STATES] as ('' | ControlRow['state'])[]}
            words={(v) => v || `${after({ ...r, to: undefined } as ControlRow)} (usual)`}
            onCommit={(v) => set((x) => void (v ? (x.to = v) : delete x.to))}
          />
        </Labelled>
        <Labelled label="in the maker’s words" className="col-span-3">
          <TextCell
            label="Says"
            value={r.says ?? ''}
            placeholder={ACTION_WORDS[r.does]}
            onCommit={(v) => set((x) => setText(x, 'says', v))}
          />
        </Labelled>
        <Labelled label="it is">
          <SelectCell
            label="Status"
            value={r.status}
            options={STATUSES}
            words={(v) => (v === 'unsure' ? 'not sure' : v)}
            onCommit={(v) => set((x) => void (x.status = v))}
          />
        </Labelled>
        {['chord', 'holdThenTap'].includes(r.gesture) ? (
          <Labelled label="with">
            <SelectCell
              label="With"
              value={r.other ?? ''}
              options={['', ...saber.inputs.map((i) => i.id)]}
              words={(v) => saber.inputs.find((i) => i.id === v)?.name ?? '–'}
              onCommit={(v) => set((x) => setText(x, 'other', v))}
            />
          </Labelled>
        ) : null}
      </div>
      <p className="label mt-2">only in presets (none ticked: in all)</p>
      <div className="flex flex-wrap gap-3">
        {saber.presets.map((p) => (
          <label key={p.id} className="flex items-center gap-1">
            <input
              type="checkbox"
              checked={!!r.presets?.includes(p.id)}
              onChange={(e) =>
                set(
                  (x) =>
                    void (x.presets = e.target.checked
                      ? [...(x.presets ?? []), p.id]
                      : (x.presets ?? []).filter((q) => q !== p.id)),
                )
              }
            />
            {p.name}
          </label>
        ))}
      </div>
    </section>
  )
}
