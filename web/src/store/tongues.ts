import { type Commission, languageOf } from '@nubrin/core/record'

let coming: Promise<void> | undefined
let learnt = false

/**
 * Fetches the other languages where the client of a record reads one; undefined when nothing has to be fetched. Where they cannot
 * be fetched what a client reads is shown in English until they can.
 */
export function tonguesFor(record: Pick<Commission, 'client'>): Promise<void> | undefined {
  if (learnt || languageOf(record) === 'en') return undefined
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
