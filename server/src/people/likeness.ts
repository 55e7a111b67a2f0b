import { rectifyConfusion } from 'unicode-confusables'
import type { Tables } from '../db/models'

/**
 * What a sign-in looks like: the same for two that a reader takes for one another, whatever alphabets their letters are of, and
 * with or without a dot behind. Source: Unicode Technical Standard 39, skeletons of confusable strings.
 */
export function likeness(signIn: string): string {
  const plain = (s: string) => s.normalize('NFKC').toLowerCase().trim().replace(/\.+$/, '')
  // A letter that looks like a capital one becomes it; then both are small.
  return plain(rectifyConfusion(plain(signIn))).slice(0, 240)
}

/** Gives sign-ins of before their likeness. */
export async function fillLikeness(db: Tables): Promise<void> {
  for (const user of await db.users.findAll({ where: { signInKey: '' } }))
    await user.update({ signInKey: likeness(user.signIn) })
}
