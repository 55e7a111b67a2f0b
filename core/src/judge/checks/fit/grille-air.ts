import { grilleAir as airBefore, GRILLE_AIR } from '../../../fit'
import { check } from '../../check'
import { mm } from '../../text'

interface Air {
  speaker: string
  before: string
  air: number
}
const rest = (p: Air) => ({
  detail: `Its face is ${mm(p.air)} from it; the cone moves by more than that.`,
  remedy: `Move it forward by ${mm(GRILLE_AIR - p.air)}, or put a ring before it.`,
})

export const grilleAir = check<{ inside: Air; touches: Air }>({
  id: 'grilleAir',
  station: 'fit',
  scope: 'saber',
  rule: `A speaker's face keeps ${GRILLE_AIR} mm of air before what it looks at.`,
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
              params: { speaker: a.speaker.name, before: a.before ?? 'end of the pommel', air: a.air.value },
              refs: [`part:${a.speaker.id}` as const],
            },
          ]
        : [],
    ),
  words: {
    inside: (p) => ({ title: `${p.speaker} lies ${mm(-p.air)} inside the ${p.before}`, ...rest(p) }),
    touches: (p) => ({ title: `${p.speaker} touches the ${p.before}`, ...rest(p) }),
  },
})
