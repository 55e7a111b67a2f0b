import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, test } from '@jest/globals'
import { unprinted } from '@nubrin/core/words'
import fc from 'fast-check'
import PDFDocument from 'pdfkit'
import { FACES, type Weight } from '../src/handoff/pdf/fonts'
import { Sheet } from '../src/handoff/pdf/sheet'
import { text as style } from '../src/handoff/pdf/style'

const folder = mkdtempSync(join(tmpdir(), 'nubrin-letters-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
/** A paper with these paragraphs, and where each word of it stands on its page: in points, from left to right. */
async function printed(...paragraphs: string[]) {
  const to = new Sheet('A4', { title: 't', author: 'a', subject: 's', lang: 'en' })
  to.newPage()
  const root = to.element('Document')
  for (const p of paragraphs) to.para(root, 'P', p, style, { below: 30 })
  const file = join(folder, 'p.pdf')
  writeFileSync(file, await to.end(() => ['', ''], style))
  const html = execFileSync('pdftotext', ['-bbox', file, '-'], { encoding: 'utf8' })
  const words = [...html.matchAll(/<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" [^>]*>(.*?)<\/word>/g)]
  return words.map(([, x, y, to, word]) => ({ x: Number(x), y: Number(y), to: Number(to), word: word! }))
}
const bare = (t: string) => t.replace(/[\u200e\u200f\u202a-\u202e]/g, '')
const [LEFT, RIGHT] = [48, 595.28 - 48]

describe('letters of the world', () => {
  test('the list of what can be printed is what the fonts have, in every weight', () => {
    const doc = new PDFDocument()
    const sets = ([400, 600, 700] as Weight[]).map((weight) => {
      const has = new Set<number>()
      for (const f of FACES[weight]) {
        doc.registerFont(f.key, f.bytes(), f.family).font(f.key)
        const { font } = (doc as unknown as { _font: { font: { characterSet: number[] } } })._font
        for (const c of font.characterSet) if (c >= 32) has.add(c)
      }
      return has
    })
    const everywhere = [...sets[0]!].filter((c) => sets.every((s) => s.has(c))).sort((a, b) => a - b)
    const runs: [number, number][] = []
    for (const c of everywhere) {
      const last = runs.at(-1)
      if (last && c === last[1] + 1) last[1] = c
      else runs.push([c, c])
    }
    let at = 0
    const must = runs.map(([from, to]) => {
      const range = `${(from - at).toString(36)}${to > from ? `.${(to - from).toString(36)}` : ''}`
      at = to
      return range
    })
    const all = new Set(everywhere)
    const wrong = []
    for (let c = 32; c < 0x20000; c++) {
      if (c >= 0xd800 && c <= 0xdfff) continue
      const letter = String.fromCodePoint(c)
      const shapeless = /\p{Cc}|\p{Default_Ignorable_Code_Point}|[\u2028\u2029\u202a-\u202e]/u.test(letter)
      if (!shapeless && (unprinted(letter).length === 0) !== all.has(c)) wrong.push(c.toString(16))
    }
    // What must stand in words/letters is told with the failure.
    if (wrong.length)
      throw new Error(`${wrong.length} letters wrong, as ${wrong.slice(0, 9)}; must be: ${must.join(' ')}`)
    expect(everywhere.length).toBeGreaterThan(40_000)
  })

  const WORLD = {
    Cyrillic: 'Тростниковый страж',
    Greek: 'Φύλακας των καλαμιών',
    Vietnamese: 'Nguyễn Thị Ánh giữ lửa',
    Hebrew: 'שומר הקנים',
    Arabic: 'حارس القصب',
    Chinese: '芦苇守望者',
    Japanese: '葦の番人はゆっくり光る',
    Korean: '갈대 파수꾼',
    emoji: '🔥 ⚔ 😀',
  }
  test.each(Object.entries(WORLD))(
    '%s is printed: every letter of it has a shape and can be read back',
    async (_what, said) => {
      expect(unprinted(said)).toEqual([])
      await printed(said)
      // Another program reads it back, word by word and letter by letter in the order in which one reads.
      const back = bare(execFileSync('pdftotext', [join(folder, 'p.pdf'), '-'], { encoding: 'utf8' })).normalize('NFKC')
      for (const word of said.normalize('NFKC').split(' ')) expect(back.replace(/\ufe0f/g, '')).toContain(word)
    },
  )
  test('what no font has is named, each letter once', () => {
    expect(unprinted('ดาบ Nubrin ดา')).toEqual(['ด', 'า', 'บ'])
    expect(unprinted('half a pair: \ud83d')).toEqual(['\ufffd'].filter((c) => unprinted(c).length))
    expect(unprinted('a line\nand \u202bmarks\u202c \u200d')).toEqual([])
  })

  const HEBREW = ['שומר', 'קנים', 'אור', 'להב', 'ידית', 'כפתור', 'סוללה']
  const LATIN = ['Reed', 'Warden', 'blade', 'hilt', 'button', 'cell', 'lamp']
  test('words of both directions stand where a reader of each looks for them', () =>
    fc.assert(
      fc.asyncProperty(fc.array(fc.tuple(fc.boolean(), fc.nat(6)), { minLength: 1, maxLength: 8 }), async (made) => {
        const words = made.map(([left, n]) => (left ? HEBREW[n]! : LATIN[n]!))
        const isLeft = made.map(([left]) => left)
        // By hand: runs of one direction, each within itself, and the runs by the direction of the first word.
        const runs: string[][] = []
        words.forEach((w, i) => {
          if (i && isLeft[i] === isLeft[i - 1]) runs.at(-1)!.push(w)
          else runs.push([w])
        })
        const base = isLeft[0]!
        const inside = runs.map((r) => (HEBREW.includes(r[0]!) ? r.toReversed() : r))
        const must = (base ? inside.toReversed() : inside).flat()
        const got = (await printed(words.join(' '))).sort((a, b) => a.x - b.x)
        // How the letters of one word run is not told here: this reader gives some as they stand.
        const either = (t: string) => (must.includes(bare(t)) ? bare(t) : [...bare(t)].toReversed().join(''))
        expect(got.map((g) => either(g.word))).toEqual(must)
        if (base) expect(got.at(-1)!.to).toBeCloseTo(RIGHT, 0)
        else expect(got[0]!.x).toBeCloseTo(LEFT, 0)
      }),
      { numRuns: 12 },
    ))
  test.each(['Donaudampf', 'שלום', '葦', 'مرحبا'])('a word of 240 letters of %s stays on its page', async (piece) => {
    const word = piece.repeat(240 / piece.length + 1).slice(0, 240)
    for (const { x, to } of await printed(word, `before ${word} after`)) {
      expect(x).toBeGreaterThanOrEqual(LEFT - 0.5)
      expect(to).toBeLessThanOrEqual(RIGHT + 0.5)
    }
  })
})
