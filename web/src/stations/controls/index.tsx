import { after, collisions } from '@nubrin/core/controls'
import { STATES } from '@nubrin/core/record'
import { useMemo, useState } from 'react'
import { freshId } from '../../data'
import { Empty } from '../../kit'
import { useEditSaber, useSaber } from '../../store/commission'
import { Inputs } from './Inputs'
import { RowSheet } from './RowSheet'
import { StateColumn } from './StateColumn'
import { STATE_TITLE, startRow } from './states'

/** What each gesture does in each state, by inputs, states and presets. */
export default function Controls() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const [chosen, setChosen] = useState<string>()
  const clash = useMemo(() => new Set(collisions(saber.controls).flatMap((c) => [c.a.id, c.b.id])), [saber.controls])
  const used = new Set(saber.controls.flatMap((r) => [r.state, after(r)]))
  const states = STATES.filter((s) => s === 'off' || s === 'lit' || used.has(s))
  const row = saber.controls.find((r) => r.id === chosen)
  const begin = (state: (typeof STATES)[number]) => {
    const id = freshId()
    editSaber('add control', (s) => void s.controls.push(startRow(id, state, s.inputs[0]!.id)))
    setChosen(id)
  }
  return (
    <div>
      <Inputs saber={saber} />
      {saber.inputs.length ? (
        <div className="mt-3 flex gap-4 overflow-x-auto">
          {states.map((s) => (
            <StateColumn key={s} saber={saber} state={s} clash={clash} chosen={chosen} onChoose={setChosen} />
          ))}
          <section className="w-32 shrink-0" aria-label="Another state">
            <h3 className="label">another state</h3>
            {STATES.filter((s) => !states.includes(s)).map((s) => (
              <button key={s} type="button" className="text-brass block" onClick={() => begin(s)}>
                + {STATE_TITLE[s]}
              </button>
            ))}
          </section>
        </div>
      ) : (
        <Empty title="Nothing to press yet">
          Name the button first; then say, for each state, what pressing and holding it does.
        </Empty>
      )}
      {row ? <RowSheet key={row.id} saber={saber} row={row} /> : null}
    </div>
  )
}
