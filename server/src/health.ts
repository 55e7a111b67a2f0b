import { access, constants, readFile, statfs } from 'node:fs/promises'
import { join } from 'node:path'
import type { Api, GoodOf } from '@nubrin/core/api'
import { QueryTypes } from 'sequelize'
import type { Tables } from './db/models'

type Health = GoodOf<Api['health']>
/** Less than this free, and a photo or a backup may not fit, bytes. */
const LEAST_FREE = 200 * 1024 * 1024
/** How often one is taken, hours, and after how many times that the last good one is old. */
const EVERY = Number(process.env.NUBRIN_BACKUP_HOURS ?? 24) || 24
const OLD = 2

/** How each part is: the database, the folder of files, the disk, the last good backup. A missing backup is said and no fault, an old one is. */
export async function healthOf(db: Tables, data: string): Promise<Health> {
  const part = async (look: () => Promise<string>) => {
    try {
      return { ok: true, says: await look() }
    } catch (e) {
      return { ok: false, says: (e as Error).message }
    }
  }
  const parts = {
    database: await part(async () => {
      await db.sequelize.query('SELECT 1', { type: QueryTypes.SELECT })
      return 'answering'
    }).then((p) => (p.ok ? p : { ok: false, says: 'does not answer' })),
    files: await part(async () => {
      await access(data, constants.W_OK)
      return 'writable'
    }).then((p) => (p.ok ? p : { ok: false, says: 'the data folder cannot be written' })),
    disk: await part(async () => {
      const s = await statfs(data).catch(() => {
        throw new Error('cannot be asked: the data folder is not there')
      })
      const free = s.bavail * s.bsize
      if (free < LEAST_FREE) throw new Error(`only ${Math.round(free / 1e6)} MB free`)
      return free > 1e10 ? `${Math.round(free / 1e9)} GB free` : `${Math.round(free / 1e6)} MB free`
    }),
    backup: await lastBackup(data),
  }
  return { ok: Object.values(parts).every((p) => p.ok), parts }
}

/** What is known of the last good backup. */
async function lastBackup(data: string): Promise<{ ok: boolean; says: string }> {
  try {
    const { at } = JSON.parse(await readFile(join(data, 'backups', 'last-good.json'), 'utf8')) as { at: string }
    const hours = (Date.now() - Date.parse(at)) / 3_600_000
    const old = hours > OLD * EVERY
    const age = hours < 48 ? `${Math.floor(hours)} hours` : `${Math.floor(hours / 24)} days`
    return { ok: !old, says: old ? `old: the last good one was taken ${age} ago` : `good, of ${at.slice(0, 16)}` }
  } catch {
    return { ok: true, says: 'none made yet' }
  }
}
