import {
  compile,
  doingOf,
  gestureText,
  isOf,
  lessonsOf,
  modeName,
  rowOfMap,
  secondsInWords,
  timeOutOf,
} from '../controls'
import { drawSection, inkOf, pathData } from '../drawing'
import { known } from '../facts'
import { byId, type ControlRow, type Saber } from '../record'
import type { Reader } from '../units'
import { say, whether } from '../words'

/** What stands on a card, in points from its upper left corner. A path is written as SVG writes it. */
export type CardPrim =
  | {
      t: 'text'
      x: number
      y: number
      text: string
      size: number
      weight: 400 | 600 | 700
      colour: string
      as: 'H1' | 'H2' | 'P'
    }
  | { t: 'path'; d: string; stroke?: string; width?: number; fill?: string }
export interface Card {
  title: string
  width: number
  height: number
  pages: CardPrim[][]
}

/** Sheets of ISO 216, in points of 1/72 in. */
export const CARD_PAPERS = { A5: [419.53, 595.28], A4: [595.28, 841.89] } as const
export type CardPaper = keyof typeof CARD_PAPERS

const INK = '#1e2a2b'
const QUIET = '#5d5749'
const BRASS = '#8f651f'
const RULE = '#cfc5b0'
const MARGIN = 30
/** What a beginner has on the front. */
const FIRST = 5

/** Width of a text in the card's letters, points: by sorts of letters, a little on the wide side. */
function widthOf(text: string, size: number, weight: number): number {
  let w = 0
  for (const c of text)
    w += /[ijlI.,:;'’|!]/.test(c)
      ? 0.27
      : /[ftr()\-“” ]/.test(c)
        ? 0.36
        : /[mwMW—→]/.test(c)
          ? 0.86
          : /[A-ZÄÖÜ0-9]/.test(c)
            ? 0.63
            : 0.545
  return w * size * (weight >= 600 ? 1.05 : 1)
}

/** Words in lines no wider than so many points; a word that is wider is cut. */
function wrapped(text: string, size: number, weight: number, width: number): string[] {
  const out: string[] = []
  let line = ''
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const next = line ? `${line} ${word}` : word
    if (widthOf(next, size, weight) <= width) {
      line = next
      continue
    }
    if (line) out.push(line)
    line = word
    while (widthOf(line, size, weight) > width && line.length > 1) {
      let n = line.length - 1
      while (n > 1 && widthOf(line.slice(0, n), size, weight) > width) n--
      out.push(line.slice(0, n))
      line = line.slice(n)
    }
  }
  if (line) out.push(line)
  return out
}

const circle = (x: number, y: number, r: number) =>
  `M ${x - r} ${y} a ${r} ${r} 0 1 0 ${2 * r} 0 a ${r} ${r} 0 1 0 ${-2 * r} 0`

/** Small pictures of our own for what a hand does, in a square of so many points with its upper left corner at x, y. */
function gesturePicture(r: ControlRow, x: number, y: number, size: number): CardPrim[] {
  const k = size / 24
  const at = (px: number, py: number) => `${(x + px * k).toFixed(2)} ${(y + py * k).toFixed(2)}`
  const line = (d: string, more: Partial<Extract<CardPrim, { t: 'path' }>> = {}): CardPrim => ({
    ...{ t: 'path', d, stroke: INK, width: 1.5 * k },
    ...more,
  })
  const button = (px: number, full: boolean): CardPrim =>
    line(circle(x + px * k, y + 16 * k, 5 * k), full ? { fill: BRASS, stroke: BRASS } : {})
  /** A finger that comes down, or stays. */
  const finger = (px: number, down: boolean): CardPrim =>
    line(
      `M ${at(px, 1)} L ${at(px, down ? 10 : 8)} M ${at(px - 2.4, down ? 7.6 : 5.6)} L ${at(px, down ? 10 : 8)} L ${at(px + 2.4, down ? 7.6 : 5.6)}`,
    )
  /** How long it is held: a bar below, and its seconds or beeps. */
  const held = r.beeps === undefined ? known(r.hold) : r.beeps
  const bar: CardPrim[] = [
    line(`M ${at(4, 23)} L ${at(20, 23)}`, { stroke: BRASS, width: 2.2 * k }),
    ...(held === undefined
      ? []
      : [
          {
            ...({
              t: 'text',
              x: x + 17.6 * k,
              y: y + 13 * k,
              text: `${Number(held.toFixed(1))}${r.beeps === undefined ? ' s' : '×'}`,
            } as const),
            ...({ size: 6.4 * k, weight: 700, colour: BRASS, as: 'P' } as const),
          },
        ]),
  ]
  const dots = (n: number): CardPrim[] =>
    Array.from({ length: Math.min(9, n) }, (_, i) => ({
      ...({ t: 'path', d: circle(x + (12 - (n - 1) * 2 + i * 4) * k, y + 23 * k, 1.1 * k), fill: INK } as const),
    }))
  const hilt = `M ${at(3, 14)} L ${at(21, 14)} L ${at(21, 18)} L ${at(3, 18)} Z`
  switch (r.gesture) {
    case 'tap':
      return [finger(12, false), button(12, false), ...((r.times ?? 1) > 1 ? dots(r.times ?? 1) : [])]
    case 'hold':
      return [finger(12, true), button(12, true), ...bar]
    case 'holdThenTap':
      return [finger(7, true), button(7, true), finger(18, false), button(18, false)]
    case 'chord':
      return [
        finger(6.5, true),
        button(6.5, true),
        finger(17.5, true),
        button(17.5, true),
        ...(known(r.hold) === undefined ? [] : bar),
      ]
    case 'holdStrike':
      return [
        button(7, true),
        finger(7, true),
        line(`M ${at(15, 20)} L ${at(21, 4)} M ${at(15, 8)} L ${at(12.5, 6)} M ${at(17, 5.5)} L ${at(16, 2.5)}`),
      ]
    case 'holdFlick':
      return [
        button(7, true),
        finger(7, true),
        line(
          `M ${at(14, 19)} C ${at(22, 17)} ${at(23, 8)} ${at(16, 4)} M ${at(19.5, 3.4)} L ${at(16, 4)} L ${at(17, 7.4)}`,
        ),
      ]
    case 'twist':
      return [
        line(hilt),
        line(
          `M ${at(8, 11)} A ${6 * k} ${5 * k} 0 0 1 ${at(18, 10)} M ${at(18.5, 6)} L ${at(18, 10)} L ${at(14.2, 9)}`,
          { stroke: BRASS },
        ),
        ...((r.times ?? 1) > 1 ? dots(r.times ?? 1) : []),
      ]
    case 'thrust':
      return [
        line(hilt),
        line(`M ${at(4, 8)} L ${at(20, 8)} M ${at(16.4, 5)} L ${at(20, 8)} L ${at(16.4, 11)}`, { stroke: BRASS }),
      ]
    case 'swing':
      return [
        line(`M ${at(5, 21)} L ${at(12, 9)}`),
        line(
          `M ${at(4, 7)} C ${at(9, 0)} ${at(19, 2)} ${at(21, 11)} M ${at(23, 7.4)} L ${at(21, 11)} L ${at(17.6, 8.8)}`,
          { stroke: BRASS },
        ),
      ]
    case 'shake':
      return [
        line(hilt),
        line(`M ${at(4, 9)} L ${at(8, 5)} L ${at(12, 9)} L ${at(16, 5)} L ${at(20, 9)}`, { stroke: BRASS }),
      ]
    case 'slide':
      return [
        line(`M ${at(4, 14)} L ${at(20, 14)} L ${at(20, 19)} L ${at(4, 19)} Z`),
        line(`M ${at(5, 9)} L ${at(19, 9)} M ${at(15.4, 6)} L ${at(19, 9)} L ${at(15.4, 12)}`, { stroke: BRASS }),
      ]
    case 'insert':
      return [
        line(hilt),
        line(`M ${at(12, 1)} L ${at(12, 12)} M ${at(9, 9)} L ${at(12, 12)} L ${at(15, 9)}`, { stroke: BRASS }),
      ]
  }
}

/** How the saber is held for it: the blade up, level or down; nothing where that does not matter. */
function posePicture(r: ControlRow, x: number, y: number, size: number): CardPrim[] {
  if (r.pose === 'any') return []
  const k = size / 24
  const [ax, ay, bx, by, cx, cy] =
    r.pose === 'up' ? [12, 22, 12, 14, 12, 2] : r.pose === 'down' ? [12, 2, 12, 10, 12, 22] : [2, 12, 10, 12, 22, 12]
  const p = (px: number, py: number) => `${(x + px * k).toFixed(2)} ${(y + py * k).toFixed(2)}`
  return [
    { t: 'path', d: `M ${p(ax, ay)} L ${p(bx, by)}`, stroke: INK, width: 4 * k },
    { t: 'path', d: `M ${p(bx, by)} L ${p(cx, cy)}`, stroke: BRASS, width: 1.6 * k },
  ]
}

/** Whether its picture says a time. */
const sortHeld = (r: ControlRow): boolean => ['hold', 'chord'].includes(r.gesture)

/** In which presets alone a control is there; nothing where it is there in all. */
const onlyIn = (reader: Reader, s: Saber, r: ControlRow): string =>
  r.presets?.length
    ? say(reader, 'card.only', { presets: r.presets.map((id) => byId(s.presets, id)?.name ?? '?').join(', ') })
    : ''

/** Where a mode is, as a client says it. */
const inMode = (reader: Reader, s: Saber, mode: string): string =>
  say(reader, 'card.mode', { state: isOf(s, mode), mode: modeName(s, mode) })

/** Sizes of letters overleaf, largest first. */
const SIZES = [11.5, 10.6, 9.8, 9.2, 8.6, 8] as const

type Style = [size: number, weight?: 400 | 600 | 700, colour?: string, as?: 'H1' | 'H2' | 'P']
const writer =
  (page: () => CardPrim[]) =>
  (x: number, y: number, text: string, ...[size, weight = 400, colour = INK, as = 'P']: Style) =>
    void page().push({ t: 'text', x, y, text, size, weight, colour, as })
const ruler = (page: () => CardPrim[]) => (y: number, colour: string, x: number, w: number) =>
  void page().push({ t: 'path', d: `M ${x} ${y.toFixed(2)} L ${x + w} ${y.toFixed(2)}`, stroke: colour, width: 0.7 })

/** Every control, by its mode, in columns, on as many pages as it takes in letters of a size. */
function overleaf(reader: Reader, s: Saber, paper: CardPaper, title: string, size: number): CardPrim[][] {
  const [width, height] = CARD_PAPERS[paper]
  const inner = width - 2 * MARGIN
  const pages: CardPrim[][] = []
  let page: CardPrim[] = []
  const text = writer(() => page)
  const rule = ruler(() => page)
  const big = size / 8.8
  const columns = 2
  const gap = 18
  const w = (inner - gap * (columns - 1)) / columns
  let column = columns
  let at = height
  const room = (need: number) => {
    if (at + need <= height - MARGIN) return
    if (column < columns - 1) column++
    else {
      page = []
      pages.push(page)
      column = 0
      text(MARGIN, MARGIN + 10, title, 10 * big, 600, QUIET, 'H2')
      rule(MARGIN + 16, INK, MARGIN, inner)
    }
    at = MARGIN + 30
  }
  const left = () => MARGIN + column * (w + gap)
  for (const m of s.modes) {
    const rows = s.controls.filter((r) => r.mode === m.id)
    if (!rows.length) continue
    const out = timeOutOf(s, m.id)
    room(52 * big)
    at += 6
    text(left(), at + 8, inMode(reader, s, m.id), 11 * big, 700, BRASS, 'H2')
    at += 14 * big
    const said = [
      m.chooses ? say(reader, 'card.chooses', { what: m.chooses, turning: whether(m.by === 'turning') }) : '',
      out ? say(reader, 'card.ends', { seconds: secondsInWords(reader, out.s, true), mode: modeName(s, out.to) }) : '',
    ].filter(Boolean)
    for (const line of wrapped(said.join('. '), size, 400, w)) {
      text(left(), at + 6, line, size, 400, QUIET)
      at += size * 1.25
    }
    for (const r of rows) {
      const picture = 17 * big
      const x = picture * (r.pose === 'any' ? (sortHeld(r) ? 1.3 : 1) : 1.85) + 8
      const head = wrapped(doingOf(reader, r), size * 1.08, 600, w - x)
      const body = wrapped(
        [gestureText(reader, s, r), onlyIn(reader, s, r), r.status === 'unsure' ? say(reader, 'card.unsure') : '']
          .filter(Boolean)
          .join('. '),
        size,
        400,
        w - x,
      )
      const need = Math.max(picture + 6, (head.length * 1.08 + body.length) * size * 1.25 + 7)
      room(need)
      rule(at + 2, RULE, left(), w)
      page.push(...gesturePicture(r, left(), at + 5, picture))
      page.push(...posePicture(r, left() + picture + (sortHeld(r) ? 5 : 2), at + 6, picture * 0.75))
      let line = at + size + 4
      for (const words of head) {
        text(left() + x, line, words, size * 1.08, 600)
        line += size * 1.08 * 1.25
      }
      for (const words of body) {
        text(left() + x, line, words, size)
        line += size * 1.25
      }
      at += need
    }
  }
  return pages
}

/**
 * The card of a saber's controls, made from its map and so never another: in front what a beginner needs first, then every control
 * by its mode, on as many pages as it takes. A saber without controls has a card that says so.
 */
export function controlsCard(reader: Reader, s: Saber, paper: CardPaper): Card {
  const [width, height] = CARD_PAPERS[paper]
  const pages: CardPrim[][] = []
  const title = say(reader, 'card.title', { saber: s.name })
  const inner = width - 2 * MARGIN
  const big = paper === 'A4' ? 1.25 : 1
  const page: CardPrim[] = []
  const text = writer(() => page)
  const rule = ruler(() => page)

  // In front.
  let y = MARGIN + 18 * big
  for (const line of wrapped(s.name, 21 * big, 700, inner).slice(0, 2)) {
    text(MARGIN, y, line, 21 * big, 700, INK, 'H1')
    y += 24 * big
  }
  text(MARGIN, y - 6, say(reader, 'card.about'), 10 * big, 400, QUIET)
  y += 8
  const high = 54 * big
  y += 11 * big * Math.max(0, s.inputs.filter((i) => i.kind === 'button' && i.part).length - 1) + 6
  if (s.hilt.sections.length) {
    const scene = drawSection(reader, s, { width: inner, height: high, bare: true })
    for (const p of scene.prims) {
      if (p.t === 'text') continue
      const ink = inkOf(p)
      const d =
        p.t === 'circle'
          ? circle(p.at[0] + MARGIN, p.at[1] + y, p.r)
          : pathData(
              p.pts.map(([px, py]) => [px + MARGIN, py + y]),
              p.closed,
            )
      const [fill, stroke] = [ink.fill !== 'none', ink.stroke !== 'none' && ink.width > 0]
      if (fill || stroke)
        page.push({
          t: 'path',
          d,
          ...(fill ? { fill: ink.fill } : {}),
          ...(stroke ? { stroke: ink.stroke, width: ink.width * 0.7 } : {}),
        })
    }
    // Which button is which: a dot where it sits, and its name over it.
    const buttons = s.inputs.flatMap((i) => {
      const at = i.kind === 'button' ? known(s.parts.find((p) => p.id === i.part)?.at) : undefined
      return at === undefined ? [] : [{ name: i.name, x: MARGIN + scene.x(at) }]
    })
    const top = y + scene.axisY - high * 0.46
    for (const [i, b] of buttons.sort((p, q) => p.x - q.x).entries()) {
      const foot = top - 6 - (buttons.length - 1 - i) * 11 * big
      page.push({ t: 'path', d: circle(b.x, top + 4, 3.4 * big), fill: BRASS })
      page.push({ t: 'path', d: `M ${b.x} ${top} L ${b.x} ${foot}`, stroke: BRASS, width: 0.8 })
      text(b.x + 4, foot + 5, b.name, 9.6 * big, 600, BRASS)
    }
    y += high + 12
  }
  const lessons = lessonsOf(compile(s)).slice(0, FIRST)
  const each = Math.min(76 * big, (height - MARGIN - 34 - y) / FIRST)
  for (const [i, l] of lessons.entries()) {
    const r = rowOfMap(s, l.row)!
    const top = y + i * each
    rule(top, RULE, MARGIN, inner)
    const picture = Math.min(38 * big, each - 14)
    page.push(...gesturePicture(r, MARGIN + 2, top + 8, picture))
    page.push(...posePicture(r, MARGIN + picture + 10, top + 8, picture * 0.8))
    const x = MARGIN + picture * 1.8 + 18
    text(x, top + 15 * big, inMode(reader, s, r.mode), 8.6 * big, 600, QUIET)
    let at = top + 29 * big
    const room = width - MARGIN - x
    for (const line of wrapped(doingOf(reader, r), 13.5 * big, 700, room).slice(0, 1)) {
      text(x, at, line, 13.5 * big, 700)
      at += 14 * big
    }
    for (const line of wrapped(
      [gestureText(reader, s, r), onlyIn(reader, s, r)].filter(Boolean).join('. '),
      10.4 * big,
      400,
      room,
    ).slice(0, 2)) {
      text(x, at, line, 10.4 * big)
      at += 12.5 * big
    }
  }
  if (!lessons.length) text(MARGIN, y + 20, say(reader, 'controls.none'), 12 * big)
  rule(height - MARGIN - 16, INK, MARGIN, inner)
  for (const [i, line] of wrapped(
    say(reader, 'card.foot', { more: whether(s.controls.length > lessons.length) }),
    8.6 * big,
    400,
    inner,
  )
    .slice(0, 2)
    .entries())
    text(MARGIN, height - MARGIN - 4 + i * 10 * big, line, 8.6 * big, 400, QUIET)
  pages.push(page)

  // Overleaf in the largest letters that take no page more than small ones do.
  const least = overleaf(reader, s, paper, title, SIZES.at(-1)!).length
  for (const size of SIZES) {
    const back = overleaf(reader, s, paper, title, size)
    if (back.length > least) continue
    pages.push(...back)
    break
  }
  return { title, width, height, pages }
}

const escaped = (t: string) =>
  t.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')

/** A page of a card as SVG. Throws RangeError for a page that it does not have. */
export function cardSvg(card: Card, n: number): string {
  const page = card.pages[n]
  if (!page) throw new RangeError(`cardSvg: page ${n} of ${card.pages.length}`)
  const drawn = page.map((p) =>
    p.t === 'text'
      ? `<text x="${p.x.toFixed(2)}" y="${p.y.toFixed(2)}" font-size="${p.size.toFixed(2)}" font-weight="${p.weight}" fill="${p.colour}">${escaped(p.text)}</text>`
      : `<path d="${p.d}" fill="${p.fill ?? 'none'}"${p.stroke ? ` stroke="${p.stroke}" stroke-width="${(p.width ?? 1).toFixed(2)}" stroke-linecap="round" stroke-linejoin="round"` : ''}/>`,
  )
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${card.width} ${card.height}" width="${card.width}pt" height="${card.height}pt" font-family="Archivo, Archivo Variable, sans-serif" role="img" aria-label="${escaped(`${card.title}, ${n + 1}`)}">`,
    `<rect width="100%" height="100%" fill="#fff"/>`,
    ...drawn,
    '</svg>\n',
  ].join('\n')
}
