import { after, gestureText, modeName } from '@nubrin/core/controls'
import {
  ACTIONS,
  ControlRow,
  GESTURES,
  POSES,
  RELEASES,
  type Saber,
  STATUSES,
  keyWords as words,
} from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { CheckBox, FactField, Labelled, NumberCell, RemoveButton, SelectCell, setText, TextCell } from '../../kit'
import { useEditThing, useRemove } from '../../store/commission'
import { Cues } from './Cues'

const RELEASE: Record<'' | (typeof RELEASES)[number], string> = {
  '': 'as usual',
  reached: 'when its time has come',
  letGo: 'when it is let go',
  whileHeld: 'for as long as it is held',
}

/** One control in full: the gesture, how long, in which pose and presets, what it does and what follows. */
export function RowSheet({ saber, row: r }: { saber: Saber; row: ControlRow }) {
  const edit = useEditThing('controls')
  const remove = useRemove()
  const set = (run: (r: ControlRow) => void) => edit('control', r.id, run)
  const usual = after(saber, { ...r, to: undefined } as ControlRow)
  const held = ['hold', 'chord', 'holdThenTap', 'holdStrike', 'holdFlick'].includes(r.gesture)
  const inputs = saber.inputs.map((i) => i.id)
  const inputName = (v: string) => saber.inputs.find((i) => i.id === v)?.name ?? '–'
  return (
    <section aria-label="Control" className="bg-card border-brassline mt-3 border-t-2 p-3">
      <div className="flex items-center">
        <p className="flex-1 font-semibold">
          {modeName(saber, r.mode)}: {gestureText(MAKER, saber, r)}
        </p>
        <RemoveButton what="this control" onClick={() => remove(`row:${r.id}`)} />
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
            options={['1', '2', '3', '4', '5', '6', '7', '8', '9']}
            onCommit={(v) => set((x) => void (v === '1' ? delete x.times : (x.times = Number(v))))}
          />
        </Labelled>
        <FactField
          label="hold for"
          value={r.hold}
          of={ControlRow.properties.hold}
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
            words={(action) => say(MAKER, 'action', { action })}
            onCommit={(v) => set((x) => void (x.does = v))}
          />
        </Labelled>
        <Labelled label="then it is">
          <SelectCell
            label="Then it is"
            value={r.to ?? ''}
            options={['', ...saber.modes.map((m) => m.id)]}
            words={(v) => (v ? modeName(saber, v) : `${modeName(saber, usual)} (usual)`)}
            onCommit={(v) => set((x) => setText(x, 'to', v))}
          />
        </Labelled>
        <Labelled label="in the maker’s words" className="col-span-3">
          <TextCell
            label="Says"
            value={r.says ?? ''}
            placeholder={say(MAKER, 'action', { action: r.does })}
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
        <Labelled label="input">
          <SelectCell
            label="Input"
            value={r.input}
            options={inputs}
            words={inputName}
            onCommit={(v) => set((x) => void (x.input = v))}
          />
        </Labelled>
        <Labelled label="in mode">
          <SelectCell
            label="In mode"
            value={r.mode}
            options={saber.modes.map((m) => m.id)}
            words={(v) => modeName(saber, v)}
            onCommit={(v) => set((x) => void (x.mode = v))}
          />
        </Labelled>
        {['chord', 'holdThenTap'].includes(r.gesture) ? (
          <Labelled label="with">
            <SelectCell
              label="With"
              value={r.other ?? ''}
              options={['', ...inputs]}
              words={inputName}
              onCommit={(v) => set((x) => setText(x, 'other', v))}
            />
          </Labelled>
        ) : null}
        {r.gesture === 'chord' ? (
          <CheckBox
            checked={!!r.ordered}
            onChange={(on) => set((x) => void (on ? (x.ordered = true) : delete x.ordered))}
          >
            in that order
          </CheckBox>
        ) : null}
        {held ? (
          <>
            <Labelled label="or after so many beeps">
              <NumberCell
                label="Beeps"
                value={r.beeps}
                max={20}
                onCommit={(n) => set((x) => void (n ? (x.beeps = Math.round(n)) : delete x.beeps))}
              />
            </Labelled>
            <FactField
              label="let go before"
              value={r.most}
              of={ControlRow.properties.most}
              source="configured"
              onCommit={(f) => set((x) => void (x.most = f))}
            />
            <Labelled label="carried out">
              <SelectCell
                label="Carried out"
                value={r.release ?? ''}
                options={['', ...RELEASES]}
                words={(v) => RELEASE[v]}
                onCommit={(v) => set((x) => void (v ? (x.release = v) : delete x.release))}
              />
            </Labelled>
          </>
        ) : null}
      </div>
      <Cues row={r} onEdit={set} />
      <p className="label mt-2">only in presets (none ticked: in all)</p>
      <div className="flex flex-wrap gap-3">
        {saber.presets.map((p) => (
          <CheckBox
            key={p.id}
            checked={!!r.presets?.includes(p.id)}
            onChange={(on) =>
              set((x) => {
                const others = (x.presets ?? []).filter((q) => q !== p.id)
                x.presets = on ? [...others, p.id] : others
              })
            }
          >
            {p.name}
          </CheckBox>
        ))}
      </div>
    </section>
  )
}
