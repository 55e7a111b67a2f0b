import { hash, verify } from '@node-rs/argon2'

/** argon2id with the library's defaults (19 MiB, 2 passes), the floor OWASP names. */
export const hashPassword = (password: string) => hash(password)

// A real hash, so that an unknown name costs as much time as a wrong password.
const DECOY = hashPassword('nobody has this password')

/** Whether a password belongs to a hash; without a hash it takes as long and does not. */
export async function isPassword(passwordHash: string | undefined, password: string): Promise<boolean> {
  const good = await verify(passwordHash ?? (await DECOY), password)
  return passwordHash !== undefined && good
}
