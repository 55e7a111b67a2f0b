import { Pen, type Scene } from './scene'

/** Half of a number's mark, px. */
const R = 10

/**
 * The same drawing with numbers above what they are of, one for each place with all that is done there (`3, 7`), each with a
 * line down to it; marks that would touch stand beside each other. What is drawn nowhere is not marked.
 */
export function numbered(scene: Scene, marks: readonly { ref: string; n: number }[]): Scene {
  const pen = new Pen()
  const at = new Map<string, number[]>()
  for (const m of marks) at.set(m.ref, [...(at.get(m.ref) ?? []), m.n])
  const placed = [...at]
    .flatMap(([ref, ns]) => {
      const spot = scene.spots.find((s) => s.ref === ref)
      return spot ? [{ spot, ns, x: (spot.x0 + spot.x1) / 2, half: R + (ns.join(', ').length - 1) * 3.2 }] : []
    })
    .sort((a, b) => a.x - b.x)
  let free = 4
  for (const [i, p] of placed.entries()) {
    // As far right as all that follow still find room.
    const rest = placed.slice(i).reduce((n, q) => n + 2 * q.half + 4, 0)
    const x = Math.min(Math.max(p.x, free + p.half), Math.max(free + p.half, scene.width - 4 - rest + p.half))
    free = x + p.half + 4
    const y = R + 4
    pen.line([x, y + R], [p.x, Math.max(y + R + 4, p.spot.y0 - 2)], 'leader')
    pen.box(x - p.half, y - R, x + p.half, y + R, 'metal')
    pen.text([x, y + 4.2], p.ns.join(', '), 'dimText')
  }
  return { ...scene, prims: [...scene.prims, ...pen.prims] }
}
