import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { inflateSync } from 'node:zlib'
import { afterAll, describe, expect, test } from '@jest/globals'
import { buildHandoff, type HandoffDocument, readerOfHandoff } from '@nubrin/core/handoff'
import { loadLanguages } from '@nubrin/core/languages'
import type { Commission, PdfExtent } from '@nubrin/core/record'
import { LANGUAGES } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { chapterLines } from '../../core/src/handoff/lines'
import { drawn } from '../../core/test/drawn'
import { firstLost } from '../../core/test/follows'
import { kindOfOrder, ORDERS } from '../../core/test/orders'
import { TODAY } from '../../core/test/samples'
import { handoffPdf } from '../src/handoff/pdf'

loadLanguages()
const folder = mkdtempSync(join(tmpdir(), 'nubrin-print-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const KIND = { paper: 'A4', extent: 'full' } as const

async function printed(c: Commission, how: { paper: 'A4' | 'Letter'; extent: PdfExtent }, language: 'en' | 'de') {
  c.client.language = language
  const document = buildHandoff(c, 'Shop', TODAY, {
    address: 'Weir Lane',
    contact: 'by letter',
    signature: 'M.',
    closing: '',
  })
  const pdf = await handoffPdf(readerOfHandoff(document), {
    document,
    sabers: c.sabers,
    ...how,
    link: 'https://shop.example/c/abc',
  })
  const file = join(folder, 'x.pdf')
  writeFileSync(file, pdf)
  return { document, pdf: Buffer.from(pdf), file }
}
const run = (tool: string, ...how: string[]) => execFileSync(tool, how, { encoding: 'utf8', maxBuffer: 64e6 })

/** Every content stream of a PDF, unpacked. */
function streams(pdf: Buffer): string[] {
  const out: string[] = []
  let at = 0
  for (;;) {
    const from = pdf.indexOf('stream\n', at)
    if (from < 0) return out
    const to = pdf.indexOf('\nendstream', from)
    at = to + 10
    try {
      const text = inflateSync(pdf.subarray(from + 7, to)).toString('latin1')
      if (/\b(BDC|BMC)\b/.test(text)) out.push(text)
    } catch {
      // A font, or what is not pressed.
    }
  }
}
/** What is drawn outside of all that is marked, as its operators. */
function unmarked(content: string): string[] {
  let depth = 0
  const out: string[] = []
  for (const op of content.replace(/\((?:\\.|[^\\)])*\)|<[0-9a-fA-F\s]*>/g, '').match(/[A-Za-z'"*]+/g) ?? []) {
    if (op === 'BDC' || op === 'BMC') depth++
    else if (op === 'EMC') depth--
    else if (depth === 0 && ['Tj', 'TJ', 'f', 'f*', 'S', 's', 'B', 'B*', 'b', 'Do', 'sh'].includes(op)) out.push(op)
  }
  return depth === 0 ? out : [...out, `depth ${depth}`]
}
/** Faults of the structure: heading levels that skip, tags that stand where they may not. */
function structureFaults(struct: string): string[] {
  const out: string[] = []
  const stack: string[] = []
  let level = 0
  for (const line of struct.split('\n')) {
    const m = /^(\s*)([A-Z][A-Za-z0-9]*)( \((block|inline)\))?:?$/.exec(line)
    if (!m) continue
    const depth = m[1]!.length / 2
    stack.length = depth
    stack.push(m[2]!)
    const [tag, parent] = [m[2]!, stack.at(-2)]
    const heading = /^H(\d)$/.exec(tag)
    if (heading) {
      const n = Number(heading[1])
      if (n > level + 1) out.push(`H${level} is followed by H${n}`)
      level = n
    }
    if (['TH', 'TD'].includes(tag) && parent !== 'TR') out.push(`${tag} in ${parent}`)
    if (tag === 'TR' && !['Table', 'TBody', 'THead'].includes(parent!)) out.push(`TR in ${parent}`)
    if (tag === 'LI' && parent !== 'L') out.push(`LI in ${parent}`)
    if (['Lbl', 'LBody'].includes(tag) && parent !== 'LI') out.push(`${tag} in ${parent}`)
    if (tag === 'TOCI' && parent !== 'TOC') out.push(`TOCI in ${parent}`)
    if (depth === 0 && tag !== 'Document') out.push(`${tag} at the root`)
  }
  return out
}
interface Word {
  page: number
  x: number
  right: number
  top: number
  high: number
  text: string
}
function wordsOf(file: string): Word[] {
  let page = 0
  const out: Word[] = []
  for (const line of run('pdftotext', '-bbox', file, '-').split('\n')) {
    if (line.includes('<page ')) page++
    const m = /<word xMin="([-\d.]+)" yMin="([-\d.]+)" xMax="([-\d.]+)" yMax="([-\d.]+)">(.*)<\/word>/.exec(line)
    if (!m) continue
    const [x, top, right, foot] = m.slice(1, 5).map(Number) as [number, number, number, number]
    out.push({ page, x, right, top, high: foot - top, text: m[5]! })
  }
  return out
}
/** Words that leave the paper's margin or lie over others, pt: of a line of text half its height is its letters. */
function layoutFaults(words: readonly Word[], [width, height]: readonly [number, number]): string[] {
  const MARGIN = 20
  const out = words
    .filter((w) => w.x < MARGIN || w.right > width - MARGIN || w.top < MARGIN - 6 || w.top + w.high > height - 6)
    .map((w) => `${w.text} leaves page ${w.page}`)
  for (const [i, a] of words.entries())
    for (const b of words.slice(i + 1)) {
      if (a.page !== b.page) break
      const across = Math.min(a.right, b.right) - Math.max(a.x, b.x)
      const down = Math.min(a.top + a.high, b.top + b.high) - Math.max(a.top, b.top)
      if (across > 1 && down > 0.45 * Math.min(a.high, b.high)) out.push(`${a.text} over ${b.text} on page ${a.page}`)
    }
  return out
}
/** Boxes of what is drawn that lie beyond the page, or are empty. */
const boxFaults = (raw: string, [width, height]: readonly [number, number]) =>
  [...raw.matchAll(/\/BBox \[([^\]]+)\]/g)]
    .map((m) => m[1]!.trim().split(/\s+/).map(Number) as [number, number, number, number])
    .filter(([x0, y0, x1, y1]) => !(x0 >= 0 && y0 >= 0 && x1 <= width && y1 <= height && x1 - x0 > 1 && y1 - y0 > 1))
const sizeOf = (file: string) =>
  /Page size: +([\d.]+) x ([\d.]+)/.exec(run('pdfinfo', file))!.slice(1).map(Number) as [number, number]
/** Headings of chapters below which nothing stands on their page. */
function alone(words: readonly Word[], foot: number): string[] {
  const large = words.filter((w) => w.page > 1 && w.high > 14.5 && w.x < 60)
  return large
    .filter((h) => !words.some((w) => w.page === h.page && w.top > h.top + h.high && w.top < foot))
    .map((h) => `${h.text} on page ${h.page}`)
}
/** The words of a paper without what differs between lines. */
const closed = (t: string) => t.normalize('NFKC').replace(/[^\p{L}\p{N}]+/gu, '')
/** What does not follow on paper from any place at which something begins; undefined where it does from one. */
function lostAfter(paper: string, start: string, words: readonly string[]): string | undefined {
  // Where the same title stands in the contents the acts do not follow it.
  const starts = [...paper.matchAll(new RegExp(closed(start) || '$', 'g'))].map((m) => m.index)
  const lost = starts.map((from) => firstLost(paper, words.map(closed), from))
  return lost.includes(undefined) ? undefined : (lost.at(-1) ?? 'not there')
}
/** Acts of a procedure that do not follow each other on paper as they are issued. */
function outOfOrder(document: HandoffDocument, file: string): string[] {
  const paper = closed(run('pdftotext', '-raw', file, '-'))
  const blocks = document.chapters.flatMap((ch) => ch.blocks.flatMap((b) => (b.kind === 'steps' ? [b] : [])))
  return blocks.flatMap((b) => {
    const p = document.procedures.filter((x) => x.saber === b.saber)[b.procedure!]!
    const acts = p.acts.slice((b.first ?? 1) - 1).slice(0, b.steps.length)
    const lost = lostAfter(
      paper,
      b.title,
      acts.map((x) => x.text),
    )
    return lost === undefined ? [] : [`${b.title}: ${lost}`]
  })
}
/** Acts of what is opened first, and what to mind at them, that do not follow each other on one sheet as they are issued. */
function notOnSheet(document: HandoffDocument, file: string): string[] {
  const paper = closed(run('pdftotext', '-raw', file, '-'))
  const sabers = [...new Set(document.procedures.map((p) => p.saber))]
  return sabers.flatMap((id) => {
    const mine = document.procedures.filter((p) => p.saber === id && !p.cannot)
    const first = ['cell', 'card', 'port', 'show'].flatMap((g) => mine.filter((p) => p.goal === g))[0]
    const words = (first?.acts ?? []).flatMap((x) => [x.text, ...(x.caution ? [x.caution] : [])])
    const lost = lostAfter(paper, words[0] ?? '', words)
    return lost === undefined ? [] : [`${id}: ${lost}`]
  })
}
/** Words of a document that are not on paper. */
function missing(document: HandoffDocument, words: readonly Word[]): string[] {
  const plain = (t: string) => t.normalize('NFKC').replace(/[^\p{L}\p{N}]+/gu, ' ')
  const texts = words.map((w) => plain(w.text.replace(/&(amp|lt|gt|quot|#39);/g, ' ')))
  const there = new Set(texts.flatMap((t) => t.split(' ')))
  // A word that a narrow column breaks is found in the text without its breaks.
  const joined = texts.join('').replaceAll(' ', '')
  const said = document.chapters.flatMap((ch) => [ch.title, ...chapterLines(ch)])
  const wanted = new Set(said.flatMap((l) => plain(l).split(' ')).filter((w) => w.length > 3))
  return [...wanted].filter((w) => !there.has(w) && !joined.includes(w))
}

describe('every order and every case', () => {
  const printings = LANGUAGES.flatMap((language) => ORDERS.map(([what, make]) => [what, language, make] as const))
  const few = drawn(printings, 1 / 8, (p) => [p[1], kindOfOrder(p)])
  test.each(few)(
    '%s, %s: all of it is on paper, tagged by the rules, no heading alone',
    async (_what, language, make) => {
      const { document, pdf, file } = await printed(make(), KIND, language)
      const words = wordsOf(file)
      expect(missing(document, words)).toEqual([])
      expect(outOfOrder(document, file)).toEqual([])
      const contents = streams(pdf)
      expect(contents.length).toBe(Number(/Pages: +(\d+)/.exec(run('pdfinfo', file))![1]))
      for (const s of contents) expect(unmarked(s)).toEqual([])
      const struct = run('pdfinfo', '-struct', file)
      expect(structureFaults(struct)).toEqual([])
      expect(alone(words, 800)).toEqual([])
      const raw = pdf.toString('latin1')
      expect(layoutFaults(words, sizeOf(file))).toEqual([])
      expect(boxFaults(raw, sizeOf(file))).toEqual([])
      for (const rule of ['pdfuaid:part>1<', '/MarkInfo', '/DisplayDocTitle true', `/Lang (${language})`, '/Tabs /S'])
        expect(raw).toContain(rule)
      const figures = struct.match(/^\s*Figure/gm)?.length ?? 0
      expect(raw.match(/\/Alt [(<]/g)?.length).toBe(figures)
      expect(pdf.length).toBeLessThan(2 * 1024 * 1024)
    },
  )
})

describe('short and on one sheet, on Letter', () => {
  // Each in one of the languages, by turns.
  const turns = ORDERS.map(([what, make], i) => [what, LANGUAGES[i % LANGUAGES.length]!, make] as const)
  test.each(drawn(turns, 1 / 8, (t) => [t[1], kindOfOrder(t)]))(
    '%s, %s: every caution is there, tagged by the rules',
    async (_what, language, make) => {
      for (const extent of ['short', 'sheet'] as const) {
        const { document, file, pdf } = await printed(make(), { paper: 'Letter', extent }, language)
        const cautions = document.chapters.filter((ch) => ch.id.startsWith('cautions'))
        const only = cautions.map((ch) => ({ ...ch, title: '', blocks: ch.blocks.filter((b) => b.kind === 'caution') }))
        expect(missing({ ...document, chapters: only }, wordsOf(file))).toEqual([])
        if (extent === 'sheet') {
          expect(notOnSheet(document, file)).toEqual([])
          expect(run('pdftotext', '-raw', file, '-').replace(/\s+/g, ' ')).toContain(
            say(readerOfHandoff(document), 'sheet.rest'),
          )
        }
        expect(layoutFaults(wordsOf(file), sizeOf(file))).toEqual([])
        expect(boxFaults(pdf.toString('latin1'), sizeOf(file))).toEqual([])
        for (const s of streams(pdf)) expect(unmarked(s)).toEqual([])
        expect(structureFaults(run('pdfinfo', '-struct', file))).toEqual([])
        expect(run('pdfinfo', file)).toMatch(/letter/)
      }
    },
  )
})

describe('the rules notice faults', () => {
  test('what is drawn outside of all marks, a skipped level, a cell without its row', () => {
    expect(unmarked('/Artifact BMC 0 0 m S EMC')).toEqual([])
    expect(unmarked('/P <</MCID 0>> BDC (S f) Tj EMC 1 0 m S')).toEqual(['S'])
    expect(unmarked('/P BMC')).toEqual(['depth 1'])
    expect(structureFaults('Document\n  H1 (block)\n  H3 (block)')).toEqual(['H1 is followed by H3'])
    expect(structureFaults('Document\n  Table\n    TD (block)')).toEqual(['TD in Table'])
  })
  test('words that are not on paper', async () => {
    const { document, file } = await printed(ORDERS[0]![1](), KIND, 'en')
    const more = { ...document, chapters: [{ id: 'x', title: 'Zeppelinwharf', blocks: [] }] }
    expect(missing(more, wordsOf(file))).toEqual(['Zeppelinwharf'])
  })
})

describe('sounds that a page carries', () => {
  test('pressed in Ogg Vorbis, much smaller, the same again as the same bytes, never more than may', async () => {
    const { makeSounds } = await import('@nubrin/demo')
    const { pressSounds } = await import('../src/handoff/encode-sounds')
    const sounds = makeSounds(110, ['ignite', 'hum', 'clash']).map((m, i) => ({ hash: `${i}`, bytes: m.bytes }))
    const all = await pressSounds(sounds, 1e6)
    expect(all).toHaveLength(3)
    for (const x of all) {
      expect(Buffer.from(x.bytes.subarray(0, 4)).toString()).toBe('OggS')
      expect(x.bytes.length).toBeLessThan(sounds.find((s) => s.hash === x.hash)!.bytes.length / 3)
    }
    expect(await pressSounds(sounds, 1e6)).toEqual(all)
    const [short, next] = all.map((x) => x.bytes.length).sort((a, b) => a - b)
    expect(await pressSounds(sounds, short! + next! - 1)).toHaveLength(1)
    expect(await pressSounds([{ hash: 'x', bytes: Buffer.from('no sound') }], 1e6)).toEqual([])
  })
})
