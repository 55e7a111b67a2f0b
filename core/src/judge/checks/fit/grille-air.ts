import { grilleAir as airBefore, GRILLE_AIR } from '../../../fit'
import { check } from '../../check'

export interface Air {
  speaker: string
  /** What it looks at; nothing is the end of the pommel. */
  before: string | undefined
  air: number
}

export const grilleAir = check<{ inside: Air; touches: Air }>({
  id: 'grilleAir',
  station: 'fit',
  scope: 'saber',
  source: 'trade practice, editable',
  reads: ['hilt', 'parts'],
  run: ({ saber }) =>
    airBefore(saber).flatMap((a) =>
      a.air.ok && a.air.value < GRILLE_AIR
        ? [
            {
              code: a.air.value < 0 ? ('inside' as const) : ('touches' as const),
              subject: a.speaker.id,
              level: a.air.value < 0 ? ('stop' as const) : ('caution' as const),
              params: { speaker: a.speaker.name, before: a.before, air: a.air.value },
              refs: [`part:${a.speaker.id}` as const],
            },
          ]
        : [],
    ),
})
