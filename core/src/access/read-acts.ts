import { type Body, machineOf, run, type State } from '../machine'
import { type Act, byId, partsOfRef, refTo, type Saber, type Step, type Task } from '../record'

/** A step in words read as the act that it is: by its place and its direction, never by its words. Undefined where these do not say. */
export function actOf(s: Saber, task: Task, step: Step): Act | undefined {
  const to = partsOfRef(step.place ?? '')
  if (!step.place || !to) return undefined
  const { direction } = step
  const off = direction === 'pull' || direction === 'lift' || direction === 'anticlockwise'
  switch (to.kind) {
    case 'fastener':
      if (direction === 'anticlockwise') return { do: 'loosen', at: step.place as Act['at'] }
      return direction === 'clockwise' ? { do: 'tighten', at: step.place as Act['at'] } : undefined
    case 'socket': {
      const blades = s.blades.filter((b) => b.socket === to.id && b.kind !== 'plug' && b.kind !== 'inHilt')
      const one = blades.filter((b) => b.use === 'ship')
      const [blade] = one.length === 1 ? one : blades.length === 1 ? blades : []
      if (!blade) return undefined
      if (task === 'bladeIn' && (direction === 'push' || direction === 'clockwise'))
        return { do: 'putOn', at: refTo('blade', blade.id) }
      return task === 'bladeOut' && direction !== 'push' && direction !== 'none'
        ? { do: 'takeOff', at: refTo('blade', blade.id) }
        : undefined
    }
    case 'part': {
      const part = byId(s.parts, to.id)
      if (part?.kind === 'killSwitch' || part?.kind === 'killKey') {
        if (task === 'powerOn') return { do: 'restore', at: refTo('part', part.id) }
        return task === 'powerOff' ? { do: 'cut', at: refTo('part', part.id) } : undefined
      }
      if (direction === 'push') return { do: 'putOn', at: refTo('part', to.id) }
      return off || direction === 'slide'
        ? { do: task === 'cellIn' || task === 'close' ? 'putOn' : 'takeOff', at: refTo('part', to.id) }
        : undefined
    }
    case 'section':
      if (direction === 'push' || direction === 'clockwise') return { do: 'putOn', at: refTo('section', to.id) }
      return off ? { do: 'takeOff', at: refTo('section', to.id) } : undefined
    default:
      return undefined
  }
}

/** What came of reading a task: its steps with their acts, how it lies after each, or the first step that is not understood or cannot be carried out. */
export type ReadActs = { ok: true; steps: Step[]; states: State[] } | { ok: false; n: number; why: 'words' | 'refused' }

/** Tasks that come before a task, so that it begins as the saber lies then. */
const BEFORE: Partial<Record<Task, readonly Task[]>> = {
  ...{ powerOff: ['powerOn'], bladeOut: ['bladeIn'], cellOut: ['open'], cellIn: ['open', 'cellOut'] },
  close: ['open', 'cellOut', 'cellIn'],
}

/**
 * Reads the worded steps of a task as acts and carries them out, from where the tasks before leave the saber. Given back only
 * when all are understood and none is refused: half a task that is acts would be trusted for more than it is. The words stay
 * the maker's own.
 */
export function readActs(s: Saber, task: Task): ReadActs {
  const { assembly, rest } = machineOf(s)
  let state: State = { ...rest, screws: {} }
  for (const before of BEFORE[task] ?? [])
    for (const step of s.access.find((p) => p.task === before)?.steps ?? []) {
      const act = step.act ?? actOf(s, before, step)
      const o = act && run(assembly, state, act)
      if (o?.ok) state = o.state
    }
  const steps: Step[] = []
  const states: State[] = []
  for (const [i, step] of (s.access.find((p) => p.task === task)?.steps ?? []).entries()) {
    const act = step.act ?? actOf(s, task, step)
    if (!act) return { ok: false, n: i + 1, why: 'words' }
    const o = run(assembly, state, withWay(assembly, act))
    if (!o.ok) return { ok: false, n: i + 1, why: 'refused' }
    state = o.state
    states.push(state)
    steps.push(step.act ? step : { ...step, act: withWay(assembly, act), ownWords: true })
  }
  return { ok: true, steps, states }
}

/** An act with the way that the assembly has for it, where there is one only. */
function withWay(a: ReturnType<typeof machineOf>['assembly'], act: Act): Act {
  const ways = act.do === 'takeOff' || act.do === 'putOn' ? a.joints[act.at as Body]?.ways : undefined
  const [way] = ways ?? []
  return way && ways?.length === 1 ? { ...act, how: way.how, towards: way.towards } : act
}
