import { proposeSteps, type Task, tasksOf } from '@nubrin/core/access'
import { DIRECTIONS, type Step, TASK_WORDS, TASKS } from '@nubrin/core/record'
import { useState } from 'react'
import { freshId } from '../api'
import { useEditSaber, useLight, useSaber } from '../store/commission'
import { AddLine, Empty, RemoveButton, SelectCell, setText, TextCell } from '../ui/fields'
import { Mark } from '../ui/marks'
import { RefPicker } from '../ui/RefPicker'
import { SortableList } from '../ui/Sortable'

const TURN: Record<(typeof DIRECTIONS)[number], string> = {
  clockwise: '↻ clockwise',
  anticlockwise: '↺ anticlockwise',
  pull: '← pull',
  push: '→ push',
  lift: '↑ lift',
  slide: '↔ slide',
  none: '–',
}

export default function Access() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const light = useLight()
  const needed = tasksOf(saber)
  const [task, setTask] = useState<Task>(needed[0] ?? 'bladeIn')
  const proc = saber.access.find((p) => p.task === task)
  const put = (steps: Step[]) =>
    editSaber('steps', (s) => {
      const p = s.access.find((x) => x.task === task)
      if (p) p.steps = steps
      else s.access.push({ id: freshId(), task, steps })
    })
  const edit = (i: number, run: (s: Step) => void) =>
    editSaber('step', (s) => run(s.access.find((p) => p.task === task)!.steps[i]!))
  return (
    <div className="grid grid-cols-[200px_minmax(0,1fr)] gap-7">
      <section aria-label="Tasks">
        <h2 className="h2">What the client will do</h2>
        {TASKS.filter((t) => needed.includes(t) || saber.access.some((p) => p.task === t)).map((t) => {
          const n = saber.access.find((p) => p.task === t)?.steps.length ?? 0
          return (
            <button
              key={t}
              type="button"
              aria-pressed={t === task}
              className={`border-rule flex w-full items-center gap-2 border-b px-1 py-1.5 text-left ${t === task ? 'bg-ink text-paper' : 'hover:bg-card'}`}
              onClick={() => setTask(t)}
            >
              <span className="flex-1">{TASK_WORDS[t]}</span>
              {n ? (
                <span className="opacity-80">
                  {n} {n === 1 ? 'step' : 'steps'}
                </span>
              ) : (
                <Mark level="caution" size={14} />
              )}
            </button>
          )
        })}
        <select
          className="cell mt-2"
          aria-label="Another task"
          value=""
          onChange={(e) => e.target.value && setTask(e.target.value as Task)}
        >
          <option value="">another task…</option>
          {TASKS.filter((t) => !needed.includes(t)).map((t) => (
            <option key={t} value={t}>
              {TASK_WORDS[t]}
            </option>
          ))}
        </select>
      </section>
      <section aria-label={TASK_WORDS[task]}>
        <div className="flex items-center gap-3">
          <h2 className="h2">{TASK_WORDS[task]}</h2>
          <button type="button" className="btn ml-auto" onClick={() => put(proposeSteps(saber, task, freshId))}>
            {proc?.steps.length ? 'draft again from the drawing' : 'draft from the drawing'}
          </button>
        </div>
        {proc?.steps.length ? null : (
          <Empty title="No steps yet">
            Draft them from the joints, screws and parts on the drawing, then walk through them with the saber in hand
            and correct what is different.
          </Empty>
        )}
        <SortableList items={proc?.steps ?? []} name={(s) => s.text} onMove={put}>
          {(s, i) => (
            // biome-ignore lint/a11y/noStaticElementInteractions: focusing any field inside lights the place
            <div className="py-1" onFocus={() => light(s.place)}>
              <div className="flex items-center gap-2">
                <span className="text-brass w-5 text-right font-semibold">{i + 1}</span>
                <TextCell
                  label={`Step ${i + 1}`}
                  className="text-[1.05rem] font-medium"
                  value={s.text}
                  onCommit={(v) => edit(i, (x) => void (x.text = v || x.text))}
                />
                <RemoveButton what={`step ${i + 1}`} onClick={() => put(proc!.steps.filter((x) => x.id !== s.id))} />
              </div>
              <div className="grid grid-cols-[150px_140px_1fr_1fr_auto] gap-2 pl-7">
                <RefPicker
                  label={`Place of step ${i + 1}`}
                  saber={saber}
                  value={s.place}
                  onCommit={(v) => edit(i, (x) => setText(x, 'place', v ?? ''))}
                />
                <SelectCell
                  label={`Direction of step ${i + 1}`}
                  value={s.direction}
                  options={DIRECTIONS}
                  words={(d) => TURN[d]}
                  onCommit={(v) => edit(i, (x) => void (x.direction = v))}
                />
                <TextCell
                  label={`Tool of step ${i + 1}`}
                  placeholder="tool"
                  value={s.tool ?? ''}
                  onCommit={(v) => edit(i, (x) => setText(x, 'tool', v))}
                />
                <TextCell
                  label={`Caution of step ${i + 1}`}
                  placeholder="caution"
                  className="text-brass"
                  value={s.caution ?? ''}
                  onCommit={(v) => edit(i, (x) => setText(x, 'caution', v))}
                />
                <label className="label flex items-center gap-1">
                  <input
                    type="checkbox"
                    checked={!!s.irreversible}
                    onChange={(e) =>
                      edit(i, (x) => void (e.target.checked ? (x.irreversible = true) : delete x.irreversible))
                    }
                  />{' '}
                  cannot be undone
                </label>
              </div>
            </div>
          )}
        </SortableList>
        <AddLine
          label="the next step"
          onAdd={(text) => put([...(proc?.steps ?? []), { id: freshId(), text, direction: 'none' }])}
        />
      </section>
    </div>
  )
}
