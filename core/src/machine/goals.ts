import { type Act, refTo, type Saber } from '../record'
import { inWall } from '../room'
import type { Assembly } from './assembly'
import type { Body, Way } from './joint'
import { type Hands, type Plan, planHome, planOff, planOn } from './plan'
import { runAll } from './run'
import type { State } from './state'

/** What somebody wants of a saber in hand. */
type GoalKind = 'cell' | 'card' | 'charge' | 'port' | 'bladeIn' | 'plugIn' | 'show' | 'reset' | 'strip'
export interface Goal {
  kind: GoalKind
  /** What it is about: a cell, a blade, a port. */
  at?: Body
  name: string
  hands: Hands
  /** The charger that a cell is put into. */
  with?: Body
  /** What has to be off for it: one of these, whichever comes off best. */
  through?: Body[]
}

/** Everything that somebody will want of this saber, from what is fitted: for every cell, socket, port and window. */
export function goalsOf(s: Saber, a: Assembly): Goal[] {
  const parts = (...kinds: string[]) => s.parts.filter((p) => kinds.includes(p.kind))
  const blades = s.blades.filter((b) => a.joints[refTo('blade', b.id)] && b.use !== 'demo')
  const cells = parts('cell')
  const own = <K extends GoalKind>(
    kind: K,
    list: readonly { id: string; name: string }[],
    of: 'part' | 'blade',
  ): Goal[] => list.map((x) => ({ kind, at: refTo(of, x.id), name: x.name, hands: 'client' as const }))
  // A port in the wall is reached from outside; one that lies within wants what holds it out, or a seam open.
  const ports = parts('chargePort').filter(inWall)
  const within = parts('chargePort').filter((p) => !inWall(p))
  const chassis = parts('chassis').flatMap((p): Body[] => (a.joints[refTo('part', p.id)] ? [refTo('part', p.id)] : []))
  const seams = Object.keys(a.joints).filter((b): b is Body => b.startsWith('section:'))
  const [charger] = parts('charger')
  const covers = new Set<Body>(parts('cover').map((p) => refTo('part', p.id)))
  return [
    ...(ports.length
      ? own('charge', ports, 'part')
      : own('charge', cells, 'part').map((g) => (charger ? { ...g, with: refTo('part', charger.id) } : g))),
    ...own('port', within, 'part').map((g) => ({ ...g, through: chassis.length ? chassis : seams })),
    ...own('cell', cells, 'part'),
    ...own('card', parts('card'), 'part'),
    ...own(
      'bladeIn',
      blades.filter((b) => b.kind !== 'plug'),
      'blade',
    ),
    ...own(
      'plugIn',
      blades.filter((b) => b.kind === 'plug'),
      'blade',
    ),
    ...Object.values(a.joints)
      .filter((j) => j.byItself === 'showsDisplay' || covers.has(j.body))
      .map((j) => ({ kind: 'show' as const, at: j.body, name: j.name, hands: 'client' as const })),
    ...(s.parts.some((p) => p.kind === 'board')
      ? [{ kind: 'reset' as const, name: '', hands: 'client' as const }]
      : []),
    ...(Object.keys(a.joints).length ? [{ kind: 'strip' as const, name: '', hands: 'maker' as const }] : []),
  ]
}

/** A goal reached, and the way back to closed, tight and dark. `from` is how it lies before, `turn` how many acts go out. */
export type Errand = { ok: true; from: State; acts: Act[]; turn: number; risk: number } | Extract<Plan, { ok: false }>

const there = (a: Assembly, st: State, g: Goal): Plan => {
  switch (g.kind) {
    case 'cell':
    case 'card':
      return planOff(a, st, [g.at!], g.hands)
    case 'charge': {
      // By its port from outside; a cell that is taken out is charged beside.
      if (!a.joints[g.at!]) {
        const cut: Act[] = a.cutter && !st.cut ? [{ do: 'cut', at: refTo('part', a.cutter.part) }] : []
        return {
          ok: true,
          acts: [...cut, { do: 'plugIn', at: g.at! }],
          risk: 0,
          end: { ...st, cut: a.cutter ? true : st.cut },
        }
      }
      const out = planOff(a, st, [g.at!], g.hands)
      return out.ok && g.with ? { ...out, acts: [...out.acts, { do: 'plugIn', at: g.with }] } : out
    }
    case 'port': {
      const ways = (g.through ?? []).map((b) => planOff(a, st, [b], g.hands))
      const open = ways
        .flatMap((p) => (p.ok ? [p] : []))
        .sort((p, q) => p.risk - q.risk || p.acts.length - q.acts.length)
      const [best] = open
      // A port is not worked on under power.
      if (best) return { ...best, acts: [...best.acts, { do: 'plugIn', at: g.at! }] }
      const blocked = ways.flatMap((p) => (p.ok ? [] : p.blocked))
      return { ok: false, blocked: blocked.length ? blocked : [{ code: 'closed', at: g.at!, name: g.name }] }
    }
    case 'bladeIn':
    case 'plugIn':
      return planOn(a, st, g.at!, g.hands)
    case 'show':
      return planOff(a, st, [g.at!], g.hands)
    case 'reset': {
      if (a.cutter) {
        const at = refTo('part', a.cutter.part)
        const acts: Act[] = [
          { do: 'cut', at },
          { do: 'restore', at },
        ]
        return { ok: true, acts, risk: 0, end: { ...st, cut: false } }
      }
      const cells = Object.values(a.joints).flatMap((j) => (j.cell ? [j.body] : []))
      return cells.length ? planOff(a, st, cells.slice(0, 1), g.hands) : { ok: false, blocked: [] }
    }
    case 'strip':
      return planOff(
        a,
        st,
        Object.values(a.joints).flatMap((j) => (j.ways.length && !st.off.includes(j.body) ? [j.body] : [])),
        g.hands,
      )
  }
}

/** The acts to a goal and back home, or what stands in the way. A board that froze has current; all else begins at rest. */
export function errand(a: Assembly, rest: State, g: Goal): Errand {
  const from = g.kind === 'reset' ? { ...rest, cut: false } : rest
  const out = there(a, from, g)
  if (!out.ok) return out
  const { acts, risk } = out
  const { state } = runAll(a, from, acts)
  const closed = state.off.length === from.off.length
  // A blade that was put in stays in, and a board that woke goes on: it is what was wanted.
  if (g.kind === 'bladeIn' || g.kind === 'plugIn' || (g.kind === 'reset' && closed))
    return { ok: true, from, acts, turn: acts.length, risk }
  const plugged = acts.findLast((x) => x.do === 'plugIn' && x.at !== g.with)
  const back = planHome(a, state, g.hands)
  if (!back.ok) return back
  const home: Act[] = plugged ? [{ do: 'unplug', at: plugged.at }, ...back.acts] : back.acts
  return { ok: true, from, acts: [...acts, ...home], turn: acts.length, risk }
}

/** An errand by one of the ways that its body has. */
export interface Choice {
  way: Way
  errand: Extract<Errand, { ok: true }>
}

/** The ways in which what a goal is about can come out, each with its errand: least risk first, then fewest acts. None where it has one way only. */
export function choicesOf(a: Assembly, rest: State, g: Goal): Choice[] {
  const j = g.at && a.joints[g.at]
  if (!j || j.place || j.ways.length < 2) return []
  return j.ways
    .flatMap((way): Choice[] => {
      const only: Assembly = { ...a, joints: { ...a.joints, [j.body]: { ...j, ways: [way] } } }
      const e = errand(only, rest, g)
      return e.ok ? [{ way, errand: e }] : []
    })
    .sort((p, q) => p.errand.risk - q.errand.risk || p.errand.acts.length - q.errand.acts.length)
}
