import { latest, limitText, plannedTests, standing } from '../../../proof'
import type { Reading, Saber, Test } from '../../../record'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'
import { listed } from '../../text'

export const untested = check<{
  proposed: { tests: string[] }
  open: { tests: string[] }
  failed: { test: string; last: Reading | undefined; unit: string; wanted: string }
  retest: { test: string }
  noRepair: { saber: string }
}>({
  id: 'untested',
  station: 'proof',
  scope: 'saber',
  rule: 'What is fitted and set up is tested once, after the last fix that touched it.',
  source: 'tests proposed from the record',
  reads: [
    'job',
    'name',
    'hilt',
    'parts',
    'joints',
    'cutPower',
    'blades',
    'zones',
    'use',
    'presets',
    'inputs',
    'controls',
    'tests',
    'fixes',
    'settings',
    'items',
  ],
  run: ({ saber, loads }, each) => {
    const have = new Set(saber.tests.map((t) => t.key))
    const proposed = plannedTests(MAKER, saber, loads).flatMap(({ test }) => (have.has(test.key) ? [] : [test]))
    const open = saber.tests.filter((t) => standing(saber, t) === 'none')
    return [
      ...(saber.job === 'repair' && !saber.fixes.length
        ? [
            {
              code: 'noRepair' as const,
              subject: 'noRepair',
              level: 'caution' as const,
              params: { saber: saber.name },
              gate: true,
            },
          ]
        : []),
      ...(proposed.length
        ? [
            {
              code: 'proposed' as const,
              subject: 'proposed',
              level: 'caution' as const,
              params: { tests: proposed.map((p) => p.what) },
              names: proposed.map((p) => p.key),
              gate: true,
            },
          ]
        : []),
      ...(open.length
        ? [
            {
              code: 'open' as const,
              subject: 'open',
              level: 'caution' as const,
              params: { tests: open.map((t) => t.what) },
              names: open.map((t) => t.id),
              refs: open.flatMap((t) => (t.place ? [t.place] : [])).slice(0, 4),
              gate: true,
            },
          ]
        : []),
      ...each(saber.tests, (t) => verdict(saber, t)),
    ]
  },
  words: {
    proposed: ({ tests }) => ({
      title: `${tests.length} ${tests.length === 1 ? 'test is' : 'tests are'} proposed and not taken up`,
      detail: listed(tests),
      remedy: `Take ${tests.length === 1 ? 'it' : 'them'} up under Proof.`,
    }),
    open: ({ tests }) => ({
      title: `${tests.length} ${tests.length === 1 ? 'test has' : 'tests have'} no reading`,
      detail: listed(tests),
      remedy: `Carry ${tests.length === 1 ? 'it' : 'them'} out.`,
    }),
    failed: (p) => ({
      title: `Failed: ${p.test}`,
      detail: `${p.last?.value === undefined ? (p.last?.text ?? 'failed') : `${formatNumber(MAKER, p.last.value)} ${p.unit}`}; wanted ${p.wanted}.`,
      remedy: 'Find the cause, record the fix, test again.',
    }),
    noRepair: (p) => ({
      title: `${p.saber} is here for repair, and no repair is recorded`,
      detail: 'Neither the cause nor what was done is known.',
      remedy: 'Record the cause and the fix; its test is proposed then.',
    }),
    retest: (p) => ({
      title: `Test again: ${p.test}`,
      detail: 'A fix came after its last reading.',
      remedy: 'Repeat the test.',
    }),
  },
})

function verdict(saber: Saber, t: Test) {
  const stands = standing(saber, t)
  const base = { subject: t.id as string, level: 'stop' as const, refs: t.place ? [t.place] : [], gate: true }
  if (stands === 'fail')
    return [
      {
        ...base,
        code: 'failed' as const,
        params: { test: t.what, last: latest(t), unit: t.unit ?? '', wanted: limitText(MAKER, t) },
      },
    ]
  return stands === 'retest' ? [{ ...base, code: 'retest' as const, params: { test: t.what } }] : []
}
