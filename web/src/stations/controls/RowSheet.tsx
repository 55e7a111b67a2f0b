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
import { bound, CheckBox, FactField, NumberCell, RemoveButton, SelectCell, TextCell } from '../../kit'
import { useEditThing, useRemove } from '../../store/commission'
import { Cues } from './Cues'

const RELEASE: Record<'' | (typeof RELEASES)[number], string> = {
  '': 'as usual',
  reached: 'when the time is up',
  letGo: 'on release',
  whileHeld: 'while held',
}
const HELD: readonly ControlRow['gesture'][] = ['hold', 'chord', 'holdThenTap', 'holdStrike', 'holdFlick']
const TWO_INPUTS: readonly ControlRow['gesture'][] = ['chord', 'holdThenTap']
const { properties: OF } = ControlRow

type Set = (run: (r: ControlRow) => void) => void
interface Part {
  saber: Saber
  row: ControlRow
  set: Set
}

/** One control in full: the gesture, how long, in which pose and presets, what it does and what follows. */
export function RowSheet({ saber, row: r }: { saber: Saber; row: ControlRow }) {
  const edit = useEditThing('controls')
  const remove = useRemove()
  const set: Set = (run) => edit('control', r.id, run)
  const of = { saber, row: r, set }
  return (
    <section aria-label="Control" className="bg-card border-brassline mt-3 border-t-2 p-3">
      <div className="flex items-center">
        <p className="flex-1 font-semibold">
          {modeName(saber, r.mode)}: {gestureText(MAKER, saber, r)}
        </p>
        <RemoveButton what="this control" onClick={() => remove(`row:${r.id}`)} />
      </div>
      <div className="grid grid-cols-6 gap-3">
        <Made {...of} />
        <Does {...of} />
        <Where {...of} />
        {HELD.includes(r.gesture) ? <HeldFor {...of} /> : null}
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

/** How it is made. */
function Made({ row: r, set }: Part) {
  const { choice, given } = bound(r, set)
  return (
    <>
      <SelectCell title="gesture" label="Gesture" options={GESTURES} words={words} {...choice('gesture')} />
      <SelectCell
        title="how often"
        label="How often"
        value={String(r.times ?? 1)}
        options={['1', '2', '3', '4', '5', '6', '7', '8', '9']}
        onCommit={(v) => set((x) => void (v === '1' ? delete x.times : (x.times = Number(v))))}
      />
      <FactField label="hold for" of={OF.hold} source="configured" {...given('hold')} />
      <SelectCell title="pose" label="Pose" options={POSES} {...choice('pose')} />
    </>
  )
}

/** What it does, what follows, and how sure that is. */
function Does({ saber, row: r, set }: Part) {
  const { choice, maybe, text } = bound(r, set)
  const usual = after(saber, { ...r, to: undefined } as ControlRow)
  return (
    <>
      <SelectCell
        title="does"
        label="Does"
        options={ACTIONS}
        words={(action) => say(MAKER, 'action', { action })}
        {...choice('does')}
      />
      <SelectCell
        title="then"
        label="Then it is"
        options={['', ...saber.modes.map((m) => m.id)]}
        words={(v) => (v ? modeName(saber, v) : `${modeName(saber, usual)} (usual)`)}
        {...maybe('to')}
      />
      <TextCell
        title="in your words"
        span="col-span-3"
        label="Says"
        placeholder={say(MAKER, 'action', { action: r.does })}
        {...text('says')}
      />
      <SelectCell
        title="status"
        label="Status"
        options={STATUSES}
        words={(v) => (v === 'unsure' ? 'not sure' : v)}
        {...choice('status')}
      />
    </>
  )
}

/** By which input, in which mode, and with which other one. */
function Where({ saber, row: r, set }: Part) {
  const { choice, maybe, tick } = bound(r, set)
  const inputs = saber.inputs.map((i) => i.id)
  const inputName = (v: string) => saber.inputs.find((i) => i.id === v)?.name ?? '–'
  return (
    <>
      <SelectCell title="input" label="Input" options={inputs} words={inputName} {...choice('input')} />
      <SelectCell
        title="in mode"
        label="In mode"
        options={saber.modes.map((m) => m.id)}
        words={(v) => modeName(saber, v)}
        {...choice('mode')}
      />
      {TWO_INPUTS.includes(r.gesture) ? (
        <SelectCell title="with" label="With" options={['', ...inputs]} words={inputName} {...maybe('other')} />
      ) : null}
      {r.gesture === 'chord' ? <CheckBox {...tick('ordered')}>in that order</CheckBox> : null}
    </>
  )
}

/** When it is carried out, where it is held. */
function HeldFor({ row: r, set }: Part) {
  const { given, maybe } = bound(r, set)
  return (
    <>
      <NumberCell
        title="or after so many beeps"
        label="Beeps"
        value={r.beeps}
        max={20}
        onCommit={(n) => set((x) => void (n ? (x.beeps = Math.round(n)) : delete x.beeps))}
      />
      <FactField label="let go before" of={OF.most} source="configured" {...given('most')} />
      <SelectCell
        title="carried out"
        label="Carried out"
        options={['', ...RELEASES]}
        words={(v) => RELEASE[v]}
        {...maybe('release')}
      />
    </>
  )
}
