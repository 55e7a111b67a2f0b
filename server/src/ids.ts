import { createHash, randomBytes, randomUUID } from 'node:crypto'

export const newId = (prefix = '') => `${prefix}${randomUUID().replaceAll('-', '').slice(0, 16)}`
export const sha256 = (data: Uint8Array | string) => createHash('sha256').update(data).digest('hex')
export const secret = () => randomBytes(24).toString('base64url')
export const today = () => new Date().toISOString().slice(0, 10)
