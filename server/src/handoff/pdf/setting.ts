import { SHAPING, UNSEEN } from '@nubrin/core/words'
import makeBidi from 'bidi-js'
import { FACES, LAST_RESORT, type Weight } from './fonts'

export interface Style {
  size: number
  weight: Weight
  colour: string
  /** Height of a line, in sizes. */
  lead: number
}
/** Words of one font within a line, as they stand from left to right. */
interface Run {
  text: string
  font: string
  width: number
}
/** One line as it is set: how far from its left edge it begins, and its words in the order in which they are read. */
export interface Line {
  runs: Run[]
  shift: number
  text: string
}

const EVERY_UNSEEN = new RegExp(UNSEEN, 'gu')
/** What the format does not hold or nobody can see: half a surrogate pair, control characters, marks of direction. */
export const clean = (text: string) =>
  text
    .toWellFormed()
    // biome-ignore lint/suspicious/noControlCharactersInRegex: that is what is taken out
    .replace(/[\u0000-\u0009\u000b-\u001f\u007f-\u009f]/g, ' ')
    .replace(EVERY_UNSEEN, '')

const bidi = makeBidi()
const graphemes = new Intl.Segmenter()
const lettersOf = (text: string): string[] => Array.from(graphemes.segment(text), (s) => s.segment)
const PLAIN = /^[ -~]*$/
/** Letters that are written from right to left. */
const LEFTWARD = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufefc\u{10800}-\u{10fff}\u{1e800}-\u{1efff}]/u
/** A blank; a letter of a script without blanks with the marks that follow it; a word. */
const TOKEN =
  /\s+|[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}][\u3001-\u3003\u3009\u300b\u300d\u300f\uff01\uff09\uff0c\uff0e\uff1a\uff1b\uff1f]*|[^\s\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}]+/gu

/** Letters of a document: which font has each, how wide words are, where lines break, and in what order they stand. Points. */
export class Setting {
  private readonly widths = new Map<string, number>()
  private readonly fontOf = new Map<string, string>()
  private readonly registered = new Set<string>()

  constructor(private readonly doc: PDFKit.PDFDocument) {}

  /** Breaks words into lines no wider than `width`; a word that is wider by itself is broken where it must be. */
  lines(text: string, style: Style, width: number): Line[] {
    return clean(text)
      .split('\n')
      .flatMap((para) => this.broken(para.replace(/\s+/g, ' '), style, width))
  }
  /** Width of a text set in one line. */
  widthOf(text: string, style: Style): number {
    return widthOf(this.runs(clean(text), style))
  }
  /** A text in one line, however wide. */
  line(text: string, style: Style): Line & { width: number } {
    const whole = clean(text).replace(/\s+/g, ' ')
    const line = this.set(whole, 0, whole.length, style, Number.POSITIVE_INFINITY)
    return { ...line, width: widthOf(line.runs) }
  }
  draw(line: Line, x: number, y: number, style: Style) {
    let at = x + line.shift
    for (const r of line.runs) {
      this.doc.font(r.font).fontSize(style.size).fillColor(style.colour)
      this.doc.text(r.text, at, y, { lineBreak: false })
      at += r.width
    }
  }

  private broken(para: string, style: Style, width: number): Line[] {
    const out: Line[] = []
    let [from, used, at] = [0, 0, 0]
    const flush = () => {
      out.push(this.set(para, from, at, style, width))
      from = at
      used = 0
    }
    for (const [token] of para.matchAll(TOKEN)) {
      const w = widthOf(this.runs(token, style))
      if (used + w <= width) {
        if (token === ' ' && from === at) from = at + 1
        else used += w
        at += token.length
      } else if (token === ' ') at += 1
      else if (w <= width) {
        flush()
        if (para[from] === ' ') from++
        used = w
        at += token.length
      } else
        for (const letter of lettersOf(token)) {
          const one = widthOf(this.runs(letter, style))
          if (used + one > width && at > from) {
            flush()
          }
          used += one
          at += letter.length
        }
    }
    flush()
    return out
  }

  /** A stretch of a paragraph as a line of its own: from left to right, whatever it is written in. */
  private set(para: string, from: number, to: number, style: Style, width: number): Line {
    const text = para.slice(from, to).trimEnd()
    if (!LEFTWARD.test(para)) return { runs: this.runs(text, style), shift: 0, text }
    const levels = bidi.getEmbeddingLevels(para)
    const end = from + text.length
    const runs = this.ordered(para, from, end, levels, style)
    const leftward = ((levels.paragraphs[0]?.level ?? 0) & 1) === 1 && Number.isFinite(width)
    return { runs, shift: leftward ? Math.max(0, width - widthOf(runs)) : 0, text }
  }

  private ordered(
    para: string,
    from: number,
    end: number,
    levels: ReturnType<typeof bidi.getEmbeddingLevels>,
    style: Style,
  ): Run[] {
    if (end <= from) return []
    const order = bidi.getReorderedIndices(para, levels, from, end - 1).slice(from, end)
    const out: Run[] = []
    for (let i = 0; i < order.length; ) {
      const leftward = (levels.levels[order[i]!]! & 1) === 1
      const step = leftward ? -1 : 1
      let k = i + 1
      while (
        k < order.length &&
        order[k] === order[k - 1]! + step &&
        ((levels.levels[order[k]!]! & 1) === 1) === leftward
      )
        k++
      const [a, b] = leftward ? [order[k - 1]!, order[i]! + 1] : [order[i]!, order[k - 1]! + 1]
      const part = para.slice(a, b)
      out.push(...(leftward ? this.leftward(part, style) : this.runs(part, style)))
      i = k
    }
    return out
  }

  /** Words that run to the left: the writer turns each round by itself, so they are handed over one by one, the last first. */
  private leftward(text: string, style: Style): Run[] {
    return (text.match(/\s+|\S+/g) ?? []).toReversed().flatMap((word) =>
      this.runs(
        word.replace(/./gu, (c) => bidi.getMirroredCharacter(c) ?? c),
        style,
      )
        .toReversed()
        .map((r) => (LEFTWARD.test(r.text) ? r : { ...r, text: lettersOf(r.text).toReversed().join('') })),
    )
  }

  /** Runs of one font each, as written. */
  private runs(text: string, style: Style): Run[] {
    const out: Run[] = []
    if (PLAIN.test(text)) {
      if (text) out.push({ text, font: this.face(text[0]!, style.weight), width: 0 })
    } else
      for (const letter of lettersOf(text)) {
        const font = this.face(letter, style.weight)
        const last = out.at(-1)
        if (last?.font === font) last.text += letter
        else out.push({ text: letter, font, width: 0 })
      }
    for (const r of out) r.width = this.measure(r.text, r.font, style.size)
    return out
  }

  private face(letter: string, weight: Weight): string {
    const key = `${weight}${letter}`
    const known = this.fontOf.get(key)
    if (known) return known
    const codes = [...letter].filter((c) => !SHAPING.test(c)).map((c) => c.codePointAt(0)!)
    const faces = FACES[weight]
    const has = faces.find((f) => {
      if (!this.registered.has(f.key)) this.doc.registerFont(f.key, f.bytes(), f.family)
      this.registered.add(f.key)
      this.doc.font(f.key)
      const { font } = (this.doc as unknown as { _font: { font: { hasGlyphForCodePoint(c: number): boolean } } })._font
      return codes.every((c) => font.hasGlyphForCodePoint(c))
    })
    const name = (has ?? faces[LAST_RESORT]!).key
    this.fontOf.set(key, name)
    return name
  }
  private measure(text: string, font: string, size: number): number {
    const key = `${font}${size} ${text}`
    let w = this.widths.get(key)
    if (w === undefined) {
      w = this.doc.font(font).fontSize(size).widthOfString(text)
      this.widths.set(key, w)
    }
    return w
  }
}

const widthOf = (runs: readonly Run[]) => runs.reduce((sum, r) => sum + r.width, 0)
