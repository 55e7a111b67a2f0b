import type { Missing } from '../../../facts'
import { axialSlack, CLAMP, clampOf } from '../../../fit'
import type { Ref } from '../../../record'
import { check } from '../../check'

export const slack = check<{
  unknown: { needs: Missing['needs'] }
  tooLong: { by: number; taken: number }
  tolerances: { slack: number; worst: number; rss: number }
}>({
  id: 'slack',
  station: 'fit',
  scope: 'saber',
  source: 'axial sum, worst case Σ|tol|',
  reads: ['hilt', 'parts'],
  run: ({ saber }) => {
    if (!saber.parts.length || !saber.hilt.sections.length) return []
    const s = axialSlack(saber)
    if (!s.nominal.ok)
      return [
        {
          code: 'unknown',
          subject: 'slack',
          level: 'note',
          params: { needs: s.nominal.needs },
          refs: s.nominal.needs.flatMap((n) => (n.ref ? [n.ref as Ref] : [])),
        },
      ]
    const v = s.nominal.value
    // Held by its length, the chassis is meant to be pressed a little: that is no closing too far.
    const held = clampOf(saber)
    const pressed = held?.changeMm === 0 && -v <= CLAMP.most + 1e-9
    if (v < 0 && pressed) return []
    if (v < 0)
      return [
        {
          code: 'tooLong',
          subject: 'slack',
          level: 'stop',
          params: { by: -v, taken: s.chain.reduce((a, c) => a + c.lengthMm, 0) },
          gate: true,
        },
      ]
    return v < s.worst
      ? [
          {
            code: 'tolerances',
            subject: 'slack',
            level: 'caution',
            params: { slack: v, worst: s.worst, rss: s.rss },
          },
        ]
      : []
  },
})
