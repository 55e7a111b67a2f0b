import type { Language, Reader } from '../../units'
import type { Commission } from '../schema/commission'

/** In what language this record is written. */
export const writtenIn = (c: Pick<Commission, 'writtenIn'>): Language => c.writtenIn ?? 'en'
/** In what language its client is spoken to. */
export const languageOf = (c: Pick<Commission, 'client'>): Language => c.client.language ?? 'en'

/** The client of a record as a reader. */
export const readerOf = (c: Pick<Commission, 'client' | 'writtenIn'>): Reader => ({
  ...{ language: languageOf(c), written: writtenIn(c) },
  ...(c.client.measures ? { measures: c.client.measures } : {}),
})
