import { overClosing as openThreads } from '../../../fit'
import { check } from '../../check'

export const overClosing = check<{
  unknown: { section: string }
  presses: { section: string; travel: number; left: number }
}>({
  id: 'overClosing',
  station: 'hilt',
  scope: 'saber',
  source: 'shop practice',
  reads: ['hilt', 'parts'],
  run: ({ saber }, each) =>
    each(openThreads(saber), (o) => {
      const refs = [`section:${o.section.id}` as const]
      const subject = o.section.id
      if (o.travelMm === undefined)
        return [
          {
            code: 'unknown' as const,
            subject,
            level: 'caution' as const,
            params: { section: o.section.name },
            refs,
          },
        ]
      return o.leftMm !== undefined && o.leftMm < 0
        ? [
            {
              code: 'presses' as const,
              subject,
              level: 'stop' as const,
              params: { section: o.section.name, travel: o.travelMm, left: o.leftMm },
              refs,
              gate: true,
            },
          ]
        : []
    }),
})
