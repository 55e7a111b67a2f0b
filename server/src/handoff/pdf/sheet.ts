import { inkOf, pathData, type Scene, TEXT_INK } from '@nubrin/core/drawing'
import PDFDocument from 'pdfkit'
import { clean, type Line, Setting, type Style } from './setting'

export type { Style } from './setting'

/** One column of a row: where it begins, how it is set, its lines, what it is for a reader that cannot see. */
export interface Column {
  x: number
  lines: Line[]
  style: Style
  tag: string
}
/** An element of the document's structure, with its dictionary: the writer's types leave that out. */
export type Element = PDFKit.PDFStructureElement & { dictionary: { data: Record<string, unknown> } }

const PAGE = {
  ...{ A4: [595.28, 841.89], Letter: [612, 792], A5: [419.53, 595.28] },
  /** A label of 4 × 6 inches. */
  label: [288, 432],
} as const
export type Paper = keyof typeof PAGE

/**
 * A run of pages that are filled from the top: lines of words in fonts that have their shapes, drawings, and the structure
 * that a screen reader follows. Everything drawn is either part of that structure or marked as decoration. Measures in points.
 */
export class Sheet {
  readonly doc: PDFKit.PDFDocument
  readonly left: number
  readonly width: number
  y = 0
  private readonly top = 46
  private readonly bottom: number
  private readonly setting: Setting

  constructor(paper: Paper, info: { title: string; author: string; subject: string; lang: string }) {
    const [w, h] = PAGE[paper]
    this.left = paper === 'label' ? 18 : 48
    this.width = w - 2 * this.left
    this.bottom = h - 54
    this.doc = new PDFDocument({
      size: [w, h],
      margin: 0,
      autoFirstPage: false,
      bufferPages: true,
      pdfVersion: '1.7',
      subset: 'PDF/UA',
      tagged: true,
      displayTitle: true,
      lang: info.lang,
      info: { Title: info.title, Author: info.author, Subject: info.subject, Creator: 'Nubrin', Producer: 'Nubrin' },
    } as unknown as PDFKit.PDFDocumentOptions)
    this.setting = new Setting(this.doc)
  }

  newPage() {
    this.doc.addPage()
    this.y = this.top
  }
  /** Goes to a new page unless so much room is left. */
  need(height: number) {
    if (this.y + height > this.bottom && this.y > this.top) this.newPage()
  }
  /** Height that a whole page offers. */
  get pageHeight() {
    return this.bottom - this.top
  }

  /** Breaks words into lines no wider than `width`; a word that is wider by itself is broken where it must be. */
  lines(text: string, style: Style, width: number): Line[] {
    return this.setting.lines(text, style, width)
  }
  /** Width of a text set in one line. */
  widthOf(text: string, style: Style): number {
    return this.setting.widthOf(text, style)
  }

  /** An element under another one, or under the document. */
  element(type: string, parent?: Element, options: Record<string, unknown> = {}): Element {
    const e = this.doc.struct(type as never, options as never) as Element
    if (parent) parent.add(e)
    else this.doc.addStructure(e)
    return e
  }
  /** Draws as the content of an element. */
  as(element: Element, draw: () => void) {
    const content = this.doc.markStructureContent(String(element.dictionary.data.S))
    draw()
    this.doc.endMarkedContent()
    element.add(content)
  }
  /** Draws what says nothing: rules, page numbers. */
  decoration(draw: () => void) {
    this.doc.markContent('Artifact', {})
    draw()
    this.doc.endMarkedContent()
  }

  /**
   * Sets columns side by side. They stay together when they fit on a page, and go on over the page's end line by line when
   * they do not. Each becomes an element under `parent`.
   */
  row(parent: Element, columns: Column[], { above = 0, below = 0, attributes = {} as Record<string, object> } = {}) {
    const heightOf = (c: Column) => c.style.size * c.style.lead
    const most = Math.max(...columns.map((c) => c.lines.length))
    const high = Math.max(...columns.map((c) => c.lines.length * heightOf(c)))
    if (high + above + below <= this.pageHeight) this.need(high + above + below)
    this.y += above
    const elements = columns.map((c) => {
      const e = this.element(c.tag, parent)
      const a = attributes[c.tag]
      if (a) e.dictionary.data.A = a
      return e
    })
    const step = Math.max(...columns.map(heightOf))
    let from = 0
    do {
      const fit = Math.max(1, Math.floor((this.bottom - this.y + 0.01) / step))
      const to = Math.min(most, from + fit)
      columns.forEach((c, i) => {
        const part = c.lines.slice(from, to)
        if (part.length || from === 0)
          this.as(elements[i]!, () => {
            for (const [k, line] of part.entries()) this.setting.draw(line, c.x, this.y + k * heightOf(c), c.style)
          })
      })
      this.y += Math.max(...columns.map((c) => c.lines.slice(from, to).length * heightOf(c)))
      from = to
      if (from < most) this.newPage()
    } while (from < most)
    this.y += below
    return elements
  }

  /** Words at a place of the page, their foot at y; an element of its own. */
  at(parent: Element, tag: string, text: string, x: number, y: number, style: Style) {
    this.as(this.element(tag, parent), () =>
      this.setting.draw(this.setting.line(text, style), x, y - style.size * 0.86, style),
    )
  }

  /** A paragraph over the whole width, or from `indent` on. */
  para(parent: Element, tag: string, text: string, style: Style, { indent = 0, above = 0, below = 0 } = {}) {
    const lines = this.lines(text, style, this.width - indent)
    return this.row(parent, [{ x: this.left + indent, lines, style, tag }], { above, below })[0]!
  }

  rule(colour: string, thickness: number, y = this.y) {
    this.decoration(() =>
      this.doc
        .moveTo(this.left, y)
        .lineTo(this.left + this.width, y)
        .lineWidth(thickness)
        .strokeColor(colour)
        .stroke(),
    )
  }

  /** A drawing over the whole width, with the words that stand for it where it cannot be seen. */
  figure(parent: Element, scene: Scene, alt: string, below = 8) {
    // No more than a third of the page, and nothing larger than it was drawn for a screen.
    const k = Math.min(this.width / scene.width, this.pageHeight / 3 / scene.height, 0.95)
    const [width, height] = [scene.width * k, scene.height * k]
    const x = this.left + (this.width - width) / 2
    this.need(height + below)
    this.figureAt(parent, alt, x, this.y, width, height, () => this.scene(scene, x, this.y, k))
    this.y += height + below
  }
  /** Anything drawn at a place of the page, with the words that stand for it. */
  figureAt(parent: Element, alt: string, x: number, y: number, width: number, height: number, draw: () => void) {
    const e = this.element('Figure', parent, { alt: clean(alt) })
    const page = this.doc.page.height
    e.dictionary.data.A = {
      ...{ O: 'Layout', Placement: 'Block' },
      BBox: [x, page - y - height, x + width, page - y],
    }
    this.as(e, draw)
  }
  /** The lines and words of a drawing, from its upper left corner; what reaches beyond it is cut off. */
  scene(scene: Scene, left: number, top: number, k: number) {
    const { doc } = this
    doc.save().translate(left, top).scale(k).rect(0, 0, scene.width, scene.height).clip()
    for (const p of scene.prims) {
      if (p.t === 'text') {
        const ink = TEXT_INK[p.role]
        const style: Style = {
          size: ink.size,
          weight: ink.weight >= 600 ? 600 : 400,
          colour: ink.fill,
          lead: 1,
        }
        const line = this.setting.line(p.text, style)
        const x = p.at[0] - (p.anchor === 'middle' ? line.width / 2 : p.anchor === 'end' ? line.width : 0)
        this.setting.draw(line, x, p.at[1] - ink.size * 0.86, style)
        continue
      }
      const ink = inkOf(p)
      const [fill, stroke] = [ink.fill !== 'none', ink.stroke !== 'none' && ink.width > 0]
      if (!fill && !stroke) continue
      doc.save()
      if (ink.opacity) doc.opacity(ink.opacity)
      if (p.t === 'circle') doc.circle(p.at[0], p.at[1], p.r)
      else doc.path(pathData(p.pts, p.closed))
      doc.lineWidth(ink.width)
      if (ink.dash) doc.dash(ink.dash.split(' ').map(Number) as unknown as number, {})
      if (fill && stroke) doc.fillAndStroke(ink.fill, ink.stroke)
      else if (fill) doc.fill(ink.fill)
      else doc.stroke(ink.stroke)
      doc.restore()
    }
    doc.restore()
  }
  /** Lines of words from a place of the page on, however far they reach; their height. */
  block(parent: Element, tag: string, text: string, x: number, y: number, width: number, style: Style): number {
    const lines = this.lines(text, style, width)
    const step = style.size * style.lead
    this.as(this.element(tag, parent), () => {
      for (const [i, line] of lines.entries()) this.setting.draw(line, x, y + i * step, style)
    })
    return lines.length * step
  }
  /** Height of words that are broken at a width. */
  heightOf(text: string, width: number, style: Style): number {
    return this.lines(text, style, width).length * style.size * style.lead
  }

  /** Pages that there are, and the one that is being written, from 1 on. */
  get pages() {
    return this.doc.bufferedPageRange().count
  }
  /** Where a page ends for what is written. */
  get foot() {
    return this.bottom
  }
  /** Goes back to a page to write what was not known before, and on again. */
  onPage(n: number, write: () => void) {
    const { start, count } = this.doc.bufferedPageRange()
    this.doc.switchToPage(start + n - 1)
    write()
    this.doc.switchToPage(start + count - 1)
  }

  /** Writes below every page what belongs there, and gives the bytes. */
  async end(foot: (page: number, of: number) => [left: string, right: string], style: Style): Promise<Uint8Array> {
    const { start, count } = this.doc.bufferedPageRange()
    for (let i = 0; i < count; i++) {
      this.doc.switchToPage(start + i)
      const [left, right] = foot(i + 1, count)
      const r = this.setting.line(right, style)
      const l = this.lines(left, style, this.width - r.width - 20)[0]!
      this.decoration(() => {
        this.setting.draw(l, this.left, this.bottom + 20, style)
        this.setting.draw(r, this.left + this.width - r.width, this.bottom + 20, style)
      })
    }
    const chunks: Buffer[] = []
    const done = new Promise<void>((yes, no) => {
      this.doc.on('data', (c: Buffer) => chunks.push(c))
      this.doc.once('end', yes)
      this.doc.once('error', no)
    })
    this.doc.end()
    await done
    return Buffer.concat(chunks)
  }
}
