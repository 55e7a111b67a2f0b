import { nameOf, type Procedure, type Ref } from '../../../record'
import { check } from '../../check'

export const retightened = check<{ never: { screw: string } }>({
  id: 'retightened',
  station: 'access',
  scope: 'saber',
  source: 'usual caution: blade secured before swinging',
  reads: ['hilt', 'access'],
  run: ({ saber }) =>
    saber.access
      .filter((p) => p.task === 'bladeIn')
      .flatMap(leftLoose)
      .map((ref) => ({
        code: 'never',
        subject: ref,
        level: 'stop',
        params: { screw: nameOf(saber, ref) ?? 'a screw' },
        refs: [ref],
        gate: true,
      })),
})

/** Screws that a task loosens last and does not tighten after. */
function leftLoose(p: Procedure): Ref[] {
  const last = (ref: Ref, direction: string) =>
    p.steps.findLastIndex((s) => s.place === ref && s.direction === direction)
  const loosened = p.steps.flatMap((s) =>
    s.direction === 'anticlockwise' && s.place?.startsWith('fastener:') ? [s.place] : [],
  )
  return [...new Set(loosened)].filter((ref) => last(ref, 'clockwise') < last(ref, 'anticlockwise'))
}
