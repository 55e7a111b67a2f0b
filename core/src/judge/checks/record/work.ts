import type { Commission, Ref } from '../../../record'
import { loopIn, type Work, workOf } from '../../../schedule'
import { check } from '../../check'

/** What of it somebody wrote down: the thing to mend. */
const refOf = (w: Work): Ref[] => (w.toDo ? [`toDo:${w.toDo}`] : w.note ? [`work:${w.note}`] : [])

/** Work that waits for itself, by way of other work. */
export const workLoop = check<{ waits: { works: { kind: Work['kind']; text: string; saber: string }[] } }>({
  id: 'workLoop',
  station: 'brief',
  scope: 'order',
  source: 'nothing is begun before what it waits for is done',
  reads: [...(['order.toDos', 'order.work', 'order.sabers', 'order.questions'] as const)],
  run: ({ commission: c }) => {
    // Without a wait of its own, work waits as usual, and that is no loop.
    if (![...(c.work ?? []), ...c.toDos].some((w) => w.after?.length)) return []
    const work = workOf(c).filter((w) => !w.done)
    const loop = loopIn(work)?.slice(1)
    if (!loop) return []
    const inIt = loop.map((key) => work.find((w) => w.key === key)!)
    const several = c.sabers.length > 1
    return [
      {
        ...{ code: 'waits' as const, subject: [...loop].sort()[0]!, level: 'caution' as const },
        params: {
          works: inIt.map((w) => ({
            ...{ kind: w.kind, text: w.text ?? '' },
            saber: (several && c.sabers.find((s) => s.id === w.saber)?.name) || '',
          })),
        },
        refs: inIt.flatMap(refOf),
      },
    ]
  },
})

/** Nobody works longer in a day than he is awake. */
const MOST_A_DAY = 16

/** By person and day, what was logged. */
function logged(c: Commission): Map<string, { by: string; on: string; hours: number; entries: Ref[] }> {
  const days = new Map<string, { by: string; on: string; hours: number; entries: Ref[] }>()
  for (const e of c.log) {
    if (!e.hours) continue
    const key = `${e.on} ${(e.by ?? '').trim().toLowerCase()}`
    const day = days.get(key) ?? { by: e.by ?? '', on: e.on, hours: 0, entries: [] }
    day.hours += e.hours
    day.entries.push(`entry:${e.id}`)
    days.set(key, day)
  }
  return days
}

export const loggedHours = check<{ day: { by: string; on: string; hours: number; most: number } }>({
  id: 'loggedHours',
  station: 'brief',
  scope: 'order',
  source: 'a day has 24 hours, and nobody works through all of them',
  reads: ['order.log'],
  run: ({ commission }) =>
    [...logged(commission)].flatMap(([key, { by, on, hours, entries }]) =>
      hours > MOST_A_DAY
        ? [
            {
              ...{ code: 'day' as const, subject: key, level: 'caution' as const, refs: entries },
              params: { by, on, hours, most: MOST_A_DAY },
            },
          ]
        : [],
    ),
})
