import { nameOf, partsOfRef, type Task } from '../../../record'
import { check } from '../../check'

export const stepGone = check<{
  nowhere: { task: Task; text: string }
  forbidden: { task: Task; text: string; screw: string }
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
    'fixes',
    'decisions',
    'beats',
    'takes',
  ],
  run: ({ saber }, each) =>
    each(saber.access, ({ task, steps }) =>
      each(steps, (s) => {
        if (!s.place) return []
        if (nameOf(saber, s.place) === undefined)
          return [
            {
              code: 'nowhere' as const,
              subject: s.id,
              level: 'caution' as const,
              params: { task, text: s.text },
              gate: true,
            },
          ]
        const place = partsOfRef(s.place)
        const f = place?.kind === 'fastener' ? saber.hilt.fasteners.find((q) => q.id === place.id) : undefined
        return f?.clientMay === 'never'
          ? [
              {
                code: 'forbidden' as const,
                subject: s.id,
                level: 'stop' as const,
                params: { task, text: s.text, screw: f.name },
                refs: [s.place],
                gate: true,
              },
            ]
          : []
      }),
    ),
})
