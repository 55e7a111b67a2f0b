import { known } from '../../../facts'
import { pixels } from '../../../power'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

export const configuredPixels = check<{ differs: { blade: string; set: number; has: number } }>({
  id: 'configuredPixels',
  station: 'power',
  scope: 'saber',
  rule: 'The board is set to as many pixels as the blade has along its length.',
  source: 'arithmetic: density × lit length',
  reads: ['hilt', 'blades'],
  run: ({ saber }) =>
    saber.blades.flatMap((b) => {
      const set = known(b.configured)
      const has = b.kind === 'pixel' ? pixels(saber, b) : undefined
      return set !== undefined && has?.ok && set !== has.value
        ? [
            {
              ...{ code: 'differs' as const, subject: b.id, level: 'caution' as const },
              params: { blade: b.name, set, has: has.value },
              refs: [`blade:${b.id}` as const],
            },
          ]
        : []
    }),
  words: {
    differs: (p) => ({
      title: `${p.blade}: set to ${formatNumber(MAKER, p.set, 0)} pixels, it has ${formatNumber(MAKER, p.has, 0)}`,
      detail:
        p.set < p.has
          ? 'The tip stays dark.'
          : 'The blade fills too late, and retracts as if it were longer than it is.',
      remedy: 'Set the board to the blade, or correct what is recorded of it.',
    }),
  },
})
