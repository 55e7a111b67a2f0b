import type { Commission, READERS, Saber } from '../../record'

export type Reader = (typeof READERS)[number]

const BY_PURPOSE: Partial<Record<Commission['purpose'], Reader>> = {
  ...{ beginner: 'beginner', duelling: 'duels', display: 'collects' },
}

/** What a listener brings: as the maker said it, and as the order tells it. */
export function readersOf(c: Commission, s: Saber): ReadonlySet<Reader> {
  const knows = s.recipient?.knows
  const by = BY_PURPOSE[c.purpose]
  return new Set<Reader>([
    ...(s.telling?.readers ?? []),
    ...(by ? [by] : []),
    ...(knows === 'neverSeen' || knows === 'seen' ? ['neverHeld' as const] : []),
  ])
}

/** Whom a saber is spoken to: whoever receives it. */
export const listenerOf = (c: Commission, s: Saber): string => (s.recipient?.name || c.client.name).trim()

/** Whether a name that somebody wrote down is a person's: the whole of it, or the first. Nobody's where none is recorded. */
export function isName(of: string, said: string): boolean {
  const [person, name] = [of.trim().toLowerCase(), said.trim().toLowerCase()]
  return person !== '' && (person === name || person.split(/\s+/)[0] === name)
}

/** Whether it is given by somebody to somebody else, and by whom as far as that is known. */
export function giftOf(c: Commission, s: Saber): { gift: boolean; giver: string } {
  const [to, client] = [listenerOf(c, s).toLowerCase(), c.client.name.trim()]
  const gift = !!c.giver?.trim() || (to !== '' && client !== '' && to !== client.toLowerCase())
  return { gift, giver: c.giver?.trim() || (gift ? client : '') }
}
