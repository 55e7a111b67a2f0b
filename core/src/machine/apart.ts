import { known } from '../facts'
import { inWall, layOut, outerAt, spanOf } from '../geometry'
import { type FittedPart, partsOfRef, refTo, type Saber } from '../record'
import type { Assembly } from './assembly'
import type { Body, Joint, Way } from './joint'
import type { State } from './state'

/** How far a thing is from where it is when the saber is closed, mm along the hilt and away from its axis. */
export interface Moved {
  dx: number
  dy: number
}
/** A saber that lies apart on the bench: where everything is, what is not there, and what stretch of the bench it takes, mm. */
export interface Apart {
  moved: Record<string, Moved>
  gone: string[]
  from: number
  to: number
}

/** Air between two pieces that lie apart, mm. */
const GAP = 16
/** How far a screw comes up when it is loose, and when it is out, mm. */
const UP = { loose: 3, out: 14 }

interface Span {
  x0: number
  x1: number
}

/**
 * Where everything lies when a saber is in a state: what came off lies before the end at which it came off, in the order in
 * which it did, and everything that hangs on it comes along; what was lifted out of its side lies above its place; screws
 * stand out of their holes. To scale.
 */
export function apartIn(s: Saber, a: Assembly, st: State): Apart {
  const shape = layOut(s.hilt)
  const moved: Record<string, Moved> = {}
  const gone = s.blades.map((b): Body => refTo('blade', b.id)).filter((b) => st.off.includes(b))
  const sectionSpan = (id: string): Span | undefined => shape.sections.find((p) => p.section.id === id)
  const spanOfBody = (b: Body): Span | undefined => {
    const { kind, id } = partsOfRef(b)!
    const part = kind === 'part' ? s.parts.find((p) => p.id === id) : undefined
    return kind === 'section' ? sectionSpan(id) : part && spanOf(part)
  }
  const inside = (x: Span, y: Span) => (x.x0 + x.x1) / 2 >= y.x0 && (x.x0 + x.x1) / 2 <= y.x1
  const chassis = s.parts.filter((p) => p.kind === 'chassis')
  const isOff = (b: string) => st.off.includes(b as Body)
  /** A part that is not off goes with the chassis it lies in, else with the section round it. */
  const carrier = (span: Span, part: FittedPart): string | undefined => {
    if (part.on && part.on !== part.id) return refTo('part', part.on)
    // What hangs in the wall stays with it.
    const c = chassis.find((p) => {
      const own = spanOf(p)
      return p.id !== part.id && !inWall(part) && own && inside(span, own)
    })
    if (c) return refTo('part', c.id)
    const home = shape.sections.find((p) => inside(span, p))
    return home && refTo('section', home.section.id)
  }
  /** Everything that goes along with a section towards an end: all sections beyond it. */
  const beyond = (span: Span, rear: boolean) =>
    shape.sections.filter((p) => (rear ? p.x1 <= span.x1 + 1e-6 : p.x0 >= span.x0 - 1e-6))

  const wayOf = (j: Joint): Way | undefined => j.ways.find((w) => w.after.every(isOff)) ?? j.ways[0]
  const ends = { pommel: 0, emitter: shape.length }
  const line: { b: Body; span: Span; rear: boolean; group: string[] }[] = []
  const lifted: { b: Body; span: Span }[] = []
  for (const b of st.off) {
    const j = a.joints[b]
    const span = spanOfBody(b)
    if (!j || j.place || !span) {
      if (j && !j.place && !span) gone.push(b)
      continue
    }
    const way = wayOf(j)
    // What is only turned stays where it is.
    if (way?.how === 'turn') continue
    if (way?.towards === 'aside') lifted.push({ b, span })
    else {
      const rear = way?.towards !== 'emitter'
      const group = b.startsWith('section:') ? beyond(span, rear).map((p) => refTo('section', p.section.id)) : [b]
      line.push({ b, span, rear, group })
    }
  }
  // What still stands together begins where the last section came off.
  for (const { span, rear, b } of line)
    if (b.startsWith('section:')) {
      if (rear) ends.pommel = Math.max(ends.pommel, span.x1)
      else ends.emitter = Math.min(ends.emitter, span.x0)
    }
  const left = s.parts.flatMap((p) => {
    const own = spanOf(p)
    if (!own || isOff(refTo('part', p.id))) return []
    const home = carrier(own, p)
    return home && line.some((l) => l.group.includes(home)) ? [] : [own]
  })
  const at = {
    pommel: Math.min(
      ends.pommel,
      ...left.filter((q) => inside(q, { x0: ends.pommel - 30, x1: ends.emitter })).map((q) => q.x0),
    ),
    emitter: Math.max(ends.emitter, ...left.map((q) => q.x1)),
  }
  // Parts lie nearest, the last one off before the others; sections beyond them, as they stand in the hilt.
  const isSection = (l: (typeof line)[number]) => l.b.startsWith('section:')
  const outward = line.filter(isSection).toSorted((p, q) => (p.rear ? q.span.x0 - p.span.x0 : p.span.x0 - q.span.x0))
  const placed = [...line.filter((l) => !isSection(l)).toReversed(), ...outward]
  /** Of what comes along only what no section nearer to the middle takes. */
  const own = (l: (typeof line)[number]) =>
    isSection(l)
      ? l.group.filter(
          (g) =>
            !outward.some(
              (o) => o !== l && o.group.length < l.group.length && o.rear === l.rear && o.group.includes(g),
            ),
        )
      : l.group
  for (const l of placed) {
    const { rear } = l
    const group = own(l)
    const all = group.flatMap((g) => spanOfBody(g as Body) ?? [])
    const [x0, x1] = [Math.min(...all.map((q) => q.x0)), Math.max(...all.map((q) => q.x1))]
    const dx = rear ? at.pommel - GAP - x1 : at.emitter + GAP - x0
    for (const g of group) moved[g] ??= { dx, dy: 0 }
    if (rear) at.pommel = x0 + dx
    else at.emitter = x1 + dx
  }
  const height = outerAt(shape, shape.length / 2) ?? 36
  for (const p of s.parts) {
    const ref = refTo('part', p.id)
    const span = spanOf(p)
    if (!span || moved[ref]) continue
    const home = carrier(span, p)
    const with_ = home ? moved[home] : undefined
    if (lifted.some((l) => l.b === ref)) moved[ref] = { dx: with_?.dx ?? 0, dy: height * 0.95 }
    else if (with_) moved[ref] = { ...with_ }
  }
  const along = (f: { at: Saber['hilt']['fasteners'][number]['at'] }): number => {
    const x = known(f.at)
    const home = x === undefined ? undefined : shape.sections.find((p) => x >= p.x0 && x <= p.x1)
    return home ? (moved[refTo('section', home.section.id)]?.dx ?? 0) : 0
  }
  const put = (ref: string, dx: number, dy: number) => {
    if (dx || dy) moved[ref] = { dx, dy }
  }
  for (const f of s.hilt.fasteners) {
    const up = st.screws[f.id]
    put(refTo('fastener', f.id), along(f), up ? UP[up] : 0)
  }
  for (const o of s.hilt.openings) put(refTo('opening', o.id), along(o), 0)
  for (const b of s.blades) {
    const socket = s.hilt.sockets.find((k) => k.id === b.socket)
    const home = socket && moved[refTo('section', socket.section)]
    if (home) moved[refTo('blade', b.id)] = { ...home }
  }
  return {
    moved,
    gone,
    from: Math.min(0, at.pommel),
    to: Math.max(shape.length, at.emitter),
  }
}
