import { overClosing as openThreads } from '../../../fit'
import { check } from '../../check'
import { mm } from '../../text'

export const overClosing = check<{
  unknown: { section: string }
  presses: { section: string; travel: number; left: number }
}>({
  id: 'overClosing',
  station: 'hilt',
  scope: 'saber',
  rule: 'A thread that nothing stops is locked, or leaves room for being closed too far.',
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
  words: {
    unknown: (p) => ({
      title: `${p.section}: nothing stops its thread`,
      detail: 'How far it can be closed past its place is not recorded.',
      remedy: 'Measure it, add a stop, or lock the thread.',
    }),
    presses: (p) => ({
      title: `${p.section} can be closed ${mm(p.travel)} too far`,
      detail: `The slack inside is ${mm(p.left + p.travel)}: it presses on what lies there.`,
      remedy: `A stop or a spacer of ${mm(p.travel)}, or lock the thread, and tell the client when to stop.`,
    }),
  },
})
