import { refusalText, run, type State, wordsOf } from '../../../machine'
import type { Ref, Saber, Step, Task } from '../../../record'
import { MAKER } from '../../../units'
import { check } from '../../check'

/** Tasks that follow on each other, each list from the saber as it leaves the shop. */
const COURSES: readonly (readonly Task[])[] = [
  ['powerOn', 'powerOff'],
  ['open', 'cellOut', 'cellIn', 'close'],
  ['bladeIn', 'bladeOut'],
]

interface Refused {
  step: Step
  task: Task
  n: number
  why: string
}

/** The first step of a course that the machine refuses. Where a step is only words nobody knows how the saber lies after it. */
function refusedIn(s: Saber, course: readonly Task[], assembly: Parameters<typeof run>[0], rest: State): Refused[] {
  let state = rest
  for (const task of course) {
    const steps = s.access.find((p) => p.task === task)?.steps ?? []
    if (!steps.length) return []
    for (const [i, step] of steps.entries()) {
      if (!step.act) return []
      const o = run(assembly, state, step.act)
      if (!o.ok) return [{ step, task, n: i + 1, why: refusalText(s, o.why) }]
      state = o.state
    }
  }
  return []
}

export const acts = check<{
  refused: { task: Task; n: number; text: string; why: string }
  stale: { task: Task; n: number; text: string; now: string }
}>({
  id: 'acts',
  station: 'access',
  scope: 'saber',
  source: 'the saber as a machine',
  reads: ['hilt', 'parts', 'blades', 'joints', 'cutPower', 'access'],
  run: ({ saber, machine: { assembly, rest: shipped } }) => {
    const rest: State = { ...shipped, screws: {} }
    const base = (step: Step) => ({
      subject: step.id as string,
      refs: (step.place ? [step.place] : []) as Ref[],
      gate: true,
    })
    return [
      ...COURSES.flatMap((c) => refusedIn(saber, c, assembly, rest)).map(({ step, ...r }) => ({
        ...{ ...base(step), code: 'refused' as const, level: 'stop' as const },
        params: { task: r.task, n: r.n, text: step.text, why: r.why },
      })),
      ...saber.access.flatMap(({ task, steps }) =>
        steps.flatMap((step, i) => {
          const now = step.act && !step.ownWords ? wordsOf(MAKER, saber, assembly, step.act)?.text : undefined
          // A screw turned back in so that it is not lost is tightened all the same.
          const kept = step.act?.do === 'tighten' && task === 'bladeOut'
          return now === undefined || now === step.text || kept
            ? []
            : [
                {
                  ...{ ...base(step), subject: `${step.id}-stale`, code: 'stale' as const, level: 'caution' as const },
                  params: { task, n: i + 1, text: step.text, now },
                },
              ]
        }),
      ),
    ]
  },
})
