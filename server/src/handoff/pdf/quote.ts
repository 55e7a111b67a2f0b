import type { QuotePaper, QuoteRow } from '@nubrin/core/quote'
import type { Reader } from '@nubrin/core/units'
import { Sheet, type Style } from './sheet'
import { bold, chapter, foot, head, INK, quiet, RULE, text } from './style'

const title: Style = { ...chapter, size: 19 }
/** How wide the amounts stand. */
const AMOUNT = 96

/** A quote on paper: what it is, what it costs, what may come on top, what was agreed and paid. */
export async function quotePdf(
  q: QuotePaper,
  { reader, shop, paper, address }: { reader: Reader; shop: string; paper: 'A4' | 'Letter'; address: string },
): Promise<Uint8Array> {
  const to = new Sheet(paper, { title: q.title, author: shop, subject: q.title, lang: reader.language })
  const root = to.element('Document')
  to.newPage()
  to.para(root, 'P', [shop, address].filter(Boolean).join('\n'), quiet, { below: 26 })
  to.para(root, 'H1', q.title, title, { below: 6 })
  for (const line of q.head) to.para(root, 'P', line, text)
  const rows = (list: readonly QuoteRow[], style = text) => {
    const part = to.element('Sect', root)
    for (const r of list) {
      to.need(34)
      const wide = to.width - AMOUNT - 12
      const right = to.left + to.width - Math.min(AMOUNT, to.widthOf(r.price, style))
      to.row(
        part,
        [
          { x: to.left, lines: to.lines(r.what, style, wide), style, tag: 'P' },
          { x: right, lines: to.lines(r.price, style, AMOUNT + 4), style, tag: 'P' },
        ],
        { above: 3 },
      )
      if (r.more) to.para(part, 'P', r.more, quiet, { indent: 10 })
      to.rule(RULE, 0.5)
    }
    part.end()
  }
  const named = (name: string, list: readonly QuoteRow[]) => {
    if (!list.length) return
    to.need(60)
    to.para(root, 'H2', name, { ...head, size: 10.5, colour: INK }, { above: 16, below: 2 })
    rows(list)
  }
  to.y += 14
  rows(q.lines)
  named(q.options.title, q.options.rows)
  named(q.changes.title, q.changes.rows)
  to.y += 14
  to.rule(INK, 1.2)
  rows(q.sums, { ...bold, size: 11.5 })
  named(q.paid.title, q.paid.rows)
  to.y += 16
  for (const line of q.foot) to.para(root, 'P', line, quiet, { below: 4 })
  root.end()
  return to.end((page, of) => [q.title, of > 1 ? `${page} / ${of}` : ''], foot)
}
