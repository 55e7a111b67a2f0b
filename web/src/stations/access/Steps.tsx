import { askText, proposeSteps, type ReadActs, readActs, tasksOf } from '@nubrin/core/access'
import type { Step, Task } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { useMemo, useState } from 'react'
import { freshId } from '../../data'
import { AddLine, Empty, Mark, SortableList, ToThing } from '../../kit'
import { useEditSaber, useSaber } from '../../store/commission'
import { StepRow } from './StepRow'
import { TaskList } from './TaskList'

/** The steps that the client will do alone, drafted from the drawing and corrected with the saber in hand. */
export function Steps() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const [task, setTask] = useState<Task>(tasksOf(saber)[0] ?? 'bladeIn')
  const steps = saber.access.find((p) => p.task === task)?.steps ?? []
  const put = (next: Step[]) =>
    editSaber('steps', (s) => {
      const p = s.access.find((x) => x.task === task)
      if (p) p.steps = next
      else s.access.push({ id: freshId(), task, steps: next })
    })
  const words = say(MAKER, 'task', { task })
  const worded = steps.filter((x) => !x.act).length
  const draft = useMemo(() => proposeSteps(MAKER, saber, task, freshId), [saber, task])
  return (
    <div className="grid grid-cols-[200px_minmax(0,1fr)] gap-7">
      <TaskList saber={saber} task={task} onPick={setTask} />
      <section aria-label={words}>
        <div className="flex items-center gap-3">
          <h2 className="h2">{words}</h2>
          <button
            type="button"
            className="btn ml-auto"
            disabled={!draft.steps.length}
            onClick={() => put(proposeSteps(MAKER, saber, task, freshId).steps)}
          >
            {steps.length ? 'draft again from the drawing' : 'draft from the drawing'}
          </button>
        </div>
        {worded ? (
          <Worded
            key={task}
            count={worded}
            read={() => {
              const read = readActs(saber, task)
              if (read.ok) put(read.steps)
              return read
            }}
          />
        ) : null}
        {steps.length ? null : (
          <Empty title="No steps yet">
            Draft them from the joints, screws and parts on the drawing, then walk through them with the saber in hand
            and correct what is different.
          </Empty>
        )}
        {steps.length === 0 && draft.asks.length ? (
          <div className="mb-2">
            <p className="font-semibold">
              {draft.steps.length
                ? 'The draft leaves out what is not certain:'
                : 'No step is certain before this is known:'}
            </p>
            <ul aria-label="What the draft needs to know">
              {draft.asks.map((a) => (
                <li key={`${a.code} ${a.ref ?? a.name}`} className="border-rule flex items-center gap-2 border-b py-1">
                  <Mark level="caution" size={14} />
                  <span className="flex-1">{askText(a)}</span>
                  {a.ref ? <ToThing to={a.ref}>show it</ToThing> : null}
                </li>
              ))}
            </ul>
          </div>
        ) : null}
        <SortableList items={steps} name={(s) => s.text} onMove={put}>
          {(s, i) => <StepRow saber={saber} task={task} step={s} n={i + 1} />}
        </SortableList>
        <AddLine label="the next step" onAdd={(text) => put([...steps, { id: freshId(), text, direction: 'none' }])} />
      </section>
    </div>
  )
}

/** Steps that are only words are said to be; they can be read as acts, when all of them can be carried out. */
function Worded({ count, read }: { count: number; read: () => ReadActs }) {
  const [said, setSaid] = useState<ReadActs>()
  return (
    <div className="text-quiet mt-1 flex flex-wrap items-center gap-3">
      <span>
        {count === 1 ? 'One step is' : `${count} steps are`} only words: nothing tries {count === 1 ? 'it' : 'them'} on
        the saber.
      </span>
      <button type="button" className="btn" onClick={() => setSaid(read())}>
        read them as acts
      </button>
      {said && !said.ok ? (
        <span role="status" className="text-brass">
          {said.why === 'words'
            ? `Step ${said.n} does not say by its place and direction what is done.`
            : `Step ${said.n} cannot be carried out where it stands; draft them again, or mend it.`}
        </span>
      ) : null}
    </div>
  )
}
