import { type Act, type Id, partsOfRef, refTo } from '../record'
import type { Assembly } from './assembly'
import type { Body, Hold, Joint } from './joint'
import { leadsFrom } from './poles'
import { isOff, powered, type State } from './state'

/** What an act brings about besides what is seen of the thing itself. */
export type Happened = 'dark' | 'power' | 'wakes' | 'showsDisplay'

/** Why an act cannot be done now: a code, and the thing that stands in its way. */
export interface Refusal {
  code:
    | 'noSuch' // there is no such thing
    | 'notThere' // it is off already
    | 'there' // it is in already
    | 'notClient' // nobody may open it, or the screw is never to be touched
    | 'tight' // a screw still holds it
    | 'wrongWay' // it does not come off like this
    | 'behind' // something is before it
    | 'lit' // it is alight
    | 'live' // it is under power
    | 'occupied' // another one is in its place
    | 'open' // a joint that it would load is open
    | 'loose' // a screw of a joint that it would load is not tight
    | 'missing' // what it sits in, or what was taken out after it, is off
    | 'noCutter' // nothing cuts the power
    | 'already'
    | 'wrongPole' // the other pole goes first
  at?: string
}

export type Outcome = { ok: true; state: State; happened: Happened[] } | { ok: false; why: Refusal }

const no = (code: Refusal['code'], at?: string): Outcome => ({ ok: false, why: { code, ...(at ? { at } : {}) } })

const screwOf = (act: Act): Id<'fastener'> => partsOfRef(act.at)?.id ?? ''

/** Found once for an assembly. */
const HOLDS = new WeakMap<Assembly, Map<string, Joint[]>>()
/** The joints that a screw holds. */
export function heldBy(a: Assembly, screw: string): readonly Joint[] {
  let all = HOLDS.get(a)
  if (!all) {
    all = new Map()
    for (const j of Object.values(a.joints)) for (const h of j.held) all.set(h.screw, [...(all.get(h.screw) ?? []), j])
    HOLDS.set(a, all)
  }
  return all.get(screw) ?? []
}

function screwed(a: Assembly, st: State, act: Act): Outcome {
  const id = screwOf(act)
  const f = a.screws[id]
  if (!f) return no('noSuch', act.at)
  if (f.clientMay === 'never' || f.head === 'dummy') return no('notClient', act.at)
  const is = st.screws[id]
  if (act.do === 'tighten') {
    if (!is) return no('already', act.at)
    // A screw of an open joint has nothing to hold yet.
    const holds = heldBy(a, id)
    const open = holds.find((j) => isOff(st, j.body))
    if (open && holds.every((j) => isOff(st, j.body)) && !open.place) return no('missing', open.body)
    const { [id]: _, ...screws } = st.screws
    return { ok: true, state: { ...st, screws }, happened: [] }
  }
  if (act.do === 'remove' && f.clientMay !== 'remove') return no('notClient', act.at)
  const to = act.do === 'remove' ? 'out' : 'loose'
  if (is === to || is === 'out') return no('already', act.at)
  return { ok: true, state: { ...st, screws: { ...st.screws, [id]: to } }, happened: [] }
}

/** The screws of a joint that still hold it: loose is enough for some, others have to be out. */
export const holding = (screws: State['screws'], j: Joint): Hold[] =>
  j.held.filter((h) => (h.by === 'remove' ? screws[h.screw] !== 'out' : screws[h.screw] === undefined))

/** A screw of a joint that is not tight, where there is one. */
export const looseAt = (st: State, j: Joint): Hold | undefined => j.held.find((h) => st.screws[h.screw] !== undefined)

/** Whether a body can go by a way that an act names, out or in; else why not. */
function refusedWay(st: State, act: Act, j: Joint): Refusal | undefined {
  const ways = j.ways.filter((w) => (!act.how || w.how === act.how) && (!act.towards || w.towards === act.towards))
  const [first] = ways
  if (!first) return { code: 'wrongWay', at: j.body }
  if (ways.some((w) => w.after.every((b) => isOff(st, b)))) return undefined
  return { code: 'behind', at: first.after.find((b) => !isOff(st, b))! }
}

const powerChange = (a: Assembly, was: State, now: State): Happened[] => {
  const [before, after] = [powered(a, was), powered(a, now)]
  return before === after ? [] : [after ? 'power' : 'dark']
}

function off(a: Assembly, st: State, act: Act, j: Joint): Outcome {
  if (isOff(st, j.body)) return no('notThere', j.body)
  if (j.who === 'nobody' || !j.ways.length) return no('notClient', j.body)
  if (st.lit) return no('lit', j.body)
  // Where nothing else cuts, taking the cell out is what does.
  if (j.dark && powered(a, st) && (a.cutter || !j.cell)) return no('live', j.body)
  const [holds] = holding(st.screws, j)
  if (holds) return no('tight', refTo('fastener', holds.screw))
  const refused = refusedWay(st, act, j)
  if (refused) return { ok: false, why: refused }
  const state = { ...st, off: [...st.off, j.body] }
  const itself: Happened[] = j.byItself === 'wakes' ? ['wakes'] : j.byItself === 'showsDisplay' ? ['showsDisplay'] : []
  const cuts = j.byItself === 'cutsPower' && powered(a, st) ? (['dark'] as const) : []
  return { ok: true, state, happened: [...(j.cell || j.contact ? powerChange(a, st, state) : []), ...itself, ...cuts] }
}

/** Another body in the same place. */
export const inPlace = (a: Assembly, st: State, j: Joint): Joint | undefined =>
  j.place === undefined
    ? undefined
    : Object.values(a.joints).find((q) => q.place === j.place && q.body !== j.body && !isOff(st, q.body))

/** The pole with which a cell must go in by an act: by the way that it takes, else by what is said of it; undefined where either may. */
export function mustLead(act: Act, j: Joint): Joint['leads'] {
  const way = j.ways.find((w) => (!act.how || w.how === act.how) && (!act.towards || w.towards === act.towards))
  return (way && leadsFrom(j.plus, way.towards)) ?? j.leads
}

function on(a: Assembly, st: State, act: Act, j: Joint): Outcome {
  if (!isOff(st, j.body)) return no('there', j.body)
  if (st.lit) return no('lit', j.body)
  if (j.dark && powered(a, st)) return no('live', j.body)
  const other = inPlace(a, st, j)
  if (other) return no('occupied', other.body)
  // The way that it came is the way that it goes.
  const refused = refusedWay(st, act, j)
  if (refused) return { ok: false, why: refused }
  const [out] = holding(st.screws, j)
  if (out) return no('tight', refTo('fastener', out.screw))
  for (const b of j.loads) {
    if (isOff(st, b)) return no('open', b)
    const loose = a.joints[b] && looseAt(st, a.joints[b])
    if (loose) return no('loose', refTo('fastener', loose.screw))
  }
  if (act.leads && (mustLead(act, j) ?? act.leads) !== act.leads) return no('wrongPole', j.body)
  const state = { ...st, off: st.off.filter((b) => b !== j.body) }
  return { ok: true, state, happened: j.cell || j.contact ? powerChange(a, st, state) : [] }
}

/**
 * Carries out one act of a hand. The new state with what happened, or why it cannot be done; the state given is never
 * changed. An act on a thing that the assembly does not have is refused like any other.
 */
export function run(a: Assembly, st: State, act: Act): Outcome {
  if (act.do === 'loosen' || act.do === 'remove' || act.do === 'tighten') return screwed(a, st, act)
  if (act.do === 'cut' || act.do === 'restore') {
    if (!a.cutter || act.at !== refTo('part', a.cutter.part)) return no('noCutter', act.at)
    const cut = act.do === 'cut'
    if (st.cut === cut) return no('already', act.at)
    const state = { ...st, cut, ...(cut ? { lit: false } : {}) }
    return { ok: true, state, happened: powerChange(a, st, state) }
  }
  if (act.do === 'plugIn' && a.cutter && a.sockets?.includes(act.at as Body) && powered(a, st))
    return no('live', act.at)
  if (act.do === 'plugIn' || act.do === 'unplug') return { ok: true, state: st, happened: [] }
  const j = a.joints[act.at as Body]
  if (!j) return no('noSuch', act.at)
  if (act.do === 'pullCheck') {
    if (isOff(st, j.body)) return no('notThere', j.body)
    const loose = looseAt(st, j)
    return loose ? no('loose', refTo('fastener', loose.screw)) : { ok: true, state: st, happened: [] }
  }
  return act.do === 'takeOff' ? off(a, st, act, j) : on(a, st, act, j)
}

/** Carries out acts one after another; stops at the first that cannot be done and says which it was. */
export function runAll(
  a: Assembly,
  st: State,
  acts: readonly Act[],
): { state: State; happened: Happened[][]; refused?: { n: number; why: Refusal } } {
  const happened: Happened[][] = []
  let state = st
  for (const [n, act] of acts.entries()) {
    const o = run(a, state, act)
    if (!o.ok) return { state, happened, refused: { n, why: o.why } }
    state = o.state
    happened.push(o.happened)
  }
  return { state, happened }
}
