import { type Act, refTo } from '../record'
import type { Assembly } from './assembly'
import type { Blocked, Body, Joint, Way } from './joint'
import { holding, inPlace, runAll } from './run'
import { isOff, powered, type State } from './state'

/** Who carries a plan out: the client keeps his hands off what is the maker's. */
export type Hands = 'client' | 'maker'

export type Disassembly = { ok: true; acts: Act[]; risk: number; end: State } | { ok: false; blocked: Blocked[] }

/** Choices that a search looks at before it takes the best that it has. */
const MOST_CHOICES = 4000

interface Chosen {
  ways: Map<Body, Way>
  risk: number
  acts: number
}

const mayNot = (j: Joint | undefined, by: Hands): boolean =>
  !j || j.who === 'nobody' || !j.ways.length || (by === 'client' && j.who === 'maker')

/** What keeps a body where it is, for whoever asks. */
const blockedBy = (a: Assembly, b: Body): Blocked[] => {
  const j = a.joints[b]
  if (!j) return [{ code: 'fixed', at: b, name: b }]
  return j.blocked.length ? j.blocked : [{ code: 'closed', at: j.body, name: j.name }]
}

/**
 * The ways of least risk, then of fewest acts, by which bodies come off: what must go before, before. Where a body has
 * several ways each is tried, and given up as soon as it is no better than the best. `among`: nothing else may come off.
 * `barred`: what may not come off at all.
 */
function choose(
  a: Assembly,
  st: State,
  targets: readonly Body[],
  by: Hands,
  among?: ReadonlySet<Body>,
  barred: (j: Joint) => boolean = () => false,
): Chosen | Blocked[] {
  let best: Chosen | undefined
  const blocked: Blocked[] = []
  let looked = 0
  const better = (risk: number, acts: number) => !best || risk < best.risk || (risk === best.risk && acts < best.acts)
  const go = (todo: readonly Body[], ways: Map<Body, Way>, screws: ReadonlySet<string>, risk: number, acts: number) => {
    if (!better(risk, acts) || looked > MOST_CHOICES) return
    const open = [...todo]
    let [r, n, turned] = [risk, acts, screws]
    while (open.length) {
      const b = open.pop()!
      if (isOff(st, b) || ways.has(b)) continue
      const j = a.joints[b]
      if (!j || mayNot(j, by) || barred(j)) {
        blocked.push(...blockedBy(a, b))
        return
      }
      const more = holding(st.screws, j).map((h) => h.screw)
      n += 1 + more.filter((s) => !turned.has(s)).length
      turned = new Set([...turned, ...more])
      const usable = among ? j.ways.filter((w) => w.after.every((x) => among.has(x) || isOff(st, x))) : j.ways
      if (!usable.length) {
        blocked.push({ code: 'behind', at: j.body, name: j.name })
        return
      }
      const [only, ...others] = usable
      if (only && !others.length) {
        ways.set(b, only)
        r += only.risk
        open.push(...only.after)
        if (!better(r, n)) return
        continue
      }
      for (const w of usable.toSorted((p, q) => p.risk - q.risk || p.after.length - q.after.length)) {
        looked++
        go([...open, ...w.after], new Map(ways).set(b, w), turned, r + w.risk, n)
      }
      return
    }
    if (better(r, n) && inOrder(targets, ways)) best = { ways, risk: r, acts: n }
  }
  go(targets, new Map(), new Set(), 0, 0)
  if (best) return best
  // Nothing is forbidden, and yet there is no way: what waits for each other waits for ever.
  return blocked.length ? blocked : targets.map((b) => ({ code: 'circle', at: b, name: a.joints[b]?.name ?? b }))
}

/** Bodies in an order in which each comes after what its way asks for; undefined when they wait for each other. */
function inOrder(targets: readonly Body[], ways: ReadonlyMap<Body, Way>): Body[] | undefined {
  const out: Body[] = []
  const state = new Map<Body, 'open' | 'done'>()
  const visit = (b: Body): boolean => {
    const w = ways.get(b)
    if (!w || state.get(b) === 'done') return true
    if (state.get(b) === 'open') return false
    state.set(b, 'open')
    if (!w.after.every(visit)) return false
    state.set(b, 'done')
    out.push(b)
    return true
  }
  return targets.every(visit) ? out : undefined
}

const once = (list: readonly Blocked[]) =>
  list.filter((b, i) => list.findIndex((c) => c.code === b.code && c.at === b.at) === i)

const finish = (a: Assembly, st: State, acts: Act[], risk: number): Disassembly => {
  const { state, refused } = runAll(a, st, acts)
  // What a plan cannot carry out is no plan; it says where it stood.
  const at = refused && acts[refused.n]!.at
  return refused && at
    ? {
        ok: false,
        blocked: [
          refused.why.code === 'live'
            ? { code: 'live', at, name: a.joints[at as Body]?.name ?? at }
            : { code: 'behind', at, name: refused.why.at ?? '' },
        ],
      }
    : { ok: true, acts, risk, end: state }
}

/**
 * Takes bodies off, least risk first, then fewest acts; the power is cut before anything is opened. Where nothing cuts it and
 * something may only be touched dead, a cell or a contact comes off before it.
 */
export function planOff(a: Assembly, st: State, targets: readonly Body[], by: Hands = 'client'): Disassembly {
  const plain = takeOff(a, st, targets, by)
  if (a.cutter || !powered(a, st)) return plain
  const dead = Object.values(a.joints).some((j) => j.dark && !j.cell)
  if (!dead) return plain
  const first = Object.values(a.joints).filter((j) => (j.cell || j.contact) && !targets.includes(j.body))
  const ways = [
    plain,
    // By ways that pass nothing of the kind, or with the board dead from then on.
    takeOff(a, st, targets, by, (j) => j.dark === true && !j.cell),
    ...first.map((j) => takeOff(a, st, [j.body, ...targets], by)),
  ].flatMap((p) => (p.ok ? [p] : []))
  return ways.toSorted((p, q) => p.risk - q.risk || p.acts.length - q.acts.length)[0] ?? plain
}

function takeOff(
  a: Assembly,
  st: State,
  targets: readonly Body[],
  by: Hands,
  barred: (j: Joint) => boolean = () => false,
): Disassembly {
  const chosen = choose(a, st, targets, by, undefined, barred)
  if (Array.isArray(chosen)) return { ok: false, blocked: once(chosen) }
  const acts: Act[] = []
  const screws = { ...st.screws }
  const opens = [...chosen.ways.keys()].some((b) => !a.joints[b]!.place)
  if (opens && a.cutter && powered(a, st)) acts.push({ do: 'cut', at: refTo('part', a.cutter.part) })
  const order = inOrder(targets, chosen.ways)!
  // A screw that has to come out for one of them is not first loosened for another.
  const out = new Set(order.flatMap((b) => a.joints[b]!.held.flatMap((h) => (h.by === 'remove' ? [h.screw] : []))))
  for (const b of order) {
    const j = a.joints[b]!
    const way = chosen.ways.get(b)!
    for (const h of holding(screws, j)) {
      const by = out.has(h.screw) ? 'remove' : 'loosen'
      acts.push({ do: by, at: refTo('fastener', h.screw) })
      screws[h.screw] = by === 'remove' ? 'out' : 'loose'
    }
    acts.push({ do: 'takeOff', at: b, how: way.how, towards: way.towards })
  }
  return finish(a, st, acts, chosen.risk)
}

/**
 * Puts bodies back, each before what closes the way behind it and after the joints that it loads, and turns its screws tight.
 * The ways are those by which these bodies alone could have come off; blades come last.
 */
function putBack(a: Assembly, st: State, bodies: readonly Body[]): { acts: Act[]; blocked: Blocked[] } {
  const closed: State = { ...st, off: st.off.filter((b) => !bodies.includes(b)), screws: {} }
  const chosen = choose(a, closed, bodies, 'maker', new Set(bodies))
  if (Array.isArray(chosen)) return { acts: [], blocked: once(chosen) }
  const { ways } = chosen
  const inward = inOrder(bodies, ways)!.toReversed()
  const isBlade = (b: Body) => a.joints[b]!.place !== undefined
  const order = [...inward.filter((b) => !isBlade(b)), ...inward.filter(isBlade)]
  const acts: Act[] = []
  const screws = { ...st.screws }
  const tighten = (j: Joint) => {
    // Screws of a joint go back the other way round; those of a blade as they are listed.
    for (const h of j.place ? j.held : j.held.toReversed())
      if (screws[h.screw] !== undefined) {
        acts.push({ do: 'tighten', at: refTo('fastener', h.screw) })
        delete screws[h.screw]
      }
  }
  const off = new Set(st.off)
  for (const b of order) {
    const j = a.joints[b]!
    for (const l of j.loads) if (a.joints[l] && !off.has(l)) tighten(a.joints[l])
    for (const h of holding(screws, j)) {
      acts.push({ do: h.by, at: refTo('fastener', h.screw) })
      screws[h.screw] = h.by === 'remove' ? 'out' : 'loose'
    }
    const w = ways.get(b)!
    acts.push({ do: 'putOn', at: b, how: w.how, towards: w.towards })
    off.delete(b)
    tighten(j)
    if (j.place) acts.push({ do: 'pullCheck', at: b })
  }
  return { acts, blocked: [] }
}

/** Puts a blade or plug, or what was taken out, in its place: another one in it goes first, and the joints that it loads are closed. */
export function planOn(a: Assembly, st: State, body: Body, by: Hands = 'client'): Disassembly {
  const j = a.joints[body]
  if (!j || mayNot(j, by)) return { ok: false, blocked: once(blockedBy(a, body)) }
  const acts: Act[] = []
  let now = st
  const other = inPlace(a, st, j)
  if (other) {
    const out = planOff(a, now, [other.body], by)
    if (!out.ok) return out
    acts.push(...out.acts)
    now = out.end
  }
  if (!isOff(now, body)) return finish(a, st, acts, 0)
  const open = j.loads.filter((b) => isOff(now, b))
  const back = putBack(a, now, [...open, body])
  if (back.blocked.length) return { ok: false, blocked: back.blocked }
  return finish(a, st, [...acts, ...back.acts], 0)
}

/**
 * Closed, tight, dark and as it leaves the shop: what does not belong goes out, what belongs goes in by an order of its own,
 * every screw is tight, and the power is cut where something cuts it.
 */
export function planHome(a: Assembly, st: State, by: Hands = 'client'): Disassembly {
  const foreign = a.spare.filter((b) => !isOff(st, b) && a.joints[b]!.place)
  const acts: Act[] = []
  let now = st
  if (foreign.length) {
    const out = planOff(a, st, foreign, by)
    if (!out.ok) return out
    acts.push(...out.acts)
    now = out.end
  }
  const away = now.off.filter((b) => !a.spare.includes(b))
  const back = putBack(a, now, away)
  if (back.blocked.length) return { ok: false, blocked: back.blocked }
  acts.push(...back.acts)
  const { state, refused } = runAll(a, now, back.acts)
  if (refused) return finish(a, now, back.acts, 0)
  const last: Act[] = Object.keys(state.screws).map((id) => ({ do: 'tighten', at: refTo('fastener', id) }))
  if (a.cutter && !state.cut) last.push({ do: 'cut', at: refTo('part', a.cutter.part) })
  const end = finish(a, state, last, 0)
  return end.ok ? { ...end, acts: [...acts, ...last] } : end
}
