import { known } from '../facts'
import { layOut } from '../geometry'
import { type FittedPart, partsOfRef, type Ref, refTo, type Saber } from '../record'
import type { Reader } from '../units'
import { drawBlade } from './painters/blade'
import { type Canvas, MARGIN, type SectionView } from './painters/canvas'
import { drawFastener } from './painters/fasteners'
import { drawMeasures } from './painters/measures'
import { drawOpening } from './painters/openings'
import { drawPart } from './painters/parts'
import { drawQuillons, quillonReach } from './painters/quillons'
import { drawBodies, drawEndWall, drawJoint, drawWalls } from './painters/walls'
import { Pen, type Scene, type Spot } from './scene'

/**
 * The section drawing of a saber, cut along its axis, in true proportion: walls hatched, neighbours leaning against each
 * other as drafting asks, fitted parts inside, screws where their clock angle puts them, the blade broken off at the edge.
 * What is assumed is drawn dashed, what is unknown dotted. A saber without sections gives an axis and nothing else.
 */
export function drawSection(reader: Reader, saber: Saber, view: SectionView): Scene {
  const shape = layOut(saber.hilt)
  const pen = new Pen()
  const spots: Spot[] = []
  const side = view.bare ? MARGIN.bareSide : MARGIN.side
  const top = view.bare || view.tight ? MARGIN.bareTop : MARGIN.top
  const bottom = view.bare || view.tight ? MARGIN.bareTop : MARGIN.bottom
  const length = shape.length || 240
  const from = view.from ?? 0
  const to = view.to ?? length
  const widest = Math.max(...shape.sections.flatMap((s) => s.outer.flatMap((p) => [p.d0, p.d1])), 36)
  const arms = quillonReach(shape)
  const room = view.height - top - bottom
  // Whole hilt: leave a fifth of the width to the blade. Zoomed: use it all.
  const bladeShare = view.to === undefined && !view.bare ? (view.bladeShare ?? 0.2) : 0
  const zoom = Math.max(1, view.zoom ?? 1)
  const scale =
    zoom * Math.min(((view.width - 2 * side) * (1 - bladeShare)) / (to - from), room / Math.max(widest, arms * 2))
  const used = (to - from) * scale
  const startX =
    zoom > 1
      ? // The wanted x stands in the middle, but nothing empty is shown beyond the ends.
        Math.min(side, Math.max(view.width / 2 - (view.centre ?? length / 2) * scale, view.width - side * 3 - used))
      : view.apart
        ? Math.max(side, (view.width - used) / 2)
        : view.to === undefined && !view.bare
          ? side + Math.max(0, ((view.width - 2 * side) * (1 - bladeShare) - used) * 0.35)
          : side
  const axisY = zoom > 1 ? Math.max(top + room / 2, top + 12 + (widest / 2) * scale) : top + room / 2
  const x = (mm: number) => startX + (mm - from) * scale
  const mm = (px: number) => (px - startX) / scale + from
  const y = (offset: number) => axisY - offset * scale
  const ctx: Canvas = { saber, shape, pen, spots, x, y, scale, axisY, view }

  /** Draws a thing where it lies; nothing where it is gone. Its spots go along. */
  const draw = (ref: Ref, paint: () => void) => {
    if (view.apart?.gone.includes(ref)) return
    const at = view.apart?.moved[ref]
    if (!at) return paint()
    const before = spots.length
    pen.shift = [at.dx * scale, at.dy * scale * upOf(saber, ref)]
    paint()
    for (const p of spots.slice(before))
      Object.assign(p, {
        ...{ x0: p.x0 + pen.shift[0], x1: p.x1 + pen.shift[0] },
        ...{ y0: p.y0 + pen.shift[1], y1: p.y1 + pen.shift[1] },
      })
    pen.shift = [0, 0]
  }

  if (!view.bare) pen.line([view.apart ? 8 : Math.max(0, x(from) - 18), axisY], [view.width - 4, axisY], 'centre')
  const here = view.apart
    ? saber.blades.filter((b) => !view.apart!.gone.includes(refTo('blade', b.id)))
    : saber.blades.filter((b) => b.use !== 'demo' || saber.blades.length === 1)
  for (const b of here.slice(0, 6)) draw(refTo('blade', b.id), () => drawBlade(ctx, b))
  drawQuillons(reader, ctx)
  if (view.bare) drawBodies(ctx)
  shape.sections.forEach((s, i) => {
    draw(refTo('section', s.section.id), () => drawWalls(ctx, s, i))
  })
  const first = shape.sections[0]
  if (first) draw(refTo('section', first.section.id), () => drawEndWall(ctx))
  shape.sections.forEach((s, i) => {
    draw(refTo('section', s.section.id), () => drawJoint(ctx, s, shape.sections[i + 1]))
  })
  if (!view.bare) {
    // What lies in a chamber is seen through its crystal.
    const chambers = new Set(saber.parts.flatMap((p) => (p.kind === 'chamber' ? [p.id] : [])))
    const inChamber = (p: FittedPart) => p.beside !== undefined && chambers.has(p.beside)
    for (const p of [...saber.parts.filter(inChamber), ...saber.parts.filter((q) => !inChamber(q))])
      draw(refTo('part', p.id), () => drawPart(ctx, p))
  }
  for (const o of saber.hilt.openings) draw(refTo('opening', o.id), () => drawOpening(ctx, o))
  for (const f of saber.hilt.fasteners) draw(refTo('fastener', f.id), () => drawFastener(ctx, f))
  if (!view.bare && !view.apart && !view.quiet) drawMeasures(reader, ctx)
  return { width: view.width, height: view.height, scale, axisY, prims: pen.prims, spots, x, mm }
}

/** Which way a thing goes up on the page: a screw out of its own side of the hilt, all else upwards. */
function upOf(saber: Saber, ref: Ref): 1 | -1 {
  const to = partsOfRef(ref)
  const f = to?.kind === 'fastener' ? saber.hilt.fasteners.find((x) => x.id === to.id) : undefined
  return f && Math.cos(((known(f.clock) ?? 0) * Math.PI) / 180) < 0 ? 1 : -1
}
