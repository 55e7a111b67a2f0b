import { latest, limitText, proposeTests, standing } from '../../../proof'
import { isForeign, nameOf, own, type Saber, type Test } from '../../../record'
import { dayText, formatNumber } from '../../../units'
import { say, whether } from '../../../words'
import { type Block, type SaberChapter, table } from '../../block'
import { money, orNotRecorded, wordsOf } from '../../values'

export const tests: SaberChapter = (s) => ({
  id: 'tests',
  title: say('chapter.tests'),
  blocks: [...(s.tests.length ? results(s) : [{ kind: 'para' as const, text: say('tests.none') }]), ...repairs(s)],
})

/** A planned test in the words of the language that is spoken; one that nobody planned stands as it was written. */
function worded(s: Saber): (t: Test) => Test {
  if (!isForeign()) return (t) => t
  const plan = new Map(proposeTests(s).map((p) => [p.key, p]))
  return (t) => {
    const p = plan.get(t.key)
    return p
      ? { ...t, what: p.what, ...(p.expect && t.expect ? { expect: p.expect } : {}) }
      : { ...t, what: own(t.what) }
  }
}

function results(s: Saber): Block[] {
  const inWords = worded(s)
  const head = (column: 'test' | 'wanted' | 'found' | 'verdict') => say('chapter.tests.head', { column })
  return table(
    [head('test'), head('wanted'), head('found'), head('verdict')],
    s.tests
      .map(inWords)
      .map((t) => [
        say('test.what', { what: t.what, setup: t.setup ?? 'any' }),
        limitText(t),
        found(t),
        say('test.verdict', { standing: standing(s, t) }),
      ]),
  )
}

function found(t: Test): string {
  const plain = shown(t)
  return t.waived ? say('test.waived', { found: plain, ...t.waived, on: dayText(t.waived.on) }) : plain
}

function shown(t: Test): string {
  const last = latest(t)
  if (!last && t.notPossible) return say('test.notPossible', { why: t.notPossible })
  if (!last) return say('notRecorded')
  const value = last.value === undefined ? (last.text ?? '–') : `${formatNumber(last.value)} ${t.unit ?? ''}`
  return `${value}, ${dayText(last.at.slice(0, 10))}`
}

function repairs(s: Saber): Block[] {
  const head = (column: 'on' | 'fault' | 'cause' | 'fix' | 'proof') => say('chapter.repairs.head', { column })
  return table(
    [head('on'), head('fault'), head('cause'), head('fix'), head('proof')],
    s.fixes.map((f) => [
      say('repair.on', { on: dayText(f.on), reported: dayText(f.reportedOn ?? ''), known: whether(f.reportedOn) }),
      orNotRecorded(wordsOf(f.fault)),
      f.cause,
      say('repair.fix', { fix: f.fix, where: nameOf(s, f.place) ?? '', placed: whether(nameOf(s, f.place)) }),
      say('repair.proof', {
        ...{ cycles: f.cycles ?? 0, proved: f.cycles === undefined ? 'no' : 'yes' },
        ...{ charge: f.charge ? money(f.charge) : '', charged: whether(f.charge) },
      }),
    ]),
  )
}
