import { tasksOf } from '@nubrin/core/access'
import { type Saber, TASKS, type Task } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { GroupedSelect, Mark } from '../../kit'

/** The tasks this saber calls for, with how many steps each has; any other can be added. */
export function TaskList({ saber, task, onPick }: { saber: Saber; task: Task; onPick: (t: Task) => void }) {
  const needed = tasksOf(saber)
  const shown = TASKS.filter((t) => needed.includes(t) || t === task || saber.access.some((p) => p.task === t))
  return (
    <section aria-label="Tasks">
      <h2 className="h2">What the client will do</h2>
      {shown.map((t) => {
        const n = saber.access.find((p) => p.task === t)?.steps.length ?? 0
        return (
          <button
            key={t}
            type="button"
            aria-pressed={t === task}
            className={`border-rule flex w-full items-center gap-2 border-b px-1 py-1.5 text-left ${t === task ? 'bg-ink text-paper' : 'hover:bg-card'}`}
            onClick={() => onPick(t)}
          >
            <span className="flex-1">{say(MAKER, 'task', { task: t })}</span>
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
      <GroupedSelect
        className="mt-2"
        label="Another task"
        value={undefined}
        placeholder="another task…"
        groups={[
          {
            title: '',
            choices: TASKS.filter((t) => !shown.includes(t)).map((t) => ({
              value: t,
              words: say(MAKER, 'task', { task: t }),
            })),
          },
        ]}
        onCommit={onPick}
      />
    </section>
  )
}
