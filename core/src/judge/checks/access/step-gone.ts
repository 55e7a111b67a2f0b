import { type GoalKind, nameOf, partsOfRef, type Ref } from '../../../record'
import { check } from '../../check'

export const stepGone = check<{
  nowhere: { goal: GoalKind; text: string }
  forbidden: { goal: GoalKind; text: string; screw: string }
}>({
  id: 'stepGone',
  station: 'access',
  scope: 'saber',
  source: 'screw map',
  reads: [
    'hilt',
    'parts',
    'blades',
    'zones',
    'presets',
    'inputs',
    'controls',
    'access',
    'tests',
    'repairs',
    'decisions',
    'beats',
    'takes',
  ],
  run: ({ saber }, each) =>
    each(saber.access, ({ goal, steps }) =>
      each(steps, (s) => {
        const at: Ref | undefined = s.place ?? s.act?.at
        if (!at) return []
        const text = s.text ?? ''
        // What hangs on an act that is gone is named where it is not used.
        if (s.place && nameOf(saber, s.place) === undefined)
          return [
            {
              code: 'nowhere' as const,
              subject: s.id,
              level: 'caution' as const,
              params: { goal, text },
              gate: true,
            },
          ]
        const place = partsOfRef(at)
        const f = place?.kind === 'fastener' ? saber.hilt.fasteners.find((q) => q.id === place.id) : undefined
        return f?.clientMay === 'never'
          ? [
              {
                code: 'forbidden' as const,
                subject: s.id,
                level: 'stop' as const,
                params: { goal, text, screw: f.name },
                refs: [at],
                gate: true,
              },
            ]
          : []
      }),
    ),
})
