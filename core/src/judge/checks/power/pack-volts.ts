import { known } from '../../../facts'
import { litBlades, packOf } from '../../../power'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

interface Drop {
  blade: string
  forward: number
  pack: number
}

export const packVolts = check<{ burns: { pack: number }; dark: Drop; fades: Drop }>({
  id: 'packVolts',
  station: 'power',
  scope: 'saber',
  rule: 'Pixels take 5 V: a pack above that feeds them through a converter. A string takes what its LEDs drop.',
  source: 'LED datasheets',
  reads: ['hilt', 'parts', 'blades'],
  run: ({ saber }, each) => {
    const pack = packOf(saber)
    const cell = pack.cells[0]
    const nominal = known(cell?.specs.nominalVolts)
    if (!cell || nominal === undefined) return []
    const volts = nominal * pack.series
    const low = (known(cell.specs.cutoffVolts) ?? 3) * pack.series
    const lit = litBlades(saber)
    const converted = saber.parts.some((p) => p.kind === 'auxBoard' && p.converter)
    const burns = lit.some((b) => b.kind === 'pixel') && pack.stepDown < 1 && !converted
    return [
      ...(burns
        ? [
            {
              code: 'burns' as const,
              subject: 'converter',
              level: 'stop' as const,
              params: { pack: volts },
              refs: [`part:${cell.id}` as const],
              gate: true,
            },
          ]
        : []),
      ...each(
        lit.filter((b) => b.kind === 'string'),
        (b) => {
          const forward = known(b.forwardVolts)
          const refs = [`blade:${b.id}` as const]
          if (forward !== undefined && forward > volts)
            return [
              {
                code: 'dark' as const,
                subject: `${b.id}-dark`,
                level: 'stop' as const,
                params: { blade: b.name, forward, pack: volts },
                refs,
                gate: true,
              },
            ]
          return forward !== undefined && forward > low
            ? [
                {
                  code: 'fades' as const,
                  subject: `${b.id}-fades`,
                  level: 'note' as const,
                  params: { blade: b.name, forward, pack: low },
                  refs,
                },
              ]
            : []
        },
      ),
    ]
  },
  words: {
    burns: (p) => ({
      title: `${formatNumber(MAKER, p.pack)} V would burn the pixels`,
      detail: `They take 5 V at most; the pack gives ${formatNumber(MAKER, p.pack)} V and no converter is fitted.`,
      remedy: 'Fit a voltage converter, or join the cells in parallel.',
    }),
    dark: (p) => ({
      title: `${p.blade} stays dark`,
      detail: `A group drops ${formatNumber(MAKER, p.forward)} V, the pack gives ${formatNumber(MAKER, p.pack)} V.`,
      remedy: 'More cells in series, or a string made for this voltage.',
    }),
    fades: (p) => ({
      title: `${p.blade} fades before the cell is empty`,
      detail: `A group drops ${formatNumber(MAKER, p.forward)} V; at the cut-off the pack gives ${formatNumber(MAKER, p.pack)} V.`,
      remedy: 'Tell the client to charge when it dims.',
    }),
  },
})
