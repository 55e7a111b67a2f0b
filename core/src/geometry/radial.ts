/** Smallest circle round n equal circles of diameter 1, n = 1…10 (published circle-packing optima, three decimals up). */
const PACKING = [1, 2, 2.155, 2.414, 2.701, 3, 3, 3.304, 3.613, 3.813] as const

/**
 * Diameter of the free circle that n equal wires of outside diameter d need, mm. Zero wires need nothing. Beyond ten the
 * hexagonal bound d·√(n/0.80) is used, which is never below the table's trend.
 */
export function bundleDiameter(n: number, wireMm: number): number {
  if (!Number.isInteger(n) || n < 0)
    throw new RangeError(`bundleDiameter: wire count must be a whole number ≥ 0, got ${n}`)
  if (!(wireMm > 0)) throw new RangeError(`bundleDiameter: wire diameter must be positive, got ${wireMm}`)
  if (n === 0) return 0
  return wireMm * (PACKING[n - 1] ?? Math.max(PACKING[9]! * Math.sqrt(n / 10), Math.sqrt(n / 0.8)))
}

/** Air between a cell and the board lying on it, mm. */
export const BESIDE_GAP = 0.5

/** What a stretch of the cavity has to let through, seen along the axis. Sizes in mm. */
export type Body =
  /** A round thing that may lie off the axis: a cell, a chamber. */
  | { kind: 'round'; d: number }
  /** A round thing that stays on the axis: a speaker in its seat, a connector. */
  | { kind: 'coaxial'; d: number }
  /** A flat thing, w across and t thick. */
  | { kind: 'slab'; w: number; t: number }
  /** A cell of diameter d on the wall with a board w × t lying on it. */
  | { kind: 'pair'; d: number; w: number; t: number }

/**
 * What reaches in from the wall: nothing comes nearer to it than a plane across its clock angle, `inner` from the axis.
 * Angles as on the clock: 0° up, growing clockwise.
 */
export interface Reach {
  inner: number
  clock: number
}
type Vec = readonly [x: number, y: number]
const EPS = 1e-9
const dirOf = (clock: number): Vec => [Math.sin((clock * Math.PI) / 180), Math.cos((clock * Math.PI) / 180)]
const dot = (a: Vec, b: Vec) => a[0] * b[0] + a[1] * b[1]

/** The point nearest to the axis on the inner side of every plane p·u ≤ a; undefined when there is none. */
function nearest(planes: readonly { u: Vec; a: number }[]): Vec | undefined {
  let best: Vec | undefined
  let least = Infinity
  // Asked for at every step of a border that is sought: it makes no lists.
  const consider = (x: number, y: number) => {
    const far = Math.hypot(x, y)
    if (far >= least) return
    for (const { u, a } of planes) if (x * u[0] + y * u[1] > a + EPS) return
    best = [x, y]
    least = far
  }
  // It is the axis, the foot of the axis on one plane, or a corner of two.
  consider(0, 0)
  for (const { u, a } of planes) consider(u[0] * a, u[1] * a)
  planes.forEach((p, i) => {
    for (let j = i + 1; j < planes.length; j++) {
      const q = planes[j]!
      const det = p.u[0] * q.u[1] - p.u[1] * q.u[0]
      if (Math.abs(det) < 1e-9) continue
      consider((p.a * q.u[1] - q.a * p.u[1]) / det, (p.u[0] * q.a - q.u[0] * p.a) / det)
    }
  })
  return best
}

/** How a body lies in a round room: its middle (of a pair, that of the cell) off the axis before it is turned, and its turn, degrees. */
export interface Laid {
  aside: number
  height: number
  turn: number
}
export const ON_AXIS: Laid = { aside: 0, height: 0, turn: 0 }

/**
 * Where the cell of a pair lies: on the wall away from 0°, lifted only as far as something there, or the lower corners of its
 * boards in the round, make it.
 */
export function pairHeight(
  d: number,
  boards: readonly { w: number; t: number }[],
  radius: number,
  reaches: readonly Reach[],
): number {
  const r = d / 2
  let y = -(radius - r)
  for (const b of boards)
    if (b.w / 2 < radius) y = Math.max(y, -Math.sqrt(radius ** 2 - (b.w / 2) ** 2) - r - BESIDE_GAP)
  for (const { inner, clock } of reaches) {
    const [sin, cos] = dirOf(clock)
    if (cos > -1e-6) continue
    y = Math.max(y, (inner - r) / cos)
    for (const b of boards) y = Math.max(y, (inner - (b.w / 2) * Math.abs(sin)) / cos - r - BESIDE_GAP)
  }
  return y
}

/** Where a flat thing may lie beside what reaches in: one place a turn, lying across 0° first, and how far its corners reach. */
function slabs(body: { w: number; t: number }, reaches: readonly Reach[]): { at: Laid; corner: number }[] {
  const [w, t] = [body.w / 2, body.t / 2]
  const planes = reaches.map(({ inner, clock }) => ({ inner, u: dirOf(clock) }))
  const turns = new Set([0, ...reaches.flatMap((k) => [k.clock, k.clock + 90])])
  return [...turns].flatMap((turn) => {
    const [up, side] = [dirOf(turn), dirOf(turn + 90)]
    const c = nearest(
      planes.map(({ inner, u }) => ({ u, a: inner - w * Math.abs(dot(u, side)) - t * Math.abs(dot(u, up)) })),
    )
    if (!c) return []
    const [aside, height] = [dot(c, side), dot(c, up)]
    return [{ at: { aside, height, turn }, corner: Math.hypot(Math.abs(aside) + w, Math.abs(height) + t) }]
  })
}
/** Where a round thing lies beside what reaches in; undefined when nothing is left between. */
const rounds = (d: number, reaches: readonly Reach[]) =>
  nearest(reaches.map(({ inner, clock }) => ({ u: dirOf(clock), a: inner - d / 2 })))

/**
 * Lays a body into a free radius with things reaching in: the one rule for judging and drawing. A round thing gives way, and
 * no further than it must; a coaxial one stays on the axis; a flat one lies across 0° unless only another turn lets it in;
 * the pair lies with its cell towards the wall away from 0° and its board just above it, all four corners inside. Undefined when
 * it does not go in.
 */
export function lay(body: Body, radius: number, reaches: readonly Reach[]): Laid | undefined {
  switch (body.kind) {
    case 'round': {
      const r = body.d / 2
      const c = rounds(body.d, reaches)
      return c && Math.hypot(...c) <= radius - r + EPS ? { aside: c[0], height: c[1], turn: 0 } : undefined
    }
    case 'coaxial':
      return reaches.every((k) => body.d / 2 <= k.inner + EPS) && body.d / 2 <= radius + EPS ? ON_AXIS : undefined
    case 'slab':
      return slabs(body, reaches).find(({ corner }) => corner <= radius + EPS)?.at
    case 'pair': {
      const r = body.d / 2
      const y = pairHeight(body.d, [body], radius, reaches)
      const [low, high] = [y + r + BESIDE_GAP, y + r + BESIDE_GAP + body.t]
      const inside =
        Math.abs(y) + r <= radius + EPS &&
        Math.hypot(body.w / 2, Math.max(Math.abs(low), Math.abs(high))) <= radius + EPS &&
        reaches.every(({ inner, clock }) => {
          const u = dirOf(clock)
          const board = Math.max(low * u[1], high * u[1]) + (body.w / 2) * Math.abs(u[0])
          return y * u[1] + r <= inner + EPS && board <= inner + EPS
        })
      return inside ? { aside: 0, height: y, turn: 0 } : undefined
    }
  }
}

/** Smallest free radius that takes a body with nothing reaching in, by formula. */
function bareRadius(body: Body): number {
  switch (body.kind) {
    case 'round':
    case 'coaxial':
      return body.d / 2
    case 'slab':
      return Math.hypot(body.w, body.t) / 2
    case 'pair': {
      // Far corners q above the bottom of the circle and w/2 aside touch it at (q² + (w/2)²) / 2q; lower ones only by width.
      const [half, q] = [body.w / 2, body.d + BESIDE_GAP + body.t]
      return Math.max(body.d / 2, Math.hypot(body.w, body.t) / 2, q <= half ? half : (q ** 2 + half ** 2) / (2 * q))
    }
  }
}

/** No hilt is wider, mm; a body that does not go in there is kept out by what reaches in. */
const WIDEST = 500
/** The widest hilt halved so often is less than a ten-millionth of a millimetre, far below what any figure shows. */
const HALVINGS = 36
/** The border between what holds at `yes` and what does not at `no`. */
function border(yes: number, no: number, holds: (v: number) => boolean): number {
  let [a, b] = [yes, no]
  for (let i = 0; i < HALVINGS; i++) {
    const m = (a + b) / 2
    if (holds(m)) a = m
    else b = m
  }
  return a
}

/**
 * Smallest free radius that lets a body in beside what reaches in; Infinity when no radius would. Lengths in mm, all ≥ 0.
 */
export function needRadius(body: Body, reaches: readonly Reach[] = []): number {
  const bare = bareRadius(body)
  if (!reaches.length) return bare
  switch (body.kind) {
    case 'round': {
      const c = rounds(body.d, reaches)
      return c ? Math.hypot(...c) + body.d / 2 : Infinity
    }
    case 'coaxial':
      return reaches.every((k) => body.d / 2 <= k.inner + EPS) ? bare : Infinity
    case 'slab':
      return Math.min(Infinity, ...slabs(body, reaches).map((q) => q.corner))
    case 'pair': {
      const [only, ...more] = reaches
      const [sin, cos] = dirOf(only!.clock)
      if (!more.length && cos > 0.01) return Math.max(bare, pairUnder(body, only!.inner, Math.abs(sin), cos))
      if (lay(body, bare, reaches)) return bare
      return lay(body, WIDEST, reaches) ? border(WIDEST, bare, (r) => lay(body, r, reaches) !== undefined) : Infinity
    }
  }
}

/** Radius that a pair needs under one thing on the side of its board: for the board, and for the cell, on the wall or lifted. */
function pairUnder(body: { d: number; w: number; t: number }, inner: number, sin: number, cos: number): number {
  const [r, half] = [body.d / 2, body.w / 2]
  const face = (inner - half * sin) / cos
  const cell = (r - inner) / cos
  return Math.max(
    body.d + BESIDE_GAP + body.t - face,
    Math.hypot(half, Math.max(0, body.t - face)),
    r + cell,
    Math.hypot(half, Math.max(0, cell - r - BESIDE_GAP)),
  )
}

/**
 * How much air is left all round a body, mm on the diameter: twice what can be taken off the radius and off everything that
 * reaches in before it does not go in any more. Negative is the millimetre that forbids it.
 */
export function spareOf(body: Body, radius: number, reaches: readonly Reach[] = []): number {
  const most = radius - bareRadius(body)
  const holds = (e: number) =>
    lay(
      body,
      radius - e,
      reaches.map((k) => ({ ...k, inner: k.inner - e })),
    ) !== undefined
  if (!reaches.length || holds(most)) return 2 * most
  return 2 * border(-WIDEST, most, holds)
}
