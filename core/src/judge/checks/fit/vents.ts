import { ventShare } from '../../../fit'
import { check } from '../../check'

/** Below this share of the cone a vent muffles, %; the shop may change it. */
export const VENT_LIMIT = 33

export const vents = check<{ muffled: { share: number }; none: object }>({
  id: 'vents',
  station: 'fit',
  scope: 'saber',
  source: 'trade practice, editable',
  reads: ['hilt', 'parts'],
  run: ({ saber }) => {
    const speakers = saber.parts.filter((p) => p.kind === 'speaker')
    const open = saber.hilt.openings.some((o) => o.kind === 'vent' || o.kind === 'grille')
    if (!speakers.length) return []
    if (!open)
      return [
        {
          code: 'none',
          subject: 'none',
          level: 'caution',
          params: {},
          refs: speakers.map((p) => `part:${p.id}` as const),
        },
      ]
    const v = ventShare(saber)
    return v.ok && v.value < VENT_LIMIT
      ? [
          {
            code: 'muffled',
            subject: 'vents',
            level: 'caution',
            params: { share: v.value },
            refs: speakers.map((p) => `part:${p.id}` as const),
          },
        ]
      : []
  },
})
