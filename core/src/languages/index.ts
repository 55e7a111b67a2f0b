import { loadLanguage } from '../words'
import { de } from './de'

/** Every language but English, each in a file of its own. */
export const PACKS = { de } as const

/** Makes every language ready to be spoken. A page takes this in only where somebody reads another language than English. */
export function loadLanguages(): void {
  for (const [language, its] of Object.entries(PACKS)) loadLanguage(language as keyof typeof PACKS, its)
}
