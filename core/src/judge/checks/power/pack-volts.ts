import { known } from '../../../facts'
import { litBlades, packOf } from '../../../power'
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
})
