import { wiresBlocked } from '../../../fit'
import { check } from '../../check'

export const wires = check<{
  blocked: { count: number; at: number; circle: number; bundle: number; laid: number }
}>({
  id: 'wires',
  station: 'fit',
  scope: 'saber',
  source: 'circle packing; leads counted from what is connected',
  reads: ['hilt', 'parts', 'blades', 'zones'],
  run: ({ saber }) => {
    const w = saber.parts.some((p) => p.kind === 'wire') ? wiresBlocked(saber) : undefined
    if (!w) return []
    return [
      {
        code: 'blocked',
        subject: 'wires',
        level: 'stop',
        params: {
          count: w.gauges.reduce((a, g) => a + g.count, 0),
          at: w.section.x,
          circle: w.circle.r * 2,
          bundle: w.bundleMm,
          laid: w.laid.length,
        },
        refs: w.crossing.slice(0, 1).map((c) => c.ref),
      },
    ]
  },
})
