import { known } from '../facts'
import {
  bodyOf,
  type HiltShape,
  inWall,
  layOut,
  narrowest,
  needRadius,
  onAxis,
  sleeveInner,
  spanOf,
  widest,
} from '../geometry'
import { byId, type FittedPart, kindRule, type PartKind, purposeOf, refTo, type Saber } from '../record'
import type { Blocked, Body, Joint, Way } from './joint'
import { polesOf } from './poles'

/** Kinds that somebody takes out to do something, and that come out unless they are said to stay; the rest goes where these go. */
const TAKEN: readonly PartKind[] = ['cell', 'chassis', 'card', 'cover', 'sleeve']
/** Of these somebody has to say that they come out. */
const SAID: ReadonlySet<PartKind> = new Set(['cell', 'chassis'])

interface Door {
  x: number
  /** What must be off; nothing for the mouth of the emitter, whose blades are added later. */
  opens: Body[]
}

const near = (a: number, b: number) => Math.abs(a - b) < 1e-6

/** Where the inside can be reached: every seam that has a way, and the mouth of the emitter. */
function doorsOf(s: Saber, shape: HiltShape, sections: readonly Joint[]): Door[] {
  const line = shape.sections
  const at = (i: number) => line[i]!.parts
  const seams = line.slice(0, -1).flatMap((p, i): Door[] => {
    const pair = [refTo('section', p.section.id), refTo('section', line[i + 1]!.section.id)]
    const j = sections.find(
      (q) => pair.includes(q.body as (typeof pair)[number]) && q.of && pair.includes(q.of as (typeof pair)[number]),
    )
    // What is only turned opens nothing.
    return j?.ways.some((w) => w.how !== 'turn') ? [{ x: at(i), opens: [j.body] }] : []
  })
  return [...seams, ...(s.hilt.sockets.length ? [{ x: shape.length, opens: [] }] : [])]
}

const within = (a: { x0: number; x1: number }, b: { x0: number; x1: number }) =>
  a.x0 >= b.x0 - 1e-6 && a.x1 <= b.x1 + 1e-6

/** What carries a part along: what it is said to be fastened to, else the chassis within whose length it lies. */
const carrierOf = (s: Saber, p: FittedPart): FittedPart | undefined => {
  const on = byId(s.parts, p.on)
  if (on) return on === p ? undefined : on
  const span = spanOf(p)
  if (!span || p.kind === 'chassis' || p.kind === 'cover' || p.kind === 'sleeve') return undefined
  return s.parts.find((q) => {
    const c = q.kind === 'chassis' ? spanOf(q) : undefined
    return c !== undefined && within(span, c)
  })
}

/** What stands on the way of a part to a door, besides what travels with it. */
function between(s: Saber, p: FittedPart, from: number, to: number): FittedPart[] {
  const own = spanOf(p)!
  return s.parts.filter((q) => {
    const span = q === p ? undefined : spanOf(q)
    if (!span || !kindRule(q.kind).inside || inWall(q) || !onAxis(q) || q.kind === 'strip') return false
    // What lies beside it in its own length lets it pass, and a chassis takes along what lies in it.
    if (q.beside === p.id || p.beside === q.id || within(span, own)) return false
    if (q.kind === 'chassis') return false
    return span.x1 > from + 1e-6 && span.x0 < to - 1e-6
  })
}

/** The ways of a part along the axis, and why others are none. */
function along(s: Saber, p: FittedPart, shape: HiltShape, doors: readonly Door[]): { ways: Way[]; blocked: Blocked[] } {
  const span = spanOf(p)
  const me = refTo('part', p.id)
  if (!span) return { ways: [], blocked: [{ code: 'placeUnknown', at: me, name: p.name }] }
  const body = p.kind === 'chassis' ? undefined : bodyOf({ ...p, beside: undefined as never }, s)
  const need = body ? 2 * (needRadius(body) + (known(s.hilt.clearance) ?? 0)) : 0
  const blocked: Blocked[] = []
  const ways = doors.flatMap((door): Way[] => {
    const rear = door.x <= (span.x0 + span.x1) / 2
    const [from, to] = rear ? [door.x, span.x0] : [span.x1, door.x]
    const tight = to > from && !near(to, from) ? narrowest(shape, from, to) : undefined
    if (tight && tight.d < need - 1e-6) {
      blocked.push({ code: 'narrow', at: refTo('section', tight.section.id), name: tight.section.name })
      return []
    }
    const behind = to > from ? between(s, p, from, to) : []
    const fixed = behind.filter((q) => !movable(q))
    if (fixed.length) {
      blocked.push(...fixed.map((q) => ({ code: 'behind' as const, at: refTo('part', q.id), name: q.name })))
      return []
    }
    return [
      {
        ...{ how: 'slide', towards: rear ? 'pommel' : 'emitter', from: 'path' },
        after: [...door.opens, ...behind.map((q) => refTo('part', q.id))],
        // The further it is pushed past others, the more can go wrong.
        risk: behind.length,
      },
    ]
  })
  return { ways, blocked }
}

/** Whether somebody takes it out at all: a cell that is not wired in, a chassis or a board that comes out, a card, a cover. */
const movable = (p: FittedPart): boolean => p.removable ?? (TAKEN.includes(p.kind) && !SAID.has(p.kind))

/** The screws of a purpose that hold a part, within its length where it has one, and those of them never to be touched. */
function screwsOf(s: Saber, p: FittedPart, purpose: 'chassis' | 'sleeve'): Pick<Joint, 'held' | 'blocked'> {
  const span = spanOf(p)
  const screws = s.hilt.fasteners.filter((f) => {
    const at = known(f.at)
    const here = purpose === 'chassis' || !span || at === undefined || (at >= span.x0 - 1e-6 && at <= span.x1 + 1e-6)
    return purposeOf(s, f) === purpose && f.head !== 'dummy' && here
  })
  return {
    held: screws.map((f) => ({ screw: f.id, by: f.clientMay === 'remove' ? 'remove' : 'loosen' })),
    blocked: screws.flatMap((f) =>
      f.clientMay === 'never' ? [{ code: 'never' as const, at: refTo('fastener', f.id), name: f.name }] : [],
    ),
  }
}

/** The ways of a sleeve along the outside: over nothing that is wider than it is within. */
function over(s: Saber, p: FittedPart, shape: HiltShape): { ways: Way[]; blocked: Blocked[] } {
  const span = spanOf(p)
  if (!span) return { ways: [], blocked: [{ code: 'placeUnknown', at: refTo('part', p.id), name: p.name }] }
  const inner = sleeveInner(p) ?? Number.POSITIVE_INFINITY
  const how = p.heldBy === 'thread' ? 'unscrew' : 'slide'
  const blocked: Blocked[] = []
  const ways = (['pommel', 'emitter'] as const).flatMap((towards): Way[] => {
    const [from, to] = towards === 'pommel' ? [0, span.x0] : [span.x1, shape.length]
    const bulge = widest(shape, from, to)
    if (bulge && bulge.d > inner + 1e-6) {
      blocked.push({ code: 'wider', at: refTo('section', bulge.section.id), name: bulge.section.name })
      return []
    }
    const others = s.parts.filter((q) => {
      const own = q !== p && q.kind === 'sleeve' ? spanOf(q) : undefined
      return own && own.x1 > from + 1e-6 && own.x0 < to - 1e-6
    })
    return [{ how, towards, from: 'path', after: others.map((q) => refTo('part', q.id)), risk: others.length }]
  })
  return { ways, blocked: ways.length ? [] : blocked }
}

/** The cell, the chassis, the card, covers, sleeves, and what is said to come out, as joints, with the ways that the bores leave them. */
export function insideJoints(s: Saber, sections: readonly Joint[]): Joint[] {
  const shape = layOut(s.hilt)
  const doors = doorsOf(s, shape, sections)
  const chassis = s.parts.filter((p) => p.kind === 'chassis')
  return s.parts.flatMap((p): Joint[] => {
    if (!TAKEN.includes(p.kind) && !movable(p)) return []
    const body = refTo('part', p.id)
    const base = { body, name: p.name, held: [] as Joint['held'], loads: [] as Body[], who: 'client' as const }
    if (!movable(p))
      return [
        {
          ...{
            ...base,
            who: 'maker' as const,
            ways: [],
            blocked: [{ code: 'fixed' as const, at: body, name: p.name }],
          },
          ...(p.kind === 'cell' ? { cell: true as const } : {}),
        },
      ]
    if (p.kind === 'chassis') {
      const { held, blocked: never } = p.heldBy === 'setScrew' ? screwsOf(s, p, 'chassis') : { held: [], blocked: [] }
      const { ways, blocked } = along(s, p, shape, doors)
      return [
        {
          ...base,
          ways: never.length ? [] : ways.map((w) => (p.heldBy === 'thread' ? { ...w, how: 'unscrew' as const } : w)),
          held,
          who: never.length ? 'nobody' : 'client',
          blocked: [...blocked, ...never],
          ...(s.parts.some((q) => q.kind === 'contactBoard') ? { contact: true as const } : {}),
        },
      ]
    }
    if (p.kind === 'cover') {
      // It lies on a chassis, or outside.
      const on = (p.on ? chassis.filter((c) => c.id === p.on) : chassis).filter(movable).map((c) => refTo('part', c.id))
      return [{ ...base, ways: [{ how: 'lift', after: on, towards: 'aside', risk: 0, from: 'magnets' }], blocked: [] }]
    }
    if (p.kind === 'sleeve') {
      const { held, blocked: never } = screwsOf(s, p, 'sleeve')
      const { ways, blocked } = over(s, p, shape)
      const [who, open] = never.length ? (['nobody', []] as const) : (['client', ways] as const)
      return [{ ...base, ways: [...open], held, who, blocked: [...blocked, ...never] }]
    }
    const carrier = carrierOf(s, p)
    const covers = s.parts.filter((q) => q.kind === 'cover').map((q) => refTo('part', q.id))
    const lifted: Way[] =
      carrier && movable(carrier)
        ? [{ how: 'lift', after: [refTo('part', carrier.id), ...covers], towards: 'aside', risk: 0, from: 'lifted' }]
        : []
    if (p.kind === 'card') {
      // Its slot is on the board: it is reached where the board is.
      const board = s.parts.find((q) => q.kind === 'board')
      // A board that is lifted itself comes with its slot.
      const holder = board && (movable(board) ? board : carrierOf(s, board))
      const out: Way[] =
        holder && movable(holder)
          ? [{ how: 'pull', after: [refTo('part', holder.id)], towards: 'aside', risk: 0, from: 'lifted' }]
          : board && spanOf(board)
            ? along(s, { ...board, beside: undefined as never }, shape, doors).ways.map((w) => ({
                ...w,
                how: 'pull' as const,
              }))
            : []
      return [
        {
          ...base,
          ways: out,
          blocked: out.length
            ? []
            : [{ code: 'placeUnknown', at: board ? refTo('part', board.id) : body, name: board?.name ?? p.name }],
          dark: true,
        },
      ]
    }
    if (p.kind !== 'cell') {
      // In the wall it comes off outwards; inside it is lifted from what carries it, or goes the way that the bores leave it.
      if (inWall(p) && !lifted.length)
        return [{ ...base, ways: [{ how: 'lift', after: [], towards: 'aside', risk: 0, from: 'lifted' }], blocked: [] }]
      const path = lifted.length ? { ways: [], blocked: [] } : along(s, p, shape, doors)
      return [{ ...base, ways: [...lifted, ...path.ways], blocked: path.blocked, dark: true }]
    }
    const { ways, blocked } = along(s, p, shape, doors)
    const all = [...lifted, ...ways].sort((v, w) => v.risk - w.risk || v.after.length - w.after.length)
    const { plus, leads } = polesOf(p)
    return [
      {
        ...{ ...base, ways: all, blocked, cell: true, dark: true },
        ...(plus ? { plus } : {}),
        ...(leads ? { leads } : {}),
      },
    ]
  })
}
