import Drawing from 'dxf-writer'
import { known } from '../facts'
import {
  boreAt,
  cavityOf,
  certainty,
  crossSectionAt,
  layOut,
  lieOf,
  openingSpan,
  outerAt,
  sectionAt,
  sideOf,
  socketSpan,
  spanOf,
} from '../geometry'
import { kindRule, type Saber } from '../record'

/** Layers of an exported drawing, with the colour numbers every CAD program knows. */
export const CAD_LAYERS = {
  OUTSIDE: 7,
  BORE: 5,
  FREE: 3,
  PARTS: 4,
  KEEPOUT: 1,
  OPENINGS: 6,
  SCREWS: 2,
  SOCKETS: 30,
  AXIS: 8,
  CUTS: 7,
  NOTES: 8,
} as const
export type CadLayer = keyof typeof CAD_LAYERS

type XY = readonly [x: number, y: number]
export type CadEntity =
  | { t: 'poly'; layer: CadLayer; pts: XY[]; closed: boolean }
  | { t: 'circle'; layer: CadLayer; at: XY; r: number }
  | { t: 'text'; layer: CadLayer; at: XY; h: number; text: string }

/** Where a hilt is cut across for the export, with a letter for each. */
export interface CadCut {
  letter: string
  x: number
  why: string
}

/** The cuts worth a drawing, where the hilt is measured: the middle of every cell, board, chamber and keep-out, and the narrowest bore; at most eight. */
export function keyCuts(saber: Saber): CadCut[] {
  const shape = layOut(saber.hilt)
  const cuts: { x: number; why: string }[] = []
  const put = (x: number, why: string) => {
    const section = sectionAt(shape, x)?.section
    const measured = [section?.outside, section?.bore].every((f) => certainty(f) !== 'unknown')
    if (measured && !cuts.some((c) => Math.abs(c.x - x) < 1) && x > 0 && x < shape.length) cuts.push({ x, why })
  }
  for (const p of saber.parts) {
    const s = spanOf(p)
    if (s && ['board', 'cell', 'chamber', 'display', 'switch'].includes(p.kind)) put((s.x0 + s.x1) / 2, p.name)
  }
  const narrow = shape.sections.flatMap((s) => s.bore.map((b) => ({ b, s }))).sort((a, b) => a.b.d0 - b.b.d0)[0]
  if (narrow) put((narrow.b.x0 + narrow.b.x1) / 2, `narrowest bore, ${narrow.s.section.name}`)
  return cuts
    .sort((a, b) => a.x - b.x)
    .slice(0, 8)
    .map((c, i) => ({ letter: String.fromCharCode(65 + i), ...c }))
}

/**
 * Cavity and keep-outs as plain entities in mm: the section along the axis (y up, x from the pommel), and the key cuts
 * side by side below it. What is not measured is left out and named in `left`; what is only assumed is marked in its note.
 */
export function cadOf(saber: Saber): { entities: CadEntity[]; left: string[]; width: number; height: number } {
  const shape = layOut(saber.hilt)
  const out: CadEntity[] = []
  const left: string[] = []
  const poly = (layer: CadLayer, pts: XY[], closed = true) => out.push({ t: 'poly', layer, pts, closed })
  const box = (layer: CadLayer, x0: number, y0: number, x1: number, y1: number) =>
    poly(layer, [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ])
  const text = (at: XY, words: string, h = 2.5) => out.push({ t: 'text', layer: 'NOTES', at, h, text: plain(words) })
  poly(
    'AXIS',
    [
      [-5, 0],
      [shape.length + 5, 0],
    ],
    false,
  )
  for (const s of shape.sections) {
    const { section } = s
    if ([section.length, section.outside, section.bore].some((f) => certainty(f) === 'unknown'))
      left.push(`${section.name}: not measured`)
    else {
      for (const sign of [1, -1]) {
        const line = (list: typeof s.outer): XY[] =>
          list.flatMap((p): XY[] => [
            [p.x0, (sign * p.d0) / 2],
            [p.x1, (sign * p.d1) / 2],
          ])
        poly('OUTSIDE', line(s.outer), false)
        poly('BORE', line(s.bore), false)
      }
      for (const x of [s.x0, s.x1])
        for (const sign of [1, -1]) {
          const at = (list: typeof s.outer) => (x === s.x0 ? list[0]!.d0 : list.at(-1)!.d1) / 2
          poly(
            'OUTSIDE',
            [
              [x, sign * at(s.bore)],
              [x, sign * at(s.outer)],
            ],
            false,
          )
        }
    }
    text([s.x0 + 1, 30], `${section.name} ${round(s.x1 - s.x0)}${s.certainty === 'known' ? '' : ' (not confirmed)'}`)
  }
  const cavity = cavityOf(saber)
  if (!cavity.needs.length)
    for (const p of cavity.pieces)
      for (const sign of [1, -1])
        poly(
          'FREE',
          [
            [p.x0, sign * p.r0],
            [p.x1, sign * p.r1],
          ],
          false,
        )
  for (const k of cavity.keeps) {
    // From its inner face to the bore, on the side of the section it hangs on; its clock angle is told beside it.
    const bore = boreAt(shape, (k.x0 + k.x1) / 2)
    const side = sideOf(k.clock)
    if (bore !== undefined) {
      box('KEEPOUT', k.x0, side * k.inner, k.x1, (side * bore) / 2)
      text([k.x0, side * k.inner + (side > 0 ? -2.4 : 0.6)], `${k.name} at ${round(k.clock)} deg`, 1.8)
    }
  }
  for (const p of saber.parts) {
    const s = spanOf(p)
    if (!kindRule(p.kind).inside || kindRule(p.kind).glyph === 'dot' || kindRule(p.kind).glyph === 'knob') continue
    const half = (known(p.specs.diameter) ?? known(p.specs.height) ?? Number.NaN) / 2
    if (!s || Number.isNaN(half)) {
      left.push(`${p.name}: no place or size`)
      continue
    }
    const { height, turn } = lieOf(saber, p, shape)
    const mid = turn ? sideOf(turn) * height : height
    box('PARTS', s.x0, mid - half, s.x1, mid + half)
  }
  for (const o of saber.hilt.openings) {
    const [span, length] = [openingSpan(saber.hilt, o), known(o.length)]
    if (!span || length === undefined) {
      left.push(`${o.name}: no place or size`)
      continue
    }
    const side = sideOf(known(o.clock))
    if (o.face === 'rear') {
      const mid = side * (known(o.fromAxis) ?? 0)
      box('OPENINGS', span.x0 - 0.4, mid - length / 2, span.x1 + 0.4, mid + length / 2)
      continue
    }
    const r = (outerAt(shape, (span.x0 + span.x1) / 2) ?? 34) / 2
    box('OPENINGS', span.x0, side * r - 0.4, span.x1, side * r + 0.4)
  }
  for (const f of saber.hilt.fasteners) {
    const at = known(f.at)
    if (at === undefined) {
      left.push(`${f.name}: no place`)
      continue
    }
    const r = (outerAt(shape, at) ?? 34) / 2
    const c = Math.cos(((known(f.clock) ?? 0) * Math.PI) / 180)
    out.push({ t: 'circle', layer: 'SCREWS', at: [at, r * c], r: 1.5 })
    text([at, r * c + (c >= 0 ? 3 : -5)], `${f.name} ${f.thread}`, 1.8)
  }
  for (const k of saber.hilt.sockets) {
    const span = socketSpan(saber, k.id, shape)
    const bore = known(k.bore)
    if (span && bore !== undefined) box('SOCKETS', span.x0, -bore / 2, span.x1, bore / 2)
  }
  const cuts = keyCuts(saber)
  cuts.forEach((c, i) => {
    const slice = crossSectionAt(saber, c.x)
    if (!slice) return
    const [cx, cy] = [28 + i * 62, -80]
    text([cx - 24, cy - 30], `${c.letter}-${c.letter} at ${round(c.x)}: ${c.why}`, 2)
    text([c.x, -27], c.letter, 3)
    poly(
      'CUTS',
      [
        [c.x, -24],
        [c.x, 24],
      ],
      false,
    )
    const circle = (layer: CadLayer, r: number, x = 0, y = 0) =>
      out.push({ t: 'circle', layer, at: [cx + x, cy + y], r })
    circle('OUTSIDE', slice.outer / 2)
    circle('BORE', slice.bore / 2)
    if (slice.free > 0) circle('FREE', slice.free)
    for (const l of slice.lying) {
      if (l.shape === 'circle') {
        circle('PARTS', l.r, l.x, l.y)
        if (l.hole) circle('PARTS', l.hole, l.x, l.y)
      } else {
        const a = (-l.turn * Math.PI) / 180
        const turned = (x: number, y: number): XY => [
          cx + x * Math.cos(a) - y * Math.sin(a),
          cy + x * Math.sin(a) + y * Math.cos(a),
        ]
        poly(l.turn || l.y + l.h / 2 > slice.free ? 'KEEPOUT' : 'PARTS', [
          turned(l.x - l.w / 2, l.y - l.h / 2),
          turned(l.x + l.w / 2, l.y - l.h / 2),
          turned(l.x + l.w / 2, l.y + l.h / 2),
          turned(l.x - l.w / 2, l.y + l.h / 2),
        ])
      }
    }
  })
  return { entities: out, left, width: Math.max(shape.length + 10, cuts.length * 62), height: 36 + 116 }
}

const round = (v: number) => Number(v.toFixed(3)).toString()
/** What every reader of the old text encodings shows. */
const plain = (s: string) =>
  s
    .replaceAll('Ω', 'Ohm')
    .replaceAll('Ø', 'dia ')
    .replaceAll('×', 'x')
    .replaceAll('’', "'")
    .normalize('NFKD')
    .replace(/[^\x20-\x7e]/g, '')

/** The same as DXF in millimetres, one layer for each kind of thing. */
export function cadDxf(saber: Saber): string {
  const d = new Drawing()
  d.setUnits('Millimeters')
  for (const [name, colour] of Object.entries(CAD_LAYERS)) d.addLayer(name, colour, 'CONTINUOUS')
  for (const e of cadOf(saber).entities) {
    d.setActiveLayer(e.layer)
    if (e.t === 'circle') d.drawCircle(e.at[0], e.at[1], e.r)
    else if (e.t === 'text') d.drawText(e.at[0], e.at[1], e.h, 0, e.text)
    else
      d.drawPolyline(
        e.pts.map(([x, y]): [number, number] => [x, y]),
        e.closed,
      )
  }
  return d.toDxfString()
}

const INK: Partial<Record<CadLayer, string>> = {
  FREE: '#35613d',
  KEEPOUT: '#a63a2b',
  PARTS: '#8a5f17',
  BORE: '#2a4b6b',
}
const esc = (s: string) => s.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`)

/** The same as SVG at 1:1: one unit is one millimetre, and the sheet is that large when printed. */
export function cadSvg(saber: Saber): string {
  const { entities, width, height } = cadOf(saber)
  const groups = (Object.keys(CAD_LAYERS) as CadLayer[]).map((layer) => {
    const body = entities
      .filter((e) => e.layer === layer)
      .map((e) =>
        e.t === 'circle'
          ? `<circle cx="${round(e.at[0])}" cy="${round(-e.at[1])}" r="${round(e.r)}"/>`
          : e.t === 'text'
            ? `<text x="${round(e.at[0])}" y="${round(-e.at[1])}" font-size="${e.h}" fill="#1e2a2b" stroke="none">${esc(e.text)}</text>`
            : `<path d="M${e.pts.map(([x, y]) => `${round(x)} ${round(-y)}`).join('L')}${e.closed ? 'Z' : ''}"/>`,
      )
      .join('')
    return `<g id="${layer}" stroke="${INK[layer] ?? '#1e2a2b'}"${layer === 'FREE' ? ' stroke-dasharray="1.2 0.8"' : layer === 'AXIS' ? ' stroke-dasharray="6 1 1 1"' : ''}>${body}</g>`
  })
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width + 10}mm" height="${height}mm" viewBox="-8 -36 ${width + 10} ${height}" fill="none" stroke-width="0.2" font-family="sans-serif"><title>${esc(`Cavity of ${saber.name}, 1:1`)}</title>${groups.join('')}</svg>`
}

/** The same as numbers: one row a stretch of the cavity, a keep-out, a part, an opening or a screw. Lengths in mm. */
export function cadCsv(saber: Saber): string {
  const shape = layOut(saber.hilt)
  const cavity = cavityOf(saber)
  const cell = (v: string | number | undefined) => {
    const s = v === undefined ? '' : typeof v === 'number' ? round(v) : v
    return /[",\n]/.test(s) ? `"${s.replaceAll('"', '""')}"` : s
  }
  const rows: (string | number | undefined)[][] = [
    ['what', 'name', 'from mm', 'to mm', 'size at from mm', 'size at to mm', 'clock deg', 'known'],
  ]
  for (const s of shape.sections) {
    for (const p of s.outer) rows.push(['outside', s.section.name, p.x0, p.x1, p.d0, p.d1, undefined, s.certainty])
    for (const p of s.bore) rows.push(['bore', s.section.name, p.x0, p.x1, p.d0, p.d1, undefined, s.certainty])
  }
  if (!cavity.needs.length)
    for (const p of cavity.pieces) rows.push(['free', p.section, p.x0, p.x1, 2 * p.r0, 2 * p.r1, undefined, undefined])
  for (const k of cavity.keeps)
    rows.push(['keep-out', k.name, k.x0, k.x1, 2 * k.inner, 2 * k.inner, k.clock, undefined])
  for (const p of saber.parts) {
    const s = spanOf(p)
    if (s)
      rows.push([
        'part',
        p.name,
        s.x0,
        s.x1,
        known(p.specs.diameter) ?? known(p.specs.height),
        known(p.specs.diameter) ?? known(p.specs.width),
        known(p.clock),
        p.at?.source,
      ])
  }
  for (const o of saber.hilt.openings) {
    const [span, l] = [openingSpan(saber.hilt, o), known(o.length)]
    if (span && l !== undefined)
      rows.push(['opening', o.name, span.x0, span.x1, l, known(o.width), known(o.clock), o.at.source])
  }
  for (const f of saber.hilt.fasteners) {
    const at = known(f.at)
    if (at !== undefined)
      rows.push(['screw', `${f.name} ${f.thread}`, at, at, undefined, undefined, known(f.clock), f.at.source])
  }
  return `${rows.map((r) => r.map(cell).join(',')).join('\n')}\n`
}
