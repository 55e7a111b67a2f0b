/** A document on its way: nothing is known of it but that its own version's schema held. */
export type Loose = Record<string, unknown>

export const listOf = (v: unknown): Loose[] => (Array.isArray(v) ? (v as Loose[]) : [])
export const object = (v: unknown): Loose => (typeof v === 'object' && v !== null ? (v as Loose) : {})
export const text = (v: unknown) => (typeof v === 'string' ? v : '')
