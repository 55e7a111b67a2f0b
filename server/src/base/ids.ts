import { createHash, randomBytes, randomUUID, webcrypto } from 'node:crypto'

export const newId = (prefix = '') => `${prefix}${randomUUID().replaceAll('-', '').slice(0, 16)}`
export const sha256 = (data: Uint8Array | string) => createHash('sha256').update(data).digest('hex')
/** The same hash of a whole file, worked out beside the requests: forty megabytes would hold them up. */
export const fileHash = async (bytes: Uint8Array): Promise<string> =>
  Buffer.from(await webcrypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>)).toString('hex')
export const secret = () => randomBytes(24).toString('base64url')
export const today = () => new Date().toISOString().slice(0, 10)
