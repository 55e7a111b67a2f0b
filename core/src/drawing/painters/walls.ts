import { known } from '../../facts'
import { boreAt, certainty, clipped, outerAt, type PlacedSection } from '../../geometry'
import { refTo } from '../../record'
import { hatch, type Pt, type Role } from '../scene'
import { type Canvas, HATCH_GAP } from './canvas'

const WALL_ROLE: Record<string, { hatch: Role | 'none'; gap: number }> = {
  aluminium: { hatch: 'hatch', gap: HATCH_GAP },
  steel: { hatch: 'hatch', gap: HATCH_GAP * 0.66 },
  silver: { hatch: 'hatch', gap: HATCH_GAP * 0.8 },
  brass: { hatch: 'hatchBand', gap: HATCH_GAP * 1.2 },
  copper: { hatch: 'hatchBand', gap: HATCH_GAP * 0.9 },
  leather: { hatch: 'hatchBand', gap: HATCH_GAP * 1.8 },
  wood: { hatch: 'hatchBand', gap: HATCH_GAP * 2.2 },
}

/** How the cut wall of a section is hatched. */
const styleOf = (s: PlacedSection) => WALL_ROLE[s.section.material] ?? { hatch: 'hatch' as const, gap: HATCH_GAP * 1.5 }

/** The cut walls above and below the axis, one quadrilateral for each pair of profile pieces, hatched. */
export function drawWalls({ pen, spots, x, y, shape }: Canvas, s: PlacedSection, index: number) {
  // Where another section's end stands in this one, its bore is the inside of the wall.
  const bores = shape.sections.flatMap((q) => clipped(q.bore, s.x0, s.x1)).sort((a, b) => a.x0 - b.x0)
  const cuts = [...new Set([...s.outer, ...bores].flatMap((p) => [p.x0, p.x1]))].sort((a, b) => a - b)
  const style = styleOf(s)
  const lean = index % 2 ? -1 : 1
  const at = (list: PlacedSection['outer'], from: number, to: number) => {
    const p = list.find((q) => q.x0 <= from + 1e-9 && q.x1 >= to - 1e-9)!
    const d = (v: number) => p.d0 + ((p.d1 - p.d0) * (v - p.x0)) / (p.x1 - p.x0)
    return [d(from) / 2, d(to) / 2] as const
  }
  const edge: Pt[][] = [[], []]
  const inner: Pt[][] = [[], []]
  for (let i = 1; i < cuts.length; i++) {
    const [a, b] = [cuts[i - 1]!, cuts[i]!]
    const [ra, rb] = at(s.outer, a, b)
    const [ia, ib] = at(bores, a, b)
    for (const sign of [1, -1] as const) {
      const quad: Pt[] = [
        [x(a), y(sign * ra)],
        [x(b), y(sign * rb)],
        [x(b), y(sign * Math.min(ib, rb))],
        [x(a), y(sign * Math.min(ia, ra))],
      ]
      pen.path(quad, 'wall', { closed: true, ref: refTo('section', s.section.id) })
      if (style.hatch !== 'none')
        for (const l of hatch(quad, style.gap, (lean * sign) as 1 | -1)) pen.path(l, style.hatch)
      const side = sign === 1 ? 0 : 1
      edge[side]!.push([x(a), y(sign * ra)], [x(b), y(sign * rb)])
      inner[side]!.push([x(a), y(sign * Math.min(ia, ra))], [x(b), y(sign * Math.min(ib, rb))])
    }
  }
  const role: Role = s.certainty === 'known' ? 'outline' : s.certainty === 'assumed' ? 'assumed' : 'unknown'
  for (const side of [0, 1]) pen.path([...edge[side]!, ...inner[side]!.toReversed()], role, { closed: true })
  const r = Math.max(...s.outer.flatMap((p) => [p.d0, p.d1])) / 2
  spots.push({
    ref: refTo('section', s.section.id),
    name: s.section.name,
    x0: x(s.x0),
    x1: x(s.x1),
    y0: y(r),
    y1: y(-r),
  })
}

/** The closed rear end of the pommel, cut as its wall is. */
export function drawEndWall({ pen, x, y, shape, saber, spots }: Canvas) {
  const { endWall } = saber.hilt
  const [first, wall] = [shape.sections[0], known(endWall)]
  if (!first || !endWall || wall === undefined || !(wall > 0)) return
  const r = (boreAt(shape, Math.min(wall, first.x1) / 2) ?? 27) / 2
  const quad: Pt[] = [
    [x(0), y(r)],
    [x(wall), y(r)],
    [x(wall), y(-r)],
    [x(0), y(-r)],
  ]
  const style = styleOf(first)
  pen.path(quad, 'wall', { closed: true, ref: refTo('section', first.section.id) })
  if (style.hatch !== 'none') for (const l of hatch(quad, style.gap, -1)) pen.path(l, style.hatch)
  const sure = certainty(endWall)
  pen.path(quad, sure === 'known' ? 'outline' : sure, { closed: true })
  spots.push({ ref: refTo('section', first.section.id), name: 'end wall', x0: x(0), x1: x(wall), y0: y(r), y1: y(-r) })
}

/** A thread shows its flanks in the wall over its length; a collar, magnet or glue line shows at the seam. */
export function drawJoint({ pen, x, y, shape }: Canvas, s: PlacedSection, next: PlacedSection | undefined) {
  if (!next || s.section.joint.kind === 'none') return
  const wallAt = (px: number) => [(boreAt(shape, px) ?? 0) / 2, (outerAt(shape, px) ?? 0) / 2] as const
  const { joint } = s.section
  const length = known(joint.engagement) ?? known(joint.length) ?? 6
  // It lies in the one that takes the other's end: the next one, or this one.
  const way = joint.spigot === 'next' ? -1 : 1
  const [bore, outer] = wallAt(s.x1 + way * 0.1)
  const mid = Math.min(bore + (outer - bore) * 0.5, outer - 0.4)
  if (s.section.joint.kind === 'thread') {
    const tooth = Math.max(0.9, length / 12)
    for (const sign of [1, -1]) {
      const pts: Pt[] = []
      for (let k = 0; k * tooth <= length; k++)
        pts.push([x(s.x1 + way * k * tooth), y(sign * (mid + (k % 2 ? 0.35 : -0.35)))])
      pen.path(pts, 'thread')
      const inner = x(s.x1 + way * length)
      pen.line([inner, y(sign * (mid + 0.5))], [inner, y(sign * bore)], 'thread')
    }
  } else
    for (const sign of [1, -1]) {
      pen.path(
        [
          [x(s.x1 - 1.6), y(sign * bore)],
          [x(s.x1), y(sign * mid)],
          [x(s.x1 + 1.6), y(sign * bore)],
        ],
        'thread',
      )
    }
}

/** In a thumbnail the hilt is a closed body, its bore only a lighter line along it. */
export function drawBodies({ pen, shape, x, y }: Canvas) {
  for (const s of shape.sections) {
    const top: Pt[] = s.outer.flatMap((p): Pt[] => [
      [x(p.x0), y(p.d0 / 2)],
      [x(p.x1), y(p.d1 / 2)],
    ])
    pen.path([...top, ...top.map(([px, py]): Pt => [px, 2 * y(0) - py]).toReversed()], 'part', { closed: true })
  }
}
