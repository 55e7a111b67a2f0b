import type { FittedPart, Saber } from '../record'
import { layOut } from '../room'
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
export function drawSection(saber: Saber, view: SectionView): Scene {
  const shape = layOut(saber.hilt)
  const pen = new Pen()
  const spots: Spot[] = []
  const side = view.bare ? MARGIN.bareSide : MARGIN.side
  const top = view.bare ? MARGIN.bareTop : MARGIN.top
  const bottom = view.bare ? MARGIN.bareTop : MARGIN.bottom
  const length = shape.length || 240
  const from = view.from ?? 0
  const to = view.to ?? length
  const widest = Math.max(...shape.sections.flatMap((s) => s.outer.flatMap((p) => [p.d0, p.d1])), 36)
  const arms = quillonReach(shape)
  const room = view.height - top - bottom
  // Whole hilt: leave a fifth of the width to the blade. Zoomed: use it all.
  const bladeShare = view.to === undefined && !view.bare ? 0.2 : 0
  const zoom = Math.max(1, view.zoom ?? 1)
  const scale =
    zoom * Math.min(((view.width - 2 * side) * (1 - bladeShare)) / (to - from), room / Math.max(widest, arms * 2))
  const used = (to - from) * scale
  const startX =
    zoom > 1
      ? // The wanted x stands in the middle, but nothing empty is shown beyond the ends.
        Math.min(side, Math.max(view.width / 2 - (view.centre ?? length / 2) * scale, view.width - side * 3 - used))
      : view.to === undefined && !view.bare
        ? side + Math.max(0, ((view.width - 2 * side) * (1 - bladeShare) - used) * 0.35)
        : side
  const axisY = zoom > 1 ? Math.max(top + room / 2, top + 12 + (widest / 2) * scale) : top + room / 2
  const x = (mm: number) => startX + (mm - from) * scale
  const mm = (px: number) => (px - startX) / scale + from
  const y = (offset: number) => axisY - offset * scale
  const ctx: Canvas = { saber, shape, pen, spots, x, y, scale, axisY, view }

  if (!view.bare) pen.line([Math.max(0, x(from) - 18), axisY], [view.width - 4, axisY], 'centre')
  for (const b of saber.blades.filter((b) => b.use !== 'demo' || saber.blades.length === 1).slice(0, 6))
    drawBlade(ctx, b)
  drawQuillons(ctx)
  if (view.bare) drawBodies(ctx)
  shape.sections.forEach((s, i) => {
    drawWalls(ctx, s, i)
  })
  drawEndWall(ctx)
  shape.sections.forEach((s, i) => {
    drawJoint(ctx, s, shape.sections[i + 1])
  })
  if (!view.bare) {
    // What lies in a chamber is seen through its crystal.
    const chambers = new Set(saber.parts.flatMap((p) => (p.kind === 'chamber' ? [p.id] : [])))
    const inChamber = (p: FittedPart) => p.beside !== undefined && chambers.has(p.beside)
    for (const p of [...saber.parts.filter(inChamber), ...saber.parts.filter((q) => !inChamber(q))]) drawPart(ctx, p)
  }
  for (const o of saber.hilt.openings) drawOpening(ctx, o)
  for (const f of saber.hilt.fasteners) drawFastener(ctx, f)
  if (!view.bare) drawMeasures(ctx)
  return { width: view.width, height: view.height, scale, axisY, prims: pen.prims, spots, x, mm }
}
