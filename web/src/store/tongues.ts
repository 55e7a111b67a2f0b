import { type Commission, languageOf } from '@nubrin/core/record'
import { speaks } from '@nubrin/core/words'

let coming: Promise<void> | undefined

/**
 * Fetches the other languages where the client of a record reads one; undefined when all is there. Where they cannot be fetched
 * what a client reads is shown in English until they can.
 */
export function tonguesFor(record: Pick<Commission, 'client'>): Promise<void> | undefined {
  if (speaks(languageOf(record))) return undefined
  coming ??= import('@nubrin/core/tongues').then(
    (m) => m.learnAll(),
    () => {
      coming = undefined
    },
  )
  return coming
}
