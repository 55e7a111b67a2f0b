import { changedSince, judge, type Limits, latest, limitText, plannedTests, standing } from '../../../proof'
import { nameOf, type Reading, refTo, type Saber, type Test } from '../../../record'
import { MAKER } from '../../../units'
import { check } from '../../check'

export const untested = check<{
  proposed: { tests: string[] }
  open: { tests: string[] }
  failed: { test: string; last: Reading | undefined; unit: string; wanted: string }
  retest: { test: string }
  /** What it rested on is another by now. */
  changed: { test: string; things: string[]; gone: number }
  /** It passed as it is written down, and a rating or a promise allows something else. */
  forbidden: { test: string; value: number; unit: string; allowed: string }
  noRepair: { saber: string }
}>({
  id: 'untested',
  station: 'proof',
  scope: 'saber',
  source: 'tests proposed from the record',
  reads: [
    'job',
    'name',
    'hilt',
    'parts',
    'joints',
    'access',
    'spoken',
    'inputs',
    'id',
    'cutPower',
    'keyDoes',
    'firmware',
    'blades',
    'zones',
    'use',
    'fonts',
    'presets',
    'inputs',
    'controls',
    'tests',
    'repairs',
    'settings',
    'items',
  ],
  run: ({ saber, loads }, each) => {
    const have = new Set(saber.tests.map((t) => t.key))
    const planned = plannedTests(MAKER, saber, loads)
    const proposed = planned.flatMap(({ test }) => (have.has(test.key) ? [] : [test]))
    const allowed = new Map(planned.map((p) => [p.test.key, p.allowed]))
    const open = saber.tests.filter((t) => standing(saber, t) === 'none')
    return [
      ...(saber.job === 'repair' && !saber.repairs.length
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
      ...each(saber.tests, (t) => verdict(saber, t, allowed.get(t.key))),
    ]
  },
})

function verdict(saber: Saber, t: Test, allowedBy: (() => Limits | undefined) | undefined) {
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
  const value = latest(t)?.value
  const allowed = stands === 'pass' ? allowedBy?.() : undefined
  if (allowed && value !== undefined && !judge({ ...allowed, unit: t.unit }, value, true))
    return [
      {
        ...base,
        code: 'forbidden' as const,
        params: { test: t.what, value, unit: t.unit ?? '', allowed: limitText(MAKER, { ...allowed, unit: t.unit }) },
      },
    ]
  if (stands !== 'retest') return []
  const changed = changedSince(saber, t)
  const things = changed.flatMap((r) => (r === refTo('saber', saber.id) ? [saber.name] : (nameOf(saber, r) ?? [])))
  return changed.length
    ? [
        {
          ...base,
          ...{
            code: 'changed' as const,
            params: { test: t.what, things: [...new Set(things)], gone: changed.length - things.length },
          },
          refs: [...new Set([...base.refs, ...changed])],
        },
      ]
    : [{ ...base, code: 'retest' as const, params: { test: t.what } }]
}
