import { leadsFrom, mustLead } from '../../../machine'
import { type GoalKind, refTo } from '../../../record'
import { check } from '../../check'

/** Poles that contradict each other: recorded ones, or those of a step. What is not recorded is asked by the landmark. */
export const poles = check<{
  /** Plus looks to one end, and the pole that goes first would lie the other way round by every way in. */
  against: { cell: string; leads: 'plus' | 'minus'; plus: 'emitter' | 'pommel'; from: 'emitter' | 'pommel' }
  step: { cell: string; goal: GoalKind; n: number; leads: 'plus' | 'minus' }
}>({
  id: 'poles',
  station: 'access',
  scope: 'saber',
  source: 'the saber as a machine',
  reads: ['hilt', 'parts', 'blades', 'joints', 'cutPower', 'keyDoes', 'access'],
  run: ({ saber, machine: { assembly } }) => {
    const cells = Object.values(assembly.joints).filter((j) => j.cell)
    const steps = saber.access.flatMap(({ goal, steps: all }) => all.map((step, i) => ({ goal, step, n: i + 1 })))
    return [
      ...cells.flatMap((j) => {
        const must = j.ways.map((w) => ({ from: w.towards, leads: leadsFrom(j.plus, w.towards) }))
        const [way] = must
        // One that can be tipped in from the side may lead with either.
        if (!j.leads || !j.plus || !way || must.some((m) => m.leads === undefined || m.leads === j.leads)) return []
        return [
          {
            ...{
              code: 'against' as const,
              subject: j.body as string,
              level: 'stop' as const,
              refs: [j.body],
              gate: true,
            },
            params: { cell: j.name, leads: j.leads, plus: j.plus, from: way.from as 'emitter' | 'pommel' },
          },
        ]
      }),
      ...steps.flatMap(({ goal, step, n }) => {
        const j = step.act?.do === 'putOn' ? cells.find((c) => c.body === step.act!.at) : undefined
        const must = j && step.act && mustLead(step.act, j)
        return j && step.act?.leads && must && must !== step.act.leads
          ? [
              {
                ...{ code: 'step' as const, subject: step.id as string, level: 'stop' as const, gate: true },
                refs: [j.body, refTo('step', step.id)],
                params: { cell: j.name, goal, n, leads: step.act.leads },
              },
            ]
          : []
      }),
    ]
  },
})
