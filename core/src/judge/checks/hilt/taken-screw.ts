import type { TAKEN_OF_SCREW } from '../../../record'
import { check } from '../../check'

export const takenScrew = check<{ usual: { screw: string; taken: (typeof TAKEN_OF_SCREW)[number][] } }>({
  id: 'takenScrew',
  station: 'hilt',
  scope: 'saber',
  source: 'shop practice',
  reads: ['hilt'],
  run: ({ saber }, each) =>
    each(saber.hilt.fasteners, (f) =>
      f.taken?.length
        ? [
            {
              code: 'usual',
              subject: f.id,
              level: 'caution',
              params: { screw: f.name, taken: f.taken },
              refs: [`fastener:${f.id}` as const],
              // What nobody turns is printed nowhere but in the screw map.
              gate: f.clientMay !== 'never',
            },
          ]
        : [],
    ),
})
