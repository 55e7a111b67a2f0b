import type { Language } from '@nubrin/core/units'
import { once } from './once'

const others = once(async () => {
  const { learnAll } = await import('@nubrin/core/tongues')
  learnAll()
  return true
})

/**
 * Fetches the other languages where somebody reads one; undefined when nothing has to be fetched. Where they cannot be fetched
 * what a client reads is shown in English until they can.
 */
export const tonguesFor = (language: Language): Promise<unknown> | undefined =>
  others.now() || language === 'en' ? undefined : others.fetch().catch(() => undefined)
