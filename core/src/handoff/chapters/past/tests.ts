import { latest, limitText, proposeTests, standing } from '../../../proof'
import { isForeign, nameOf, type Saber, type Test } from '../../../record'
import { dayText, formatNumber, type Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type Block, type SaberChapter, table } from '../../block'
import { money, orNotRecorded, wordsOf } from '../../values'

export const tests: SaberChapter = (reader, s) => ({
  id: 'tests',
  title: say(reader, 'chapter.tests'),
  blocks: [
    ...(s.tests.length ? results(reader, s) : [{ kind: 'para' as const, text: say(reader, 'tests.none') }]),
    ...repairs(reader, s),
  ],
})

/** A planned test in the words of the language that is spoken; one that nobody planned stands as it was written. */
function worded(reader: Reader, s: Saber): (t: Test) => Test {
  if (!isForeign(reader)) return (t) => t
  const plan = new Map(proposeTests(reader, s).map((p) => [p.key, p]))
  return (t) => {
    const p = plan.get(t.key)
    return p ? { ...t, what: p.what, ...(p.expect && t.expect ? { expect: p.expect } : {}) } : t
  }
}

function results(reader: Reader, s: Saber): Block[] {
  const inWords = worded(reader, s)
  const head = (column: 'test' | 'wanted' | 'found' | 'verdict') => say(reader, 'chapter.tests.head', { column })
  return table(
    [head('test'), head('wanted'), head('found'), head('verdict')],
    s.tests
      .map(inWords)
      .map((t) => [
        say(reader, 'test.what', { what: t.what, setup: t.setup ?? 'any' }),
        limitText(reader, t),
        found(reader, t),
        say(reader, 'test.verdict', { standing: standing(s, t) }),
      ]),
  )
}

function found(reader: Reader, t: Test): string {
  const plain = shown(reader, t)
  return t.waived ? say(reader, 'test.waived', { found: plain, ...t.waived, on: dayText(reader, t.waived.on) }) : plain
}

function shown(reader: Reader, t: Test): string {
  const last = latest(t)
  if (!last && t.notPossible) return say(reader, 'test.notPossible', { why: t.notPossible })
  if (!last) return say(reader, 'notRecorded')
  const value = last.value === undefined ? last.text : `${formatNumber(reader, last.value)} ${t.unit ?? ''}`
  // A verdict alone stands in its own column.
  return [value?.trim(), dayText(reader, last.at.slice(0, 10))].filter(Boolean).join(', ')
}

function repairs(reader: Reader, s: Saber): Block[] {
  const head = (column: 'on' | 'fault' | 'cause' | 'fix' | 'proof') => say(reader, 'chapter.repairs.head', { column })
  return table(
    [head('on'), head('fault'), head('cause'), head('fix'), head('proof')],
    s.repairs.map((f) => [
      say(reader, 'repair.on', {
        on: dayText(reader, f.on),
        reported: dayText(reader, f.reportedOn ?? ''),
        known: whether(f.reportedOn),
      }),
      orNotRecorded(reader, wordsOf(reader, f.fault)),
      f.cause,
      say(reader, 'repair.fix', { fix: f.fix, where: nameOf(s, f.place) ?? '', placed: whether(nameOf(s, f.place)) }),
      say(reader, 'repair.proof', {
        ...{ cycles: f.cycles ?? 0, proved: f.cycles === undefined ? 'no' : 'yes' },
        ...{ charge: f.charge ? money(reader, f.charge) : '', charged: whether(f.charge) },
      }),
    ]),
  )
}
