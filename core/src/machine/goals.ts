import { inWall } from '../geometry'
import { type Act, byId, type GoalKind, partsOfRef, refTo, type Saber, type Socket } from '../record'
import type { Assembly } from './assembly'
import { type Disassembly, type Hands, planHome, planOff, planOn } from './disassembly'
import type { Blocked, Body, Joint, Way } from './joint'
import { runAll } from './run'
import { opensBy, seamsOf } from './seams'
import type { State } from './state'

export interface Goal {
  kind: GoalKind
  /** What it is about: a cell, a blade, a port. */
  at?: Body
  name: string
  hands: Hands
  /** What comes out for it: every cell, where there are several. */
  out?: Body[]
  /** The charger that a cell is put into. */
  with?: Body
  /** What has to be off for it: one of these, whichever comes off best. */
  through?: Body[]
}

/** What a client opens it for, what he needs most first; blades, plugs and charging stand for themselves. */
export const OPENED: readonly GoalKind[] = ['cell', 'card', 'port', 'show']

/** The blade that is told of at a socket: one that ships, else one that is bought, else any; the socket where none is recorded. */
export function toldBlade(s: Saber, socket: Socket): Body {
  const here = s.blades.filter((b) => b.socket === socket.id && b.kind !== 'inHilt' && b.kind !== 'plug')
  const b = here.find((x) => x.use === 'ship') ?? here.find((x) => x.use === 'toBuy') ?? here[0]
  return b ? refTo('blade', b.id) : refTo('socket', socket.id)
}

/** Whether a body never comes off, but is turned to show or to free something. */
export const onlyTurned = (j: Pick<Joint, 'ways'>): boolean =>
  j.ways.length > 0 && j.ways.every((w) => w.how === 'turn')

/** Everything that somebody will want of this saber, from what is fitted: for every cell, socket, port and window. */
export function goalsOf(s: Saber, a: Assembly): Goal[] {
  const parts = (...kinds: string[]) => s.parts.filter((p) => kinds.includes(p.kind))
  const goal = (kind: GoalKind, at: Body | undefined, name: string, more: Partial<Goal> = {}): Goal => ({
    ...{ kind, name, hands: 'client' },
    ...(at ? { at } : {}),
    ...more,
  })
  const ofParts = (kind: GoalKind, list: readonly { id: string; name: string }[]) =>
    list.map((x) => goal(kind, refTo('part', x.id), x.name))
  const inSockets = Object.values(a.joints).filter((j) => j.place)
  const blade = (j: (typeof inSockets)[number]) => s.blades.find((b) => refTo('blade', b.id) === j.body)
  const blades = inSockets.filter((j) => blade(j)?.kind !== 'plug' && blade(j)?.use !== 'demo')
  const plugs = inSockets.filter((j) => blade(j)?.kind === 'plug')
  // A cell that is wired in is nobody's to take out.
  const cells = parts('cell').filter((p) => p.removable)
  const out = cells.map((p): Body => refTo('part', p.id))
  const cell = (kind: GoalKind, more: Partial<Goal> = {}) =>
    cells.length ? [goal(kind, out[0], cells.map((p) => p.name).join(', '), { out, ...more })] : []
  // A port in the wall is reached from outside; one that lies within wants what holds it out, or a seam open.
  const ports = parts('chargePort').filter(inWall)
  const within = parts('chargePort').filter((p) => !inWall(p))
  const chassis = parts('chassis').flatMap((p): Body[] => (a.joints[refTo('part', p.id)] ? [refTo('part', p.id)] : []))
  const seams = Object.keys(a.joints).filter((b): b is Body => b.startsWith('section:'))
  const [charger] = parts('charger')
  const covers = new Set<Body>(parts('cover', 'sleeve').map((p) => refTo('part', p.id)))
  // What lies on or beside something that is lifted is reached when that is; else through the chassis, or a seam.
  const throughOf = (id: string): Body[] => {
    const p = byId(s.parts, id)
    const lifted = [p?.on, p?.beside].flatMap((x): Body[] => {
      const q = byId(s.parts, x)
      return q && q.kind !== 'cell' && a.joints[refTo('part', q.id)] ? [refTo('part', q.id)] : []
    })
    return lifted.length ? lifted.slice(0, 1) : chassis.length ? chassis : seams
  }
  // Of what the maker has said that the client opens it.
  const given = s.joints.flatMap((x): Body[] => (x.who === 'client' && x.body.startsWith('section:') ? [x.body] : []))
  const cutter = a.cutter && refTo('part', a.cutter.part)
  const cut = s.cutPower === 'killSwitch' || s.cutPower === 'killKey'
  const power = (kind: 'powerOn' | 'powerOff') => (cut ? [goal(kind, cutter, a.cutter?.name ?? '')] : [])
  const first = [
    ...power('powerOn'),
    ...power('powerOff'),
    ...blades.flatMap((j) => [goal('bladeIn', j.body, j.name), goal('bladeOut', j.body, j.name)]),
    ...plugs.flatMap((j) => [goal('plugIn', j.body, j.name), goal('plugOut', j.body, j.name)]),
    ...(ports.length ? ofParts('charge', ports) : cell('charge', charger ? { with: refTo('part', charger.id) } : {})),
    // What is wired in is charged by the port that lies within.
    ...ofParts(ports.length || cells.length ? 'port' : 'charge', within).map((g) => ({
      ...g,
      through: throughOf(partsOfRef(g.at!)!.id),
    })),
    ...cell('cell'),
    ...ofParts('card', parts('card')),
    ...Object.values(a.joints)
      .filter((j) => j.byItself === 'showsDisplay' || covers.has(j.body) || given.includes(j.body) || onlyTurned(j))
      .map((j) => goal('show', j.body, j.name)),
  ]
  const inside = farthest(s, a, first)
  return [
    ...first,
    ...(inside ? [goal('open', inside.at, inside.name, inside), goal('close', inside.at, inside.name, inside)] : []),
    ...(s.parts.some((p) => p.kind === 'board') && (a.cutter || cells.length)
      ? [goal('reset', out[0], '', { out })]
      : []),
    ...(Object.keys(a.joints).length ? [goal('strip', undefined, '', { hands: 'maker' })] : []),
  ]
}

/** What a client opens it for, if anything: a cell, a card, a port, a window, else the joint that opens. */
function farthest(s: Saber, a: Assembly, goals: readonly Goal[]): Pick<Goal, 'at' | 'name' | 'through'> | undefined {
  for (const kind of ['cell', 'card', 'port', 'charge', 'show'] as const) {
    const g = goals.find((x) => x.kind === kind && (kind !== 'charge' || x.through))
    if (g) return { ...(g.at ? { at: g.at } : {}), name: g.name, ...(g.through ? { through: g.through } : {}) }
  }
  const { seams } = seamsOf(s)
  const open = seams.filter((q) => opensBy(q.joint))
  const [pommel] = seams
  const seam = pommel && open.includes(pommel) ? pommel : open.length === 1 ? open[0] : undefined
  const body = seam && refTo('section', seam.section.id)
  const j = body && a.joints[body]
  return j?.who === 'client' ? { at: j.body, name: j.name } : undefined
}

/** A goal reached, and the way back to closed, tight and dark. `from` is how it lies before, `turn` how many acts go out. */
export type Errand =
  | { ok: true; from: State; acts: Act[]; turn: number; risk: number }
  | Extract<Disassembly, { ok: false }>

/** How the saber lies before a goal: with power where it is cut first, its socket empty where something is put in, the blade in where it is to come out. */
function before(a: Assembly, rest: State, g: Goal): State {
  const j = g.at && a.joints[g.at]
  const own = j?.place ? Object.values(a.joints).flatMap((x) => (x.place === j.place ? [x.body] : [])) : []
  const others = [...rest.off.filter((b) => !own.includes(b)), ...own.filter((b) => b !== g.at)]
  const on = a.cutter ? { ...rest, cut: false } : rest
  switch (g.kind) {
    case 'powerOn':
      return rest
    case 'charge':
      return g.at && !g.out && !g.through && wantsCurrent(a, g.at) ? rest : on
    case 'bladeIn':
      // With the plug in, where there is one.
      return rest.off.includes(g.at!) ? on : { ...on, off: [...others, g.at!] }
    case 'plugIn':
      return { ...on, off: [...others, g.at!] }
    case 'bladeOut':
    case 'plugOut':
      return { ...on, off: others }
    default:
      return on
  }
}

/** The acts that make it dead where something cuts, and how it lies then. */
function dead(a: Assembly, st: State): { acts: Act[]; st: State } {
  if (!a.cutter || st.cut) return { acts: [], st }
  return { acts: [{ do: 'cut', at: refTo('part', a.cutter.part) }], st: { ...st, cut: true } }
}

/** Whether a port is not plugged into dead. */
const wantsCurrent = (a: Assembly, port: Body): boolean => !a.sockets?.includes(port)

/** What gives a port its current before something is put into it, where it wants it and has none. */
function currentFor(a: Assembly, st: State, port: Body): { acts: Act[]; st: State } {
  if (!a.cutter || !st.cut || !wantsCurrent(a, port)) return { acts: [], st }
  return { acts: [{ do: 'restore', at: refTo('part', a.cutter.part) }], st: { ...st, cut: false } }
}

/** A plan with acts before it. */
const after = (acts: readonly Act[], p: Disassembly): Disassembly => (p.ok ? { ...p, acts: [...acts, ...p.acts] } : p)

/** The screws of an empty socket, turned back in so that they are not lost. */
function kept(a: Assembly, p: Disassembly, body: Body): Disassembly {
  if (!p.ok) return p
  const acts = a.joints[body]!.held.flatMap((h): Act[] =>
    p.end.screws[h.screw] === undefined ? [] : [{ do: 'tighten', at: refTo('fastener', h.screw) }],
  )
  const { state } = runAll(a, p.end, acts)
  return { ...p, acts: [...p.acts, ...acts], end: state }
}

/** What has to be off, whichever comes off best. */
function throughBest(a: Assembly, st: State, g: Goal): Disassembly {
  const ways = (g.through ?? []).map((b) => planOff(a, st, [b], g.hands))
  const [best] = ways.flatMap((p) => (p.ok ? [p] : [])).sort((p, q) => p.risk - q.risk || p.acts.length - q.acts.length)
  const blocked = ways.flatMap((p) => (p.ok ? [] : p.blocked))
  return best ?? { ok: false, blocked: blocked.length ? blocked : [{ code: 'closed', at: g.at!, name: g.name }] }
}

const there = (a: Assembly, st: State, g: Goal): Disassembly => {
  switch (g.kind) {
    case 'powerOn':
    case 'powerOff': {
      if (!g.at) return { ok: false, blocked: [{ code: 'cutterUnknown', at: 'saber:this', name: '' }] }
      const on = g.kind === 'powerOn'
      return { ok: true, acts: [{ do: on ? 'restore' : 'cut', at: g.at }], risk: 0, end: { ...st, cut: !on } }
    }
    case 'cell':
      return planOff(a, st, g.out!, g.hands)
    case 'card':
      return planOff(a, st, [g.at!], g.hands)
    case 'open': {
      if (g.through) return throughBest(a, st, g)
      const out = planOff(a, st, [g.at!], g.hands)
      if (!out.ok || g.at!.startsWith('section:')) return out
      // As far as what it is opened for, which stays where it is.
      const acts = out.acts.slice(
        0,
        out.acts.findIndex((x) => x.at === g.at),
      )
      return { ...out, acts, end: runAll(a, st, acts).state }
    }
    case 'charge': {
      if (g.through) return there(a, st, { ...g, kind: 'port' })
      // By its port from outside; a cell that is taken out is charged beside.
      if (!g.out) {
        const plugIn: Act = { do: 'plugIn', at: g.at! }
        const first = dead(a, st)
        const on = currentFor(a, first.st, g.at!)
        return { ok: true, acts: [...first.acts, ...on.acts, plugIn], risk: 0, end: on.st }
      }
      const out = planOff(a, st, g.out, g.hands)
      return out.ok ? { ...out, acts: [...out.acts, { do: 'plugIn', at: g.with ?? g.at! }] } : out
    }
    case 'port': {
      const best = throughBest(a, st, g)
      if (!best.ok) return best
      const on = currentFor(a, best.end, g.at!)
      return { ...best, acts: [...best.acts, ...on.acts, { do: 'plugIn', at: g.at! }], end: on.st }
    }
    case 'bladeIn':
    case 'plugIn': {
      const first = dead(a, st)
      return after(first.acts, planOn(a, first.st, g.at!, g.hands))
    }
    case 'bladeOut':
    case 'plugOut': {
      const first = dead(a, st)
      const out = planOff(a, first.st, [g.at!], g.hands)
      const j = a.joints[g.at!]!
      const plug = a.plugs.find((b) => b !== g.at && a.joints[b]!.place === j.place)
      const on = out.ok && g.kind === 'bladeOut' && plug ? planOn(a, out.end, plug, g.hands) : undefined
      const whole = out.ok && on?.ok ? { ...on, acts: [...out.acts, ...on.acts], risk: out.risk } : kept(a, out, g.at!)
      return after(first.acts, whole)
    }
    case 'show':
      return planOff(a, st, [g.at!], g.hands)
    case 'reset': {
      if (!a.cutter) return planOff(a, st, g.out!.slice(0, 1), g.hands)
      const at = refTo('part', a.cutter.part)
      const acts: Act[] = [
        { do: 'cut', at },
        { do: 'restore', at },
      ]
      return { ok: true, acts, risk: 0, end: { ...st, cut: false } }
    }
    case 'close':
      return planHome(a, st, g.hands)
    case 'strip':
      return planOff(
        a,
        st,
        Object.values(a.joints).flatMap((j) =>
          j.ways.length && !st.off.includes(j.body) && !onlyTurned(j) ? [j.body] : [],
        ),
        g.hands,
      )
  }
}

/** Goals that end where they lead: a blade that was put in stays in, and a board that woke goes on. */
const STAYS: ReadonlySet<GoalKind> = new Set([
  'powerOn',
  'powerOff',
  'bladeIn',
  'bladeOut',
  'plugIn',
  'plugOut',
  'close',
])

const INSIDE: ReadonlySet<GoalKind> = new Set(['cell', 'card', 'port', 'charge', 'show', 'open'])
const SEAM: ReadonlySet<Blocked['code']> = new Set(['never', 'screwUnknown', 'howUnknown'])
/** Why a seam that would lead inside does not come apart: that is nearer to hand than what lies behind the other end. */
const atSeams = (a: Assembly, g: Goal): Blocked[] =>
  INSIDE.has(g.kind)
    ? Object.values(a.joints).flatMap((j) =>
        j.body.startsWith('section:') ? j.blocked.filter((b) => SEAM.has(b.code)) : [],
      )
    : []

/** The acts to a goal and back home, or what stands in the way. */
export function errand(a: Assembly, rest: State, g: Goal): Errand {
  const opened = g.kind === 'close' ? there(a, before(a, rest, g), { ...g, kind: 'open' }) : undefined
  if (opened && !opened.ok) return opened
  const from = opened?.end ?? before(a, rest, g)
  const out = there(a, from, g)
  if (!out.ok) {
    const live = out.blocked.some((b) => b.code === 'live')
    const all = [...(live ? [] : atSeams(a, g)), ...out.blocked]
    return { ok: false, blocked: all.filter((b, i) => all.findIndex((c) => c.code === b.code && c.at === b.at) === i) }
  }
  const { acts, risk } = out
  const { state, refused } = runAll(a, from, acts)
  if (refused) return { ok: false, blocked: [{ code: 'live', at: acts[refused.n]!.at, name: g.name }] }
  if (STAYS.has(g.kind) || (g.kind === 'reset' && a.cutter)) return { ok: true, from, acts, turn: acts.length, risk }
  const plugged = acts.findLast((x) => x.do === 'plugIn' && !g.out)
  // What was given current for it is dead again before anything is touched.
  const off = plugged && a.cutter && !state.cut ? dead(a, state) : { acts: [], st: state }
  const back = planHome(a, off.st, g.hands)
  if (!back.ok) return back
  const home: Act[] = plugged ? [{ do: 'unplug', at: plugged.at }, ...off.acts, ...back.acts] : back.acts
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
