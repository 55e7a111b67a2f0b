import { fact } from '@nubrin/core/facts'
import { ACTIONS, type ControlRow, GESTURES, type Mode, type Saber, keyWords as words } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { useState } from 'react'
import { freshId } from '../../data'
import { SelectCell } from '../../kit'
import { useEditSaber } from '../../store/commission'

/** What a first control of a mode mostly does. */
const FIRST: Partial<Record<Mode['is'], ControlRow['does']>> = {
  ...{ asleep: 'wake', off: 'ignite', lit: 'retract', menu: 'choose', muted: 'unmute', combat: 'combatOff' },
}

/** A new control of a mode in three choices; the rest is said in its sheet. */
export function AddRow({ saber, mode, onDone }: { saber: Saber; mode: Mode; onDone: (id: string) => void }) {
  const editSaber = useEditSaber()
  const [does, setDoes] = useState<ControlRow['does']>(FIRST[mode.is] ?? 'other')
  const [gesture, setGesture] = useState<ControlRow['gesture']>('tap')
  const [wanted, setInput] = useState('')
  const input = saber.inputs.find((i) => i.id === wanted)?.id ?? saber.inputs[0]!.id
  const add = () => {
    const id = freshId()
    const hold = gesture === 'hold' ? { hold: fact(null, 's') } : {}
    editSaber(
      'add control',
      (s) =>
        void s.controls.push({ id, mode: mode.id, pose: 'any', input, gesture, does, status: 'configured', ...hold }),
    )
    onDone(id)
  }
  return (
    <div className="mt-1 grid grid-cols-[1fr_1fr] gap-x-1">
      <SelectCell
        label={`Gesture, ${mode.name}`}
        value={gesture}
        options={GESTURES}
        words={words}
        onCommit={setGesture}
      />
      <SelectCell
        label={`Input, ${mode.name}`}
        value={input}
        options={saber.inputs.map((i) => i.id)}
        words={(v) => saber.inputs.find((i) => i.id === v)?.name ?? v}
        onCommit={setInput}
      />
      <SelectCell
        label={`Action, ${mode.name}`}
        value={does}
        options={ACTIONS}
        words={(action) => say(MAKER, 'action', { action })}
        onCommit={setDoes}
      />
      <button type="button" className="btn-plain btn" onClick={add}>
        + add it
      </button>
    </div>
  )
}
