import { duties } from '../../../light'
import { FAR_LED_VOLTS, farLedVolts, litBlades } from '../../../power'
import { check } from '../../check'

/** A die below this duty is dark to the eye. */
const LIT = 0.005

/** The dies of a colour that want the higher voltage: green and blue; red does with two volts. */
function hungry(colour: string): string[] {
  const [, green, blue] = duties(colour)
  return [...(green > LIT ? ['green'] : []), ...(blue > LIT ? ['blue'] : [])]
}

export const farLed = check<{ sags: { blade: string; presets: string[]; dies: string[]; volts: number } }>({
  id: 'farLed',
  station: 'power',
  scope: 'saber',
  source: 'I·R over cell, wire and strip; forward voltage of green and blue dies',
  reads: ['hilt', 'parts', 'blades', 'zones', 'presets', 'use'],
  run: ({ saber, loads }) => {
    const steady = loads.filter((l) => l.lasts === 'steady')
    return litBlades(saber)
      .filter((b) => b.kind === 'pixel')
      .flatMap((b) => {
        const low = steady.flatMap(({ preset: p, colour, current }) => {
          const dies = hungry(colour)
          const v = dies.length ? farLedVolts(saber, b, colour, current) : undefined
          return v?.ok && v.value < FAR_LED_VOLTS ? [{ p, dies, volts: v.value }] : []
        })
        return low.length
          ? [
              {
                code: 'sags' as const,
                subject: b.id as string,
                level: 'caution' as const,
                params: {
                  blade: b.name,
                  presets: low.map((l) => l.p.name),
                  dies: [...new Set(low.flatMap((l) => l.dies))],
                  volts: Math.min(...low.map((l) => l.volts)),
                },
                refs: [`blade:${b.id}` as const],
                names: low.map((l) => l.p.id),
              },
            ]
          : []
      })
  },
})
