import { known } from '../../../facts'
import { ledResistors } from '../../../power'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

/** A resistor of the series is within this of its name. */
const TOLERANCE = 0.05

interface Fitted {
  resistor: string
  ohms: number
  wanted: string[]
}

export const fittedResistor = check<{
  /** It lets less through than half of what any of them wants. */
  wrong: Fitted
  /** It lets more through than any of them takes: so many times as much at the least, with a full cell. */
  over: Fitted & { times: number; led: string }
}>({
  id: 'fittedResistor',
  station: 'power',
  scope: 'saber',
  source: 'R = (V − Vf)/I at the full pack, next higher E24',
  reads: ['parts'],
  run: ({ saber }) => {
    // What says which resistor it stands behind is judged by that.
    const wants = ledResistors(saber).filter((w) => !w.part.through && !w.part.dies?.some((d) => d.through))
    const named = new Set(saber.parts.flatMap((p) => [p.through, ...(p.dies ?? []).map((d) => d.through)]))
    // As long as one of them is unknown, a resistor may be for that one.
    if (!wants.length || wants.some((w) => !w.choice)) return []
    return saber.parts
      .filter((p) => p.kind === 'resistor' && !named.has(p.id))
      .flatMap((p) => {
        const ohms = known(p.specs.ohms)
        if (ohms === undefined) return []
        // More lets less through and is a matter of taste, up to twice; less burns the LED.
        const fits = wants.some(
          ({ choice }) => ohms >= choice!.exactOhms * (1 - TOLERANCE) && ohms <= choice!.ohms * 2 * (1 + TOLERANCE),
        )
        if (fits) return []
        const said = {
          ...{ resistor: p.name, ohms },
          wanted: wants.map((w) => `${w.name} ${formatNumber(MAKER, w.choice!.ohms)} Ω`),
        }
        const at = { subject: p.id as string, refs: [`part:${p.id}` as const], gate: true }
        // Whichever it is for, the one that wants least resistance is harmed least.
        const [least] = wants.toSorted((a, b) => a.choice!.exactOhms - b.choice!.exactOhms)
        const times = least!.choice!.exactOhms / ohms
        return [
          times > 1
            ? {
                ...at,
                code: 'over' as const,
                level: 'stop' as const,
                params: { ...said, times, led: least!.name },
              }
            : { ...at, code: 'wrong' as const, level: 'caution' as const, params: said },
        ]
      })
  },
})
