import { FAR_LED_VOLTS, farLedVolts, litBlades } from '../../../power'
import { formatNumber } from '../../../units'
import { check } from '../../check'

export const farLed = check<{ sags: { blade: string; preset: string; volts: number } }>({
  id: 'farLed',
  station: 'power',
  scope: 'saber',
  rule: `The last pixel keeps ${FAR_LED_VOLTS} V in the first preset's colour with a half-charged cell.`,
  source: 'I·R over cell, wire and strip; forward voltage of blue and white dies',
  reads: ['hilt', 'parts', 'blades', 'zones', 'presets'],
  run: ({ saber }) => {
    const first = saber.presets[0]
    if (!first) return []
    return litBlades(saber)
      .filter((b) => b.kind === 'pixel')
      .flatMap((b) => {
        const v = farLedVolts(saber, b, first.colour)
        return v.ok && v.value < FAR_LED_VOLTS
          ? [
              {
                code: 'sags' as const,
                subject: b.id,
                level: 'caution' as const,
                params: { blade: b.name, preset: first.name, volts: v.value },
                refs: [`blade:${b.id}` as const],
              },
            ]
          : []
      })
  },
  words: {
    sags: (p) => ({
      title: `${p.blade}: ${formatNumber(p.volts)} V at the last pixel`,
      detail: `In ${p.preset}, half charged; blue and white want ${FAR_LED_VOLTS} V, so the tip shifts in colour.`,
      remedy: 'Feed the strip at both ends, thicker wire, or less brightness.',
    }),
  },
})
