import { addLight, difference, hueWord } from '../../../light'
import { colourOf, effectColours } from '../../../record'
import { check } from '../../check'

/** An effect this near to its sum with the base reads as itself, and a sum this near to white as near white, ΔE00 (CIE 2000); set by eye at the bench. */
const READS = 12
const NEAR_WHITE = 22

export const lostEffect = check<{
  lost: { preset: string; effect: string; asked: string; reads: string; colour: string; base: string; sum: string }
}>({
  id: 'lostEffect',
  station: 'voice',
  scope: 'saber',
  source: 'additive light in linear RGB, ΔE00 to white',
  reads: ['presets'],
  run: ({ saber }) =>
    saber.presets.flatMap((p) =>
      effectColours(p).flatMap(([effect, colour]) => {
        const base = colourOf(p)
        const sum = addLight(base, colour)
        const asked = hueWord(colour)
        const hue = hueWord(sum)
        if (hue === asked || asked === 'white' || difference(sum, colour) < READS) return []
        const reads = difference(sum, '#ffffff') < NEAR_WHITE ? 'near white' : hue
        return [
          {
            code: 'lost' as const,
            subject: `${p.id}-${effect}`,
            level: 'caution' as const,
            params: { preset: p.name, effect, asked, reads, colour, base, sum },
            refs: [`preset:${p.id}` as const],
          },
        ]
      }),
    ),
})
