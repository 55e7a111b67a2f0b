import type { Language } from '@nubrin/core/units'
import { once } from './once'

const others = once(async () => {
  const { loadLanguages } = await import('@nubrin/core/languages')
  loadLanguages()
  return true
})

/**
 * Fetches the other languages where somebody reads one; undefined when nothing has to be fetched. Where they cannot be fetched
 * what a client reads is shown in English until they can.
 */
export const languagesFor = (language: Language): Promise<unknown> | undefined =>
  others.now() || language === 'en' ? undefined : others.fetch().catch(() => undefined)
