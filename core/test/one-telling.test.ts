import { expect, test } from '@jest/globals'
import { proceduresOf } from '@nubrin/core/access'
import { buildHandoff, type HandoffDocument } from '@nubrin/core/handoff'
import { loadLanguages } from '@nubrin/core/languages'
import { type Commission, readerOf, type Saber, type Task, toldSaber } from '@nubrin/core/record'
import { compose, filmPieces, markdownOf, webVttOf } from '@nubrin/core/script'
import { LANGUAGES, type Language, type Reader } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import fc from 'fast-check'
import { CHANGES, changed } from './changed'
import { CHOICES, cleanOrder } from './clean'
import { drawn, tries } from './drawn'
import { firstLost } from './follows'
import { kindOfOrder, ORDERS } from './orders'
import { TODAY } from './samples'

loadLanguages()
const orders = LANGUAGES.flatMap((language) =>
  ORDERS.filter(([name]) => name !== 'twelve sabers').map(([name, make]) => [name, language, make] as const),
)
/** A text without what differs between a line of paper and a sentence: signs, spaces and capitals. */
const close = (t: string) =>
  t
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '')
const SCREWS = /^(loosen|remove|tighten)$/

/** What of the script, its captions and the paper is not told as the client's page plays it. */
function otherwise(c: Commission, language: Language): string[] {
  c.client.language = language
  const reader = readerOf(c)
  const d = buildHandoff(c, 'Shop', TODAY)
  const whole = c.sabers.flatMap((s) => inScript(c, reader, s, d))
  // In two minutes less is told, and what is told is the same.
  const short = c.sabers.flatMap((s) =>
    inScript(c, reader, { ...s, telling: { length: 'short', readers: [], differs: [] } }, d),
  )
  return [...whole, ...short, ...onPaper(d)]
}

const CELL: readonly Task[] = ['cellOut', 'cellIn', 'charge']
const OPENED: readonly Task[] = ['open', 'cellOut', 'card', 'port', 'cellIn', 'close']
/** What is left to paper says so, and leaves no warning of what is shown with it. */
function inScript(c: Commission, reader: Reader, s: Saber, d: HandoffDocument): string[] {
  s.beats = []
  s.beats = compose(c, s)
  const out: string[] = []
  const issued = new Set(d.procedures.filter((p) => p.saber === s.id).flatMap((p) => p.acts.map((x) => x.text)))
  const inside = close(s.beats.map((b) => b.say).join(' '))
  for (const b of s.beats)
    if (b.leftTo && b.covers.some((k) => k.startsWith('caution:'))) {
      // Only with all that it warns of.
      const of = b.covers.every((k) => k === 'caution:cell')
        ? CELL
        : b.covers.every((k) => k === 'caution:inside')
          ? OPENED
          : []
      const shown = s.beats.filter((x) => x.task && !x.leftTo && of.includes(x.task))
      if (!of.length || shown.length) out.push(`${b.say}: left to paper`)
    }
  const texts = [markdownOf(reader, c.title, s), webVttOf(reader, s)].map(close)
  for (const text of texts)
    for (const { task, acts } of filmPieces(s, proceduresOf(reader, toldSaber(c, s)))) {
      const beat = s.beats.find((b) => b.task === task)!
      if (beat.leftTo) {
        if (text === texts[0] && !text.includes(close(say(reader, 'script.leftTo', { leftTo: beat.leftTo }))))
          out.push(`${task}: nobody says where it is`)
        continue
      }
      // Screws that are turned one after the other are told in one breath.
      const alone = acts.filter((x) => x.ownWords || !x.does.some((a) => SCREWS.test(a.do)))
      const from = text.indexOf(close(beat.say))
      const told = from < 0 ? '' : text.slice(from, from + close(beat.say).length)
      const first = firstLost(
        told,
        alone.map((x) => close(x.text)),
      )
      if (from < 0 || first !== undefined) out.push(`${task}: ${first ?? 'not there'}`)
      for (const x of acts) if (!issued.has(x.text)) out.push(`${task}: “${x.text}” was not issued`)
      for (const x of acts)
        if (
          x.caution &&
          !inside.includes(close(x.caution)) &&
          !s.beats.some((b) => b.covers.some((k) => k.startsWith('caution:')))
        )
          out.push(`${task}: left out “${x.caution}”`)
    }
  return out
}

/** What is on paper are acts of the page, in its order, from where it says that they begin. */
function onPaper(d: HandoffDocument): string[] {
  return d.chapters.flatMap((ch) =>
    ch.blocks.flatMap((b): string[] => {
      if (b.kind !== 'steps') return []
      const p = d.procedures.filter((x) => x.saber === b.saber)[b.procedure!]!
      const from = (b.first ?? 1) - 1
      const to = from + b.steps.length
      const same = String(b.steps.map((x) => x.text)) === String(p.acts.slice(from, to).map((x) => x.text))
      const says = Boolean(b.lead) === from > 0 && Boolean(b.tail) === to < p.acts.length
      return same && says ? [] : [`${b.title} of ${b.saber}`]
    }),
  )
}

test.each(drawn(orders, 1 / 4, (o) => [o[1], kindOfOrder(o)]))(
  '%s, %s: script, captions and paper tell the acts that the client’s page plays, in its order, and leave no warning out',
  (_name, language, make) => expect(otherwise(make(), language)).toEqual([]),
)

test('so on any saber, whatever is said of its acts', () => {
  fc.assert(
    fc.property(CHOICES, CHANGES, fc.constantFrom(...LANGUAGES), (x, list, language) => {
      const c = cleanOrder(1, x)
      c.sabers = [changed(c.sabers[0]!, list)]
      expect(otherwise(c, language)).toEqual([])
    }),
    { numRuns: tries(300, 20) },
  )
})

test('one that is told in another order or not at all is noticed', () => {
  const [, make] = ORDERS.find(([name]) => name === 'Reed Warden')!
  const c = make()
  const d = buildHandoff(c, 'Shop', TODAY)
  const [b] = d.chapters.flatMap((ch) =>
    ch.blocks.flatMap((x) => (x.kind === 'steps' && x.steps.length > 2 ? [x] : [])),
  )
  b!.steps.reverse()
  expect(onPaper(d)).toEqual([`${b!.title} of ${b!.saber}`])
  const kept = buildHandoff(c, 'Shop', TODAY)
  for (const p of kept.procedures) p.acts.pop()
  expect(inScript(c, readerOf(c), c.sabers[0]!, kept).length).toBeGreaterThan(0)
})
