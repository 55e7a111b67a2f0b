import { wiresBlocked } from '../../../fit'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'
import { mm } from '../../text'

export const wires = check<{
  blocked: { count: number; at: number; circle: number; bundle: number; laid: number }
}>({
  id: 'wires',
  station: 'fit',
  scope: 'saber',
  rule: 'The wires that pass a cut find room there: in one bundle, in two, or laid singly.',
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
  words: {
    blocked: (p) => ({
      title: `${p.count} wires do not pass at ${formatNumber(MAKER, p.at, 0)} mm`,
      detail: `The largest free circle is ${mm(p.circle)}, a bundle needs ${mm(p.bundle)}, and laid singly only ${p.laid} find room.`,
      remedy: 'Thinner wire where the current allows, a flatter board, or another order.',
    }),
  },
})
