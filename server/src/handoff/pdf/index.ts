import { type HandoffDocument, shortened } from '@nubrin/core/handoff'
import type { PdfExtent, Saber } from '@nubrin/core/record'
import type { Reader } from '@nubrin/core/units'
import { say, whether } from '@nubrin/core/words'
import { painters } from './blocks'
import { cover } from './cover'
import { oneSheet } from './one-sheet'
import { cutOuts } from './pages'
import { type Element, type Paper, Sheet } from './sheet'
import { chapter, foot, INK, quiet, text } from './style'

/** What a record is printed from. `link` is where its client's page is, once it has been issued. */
export interface PdfOf {
  document: HandoffDocument
  sabers: readonly Saber[]
  paper: Exclude<Paper, 'A5' | 'label'>
  extent: PdfExtent
  link?: string
}

/**
 * The handoff record as PDF, A4 or Letter: tagged, with bookmarks and its own fonts. Full, short, or each saber on one sheet.
 * Drawings are made from the record, in lines, not pixels. Whatever the length of a text or the number of sabers, it flows
 * from page to page.
 */
export async function handoffPdf(
  reader: Reader,
  { document: whole, sabers, paper, extent, link }: PdfOf,
): Promise<Uint8Array> {
  const doc = extent === 'short' ? shortened(whole) : whole
  const to = new Sheet(paper, {
    title: say(reader, 'pdf.title', { title: doc.title }),
    author: doc.shop,
    subject: say(reader, 'cover.for', { client: doc.client }),
    lang: doc.language,
  })
  const root = to.element('Document')
  if (extent === 'sheet') for (const s of sabers) oneSheet(reader, doc, s, to, root, link)
  else book(reader, doc, sabers, to, root, link)
  root.end()
  return to.end(
    (page, of) => [
      say(reader, 'pdf.foot', { title: doc.title, client: doc.client }),
      say(reader, 'pdf.page', { page, of }),
    ],
    foot,
  )
}

/** Cover, contents, chapters, the last words, and the pages to cut out. */
function book(
  reader: Reader,
  doc: HandoffDocument,
  sabers: readonly Saber[],
  to: Sheet,
  root: Element,
  link: string | undefined,
) {
  const paint = painters(reader, new Map(sabers.map((s) => [s.id, s])), doc.procedures)
  cover(reader, doc, sabers, to, root, link)
  to.newPage()
  const contents = contentsOf(reader, doc, to, root)
  for (const ch of doc.chapters) {
    // What is taken apart begins a page: it lies beside the open saber.
    if (ch.blocks[0]?.kind === 'apart') to.newPage()
    // A heading stays with what it is the heading of; a drawing does not break.
    const drawn = ch.blocks[0]?.kind === 'drawing' || ch.blocks[0]?.kind === 'apart'
    to.need(drawn ? 60 + to.pageHeight / 3 : 134)
    const part = to.element('Sect', root)
    if (to.y > 46) to.y += 18
    to.para(part, 'H2', ch.title, chapter, { below: 3 })
    to.doc.outline.addItem(ch.title)
    contents.at.push(to.pages)
    to.rule(INK, 0.8)
    to.y += 7
    for (const b of ch.blocks) paint[b.kind](b as never, to, part)
  }
  last(doc, to, root)
  for (const s of sabers) cutOuts(reader, to, root, s, sabers.length > 1)
  contents.write()
}

/** Contents in two columns, with room kept for them; their pages are known when all is written. */
function contentsOf(
  reader: Reader,
  doc: HandoffDocument,
  to: Sheet,
  root: Element,
): { at: number[]; write: () => void } {
  const [page, top] = [to.pages, to.y]
  const rows = Math.ceil(doc.chapters.length / 2)
  const lines = Math.min(rows, 40)
  const step = 14
  const part = to.element('TOC', root)
  to.y += lines * step + 10
  to.para(to.element('Sect', root), 'P', say(reader, 'cover.legend', { own: whether(doc.ownWords) }), quiet, {
    below: 12,
  })
  const at: number[] = []
  const write = () =>
    to.onPage(page, () => {
      const gap = 26
      const width = (to.width - gap) / 2
      for (const [i, ch] of doc.chapters.entries()) {
        const [col, row] = [Math.floor(i / rows), i % rows]
        if (row >= lines) continue
        const x = to.left + col * (width + gap)
        const n = `${at[i]}`
        const wide = to.widthOf(n, quiet)
        const item = to.element('TOCI', part)
        const words = to.lines(ch.title, quiet, width - wide - 12)
        const [y, only] = [top + row * step, words[0]!.text]
        to.block(item, 'P', words.length > 1 ? `${only.trimEnd()} …` : ch.title, x, y, width, quiet)
        to.block(item, 'P', n, x + width - wide, y, wide + 2, quiet)
      }
      part.end()
    })
  return { at, write }
}

/** The shop's last words, its signature, and how it is reached. */
function last(doc: HandoffDocument, to: Sheet, root: Element) {
  const part = to.element('Sect', root)
  to.need(120)
  to.y += 22
  if (doc.from?.closing) to.para(part, 'P', doc.from.closing, text, { below: 26 })
  to.y += 18
  to.decoration(() =>
    to.doc
      .moveTo(to.left, to.y)
      .lineTo(to.left + 190, to.y)
      .lineWidth(0.6)
      .strokeColor(INK)
      .stroke(),
  )
  to.y += 3
  to.para(part, 'P', doc.from?.signature || doc.shop, quiet, { below: 10 })
  const reached = [doc.shop, doc.from?.address, doc.from?.contact].filter(Boolean).join('\n')
  to.para(part, 'P', reached, quiet)
}

export { cardPdf } from './card'
export { labelPdf } from './label'
export { quotePdf } from './quote'
