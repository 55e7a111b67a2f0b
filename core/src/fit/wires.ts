import { known } from '../facts'
import {
  bundleDiameter,
  type CrossSection,
  crossSectionAt,
  cutting,
  type FreeCircle,
  freeCircle,
  inArm,
  layOut,
  layWires,
  mainSocket,
  roughlyFree,
  socketSpan,
  spanOf,
} from '../geometry'
import { type FittedPart, type PartKind, type Ref, refTo, type Saber } from '../record'

/** Leads from one thing to another: how many, how thick, and why there are so many. */
export interface Conductors {
  name: string
  why: string
  ref: Ref
  carries: 'power' | 'signal'
  count: number
  x0: number
  x1: number
}

const middle = (p: FittedPart | undefined): number | undefined => {
  const s = p && spanOf(p)
  return s && (s.x0 + s.x1) / 2
}

/** Leads that a kind of part takes to the board, and why. */
const LEADS: Partial<Record<PartKind, { count: number; carries: 'power' | 'signal'; why: string }>> = {
  speaker: { count: 2, carries: 'signal', why: 'two to the cone' },
  display: { count: 4, carries: 'signal', why: 'power, ground, clock and data' },
  auxBoard: { count: 3, carries: 'signal', why: 'power, ground and one line' },
  strip: { count: 3, carries: 'signal', why: 'power, ground and data' },
  accentLed: { count: 2, carries: 'signal', why: 'one out, one back' },
  killSwitch: { count: 2, carries: 'power', why: 'the plus lead goes in and comes back' },
  killKey: { count: 2, carries: 'power', why: 'the plus lead goes in and comes back' },
  chargePort: { count: 2, carries: 'power', why: 'plus and minus to the cell' },
}

/**
 * Counts the leads of what is connected, each with the stretch it runs through: everything goes to the board, the charge
 * port to the cell; buttons share one ground. What has no place yet is left out and named in `unplaced`.
 */
export function conductorsOf(saber: Saber): { list: Conductors[]; unplaced: string[] } {
  const board = saber.parts.find((p) => p.kind === 'board')
  const cells = saber.parts.filter((p) => p.kind === 'cell')
  const hub = middle(board)
  const list: Conductors[] = []
  const unplaced: string[] = []
  if (board && hub === undefined) unplaced.push(board.name)
  const run = (
    of: { name: string; ref: Ref },
    from: number | undefined,
    to: number | undefined,
    count: number,
    carries: 'power' | 'signal',
    why: string,
  ) => {
    if (from === undefined || to === undefined) {
      unplaced.push(of.name)
      return
    }
    list.push({ ...of, why, carries, count, x0: Math.min(from, to), x1: Math.max(from, to) })
  }
  const me = (p: FittedPart) => ({ name: p.name, ref: refTo('part', p.id) })
  if (hub === undefined) return { list, unplaced }
  // The lead of a cell's far pole runs beside the cell itself, so it counts over the cell's whole length.
  for (const c of cells) {
    const s = spanOf(c)
    if (!s) unplaced.push(c.name)
    else run(me(c), s.x0 < hub ? s.x0 : s.x1, hub, 2, 'power', 'plus and minus, one of them along the cell')
  }
  const cellAt = middle(cells[0])
  for (const p of saber.parts) {
    const lead = LEADS[p.kind]
    if (!lead) continue
    if (p.kind === 'chargePort') run(me(p), middle(p), cellAt, lead.count, lead.carries, lead.why)
    else run(me(p), middle(p), hub, lead.count, lead.carries, lead.why)
  }
  const buttons = saber.parts.filter((p) => p.kind === 'switch')
  buttons.forEach((p, i) => {
    const why = i === 0 ? 'its own and the shared ground' : 'its own; the ground is shared'
    run(me(p), middle(p), hub, i === 0 ? 2 : 1, 'signal', why)
  })
  // Lights inside; one that follows another is chained from it.
  for (const z of saber.zones.filter((q) => !q.blade && q.kind !== 'blade')) {
    const place = (id: string | undefined) => middle(saber.parts.find((p) => p.id === id))
    const follows = saber.zones.find((q) => q.id === z.follows)
    const from = place(z.part)
    if (from === undefined) continue
    if (saber.parts.some((p) => p.id === z.part && (p.kind === 'strip' || p.kind === 'accentLed'))) continue
    run(
      { name: z.name, ref: refTo('zone', z.id) },
      from,
      place(follows?.part) ?? hub,
      3,
      'signal',
      follows ? `power, ground and data, chained from ${follows.name}` : 'power, ground and data',
    )
  }
  const led = saber.parts.find((p) => p.kind === 'inHiltLed')
  if (led) {
    const dies = Math.max(1, Math.round(known(led.specs.dies) ?? 3))
    run(me(led), middle(led), hub, dies + 1, 'power', `one for each of ${dies} dies and one back`)
  }
  const shape = layOut(saber.hilt)
  const main = mainSocket(saber, shape)
  for (const k of saber.hilt.sockets) {
    const blade = saber.blades.find((b) => b.socket === k.id && b.kind !== 'plug' && b.kind !== 'inHilt')
    if (!blade) continue
    const arm = inArm(shape, k)
    const to = arm ? (shape.sections.at(-1)?.x0 ?? undefined) : socketSpan(saber, k.id, shape)?.x0
    const what = { name: blade.name, ref: refTo('blade', blade.id) }
    if (blade.kind === 'string') {
      const groups = known(blade.groups)
      if (groups === undefined) unplaced.push(`${blade.name}: number of groups`)
      else run(what, hub, to, groups + 1, 'power', `one for each of ${groups} groups and one common`)
    } else {
      run(what, hub, to, 2, 'power', 'plus and minus')
      run(what, hub, to, 1, 'signal', 'data')
    }
    const connector = saber.parts.find((p) => p.kind === 'connector')
    if (k.id === main?.id && connector && known(connector.specs.leds) !== undefined)
      run(
        { name: `${connector.name}, its LEDs`, ref: refTo('part', connector.id) },
        hub,
        to,
        1,
        'signal',
        'their own data',
      )
  }
  return { list, unplaced }
}

/** Room for the wires at one cut. */
export interface WireRoom {
  section: CrossSection
  crossing: Conductors[]
  /** Wires of one gauge that pass here. */
  gauges: { carries: 'power' | 'signal'; awg: number; wireMm: number; count: number; bundleMm: number }[]
  /** One round bundle of all of them, mm. */
  bundleMm: number
  circle: FreeCircle
  /** The largest circles left and right of the axis, for a bundle parted in two. */
  halves: [FreeCircle, FreeCircle]
  /** In one bundle, in two, each wire by itself, or not at all. */
  goes: 'one' | 'two' | 'singly' | 'no'
  /** Room left on the diameter of the circle used, mm; negative is what a bundle lacks. */
  spareMm: number
  /** Where single wires would lie, when they are laid singly; fewer than there are when they do not go. */
  laid: FreeCircle[]
  needs: string[]
}

/** Outside diameter of the fitted wire for a use, and its gauge: the one named for it, else any. */
function wireFor(saber: Saber, carries: 'power' | 'signal'): { awg: number; mm: number } | undefined {
  const wires = saber.parts
    .filter((p) => p.kind === 'wire' && (p.carries === undefined || p.carries === carries))
    .sort((a, b) => Number(b.carries === carries) - Number(a.carries === carries))
  const best = wires.find((w) => w.carries === carries) ?? wires[0]
  const [awg, mm] = [known(best?.specs.gauge), known(best?.specs.diameter)]
  return awg === undefined || mm === undefined ? undefined : { awg, mm }
}

/** Wires of each use that pass x, with their bundles. */
function gaugesAt(saber: Saber, list: readonly Conductors[], x: number, needs: string[]): WireRoom['gauges'] {
  return (['power', 'signal'] as const).flatMap((carries) => {
    const count = list.filter((c) => c.carries === carries && c.x0 <= x && c.x1 >= x).reduce((n, c) => n + c.count, 0)
    if (!count) return []
    const wire = wireFor(saber, carries)
    if (!wire) {
      needs.push(`the wire for ${carries}`)
      return []
    }
    return [{ carries, awg: wire.awg, wireMm: wire.mm, count, bundleMm: bundleDiameter(count, wire.mm) }]
  })
}

/** One bundle of several gauges: no wider than the bundles side by side, nor than if every wire were the thickest. */
function bundleOf(parts: readonly { count: number; wireMm: number }[]): number {
  const some = parts.filter((p) => p.count > 0)
  if (!some.length) return 0
  return Math.min(
    some.reduce((a, p) => a + bundleDiameter(p.count, p.wireMm), 0),
    bundleDiameter(
      some.reduce((n, p) => n + p.count, 0),
      Math.max(...some.map((p) => p.wireMm)),
    ),
  )
}

/**
 * Holds the wires that pass a cut against the room there: as one bundle in the largest free circle, parted in two left
 * and right of the axis, or laid singly. Undefined off the hilt; `needs` says what is missing.
 */
export function wireRoom(saber: Saber, x: number): WireRoom | undefined {
  const slice = crossSectionAt(saber, x)
  return slice && roomIn(saber, slice, conductorsOf(saber))
}

function roomIn(saber: Saber, slice: CrossSection, { list, unplaced }: ReturnType<typeof conductorsOf>): WireRoom {
  const { x } = slice
  const needs = unplaced.map((n) => `where ${n} sits`)
  const gauges = gaugesAt(saber, list, x, needs)
  const bundleMm = bundleOf(gauges)
  const halfMm = bundleOf(gauges.map((g) => ({ count: Math.ceil(g.count / 2), wireMm: g.wireMm })))
  const circle = freeCircle(slice)
  const halves: [FreeCircle, FreeCircle] = [freeCircle(slice, -1), freeCircle(slice, 1)]
  const half = Math.min(halves[0].r, halves[1].r) * 2 - halfMm
  const one = circle.r * 2 - bundleMm
  const wires = singly(gauges)
  const laid = one < 0 && half < 0 ? layWires(slice, wires) : []
  const goes = one >= 0 ? 'one' : half >= 0 ? 'two' : laid.length === wires.length ? 'singly' : 'no'
  return {
    section: slice,
    crossing: list.filter((c) => c.x0 <= x && c.x1 >= x),
    gauges,
    bundleMm,
    circle,
    halves,
    goes,
    spareMm: goes === 'two' ? half : one,
    laid,
    needs,
  }
}

/** Cuts at which anything changes for the wires: between the ends of parts, leads and bore steps. */
function cutsOf(saber: Saber, list: readonly Conductors[]): number[] {
  const shape = layOut(saber.hilt)
  if (!list.length || !shape.complete) return []
  const ends = [
    ...list.flatMap((c) => [c.x0, c.x1]),
    ...saber.parts.flatMap((p) => {
      const s = spanOf(p)
      return s ? [s.x0, s.x1] : []
    }),
    ...shape.sections.flatMap((s) => s.bore.flatMap((b) => [b.x0, b.x1])),
  ]
  const marks = [...new Set(ends)].sort((a, b) => a - b)
  return marks.slice(1).map((v, i) => (v + marks[i]!) / 2)
}

/** What fills the bore lets wires through its own slots: a cut through it says nothing. */
const fills = (s: CrossSection) =>
  s.lying.some((l) => l.shape === 'circle' && l.kind !== 'cell' && l.kind !== 'chamber')

/** The first cut from the pommel at which the wires do not pass even singly; undefined when they pass everywhere. */
export function wiresBlocked(saber: Saber): WireRoom | undefined {
  const leads = conductorsOf(saber)
  const cut = cutting(saber)
  for (const x of cutsOf(saber, leads.list)) {
    const slice = cut(x)
    if (!slice || fills(slice)) continue
    const gauges = gaugesAt(saber, leads.list, x, [])
    // The same things with the same wires round them need no second look.
    const key = contentOf(slice, gauges)
    if (PASSED.has(key)) continue
    if (!passes(slice, gauges)) {
      const w = roomIn(saber, slice, leads)
      if (w.goes === 'no') return w
    }
    if (PASSED.size >= MOST_PASSED) PASSED.clear()
    PASSED.add(key)
  }
  return undefined
}

/** Cuts, by all that counts in them, through which the wires were found to pass: each edit asks for most of them again. */
const PASSED = new Set<string>()
const MOST_PASSED = 2000
const contentOf = (s: CrossSection, gauges: WireRoom['gauges']) =>
  [
    s.free,
    ...s.lying.map((l) =>
      l.shape === 'circle' ? `${l.x},${l.y},${l.r},${l.hole}` : `${l.x},${l.y},${l.w},${l.h},${l.turn}`,
    ),
    ...gauges.map((g) => `${g.count}×${g.wireMm}`),
  ].join('|')

/** Whether wires pass by what is cheap to find: in a bundle where a coarse lattice is free, or laid singly on one, then on a finer one. */
function passes(slice: CrossSection, gauges: WireRoom['gauges']): boolean {
  const bundle = bundleOf(gauges)
  if (!bundle || 2 * roughlyFree(slice) >= bundle) return true
  const wires = singly(gauges)
  return [1, 0.5].some((step) => layWires(slice, wires, step).length === wires.length)
}

const singly = (gauges: WireRoom['gauges']) => gauges.flatMap((g) => new Array<number>(g.count).fill(g.wireMm))

/** The cut at which a bundle of all wires has least room; undefined without wires. */
export function tightestWires(saber: Saber): WireRoom | undefined {
  const leads = conductorsOf(saber)
  const cut = cutting(saber)
  let worst: WireRoom | undefined
  const rank = { no: 0, singly: 1, two: 2, one: 3 }
  for (const x of cutsOf(saber, leads.list)) {
    const slice = cut(x)
    if (!slice || fills(slice)) continue
    const w = roomIn(saber, slice, leads)
    if (!w.gauges.length) continue
    if (!worst || rank[w.goes] < rank[worst.goes] || (w.goes === worst.goes && w.spareMm < worst.spareMm)) worst = w
  }
  return worst
}
