import { ventShare } from '../../../fit'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

/** Below this share of the cone a vent muffles, %; the shop may change it. */
const VENT_LIMIT = 33

export const vents = check<{ muffled: { share: number }; none: object }>({
  id: 'vents',
  station: 'fit',
  scope: 'saber',
  rule: `Vents smaller than ${VENT_LIMIT} % of the speaker's cone muffle the sound.`,
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
  words: {
    none: () => ({
      title: 'No vent or grille is recorded',
      detail: 'A speaker is fitted, and nothing is known of where its sound goes out.',
      remedy: 'Record the vents under Hilt, and how large they are.',
    }),
    muffled: (p) => ({
      title: 'The speaker will sound muffled',
      detail: `The vents are ${formatNumber(MAKER, p.share, 0)} % of the cone.`,
      remedy: 'Open the vents, or seal the back and say so.',
    }),
  },
})
