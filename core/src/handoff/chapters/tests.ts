import { latest, limitText, standing } from '../../proof'
import type { Saber, Test } from '../../record'
import { formatNumber } from '../../units'
import { say } from '../../words'
import { type Block, type SaberChapter, table } from '../block'

export const tests: SaberChapter = (s) => ({
  id: 'tests',
  title: say('chapter.tests'),
  blocks: s.tests.length ? [...results(s), ...repairs(s)] : [{ kind: 'para', text: say('tests.none') }],
})

function results(s: Saber): Block[] {
  const head = (column: 'test' | 'wanted' | 'found' | 'verdict') => say('chapter.tests.head', { column })
  return table(
    [head('test'), head('wanted'), head('found'), head('verdict')],
    s.tests.map((t) => [t.what, limitText(t), found(t), say('test.verdict', { standing: standing(s, t) })]),
  )
}

function found(t: Test): string {
  const last = latest(t)
  if (!last) return say('notRecorded')
  const value = last.value === undefined ? (last.text ?? '–') : `${formatNumber(last.value)} ${t.unit ?? ''}`
  return `${value}, ${last.at.slice(0, 10)}`
}

function repairs(s: Saber): Block[] {
  const head = (column: 'on' | 'cause' | 'fix') => say('chapter.repairs.head', { column })
  return table(
    [head('on'), head('cause'), head('fix')],
    s.fixes.map((f) => [f.on, f.cause, f.fix]),
  )
}
