import { retentionOf } from '../../../record'
import { check } from '../../check'

export const bladeSteps = check<{ untightened: { socket: string }; unserved: { socket: string } }>({
  id: 'bladeSteps',
  station: 'access',
  scope: 'saber',
  source: 'usual caution: blade secured before swinging',
  reads: ['hilt', 'blades', 'access'],
  run: ({ saber }, each) => {
    const steps = saber.access.filter((p) => p.task === 'bladeIn').flatMap((p) => p.steps)
    // Without any step there is a finding of its own.
    if (!steps.length) return []
    return each(saber.hilt.sockets, (k) => {
      const screws = retentionOf(saber, k)
      const places = new Set<string>([
        `socket:${k.id}`,
        `section:${k.section}`,
        ...screws.map((f) => `fastener:${f.id}`),
      ])
      for (const b of saber.blades) if (b.socket === k.id) places.add(`blade:${b.id}`)
      const base = {
        subject: k.id as string,
        refs: [`socket:${k.id}` as const],
        params: { socket: k.name },
        gate: true,
      }
      const own = steps.filter((s) => s.place !== undefined && places.has(s.place))
      // With one socket every step is about it, wherever it points.
      if (!own.length && saber.hilt.sockets.length > 1)
        return [{ ...base, code: 'unserved' as const, level: 'stop' as const }]
      // A screw that is loosened and left so is named by its own check.
      const turned = steps.some(
        (s) =>
          (s.direction === 'clockwise' || s.direction === 'anticlockwise') &&
          screws.some((f) => s.place === `fastener:${f.id}`),
      )
      return screws.length && !turned ? [{ ...base, code: 'untightened' as const, level: 'stop' as const }] : []
    })
  },
})
