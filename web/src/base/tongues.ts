import type { Language } from '@nubrin/core/units'

let coming: Promise<void> | undefined
let learnt = false

/**
 * Fetches the other languages where somebody reads one; undefined when nothing has to be fetched. Where they cannot be fetched
 * what a client reads is shown in English until they can.
 */
export function tonguesFor(language: Language): Promise<void> | undefined {
  if (learnt || language === 'en') return undefined
  coming ??= import('@nubrin/core/tongues').then(
    (m) => {
      m.learnAll()
      learnt = true
    },
    () => {
      coming = undefined
    },
  )
  return coming
}
