import { known } from '../facts'
import { type FittedPart, kindRule, type PartKind, purposeOf, refTo, type Saber } from '../record'
import { bodyOf, type HiltShape, inWall, layOut, narrowest, needRadius, onAxis, spanOf } from '../room'
import type { Blocked, Body, Joint, Way } from './joint'
import { polesOf } from './poles'

/** Kinds that somebody takes out to do something; the rest goes where these go. */
const TAKEN: readonly PartKind[] = ['cell', 'chassis', 'card', 'cover']

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
    return j?.ways.length ? [{ x: at(i), opens: [j.body] }] : []
  })
  return [...seams, ...(s.hilt.sockets.length ? [{ x: shape.length, opens: [] }] : [])]
}

const within = (a: { x0: number; x1: number }, b: { x0: number; x1: number }) =>
  a.x0 >= b.x0 - 1e-6 && a.x1 <= b.x1 + 1e-6

/** The chassis that carries a part, when it lies within its length. */
const carrierOf = (s: Saber, p: FittedPart): FittedPart | undefined => {
  const span = spanOf(p)
  if (!span || p.kind === 'chassis' || p.kind === 'cover') return undefined
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

/** Whether somebody takes it out at all: a cell that is not wired in, a chassis that comes out, a card, a cover. */
const movable = (p: FittedPart): boolean => {
  if (!TAKEN.includes(p.kind)) return false
  return p.kind === 'cell' || p.kind === 'chassis' ? p.removable === true : true
}

/** The cell, the chassis, the card, covers and keys as joints, with the ways that the bores leave them. */
export function insideJoints(s: Saber, sections: readonly Joint[]): Joint[] {
  const shape = layOut(s.hilt)
  const doors = doorsOf(s, shape, sections)
  const chassis = s.parts.filter((p) => p.kind === 'chassis')
  return s.parts.flatMap((p): Joint[] => {
    if (!TAKEN.includes(p.kind)) return []
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
      const screws =
        p.heldBy === 'setScrew'
          ? s.hilt.fasteners.filter((f) => purposeOf(s, f) === 'chassis' && f.head !== 'dummy')
          : []
      const never = screws.filter((f) => f.clientMay === 'never')
      const { ways, blocked } = along(s, p, shape, doors)
      return [
        {
          ...base,
          ways: never.length ? [] : ways.map((w) => (p.heldBy === 'thread' ? { ...w, how: 'unscrew' as const } : w)),
          held: screws.map((f) => ({ screw: f.id, by: f.clientMay === 'remove' ? 'remove' : 'loosen' })),
          who: never.length ? 'nobody' : 'client',
          blocked: [
            ...blocked,
            ...never.map((f) => ({ code: 'never' as const, at: refTo('fastener', f.id), name: f.name })),
          ],
          ...(s.parts.some((q) => q.kind === 'contactBoard') ? { contact: true as const } : {}),
        },
      ]
    }
    if (p.kind === 'cover') {
      // It lies on a chassis, or outside.
      const on = chassis.filter((c) => movable(c)).map((c) => refTo('part', c.id))
      return [{ ...base, ways: [{ how: 'lift', after: on, towards: 'aside', risk: 0, from: 'magnets' }], blocked: [] }]
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
      const holder = board && carrierOf(s, board)
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
