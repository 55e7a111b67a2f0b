import { drawSection } from '@nubrin/core/drawing'
import type { FactRow, HandoffDocument } from '@nubrin/core/handoff'
import { colourOf, type Saber } from '@nubrin/core/record'
import { dayText, type Reader } from '@nubrin/core/units'
import { say, whether } from '@nubrin/core/words'
import { qr } from './qr'
import type { Element, Sheet, Style } from './sheet'
import { chapter, INK, quiet, small, text } from './style'

const label: Style = { ...quiet, size: 8.6 }
const value: Style = { ...text, size: 12, weight: 700, lead: 1.2 }

/** The first page: names, the saber large with its blade running off the page, what one looks for first, the wish, who signs. */
export function cover(
  reader: Reader,
  doc: HandoffDocument,
  sabers: readonly Saber[],
  to: Sheet,
  root: Element,
  link: string | undefined,
) {
  to.newPage()
  to.doc.outline.addItem(doc.title)
  const part = to.element('Sect', root)
  const record = say(reader, 'cover.record', { number: doc.number, date: dayText(reader, doc.date) })
  to.block(part, 'P', doc.shop, to.left, to.y, to.width * 0.6, { ...quiet, size: 10 })
  const right = to.widthOf(record, { ...quiet, size: 10 })
  to.block(part, 'P', record, to.left + to.width - right, to.y, right + 2, { ...quiet, size: 10 })
  to.y = 92
  const size = to.widthOf(doc.title, { ...chapter, size: 44 }) > to.width ? 30 : 44
  to.para(part, 'H1', doc.title, { ...chapter, size, lead: 1.06 })
  to.para(part, 'P', say(reader, 'cover.for', { client: doc.client }), { ...text, size: 16 }, { above: 6 })
  const foot = to.foot - 96
  const [one] = sabers
  const facts = doc.cover?.sabers ?? []
  if (sabers.length === 1 && one) {
    const gridTop = foot - 92
    large(reader, to, part, one, to.y + 20, gridTop - 20)
    grid(to, part, facts[0]?.facts ?? [], gridTop)
  } else stacked(reader, to, part, sabers, facts, to.y + 24, foot - 10)
  ending(reader, doc, to, part, foot, link)
}

/** The hilt over the page and its blade beyond the edge, as high as there is room. */
function large(reader: Reader, to: Sheet, part: Element, saber: Saber, top: number, foot: number) {
  const width = to.doc.page.width - to.left + 14
  const height = Math.min(foot - top, 250)
  const k = width / 900
  const scene = drawSection(reader, saber, {
    ...{ width: 900, height: height / k, bladeShare: 0.24 },
    ...(saber.presets[0] ? { blade: colourOf(saber.presets[0]) } : {}),
  })
  const y = top + (foot - top - height) / 2
  const alt = say(reader, 'pdf.drawing', { saber: saber.name, which: 'section' })
  to.figureAt(part, alt, to.left - 14, y, width, height, () => to.scene(scene, to.left - 14, y, k))
}

/** Several sabers below each other, each with its name and what there is room for. */
function stacked(
  reader: Reader,
  to: Sheet,
  part: Element,
  sabers: readonly Saber[],
  facts: readonly { saber: string; facts: FactRow[] }[],
  top: number,
  foot: number,
) {
  const each = Math.min((foot - top) / sabers.length, 170)
  const width = to.doc.page.width - to.left + 14
  const k = width / 900
  for (const [i, s] of sabers.entries()) {
    const y = top + i * each
    const said = (facts.find((f) => f.saber === s.id)?.facts ?? []).filter((_, n) => n === 0 || n === 5)
    const height = each - 20
    const drawn = drawSection(reader, s, {
      ...{ width: 900, height: Math.max(40, height / k), bladeShare: 0.24, tight: true },
      ...(s.presets[0] ? { blade: colourOf(s.presets[0]) } : {}),
    })
    // Measures have no room where several lie on a page.
    const plain = drawn.prims.filter((p) => p.t !== 'text' && p.role !== 'dim' && p.role !== 'dimAbout')
    const scene = { ...drawn, prims: plain }
    const fit = Math.min(k, height / scene.height)
    to.block(part, 'P', s.name, to.left, y, to.width * 0.5, { ...value, size: 11 })
    to.block(part, 'P', said.map((f) => f.value).join(' · '), to.left + to.width * 0.5, y + 1, to.width * 0.5, {
      ...label,
      lead: 1,
    })
    const alt = say(reader, 'pdf.drawing', { saber: s.name, which: 'section' })
    to.figureAt(part, alt, to.left - 14, y + 15, scene.width * fit, scene.height * fit, () =>
      to.scene(scene, to.left - 14, y + 15, fit),
    )
  }
}

/** Six facts in two rows of three, each under a line. */
function grid(to: Sheet, part: Element, facts: readonly FactRow[], top: number) {
  const gap = 18
  const width = (to.width - 2 * gap) / 3
  const table = to.element('L', part)
  for (const [i, f] of facts.entries()) {
    const [x, y] = [to.left + (i % 3) * (width + gap), top + Math.floor(i / 3) * 46]
    to.decoration(() =>
      to.doc
        .moveTo(x, y)
        .lineTo(x + width, y)
        .lineWidth(0.9)
        .stroke(INK),
    )
    const item = to.element('LI', table)
    const body = to.element('LBody', item)
    to.block(body, 'P', f.name, x, y + 5, width, label)
    // A value that is longer than its place is set smaller.
    const fits = [value, { ...value, size: 10 }, { ...value, size: 8.4, weight: 600 as const }]
    const style = fits.find((s) => to.heightOf(f.value, width, s) <= s.size * s.lead * 1.1) ?? fits[2]!
    to.block(body, 'P', f.value, x, y + 18, width, style)
  }
}

/** The wish it began with, who signs, and the way to the client's page. */
function ending(reader: Reader, doc: HandoffDocument, to: Sheet, part: Element, top: number, link: string | undefined) {
  const y = top + 22
  const wide = to.width * (link ? 0.46 : 0.56)
  const quote = doc.cover?.quote
  if (quote) {
    const clipped = quote.text.length > 130 ? `${quote.text.slice(0, 128).trimEnd()}…` : quote.text
    const high = to.block(part, 'P', say(reader, 'ownWords', { text: clipped }), to.left, y, wide, {
      ...text,
      size: 10.5,
    })
    const answer = say(reader, 'cover.asked', {
      ...{ answer: quote.answer.slice(0, 120), answered: whether(quote.answer) },
      ...{ giver: quote.giver ?? '', given: whether(quote.giver) },
    })
    to.block(part, 'P', answer, to.left, y + high + 2, wide, { ...quiet, size: 8.6 })
  }
  if (link) {
    const x = to.left + to.width * 0.5
    qr(to, part, link, x, y - 8, 64)
    to.block(part, 'P', say(reader, 'cover.page'), x + 70, y - 6, 74, small)
  }
  const x = to.left + to.width * 0.72
  to.decoration(() =>
    to.doc
      .moveTo(x, y + 30)
      .lineTo(to.left + to.width, y + 30)
      .lineWidth(0.7)
      .stroke(INK),
  )
  const who = [doc.from?.signature || doc.shop, say(reader, 'cover.made')].join('\n')
  to.block(part, 'P', who, x, y + 34, to.width * 0.28, { ...quiet, size: 8.6 })
}
