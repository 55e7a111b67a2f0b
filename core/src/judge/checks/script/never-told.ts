import { gestureText } from '../../../controls'
import { uncovered } from '../../../script'
import { MAKER } from '../../../units'
import { check, TOPICS_READ } from '../../check'

export const neverTold = check<{
  noScript: { topics: number }
  off: { gesture: string }
  gaps: { topics: string[] }
}>({
  id: 'neverTold',
  station: 'walkthrough',
  scope: 'saber',
  source: 'coverage',
  reads: [...TOPICS_READ, 'leftOut'],
  run: ({ commission, saber, topics }) => {
    if (!saber.beats.length) {
      const must = topics.filter((t) => t.must).length
      return must > 2
        ? [{ code: 'noScript', subject: 'none', level: 'caution', params: { topics: must }, gate: true }]
        : []
    }
    const gaps = uncovered(commission, saber, topics).filter((t) => t.must)
    const off = saber.controls.filter((r) => r.does === 'retract')
    const untoldOff = off.filter((r) => gaps.some((g) => g.key === `control:${r.id}`))
    const rest = gaps.filter((g) => !off.some((r) => g.key === `control:${r.id}`))
    return [
      ...untoldOff.map((r) => ({
        code: 'off' as const,
        subject: `off-${r.id}`,
        level: 'stop' as const,
        params: { gesture: gestureText(MAKER, saber, r) },
        refs: [`row:${r.id}` as const],
        gate: true,
      })),
      ...(rest.length
        ? [
            {
              code: 'gaps' as const,
              subject: 'gaps',
              level: 'caution' as const,
              params: { topics: rest.map((g) => g.what) },
              refs: rest.flatMap((g) => (g.show ? [g.show] : [])).slice(0, 5),
              gate: true,
            },
          ]
        : []),
    ]
  },
})
