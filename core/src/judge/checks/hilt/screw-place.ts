import { known } from '../../../facts'
import { check } from '../../check'

export const screwPlace = check<{ nowhere: { screw: string } }>({
  id: 'screwPlace',
  station: 'hilt',
  scope: 'saber',
  rule: 'A screw has a place: a client finds it by the screw map.',
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
  words: {
    nowhere: (p) => ({
      title: `${p.screw}: where is it?`,
      detail: 'Its distance from the pommel or its clock angle is not recorded; it is missing on the screw map.',
      remedy: 'Measure it, or set it on the drawing.',
    }),
  },
})
