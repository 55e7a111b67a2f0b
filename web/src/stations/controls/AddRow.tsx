import { fact } from '@nubrin/core/facts'
import { ACTIONS, type ControlRow, GESTURES, type Saber, keyWords as words } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { useState } from 'react'
import { freshId } from '../../data'
import { SelectCell } from '../../kit'
import { useEditSaber } from '../../store/commission'
import { STATE_TITLE, startRow } from './states'

/** A new control of a state in three choices; the rest is said in its sheet. */
export function AddRow({
  saber,
  state,
  onDone,
}: {
  saber: Saber
  state: ControlRow['state']
  onDone: (id: string) => void
}) {
  const editSaber = useEditSaber()
  const [does, setDoes] = useState<ControlRow['does']>(state === 'lit' ? 'retract' : 'ignite')
  const [gesture, setGesture] = useState<ControlRow['gesture']>('tap')
  const [wanted, setInput] = useState('')
  const input = saber.inputs.find((i) => i.id === wanted)?.id ?? saber.inputs[0]!.id
  const add = () => {
    const id = freshId()
    const hold = gesture === 'hold' ? { hold: fact(null, 's') } : {}
    editSaber('add control', (s) => void s.controls.push({ ...startRow(id, state, input), gesture, does, ...hold }))
    onDone(id)
  }
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
        value={input}
        options={saber.inputs.map((i) => i.id)}
        words={(v) => saber.inputs.find((i) => i.id === v)?.name ?? v}
        onCommit={setInput}
      />
      <SelectCell
        label={`Action, ${STATE_TITLE[state]}`}
        value={does}
        options={ACTIONS}
        words={(action) => say('action', { action })}
        onCommit={setDoes}
      />
      <button type="button" className="btn-plain btn" onClick={add}>
        + add it
      </button>
    </div>
  )
}
