import { drawSection, drawUnrolled } from '@nubrin/core/drawing'
import type { Block, HandoffDocument } from '@nubrin/core/handoff'
import { colourOf, type Saber } from '@nubrin/core/record'
import { dayText } from '@nubrin/core/units'
import { say, whether } from '@nubrin/core/words'
import { type Element, type Paper, Sheet, type Style } from './sheet'

const INK = '#1e2a2b'
const QUIET = '#5d5749'
const BRASS = '#8f651f'
const RULE = '#cfc5b0'
const text: Style = { size: 9.4, weight: 400, colour: INK, lead: 1.35 }
const quiet: Style = { ...text, colour: QUIET }
const bold: Style = { ...text, weight: 600 }
const number: Style = { ...text, weight: 700, colour: BRASS }
const head: Style = { ...text, size: 8.2, weight: 600, colour: QUIET }
const chapter: Style = { ...text, size: 13.5, weight: 700 }
const foot: Style = { ...text, size: 7.8, colour: QUIET }

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
    const inset = b.swatch && i === 2 ? 13 : 0
    return { least: Math.min(least, to.width / 3) + 7 + inset, best: Math.min(best, to.width * 0.6) + 7 + inset }
  })
  const sum = (of: 'least' | 'best') => wants.reduce((n, w) => n + w[of], 0)
  const [least, best] = [sum('least'), sum('best')]
  if (best <= to.width) return wants.map((w) => w.best + (to.width - best) / wants.length)
  if (least >= to.width) return wants.map((w) => (w.least * to.width) / least)
  return wants.map((w) => w.least + ((w.best - w.least) * (to.width - least)) / (best - least))
}

type Painter = { [K in Block['kind']]: (b: Extract<Block, { kind: K }>, to: Sheet, under: Element) => void }
const sceneOf = (saber: Saber, which: 'section' | 'unrolled') =>
  which === 'section'
    ? drawSection(saber, {
        width: 900,
        height: 240,
        ...(saber.presets[0] ? { blade: colourOf(saber.presets[0]) } : {}),
      })
    : drawUnrolled(saber, { width: 900, height: 220 })

/** A numbered list whose items are lines of words, the first ones plain. */
function list(to: Sheet, under: Element, items: { n: number; lines: [string, Style][] }[]) {
  const l = to.element('L', under)
  for (const { n, lines } of items) {
    const item = to.element('LI', l)
    const [[first, style], ...more] = lines as [[string, Style], ...[string, Style][]]
    to.row(
      item,
      [
        { x: to.left, lines: to.lines(`${n}`, number, 18), style: number, tag: 'Lbl' },
        { x: to.left + 18, lines: to.lines(first, style, to.width - 18), style, tag: 'LBody' },
      ],
      { below: more.length ? 0 : 2.4 },
    )
    for (const [i, [words, how]] of more.entries())
      to.para(item, 'LBody', words, how, { indent: 18, below: i === more.length - 1 ? 2.4 : 0 })
  }
}

const painters = (sabers: ReadonlyMap<string, Saber>): Painter => ({
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
    to.need(44)
    to.row(
      to.element('TR', t),
      b.head.map((h, i) => ({ x: at[i]!, lines: to.lines(h, head, widthOf(i)), style: head, tag: 'TH' })),
      { above: 2.6, below: 2.6, attributes: { TH: { O: 'Table', Scope: 'Column' } } },
    )
    to.rule(RULE, 0.4)
    for (const [r, row] of b.rows.entries()) {
      const swatch = b.swatch?.[r]
      const inset = (i: number) => (swatch && i === 2 ? 13 : 0)
      const page = to.doc.bufferedPageRange().count
      const before = to.y
      to.row(
        to.element('TR', t),
        row.map((cell, i) => ({
          x: at[i]! + inset(i),
          lines: to.lines(cell, text, widthOf(i) - inset(i)),
          style: text,
          tag: 'TD',
        })),
        { above: 2.6, below: 2.6 },
      )
      const top = to.doc.bufferedPageRange().count === page ? before + 2.6 : 46
      if (swatch)
        to.decoration(() =>
          to.doc
            .rect(at[2]!, top + 1.5, 9, 9)
            .lineWidth(0.5)
            .fillAndStroke(swatch, INK),
        )
      to.rule(RULE, 0.4)
    }
    to.y += 6
  },
  steps(b, to, under) {
    to.need(56)
    to.para(under, 'H3', b.title, bold, { below: 3 })
    list(
      to,
      under,
      b.steps.map((t, i) => ({
        n: i + 1,
        lines: [
          [`${t.text}${t.tool ? ` (${t.tool})` : ''}${t.place ? ` – ${t.place}` : ''}`, text],
          ...(t.caution
            ? [[say('pdf.caution', { text: t.caution }), { ...bold, colour: BRASS }] as [string, Style]]
            : []),
        ],
      })),
    )
    to.y += 6
  },
  caution(b, to, under) {
    const [title, words] = [to.lines(b.title, bold, to.width - 12), to.lines(b.text, text, to.width - 12)]
    const high = (title.length + words.length) * text.size * text.lead
    to.need(Math.min(high + 6, to.pageHeight))
    const [y, page] = [to.y, to.doc.bufferedPageRange().count]
    const e = to.element('Sect', under)
    to.para(e, 'P', b.title, bold, { indent: 10 })
    to.para(e, 'P', b.text, text, { indent: 10, below: 6 })
    if (to.doc.bufferedPageRange().count === page)
      to.decoration(() => to.doc.rect(to.left, y, 2.4, to.y - y - 6).fill(BRASS))
  },
  drawing(b, to, under) {
    const saber = sabers.get(b.saber)
    if (saber) to.figure(under, sceneOf(saber, b.which), say('pdf.drawing', { saber: saber.name, which: b.which }))
  },
  script(b, to, under) {
    list(
      to,
      under,
      b.beats.map((x) => ({ n: x.n, lines: [[`${x.say}${x.show ? ` [${x.show}]` : ''}`, text]] })),
    )
  },
})

/**
 * The handoff record as PDF, A4 or Letter: tagged, with bookmarks and its own fonts. The drawing of each saber is made from
 * its record, in lines, not pixels. Whatever the length of a text or the number of sabers, it flows from page to page.
 */
export async function handoffPdf(doc: HandoffDocument, sabers: readonly Saber[], paper: Paper): Promise<Uint8Array> {
  const to = new Sheet(paper, {
    title: say('pdf.title', { title: doc.title }),
    author: doc.shop,
    subject: say('cover.for', { client: doc.client }),
    lang: doc.language,
  })
  const paint = painters(new Map(sabers.map((s) => [s.id, s])))
  const root = to.element('Document')
  cover(doc, sabers, to, root)
  to.newPage()
  for (const ch of doc.chapters) {
    to.need(90)
    const part = to.element('Sect', root)
    if (to.y > 46) to.y += 16
    to.para(part, 'H2', ch.title, chapter, { below: 3 })
    to.doc.outline.addItem(ch.title)
    to.rule(INK, 0.8)
    to.y += 6
    for (const b of ch.blocks) paint[b.kind](b as never, to, part)
  }
  if (doc.from) {
    to.need(110)
    const part = to.element('Sect', root)
    to.y += 22
    if (doc.from.closing) to.para(part, 'P', doc.from.closing, text, { below: 26 })
    if (doc.from.signature) {
      to.decoration(() =>
        to.doc
          .moveTo(to.left, to.y)
          .lineTo(to.left + 190, to.y)
          .lineWidth(0.6)
          .strokeColor(INK)
          .stroke(),
      )
      to.y += 3
      to.para(part, 'P', doc.from.signature, quiet, { below: 10 })
    }
    const reached = [doc.shop, doc.from.address, doc.from.contact].filter(Boolean).join('\n')
    to.para(part, 'P', reached, quiet)
  }
  root.end()
  return to.end(
    (page, of) => [say('pdf.foot', { title: doc.title, client: doc.client }), say('pdf.page', { page, of })],
    foot,
  )
}

function cover(doc: HandoffDocument, sabers: readonly Saber[], to: Sheet, root: Element) {
  to.newPage()
  to.doc.outline.addItem(doc.title)
  const part = to.element('Sect', root)
  const line = say('cover.line', { shop: doc.shop, number: doc.number, date: dayText(doc.date) })
  to.para(part, 'P', line, { ...quiet, size: 10 }, { below: 70 })
  to.para(part, 'H1', doc.title, { ...chapter, size: 34, lead: 1.1 })
  to.para(part, 'P', say('cover.for', { client: doc.client }), { ...text, size: 15 }, { above: 8, below: 26 })
  const first = sabers[0]
  if (first) {
    const scene = drawSection(first, {
      width: 900,
      height: 250,
      ...(first.presets[0] ? { blade: colourOf(first.presets[0]) } : {}),
    })
    to.figure(part, scene, say('pdf.drawing', { saber: first.name, which: 'section' }), 24)
  }
  const contents = to.element('TOC', part)
  for (const [i, ch] of doc.chapters.entries())
    to.para(contents, 'TOCI', `${i + 1}. ${ch.title}`, quiet, { below: 1.5 })
  to.para(part, 'P', say('cover.legend', { own: whether(doc.ownWords) }), quiet, { above: 20 })
}

export { cardPdf } from './card'
