import { known } from '../../../facts'
import { ledResistors } from '../../../power'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

/** A resistor of the series is within this of its name. */
const TOLERANCE = 0.05

export const fittedResistor = check<{ wrong: { resistor: string; ohms: number; wanted: string[] } }>({
  id: 'fittedResistor',
  station: 'power',
  scope: 'saber',
  source: 'R = (V − Vf)/I at the full pack, next higher E24',
  reads: ['parts'],
  run: ({ saber }) => {
    const wants = ledResistors(saber)
    // As long as one of them is unknown, a resistor may be for that one.
    if (!wants.length || wants.some((w) => !w.choice)) return []
    return saber.parts
      .filter((p) => p.kind === 'resistor')
      .flatMap((p) => {
        const ohms = known(p.specs.ohms)
        if (ohms === undefined) return []
        // More lets less through and is a matter of taste, up to twice; less burns the LED.
        const fits = wants.some(
          ({ choice }) => ohms >= choice!.exactOhms * (1 - TOLERANCE) && ohms <= choice!.ohms * 2 * (1 + TOLERANCE),
        )
        return fits
          ? []
          : [
              {
                code: 'wrong' as const,
                subject: p.id as string,
                level: 'caution' as const,
                params: {
                  ...{ resistor: p.name, ohms },
                  wanted: wants.map((w) => `${w.part.name} ${formatNumber(MAKER, w.choice!.ohms)} Ω`),
                },
                refs: [`part:${p.id}` as const],
                gate: true,
              },
            ]
      })
  },
})
