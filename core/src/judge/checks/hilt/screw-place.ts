import { known } from '../../../facts'
import { check } from '../../check'

export const screwPlace = check<{ nowhere: { screw: string } }>({
  id: 'screwPlace',
  station: 'hilt',
  scope: 'saber',
  source: 'shop practice',
  reads: ['hilt'],
  run: ({ saber }) =>
    saber.hilt.fasteners
      .filter((f) => known(f.at) === undefined || known(f.clock) === undefined)
      .map((f) => ({
        code: 'nowhere',
        subject: f.id,
        level: 'caution',
        params: { screw: f.name },
        refs: [`fastener:${f.id}`],
        gate: f.clientMay !== 'never' || f.purpose === 'bladeRetention',
      })),
})
