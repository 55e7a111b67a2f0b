import { readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from '@jest/globals'
import { compile, doingOf, gestureText, lessonsOf, modeName } from '@nubrin/core/controls'
import { fact } from '@nubrin/core/facts'
import { CARD_PAPERS, type Card, type CardPaper, cardSvg, controlsCard } from '@nubrin/core/handoff'
import { blankSaber, GESTURES, POSES, type Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { FIRST } from './cases/first'
import { SECOND } from './cases/second'
import { THIRD } from './cases/third'
import { done, TODAY } from './samples'

const FILE = join(dirname(fileURLToPath(import.meta.url)), 'card.txt')
const PAPERS = Object.keys(CARD_PAPERS) as CardPaper[]
/** What stands on a page as running words: lines that were broken are joined again. */
const words = (card: Card, pages = card.pages) =>
  pages
    .flat()
    .flatMap((p) => (p.t === 'text' ? [p.text] : []))
    .join(' ')
    .replace(/\s+/g, ' ')
const flat = (t: string) => t.replace(/\s+/g, ' ')

describe('the card of the controls', () => {
  const sabers = [...demoCommissions(TODAY), ...[...FIRST, ...SECOND, ...THIRD].map((j) => j.make())].flatMap(
    (c) => c.sabers,
  )
  test.each(sabers.map((s) => [s.name, s] as const))(
    '%s: every control in the words of its map, in front the first five',
    (_n, s) => {
      for (const paper of PAPERS) {
        const card = controlsCard(MAKER, s, paper)
        const all = words(card, card.pages.slice(1))
        for (const r of s.controls) {
          expect(all).toContain(flat(doingOf(MAKER, r)))
          expect(all).toContain(flat(gestureText(MAKER, s, r)))
          for (const p of r.presets ?? []) expect(all).toContain(s.presets.find((x) => x.id === p)!.name)
        }
        const front = words(card, card.pages.slice(0, 1))
        const lessons = lessonsOf(compile(s))
        for (const l of lessons.slice(0, 5))
          expect(front).toContain(flat(doingOf(MAKER, s.controls.find((r) => r.id === l.row)!)))
        expect(front.includes('overleaf')).toBe(s.controls.length > Math.min(5, lessons.length))
      }
    },
  )
  test('nothing lies outside its page, and no two lines of one column on each other', () => {
    const s = long()
    for (const paper of PAPERS) {
      const [w, h] = CARD_PAPERS[paper]
      const card = controlsCard(MAKER, s, paper)
      expect(card.pages.length).toBeGreaterThan(4)
      for (const page of card.pages) {
        const lines = page.flatMap((p) => (p.t === 'text' && p.size > 7 ? [p] : []))
        for (const p of lines) {
          expect(p.x).toBeGreaterThanOrEqual(20)
          expect(p.y).toBeLessThanOrEqual(h - 15)
          expect(p.x).toBeLessThan(w - 30)
        }
        for (const p of page)
          if (p.t === 'path')
            for (const m of p.d.matchAll(/[ML] (-?[\d.]+) (-?[\d.]+)/g)) {
              expect(Number(m[1])).toBeLessThanOrEqual(w)
              expect(Number(m[2])).toBeLessThanOrEqual(h)
            }
        const columns = new Map<number, number[]>()
        for (const p of lines) columns.set(Math.round(p.x), [...(columns.get(Math.round(p.x)) ?? []), p.y])
        for (const ys of columns.values()) {
          const sorted = ys.toSorted((a, b) => a - b)
          for (const [i, y] of sorted.entries()) if (i) expect(y - sorted[i - 1]!).toBeGreaterThan(5)
        }
      }
    }
  })
  test('says its modes: what a menu chooses, and when it ends', () => {
    const s = done()
    const back = words(controlsCard(MAKER, s, 'A4'))
    for (const m of s.modes.filter((x) => x.is === 'menu')) expect(back).toContain(modeName(s, m.id))
    expect(back).toContain('Chooses the volume')
    expect(back).toContain('After ten seconds without a touch')
    s.controls[0]!.status = 'unsure'
    expect(words(controlsCard(MAKER, s, 'A4'))).toContain('Not sure: try it')
  })
  test('has a picture for every gesture and every pose', () => {
    const s = done()
    const [r] = s.controls
    const paths = (more: object) => {
      s.controls = [{ ...r!, ...more }]
      return controlsCard(MAKER, s, 'A5')
        .pages.at(-1)!
        .filter((p) => p.t === 'path').length
    }
    const bare = paths({ gesture: 'tap', pose: 'any' })
    for (const gesture of GESTURES) expect([gesture, paths({ gesture, pose: 'any' }) > 1]).toEqual([gesture, true])
    for (const pose of POSES.filter((p) => p !== 'any')) expect(paths({ gesture: 'tap', pose })).toBe(bare + 2)
    expect(paths({ gesture: 'tap', times: 3 })).toBe(bare + 3)
  })
  test('its pictures, places and words are as they were last read and found right', () => {
    const s = done()
    s.hilt.sections = []
    const [r] = s.controls
    s.controls = [
      ...s.controls,
      ...GESTURES.map((gesture, i) => ({
        ...{ ...r!, id: `g${i}`, gesture, pose: POSES[i % POSES.length]!, other: s.inputs[1]!.id },
        ...(i % 2 ? { hold: fact(1.5, 's', 'configured') } : {}),
        ...(gesture === 'tap' || gesture === 'twist' ? { times: 3 } : {}),
        ...(i === 4 ? { beeps: 2, presets: [s.presets[0]!.id] } : {}),
      })),
    ]
    const text = PAPERS.flatMap((paper) => {
      const card = controlsCard(MAKER, s, paper)
      return card.pages.flatMap((page, n) => [
        `===== ${card.title}, ${paper}, ${n + 1} of ${card.pages.length}`,
        ...page.map((p) =>
          p.t === 'text'
            ? `${p.as} ${p.x.toFixed(1)} ${p.y.toFixed(1)} ${p.size.toFixed(1)} ${p.weight} ${p.colour} ${p.text}`
            : `path ${p.fill ?? '-'} ${p.stroke ?? '-'} ${(p.width ?? 0).toFixed(2)} ${p.d.replace(/\d+\.\d+/g, (x) => Number(x).toFixed(1))}`,
        ),
      ])
    }).join('\n')
    const drawn = controlsCard(MAKER, done(), 'A5').pages[0]!.filter((p) => p.t === 'text')
    expect(drawn.map((p) => (p.t === 'text' ? p.text : ''))).toEqual(
      expect.arrayContaining(['front button', 'rear button']),
    )
    if (process.env.NUBRIN_DOCS) writeFileSync(FILE, `${text}\n`)
    expect(`${text}\n`).toBe(readFileSync(FILE, 'utf8'))
  })
  test('of a saber that has no controls says so', () => {
    let n = 0
    const s = blankSaber(() => `b${n++}x`, 'Bare', 'install')
    const card = controlsCard(MAKER, s, 'A5')
    expect(card.pages).toHaveLength(1)
    expect(words(card)).toContain('not recorded')
  })
  test('as SVG holds the same words, safely written', () => {
    const s = done()
    s.name = 'Reed & "Warden" <1>'
    const card = controlsCard(MAKER, s, 'A5')
    const svg = cardSvg(card, 0)
    expect(svg).toContain('Reed &amp; &quot;Warden&quot; &lt;1&gt;')
    expect(svg).not.toMatch(/<script|<1>/)
    expect([...svg.matchAll(/<text /g)]).toHaveLength(card.pages[0]!.filter((p) => p.t === 'text').length)
    expect(() => cardSvg(card, 99)).toThrow(RangeError)
  })
})

/** A saber whose card has many pages: long words, many rows, every gesture. */
function long(): Saber {
  const s = done()
  const [r] = s.controls
  s.controls = Array.from({ length: 160 }, (_, i) => ({
    ...r!,
    id: `long-${i}`,
    mode: s.modes[i % s.modes.length]!.id,
    gesture: GESTURES[i % GESTURES.length]!,
    pose: POSES[i % POSES.length]!,
    other: s.inputs[1]!.id,
    hold: fact(1 + (i % 4), 's', 'configured'),
    says: i % 9 ? `what it does, number ${i}` : `${'averylongwordthatmustbebroken'.repeat(3)} ${i}`,
  }))
  return s
}
