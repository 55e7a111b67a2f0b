import { cropped, drawSection, drawUnrolled, type Scene } from '@nubrin/core/drawing'
import {
  actScenes,
  type Bar,
  type Block,
  barShares,
  type FrozenProcedure,
  farthestOf,
  takenApart,
} from '@nubrin/core/handoff'
import { colourOf, type Saber } from '@nubrin/core/record'
import type { Reader } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import type { Element, Sheet, Style } from './sheet'
import { BRASS, bold, FINE, head, INK, number, quiet, RULE, STOP, small, text } from './style'

const TOP = 46
/** A blade in a row of presets, and a bar in a row of tests, pt. */
const BLADE = { width: 58, height: 6 }
const BAR = { width: 96, height: 12 }
/** A small drawing beside a step, in pixels of the scene and points of the page. */
const STATE = { scene: { width: 620, height: 150 }, width: 190 }
/** What would be too fine to see there. */
const TOO_FINE = new Set(['hatch', 'hatchBand', 'thread', 'centre'])

const sceneOf = (reader: Reader, saber: Saber, which: 'section' | 'unrolled'): Scene =>
  which === 'section'
    ? drawSection(reader, saber, {
        width: 900,
        height: 240,
        ...(saber.presets[0] ? { blade: colourOf(saber.presets[0]) } : {}),
      })
    : cropped(drawUnrolled(reader, saber, { width: 900, height: 380 }), 4)

/** Room for each column: at least its longest word, at best its longest cell, as far as the page goes. */
function columnWidths(b: Extract<Block, { kind: 'table' }>, to: Sheet): number[] {
  const wants = b.head.map((h, i) => {
    const cells = b.rows.map((r) => r[i] ?? '')
    const widest = (list: string[], style: Style) => Math.max(0, ...list.map((t) => to.widthOf(t, style)))
    const least = Math.max(
      widest(h.split(/\s+/), head),
      widest(
        cells.flatMap((t) => t.split(/\s+/)),
        text,
      ),
    )
    const best = Math.max(widest([h], head), widest(cells, text))
    const drawn = b.swatch && i === 2 ? BLADE.width : b.bars && i === b.head.length - 1 ? BAR.width : 0
    return {
      least: Math.max(Math.min(least, to.width / 3), drawn) + 7,
      best: Math.max(Math.min(best, to.width * 0.6), drawn) + 7,
    }
  })
  const sum = (of: 'least' | 'best') => wants.reduce((n, w) => n + w[of], 0)
  const [least, best] = [sum('least'), sum('best')]
  if (best <= to.width) return wants.map((w) => w.best + (to.width - best) / wants.length)
  if (least >= to.width) return wants.map((w) => (w.least * to.width) / least)
  return wants.map((w) => w.least + ((w.best - w.least) * (to.width - least)) / (best - least))
}

/** A blade in its colour, running out. */
function drawBlade(to: Sheet, colour: string, x: number, y: number) {
  const { width: w, height: h } = BLADE
  to.doc
    .roundedRect(x, y, w, h, h / 2)
    .lineWidth(0.5)
    .fillAndStroke(colour, INK)
}
/** What was wanted as a band, what is computed as a diamond, what was found as a line. */
function drawBar(to: Sheet, b: Bar, x: number, y: number) {
  const { good, ...shares } = barShares(b)
  const at = (share: number) => x + share * BAR.width
  const mid = y + BAR.height / 2
  const { doc } = to
  doc
    .moveTo(x, mid)
    .lineTo(x + BAR.width, mid)
    .lineWidth(0.5)
    .stroke(RULE)
  doc.rect(at(shares.from), mid - 2.6, Math.max(0.8, (shares.to - shares.from) * BAR.width), 5.2).fill('#ddd2bb')
  if (shares.computed !== undefined)
    doc
      .path(`M ${at(shares.computed)} ${mid - 3.6} l 3.6 3.6 l -3.6 3.6 l -3.6 -3.6 Z`)
      .lineWidth(0.9)
      .fillAndStroke('#fbf8f1', BRASS)
  if (shares.found !== undefined) {
    doc
      .moveTo(at(shares.found), y + 0.5)
      .lineTo(at(shares.found), y + BAR.height - 0.5)
      .lineWidth(1.8)
      .stroke(good ? FINE : STOP)
  }
}

/** A place that the words of a step do not name by themselves. */
const elsewhere = (t: { text: string; place?: string }) =>
  t.place && !t.text.toLowerCase().includes(t.place.toLowerCase())

/** A numbered list whose items are lines of words, the first ones plain; a drawing may stand beside each. */
function list(to: Sheet, under: Element, items: { n: number; lines: [string, Style][]; beside?: Scene }[]) {
  const l = to.element('L', under)
  for (const { n, lines, beside } of items) {
    const item = to.element('LI', l)
    const k = STATE.width / STATE.scene.width
    const high = beside ? beside.height * k : 0
    const width = to.width - 18 - (beside ? STATE.width + 12 : 0)
    const words = lines.reduce((sum, [t, style]) => sum + to.heightOf(t, width, style), 0)
    if (beside) to.need(Math.max(high, words) + 5)
    const [y, page] = [to.y, to.pages]
    const [[first, style], ...more] = lines as [[string, Style], ...[string, Style][]]
    to.row(
      item,
      [
        { x: to.left, lines: to.lines(`${n}`, number, 18), style: number, tag: 'Lbl' },
        { x: to.left + 18, lines: to.lines(first, style, width), style, tag: 'LBody' },
      ],
      { below: more.length ? 0 : 2.4 },
    )
    for (const [i, [t, how]] of more.entries())
      to.row(item, [{ x: to.left + 18, lines: to.lines(t, how, width), style: how, tag: 'LBody' }], {
        below: i === more.length - 1 ? 2.4 : 0,
      })
    if (!beside || to.pages !== page) continue
    to.decoration(() => to.scene(beside, to.left + to.width - STATE.width, y, k))
    to.y = Math.max(to.y, y + high + 5)
  }
}

/** How it lies after each act, with only what can be seen so small. */
const statesOf = (reader: Reader, saber: Saber, p: FrozenProcedure): Scene[] =>
  actScenes(reader, saber, p, STATE.scene).map((scene) => {
    const small = { ...scene, prims: scene.prims.filter((x) => x.t !== 'text' && !TOO_FINE.has(x.role)) }
    const { prims, height } = cropped(small, 3)
    return { ...small, prims, height }
  })

export type Painter = { [K in Block['kind']]: (b: Extract<Block, { kind: K }>, to: Sheet, under: Element) => void }

/** How each block is set. */
export const painters = (
  reader: Reader,
  sabers: ReadonlyMap<string, Saber>,
  procedures: readonly FrozenProcedure[],
): Painter => ({
  para: (b, to, under) => void to.para(under, 'P', b.text, text, { below: 5 }),
  facts(b, to, under) {
    const t = to.element('Table', under)
    const [w, gap] = [to.width * 0.34, 6]
    for (const r of b.rows) {
      to.row(
        to.element('TR', t),
        [
          { x: to.left, lines: to.lines(r.name, quiet, w - gap), style: quiet, tag: 'TH' },
          { x: to.left + w, lines: to.lines(r.value, text, to.width - w), style: text, tag: 'TD' },
        ],
        { above: 2.6, below: 2.6, attributes: { TH: { O: 'Table', Scope: 'Row' } } },
      )
      to.rule(RULE, 0.4)
    }
    to.y += 6
  },
  table(b, to, under) {
    const t = to.element('Table', under)
    const widths = columnWidths(b, to)
    const at = widths.map((_, i) => to.left + widths.slice(0, i).reduce((x, y) => x + y, 0))
    const widthOf = (i: number) => widths[i]! - 6
    to.need(52)
    to.row(
      to.element('TR', t),
      b.head.map((h, i) => ({ x: at[i]!, lines: to.lines(h, head, widthOf(i)), style: head, tag: 'TH' })),
      { above: 2.6, below: 2.6, attributes: { TH: { O: 'Table', Scope: 'Column' } } },
    )
    to.rule(RULE, 0.4)
    for (const [r, row] of b.rows.entries()) {
      const swatch = b.swatch?.[r]
      const figures = b.bars?.[r]
      const bar = figures?.found === undefined ? undefined : figures
      // What is drawn stands in its column below the words.
      const room = swatch ? BLADE.height + 4 : bar ? BAR.height + 2 : 0
      const page = to.pages
      const before = to.y
      const cells = row.map((cell, i) => ({
        x: at[i]!,
        lines: to.lines(cell, text, widthOf(i)),
        style: text,
        tag: 'TD',
      }))
      const column = swatch ? 2 : row.length - 1
      const words = (cells[column]?.lines.length ?? 0) * text.size * text.lead
      const rest = Math.max(...cells.map((c) => c.lines.length)) * text.size * text.lead - words
      const below = 2.6 + Math.max(0, room - rest)
      to.row(to.element('TR', t), cells, { above: 2.6, below })
      const top = (to.pages === page ? before + 2.6 : TOP + 2.6) + words + 2
      if (swatch) to.decoration(() => drawBlade(to, swatch, at[2]!, top))
      if (bar) to.decoration(() => drawBar(to, bar, at[column]!, top - 2))
      to.rule(RULE, 0.4)
    }
    if (b.bars?.some((x) => x.found !== undefined))
      to.para(under, 'P', say(reader, 'tests.legend'), small, { above: 4 })
    to.y += 6
  },
  steps(b, to, under) {
    const saber = b.saber ? sabers.get(b.saber) : undefined
    const p = b.procedure === undefined ? undefined : procedures.filter((x) => x.saber === b.saber)[b.procedure]
    const first = b.first ?? 1
    const states = saber && p ? statesOf(reader, saber, p).slice(first - 1) : []
    const turn = b.turn ?? b.steps.length
    const items = b.steps.map((t, i) => ({
      n: i + first,
      lines: [
        [`${t.text}${t.tool ? ` (${t.tool})` : ''}${elsewhere(t) ? ` – ${t.place}` : ''}`, text] as [string, Style],
        ...(t.cue ? [[t.cue, quiet] as [string, Style]] : []),
        ...(t.caution
          ? [[say(reader, 'pdf.caution', { text: t.caution }), { ...bold, colour: BRASS }] as [string, Style]]
          : []),
      ],
      ...(states[i] ? { beside: states[i] } : {}),
    }))
    to.need(72)
    to.para(under, 'H3', b.title, bold, { below: 3 })
    if (b.lead) to.para(under, 'P', b.lead, quiet, { below: 3 })
    if (turn > 0) list(to, under, items.slice(0, turn))
    if (turn < items.length) {
      to.need(40)
      to.para(under, 'P', say(reader, 'apart.back'), bold, { above: 3, below: 2 })
      list(to, under, items.slice(turn))
    }
    if (b.tail) to.para(under, 'P', b.tail, quiet, { below: 3 })
    to.y += 6
  },
  apart(b, to, under) {
    const saber = sabers.get(b.saber)
    const p = farthestOf(procedures, b.saber)
    if (saber && p) {
      to.para(under, 'P', say(reader, 'apart.about'), quiet, { below: 8 })
      const scene = takenApart(reader, saber, p, { width: 900, height: 300 })
      to.figure(under, scene, say(reader, 'pdf.drawing', { saber: saber.name, which: 'apart' }), 12)
    }
    // Those issued before there were procedures carry their acts here.
    if (b.out.length) twoColumns(to, under, b.out, 1)
    if (!b.back.length) return
    to.need(60)
    to.para(under, 'H3', say(reader, 'apart.back'), bold, { above: 6, below: 3 })
    twoColumns(to, under, b.back, b.out.length + 1)
  },
  caution(b, to, under) {
    const [title, words] = [to.lines(b.title, bold, to.width - 12), to.lines(b.text, text, to.width - 12)]
    const high = (title.length + words.length) * text.size * text.lead
    to.need(Math.min(high + 6, to.pageHeight))
    const [y, page] = [to.y, to.pages]
    const e = to.element('Sect', under)
    to.para(e, 'P', b.title, bold, { indent: 10 })
    to.para(e, 'P', b.text, text, { indent: 10, below: 6 })
    if (to.pages === page) to.decoration(() => to.doc.rect(to.left, y, 2.4, to.y - y - 6).fill(BRASS))
  },
  drawing(b, to, under) {
    const saber = sabers.get(b.saber)
    if (saber)
      to.figure(
        under,
        sceneOf(reader, saber, b.which),
        say(reader, 'pdf.drawing', { saber: saber.name, which: b.which }),
      )
  },
  script(b, to, under) {
    list(
      to,
      under,
      b.beats.map((x) => ({ n: x.n, lines: [[`${x.say}${x.show ? ` [${x.show}]` : ''}`, text]] })),
    )
  },
  film(b, to, under) {
    to.need(60)
    to.para(under, 'H3', b.title, bold, { below: 2 })
    for (const where of [b.address, b.file]) if (where) to.para(under, 'P', where, text)
    for (const c of b.chapters) to.para(under, 'P', `${clock(c.at)}  ${c.title}`, quiet, { indent: 12 })
    to.y += 6
  },
})

/** m:ss of a film. */
const clock = (s: number) => `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`

/** Steps in two columns, the numbers going on from `first`; a line is kept together. */
function twoColumns(to: Sheet, under: Element, steps: readonly { text: string; tool?: string }[], first: number) {
  const l = to.element('L', under)
  const gap = 22
  const width = (to.width - gap) / 2 - 20
  const rows = Math.ceil(steps.length / 2)
  for (let r = 0; r < rows; r++) {
    // Read down the left column, then down the right one.
    const pair = [r, r + rows].filter((i) => i < steps.length)
    const item = to.element('LI', l)
    to.row(
      item,
      pair.flatMap((i, c) => {
        const x = to.left + c * ((to.width + gap) / 2)
        const { text: words, tool } = steps[i]!
        return [
          { x, lines: to.lines(`${first + i}`, number, 18), style: number, tag: 'Lbl' },
          { x: x + 20, lines: to.lines(tool ? `${words} (${tool})` : words, text, width), style: text, tag: 'LBody' },
        ]
      }),
      { below: 4 },
    )
  }
  to.y += 4
}
