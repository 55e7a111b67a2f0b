import { type Loose, listOf, object } from './loose'

/**
 * Version 14 knew of an event its colour alone, and a light that follows by whom it follows: now an event has a look, and whether a
 * light follows is said by somebody. A light of which nothing was said may have one of its own, or not: that is asked.
 */
export function liftLights(d: Loose): Loose {
  const lifted = structuredClone({ ...d, version: 15 }) as Loose
  for (const s of listOf(lifted.sabers)) {
    s.cards = []
    for (const p of listOf(s.presets)) {
      p.lights = []
      const effects = object(p.effects)
      for (const [event, colour] of Object.entries(effects)) effects[event] = { colour }
      if (p.effects !== undefined) p.effects = effects
    }
    for (const z of listOf(s.zones))
      if (z.follows !== undefined || z.blade !== undefined) z.shines = { value: 'withAnother', source: 'recalled' }
  }
  return lifted
}
