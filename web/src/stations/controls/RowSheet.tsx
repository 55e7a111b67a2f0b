import { after, gestureText } from '@nubrin/core/controls'
import {
  ACTIONS,
  ControlRow,
  GESTURES,
  POSES,
  type Saber,
  STATES,
  STATUSES,
  keyWords as words,
} from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { CheckBox, FactField, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../../kit'
import { useEditThing, useRemove } from '../../store/commission'
import { STATE_TITLE } from './states'

/** One control in full: the gesture, how long, in which pose and presets, what it does and what follows. */
export function RowSheet({ saber, row: r }: { saber: Saber; row: ControlRow }) {
  const edit = useEditThing('controls')
  const remove = useRemove()
  const set = (run: (r: ControlRow) => void) => edit('control', r.id, run)
  const usual = after({ ...r, to: undefined } as ControlRow)
  return (
    <section aria-label="Control" className="bg-card border-brassline mt-3 border-t-2 p-3">
      <div className="flex items-center">
        <p className="flex-1 font-semibold">
          {STATE_TITLE[r.state]}: {gestureText(saber, r)}
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
            options={['1', '2', '3', '4', '5']}
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
            words={(action) => say('action', { action })}
            onCommit={(v) => set((x) => void (x.does = v))}
          />
        </Labelled>
        <Labelled label="then it is">
          <SelectCell
            label="Then it is"
            value={r.to ?? ''}
            options={['', ...STATES] as ('' | ControlRow['state'])[]}
            words={(v) => v || `${usual} (usual)`}
            onCommit={(v) => set((x) => void (v ? (x.to = v) : delete x.to))}
          />
        </Labelled>
        <Labelled label="in the maker’s words" className="col-span-3">
          <TextCell
            label="Says"
            value={r.says ?? ''}
            placeholder={say('action', { action: r.does })}
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
