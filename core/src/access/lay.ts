import { type Assembly, type Body, type Errand, errand, type Goal, type Machine, runAll, type State } from '../machine'
import type { Act, Saber, Step } from '../record'
import { actOf } from './read'

/** An act of a procedure, with what the machine carries out for it and what the maker says of it. */
export interface Laid {
  /** What is done to which thing; one that is only in the maker's words has none. */
  act?: Act
  does: readonly Act[]
  step?: Step
  back: boolean
}

/** Something that is said and not used: its act is on the plan no more, cannot be carried out as said, or not in that order. */
export interface Unused {
  step: Step
  why: 'gone' | 'refused' | 'order'
}
/** Why something that is said is not used, for the maker. */
export const WHY_UNUSED: Readonly<Record<Unused['why'], string>> = {
  gone: 'the way does not go there any more',
  refused: 'it cannot be carried out like this',
  order: 'it cannot be done in this order',
}

/** A plan with what the maker says laid over it. */
export interface LaidOut {
  ok: true
  from: State
  acts: Laid[]
  turn: number
  risk: number
  unused: Unused[]
}

interface Asked {
  step: Step
  act: Act | undefined
}
/** A plan, what is said of it, which act each thing said is about, and what could not be used so far. */
interface Laying {
  a: Assembly
  e: Extract<Errand, { ok: true }>
  asked: readonly Asked[]
  at: ReadonlyMap<Step, Laid>
  unused: Unused[]
}

const SCREWED: ReadonlySet<Act['do']> = new Set(['loosen', 'remove'])
const same = (p: Act, q: Act) => p.at === q.at && (p.do === q.do || (SCREWED.has(p.do) && SCREWED.has(q.do)))
const offIn = (acts: readonly Act[]): Body[] => acts.flatMap((x) => (x.do === 'takeOff' ? [x.at as Body] : []))

/** An assembly in which the bodies that he names go only by the ways that he names, where they have such. */
function byHisWays(a: Assembly, asked: readonly Asked[]): Assembly {
  const joints = { ...a.joints }
  for (const { step } of asked) {
    const act = step.act
    const j = act && joints[act.at as Body]
    if (!j || (act.do !== 'takeOff' && act.do !== 'putOn')) continue
    const ways = j.ways.filter((w) => (!act.how || w.how === act.how) && (!act.towards || w.towards === act.towards))
    if (ways.length) joints[j.body] = { ...j, ways }
  }
  return { ...a, joints }
}

/** The plan by the bodies that he takes off, where it differs from the machine's own and leads there as well. */
function byHisBodies(a: Assembly, rest: State, g: Goal, asked: readonly Asked[], e: Possible): Possible {
  const said = offIn(asked.flatMap((x) => x.act ?? []))
  const planned = offIn(e.acts)
  const wanted = g.out ?? (g.at ? [g.at] : [])
  const barred = planned.filter((b) => !said.includes(b) && !wanted.includes(b))
  const more = said.filter((b) => !planned.includes(b))
  if (!more.length || !barred.length) return e
  const joints = { ...a.joints, ...Object.fromEntries(barred.map((b) => [b, { ...a.joints[b]!, ways: [] }])) }
  const other = errand({ ...a, joints }, rest, g)
  return other.ok && more.some((b) => offIn(other.acts).includes(b)) ? other : e
}
type Possible = Extract<Errand, { ok: true }>

const actsOf = (list: readonly Laid[]): Act[] => list.flatMap((x) => x.does)
/** Whether some acts can be carried out, and leave it as another list of acts does. */
function leadsTo(a: Assembly, from: State, list: readonly Laid[], like: readonly Act[]): boolean {
  const [own, other] = [runAll(a, from, actsOf(list)), runAll(a, from, like)]
  const lies = (st: State) => JSON.stringify([st.off.toSorted(), Object.entries(st.screws).sort(), st.cut])
  return !own.refused && lies(own.state) === lies(other.state)
}

/**
 * Lays what the maker says over the plan to a goal: each thing on the act that it is about, his own acts where they stand, his
 * way, his pole and his order where they can be carried out. What cannot be used is named, and nothing of the plan is lost for it.
 */
export function lay(
  s: Saber,
  { assembly, rest }: Machine,
  g: Goal,
  steps: readonly Step[],
): LaidOut | Extract<Errand, { ok: false }> {
  const asked = steps.map((step): Asked => ({ step, act: actOf(s, g, step) }))
  const his = byHisWays(assembly, asked)
  const first = errand(his, rest, g)
  const a = first.ok ? his : assembly
  const planned = first.ok ? first : errand(assembly, rest, g)
  if (!planned.ok) return planned
  const e = byHisBodies(a, rest, g, asked, planned)
  const unused: Unused[] = []
  const { list, at } = matched(a, e, asked, unused)
  const laying = { a, e, asked, at, unused }
  const acts = withHisOwn(laying, inHisOrder(laying, list))
  return { ok: true, from: e.from, acts, turn: acts.filter((x) => !x.back).length, risk: e.risk, unused }
}

/** The acts of a plan with what is said of each, and which act each thing said is about. */
function matched(a: Assembly, e: Possible, asked: readonly Asked[], unused: Unused[]) {
  let list: Laid[] = e.acts.map((act, i) => ({ act, does: [act], back: i >= e.turn }))
  const at = new Map<Step, Laid>()
  for (const { step, act } of asked) {
    const i = act ? list.findIndex((x) => !x.step && same(x.act!, act)) : -1
    if (i < 0) continue
    const plan = list[i]!.act!
    const way = step.act ? { do: act!.do, ...(act!.leads ? { leads: act!.leads } : {}) } : {}
    const changed: Laid = { ...list[i]!, act: { ...plan, ...way }, does: [{ ...plan, ...way }], step }
    const next = list.with(i, changed)
    const good = JSON.stringify(changed.act) === JSON.stringify(plan) || leadsTo(a, e.from, next, e.acts)
    if (!good) unused.push({ step, why: 'refused' })
    list = good ? next : list.with(i, { ...list[i]!, step })
    at.set(step, list[i]!)
  }
  return { list, at }
}

/** The same acts in his order, each half for itself, where that can be carried out. */
function inHisOrder({ a, e, asked, at, unused }: Laying, list: readonly Laid[]): Laid[] {
  let out = [...list]
  for (const back of [false, true]) {
    const said = asked.flatMap(({ step }) => {
      const x = at.get(step)
      return x?.back === back ? [x] : []
    })
    const places = said.map((x) => out.indexOf(x)).toSorted((p, q) => p - q)
    if (said.every((x, i) => out[places[i]!] === x)) continue
    const next = [...out]
    for (const [i, x] of said.entries()) next[places[i]!] = x
    if (leadsTo(a, e.from, next, e.acts)) out = next
    else for (const [i, x] of said.entries()) if (out[places[i]!] !== x) unused.push({ step: x.step!, why: 'order' })
  }
  return out
}

/** One of his own put in where it stands: after what is before it in its half, else where that begins. */
function putIn(out: Laid[], last: Laid | undefined, x: { act?: Act; does: readonly Act[]; step: Step }): Laid {
  const turn = out.findIndex((y) => y.back)
  const back = x.step.back === true || last?.back === true
  const start = back ? (turn < 0 ? out.length : turn) : 0
  const own: Laid = { ...x, back }
  out.splice(last && last.back === back ? out.indexOf(last) + 1 : start, 0, own)
  return own
}

/** With his own acts, each after what stands before it; those that change something only where all of them together do no harm. */
function withHisOwn({ a, e, asked, at, unused }: Laying, list: readonly Laid[]): Laid[] {
  const put = (among: (x: Asked) => boolean): Laid[] => {
    const out = [...list]
    let last: Laid | undefined
    for (const x of asked) {
      const known = at.get(x.step)
      if (known) {
        last = known
        continue
      }
      if (!among(x)) continue
      const own = x.act ? { act: x.act, does: [x.act] } : { does: x.step.does ?? [] }
      last = putIn(out, last, { ...own, step: x.step })
    }
    return out
  }
  const changes = (x: Asked) => x.act !== undefined || Boolean(x.step.does?.length)
  const all = put(() => true)
  if (!asked.some((x) => !at.has(x.step) && changes(x))) return all
  if (leadsTo(a, e.from, all, e.acts))
    return byTheirWays(a, e, all, offIn(asked.flatMap((x) => (at.has(x.step) ? [] : (x.act ?? [])))))
  for (const x of asked)
    if (!at.has(x.step) && changes(x)) unused.push({ step: x.step, why: x.act ? 'gone' : 'refused' })
  return put((x) => !changes(x))
}

/** An act with the way that its body has, where it does not say by which it goes. */
function withWay(a: Assembly, act: Act): Act {
  const [way] = act.do === 'takeOff' || act.do === 'putOn' ? (a.joints[act.at as Body]?.ways ?? []) : []
  return way && !act.how ? { ...act, how: way.how, towards: way.towards } : act
}

/** The same acts by the ways for which bodies were taken off that the plan left in place: what lies open is lifted. */
function byTheirWays(a: Assembly, e: Possible, list: readonly Laid[], opened: readonly Body[]): Laid[] {
  const wayFor = (b: string) => a.joints[b as Body]?.ways.find((w) => w.after.some((x) => opened.includes(x)))
  const next = list.map((x): Laid => {
    const way = x.act && (x.act.do === 'takeOff' || x.act.do === 'putOn') ? wayFor(x.act.at) : undefined
    const act = x.act && (way ? { ...x.act, how: way.how, towards: way.towards } : withWay(a, x.act))
    return act ? { ...x, act, does: [act] } : x
  })
  return leadsTo(a, e.from, next, e.acts) ? next : [...list]
}

/** What the maker says laid over acts that another procedure has given: each thing on the act that it is about, his own where they stand. */
export function upon(
  s: Saber,
  g: Goal,
  given: readonly Laid[],
  steps: readonly Step[],
): { acts: Laid[]; unused: Unused[] } {
  const acts = [...given]
  const unused: Unused[] = []
  let last: Laid | undefined
  let far = -1
  for (const step of steps) {
    const act = actOf(s, g, step)
    const i = act ? acts.findIndex((x) => x.act && same(x.act, act)) : -1
    if (i >= 0) {
      acts[i] = { ...acts[i]!, step }
      if (i < far) unused.push({ step, why: 'order' })
      far = Math.max(far, i)
      last = acts[i]
      continue
    }
    if (act || step.does?.length) {
      unused.push({ step, why: act ? 'gone' : 'refused' })
      continue
    }
    last = putIn(acts, last, { does: [], step })
  }
  return { acts, unused }
}
