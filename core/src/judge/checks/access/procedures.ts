import { lookedAt, proceduresOf, type Told, type Unused, withoutGoal } from '../../../access'
import { type Blocked, blockedText, type Goal } from '../../../machine'
import { type GoalKind, nameOf, type Ref, refTo, type Saber } from '../../../record'
import { MAKER } from '../../../units'
import { check } from '../../check'

/** A goal as it is named among the others of its saber. */
type Named = Pick<Goal, 'kind' | 'name'> & { several: boolean }

/** What is only not for a client's hands: it stays under power, or is wired in. */
const NOT_HIS: ReadonlySet<Blocked['code']> = new Set(['live', 'fixed'])

/** What stands in the way of a goal and ought not to. */
const whyNot = (p: Told): Blocked[] => (p.ok ? [] : p.blocked.filter((b) => !NOT_HIS.has(b.code)))

/** An act as it is known again: the verb and the thing, or the maker's own words. */
export interface Known {
  verb: string
  what: string
}
function known(s: Saber, mark: string): Known {
  const [verb = '', at = ''] = mark.split(' ')
  const own = s.access.flatMap((p) => p.steps).find((x) => verb === `step:${x.id}`)
  return verb.startsWith('step:') ? { verb: 'own', what: own?.text ?? '' } : { verb, what: nameOf(s, at as Ref) ?? at }
}

export const procedures = check<{
  blocked: { goal: Named; why: string[] }
  unseen: { goals: Named[] }
  changed: { goal: Named; who: string; came: Known[]; gone: Known[] }
  unused: { goal: Named; text: string; act: Known | undefined; why: Unused['why'] }
  unsaid: { goal: Named; what: string }
  lost: { goal: GoalKind; n: number }
}>({
  id: 'procedures',
  station: 'access',
  scope: 'saber',
  source: 'the saber as a machine',
  reads: ['hilt', 'parts', 'blades', 'joints', 'cutPower', 'keyDoes', 'access', 'controls', 'spoken', 'inputs'],
  run: ({ saber }) => {
    const all = proceduresOf(MAKER, saber).filter((p) => p.goal.hands === 'client')
    const named = ({ goal: { kind, name } }: Told): Named => ({
      ...{ kind, name, several: all.filter((x) => x.goal.kind === kind).length > 1 },
    })
    const subject = (p: Told) => [p.goal.kind, p.goal.at].filter(Boolean).join(' ')
    const refs = (p: Told): Ref[] => (p.goal.at ? [p.goal.at] : [])
    const unseen = all.filter((p) => p.ok && lookedAt(p).is === 'drafted')
    return [
      ...all.flatMap((p, i) => {
        const why = whyNot(p)
        if (p.ok || (!why.length && p.blocked.length)) return []
        // What several want and one thing forbids is said once.
        const same = JSON.stringify(why)
        if (all.slice(0, i).some((q) => !q.ok && JSON.stringify(whyNot(q)) === same)) return []
        return [
          {
            ...{ code: 'blocked' as const, subject: `${subject(p)} blocked`, level: 'stop' as const, gate: true },
            refs: [...refs(p), ...why.map((b) => b.at)].filter((r) => nameOf(saber, r) !== undefined),
            params: { goal: named(p), why: why.map(blockedText) },
          },
        ]
      }),
      ...(unseen.length
        ? [
            {
              ...{ code: 'unseen' as const, subject: 'unseen', level: 'caution' as const, gate: true },
              params: { goals: unseen.map(named) },
              names: unseen.map((p) => subject(p).replace(/[^a-z0-9]+/gi, '-')),
            },
          ]
        : []),
      ...all.flatMap((p) => {
        const { is, came, gone } = lookedAt(p)
        if (!p.ok || is !== 'changed') return []
        const words = (marks: string[]) => marks.map((m) => known(saber, m))
        return [
          {
            ...{ code: 'changed' as const, subject: `${subject(p)} changed`, level: 'caution' as const, gate: true },
            refs: refs(p),
            params: { goal: named(p), who: p.said!.looked!.who, came: words(came), gone: words(gone) },
          },
        ]
      }),
      ...all.flatMap((p) =>
        p.unused.map(({ step, why }) => ({
          ...{ code: 'unused' as const, subject: step.id as string, level: 'caution' as const, gate: true },
          refs: [refTo('step', step.id)] as Ref[],
          params: {
            ...{ goal: named(p), why, text: step.text ?? '' },
            act: step.act && known(saber, `${step.act.do} ${step.act.at}`),
          },
        })),
      ),
      ...all.flatMap((p) =>
        (p.ok ? p.acts : [])
          .filter((x) => x.unsaid)
          .map((x) => ({
            ...{ code: 'unsaid' as const, subject: `${subject(p)} ${x.key}`, level: 'caution' as const, gate: true },
            refs: [x.does[0]!.at] as Ref[],
            params: { goal: named(p), what: nameOf(saber, x.does[0]!.at) ?? '' },
          })),
      ),
      ...withoutGoal(saber)
        .filter((p) => p.steps.length)
        .map((p) => ({
          ...{ code: 'lost' as const, subject: p.id as string, level: 'caution' as const, gate: true },
          refs: [refTo('task', p.id)] as Ref[],
          params: { goal: p.goal, n: p.steps.length },
        })),
    ]
  },
})
