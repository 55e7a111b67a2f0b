import { known } from '../../../facts'
import { pixels } from '../../../power'
import { check } from '../../check'

export const configuredPixels = check<{ differs: { blade: string; set: number; has: number } }>({
  id: 'configuredPixels',
  station: 'power',
  scope: 'saber',
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
})
