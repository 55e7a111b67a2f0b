import { type Calculated, known } from '../../../facts'
import { safeVolume } from '../../../power'
import { check } from '../../check'

/** Below this a speaker is hardly heard over a swing, %; usual, and it may be wanted. */
const FAINT = 10
/** So much louder than it is shipped it may be, and nobody has said how loud, %: the client would ask. */
const FORGOTTEN = 10

export const loudVolume = check<{
  faint: { volume: number }
  unknown: { safe: Calculated }
  loud: { volume: number; safe: Calculated; most: number }
  above: { volume: number; highest: number }
  highest: { highest: number; safe: Calculated; most: number }
  possible: { volume: number; most: number; safe: Calculated }
}>({
  id: 'loudVolume',
  station: 'voice',
  scope: 'saber',
  source: 'P = (Vrms·volume)²/Z',
  reads: ['parts', 'use'],
  run: ({ saber }) => {
    const speakers = saber.parts.filter((p) => p.kind === 'speaker')
    if (!speakers.length) return []
    const safe = safeVolume(saber)
    const volume = known(saber.use.volume)
    if (volume === undefined) return [{ code: 'unknown', subject: 'volume', level: 'note', params: { safe } }]
    const highestSet = known(saber.use.highestVolume)
    const refs = speakers.map((p) => `part:${p.id}` as const)
    if (highestSet !== undefined && volume > highestSet)
      return [
        { code: 'above', subject: 'highest', level: 'stop', params: { volume, highest: highestSet }, refs, gate: true },
      ]
    if (safe.ok && highestSet !== undefined && highestSet > safe.value && volume <= safe.value)
      return [
        {
          code: 'highest',
          subject: 'highest',
          level: 'caution',
          params: { highest: highestSet, safe, most: safe.value },
          refs,
        },
      ]
    if (volume < FAINT) return [{ code: 'faint', subject: 'volume', level: 'caution', params: { volume }, refs }]
    if (safe.ok && highestSet === undefined && safe.value - volume >= FORGOTTEN)
      return [
        {
          ...{ code: 'possible', subject: 'highest', level: 'note', refs },
          params: { volume, most: safe.value, safe },
        },
      ]
    return safe.ok && volume > safe.value
      ? [
          {
            code: 'loud',
            subject: 'volume',
            level: 'caution',
            params: { volume, safe, most: safe.value },
            refs,
          },
        ]
      : []
  },
})
