import { learn } from '../words'
import { de } from './de'

/** Every language but English, each in a file of its own. */
export const TONGUES = { de } as const

/** Makes every language ready to be spoken. A page takes this in only where somebody reads another language than English. */
export function learnAll(): void {
  for (const [language, its] of Object.entries(TONGUES)) learn(language as keyof typeof TONGUES, its)
}
