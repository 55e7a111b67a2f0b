import { hueWord } from '../../../light'
import { colourOf, effectColours } from '../../../record'
import { check } from '../../check'

/** Thin events over a strong blade that makers have seen lose their colour: the base, the event, and what they say of it. */
const SEEN: readonly { base: readonly string[]; event: readonly string[]; says: 'white' | 'nothing' }[] = [
  { base: ['green', 'teal'], event: ['yellow', 'pale yellow', 'orange', 'pale orange'], says: 'white' },
  { base: ['sky blue', 'teal'], event: ['green', 'pale green'], says: 'nothing' },
]
/** Thin: a spot or a spark of the blade, not all of it. */
const THIN: ReadonlySet<string> = new Set(['deflect', 'lock', 'drag', 'surge', 'clash'])

export const bleached = check<{
  bleaches: { preset: string; effect: string; asked: string; base: string; says: 'white' | 'nothing' }
}>({
  id: 'bleached',
  station: 'voice',
  scope: 'saber',
  source: 'makers’ experience, not computed: the eye adapts to the base, and a thin bright light loses its colour',
  reads: ['presets'],
  run: ({ saber }, each) =>
    each(saber.presets, (p) => {
      if (p.look) return []
      const base = hueWord(colourOf(p))
      return effectColours(p).flatMap(([effect, hex]) => {
        const asked = hueWord(hex)
        const seen = THIN.has(effect) && SEEN.find((s) => s.base.includes(base) && s.event.includes(asked))
        return seen
          ? [
              {
                ...{ code: 'bleaches' as const, subject: `${p.id}-${effect}`, level: 'note' as const },
                params: { preset: p.name, effect, asked, base, says: seen.says },
                refs: [`preset:${p.id}` as const],
              },
            ]
          : []
      })
    }),
})
