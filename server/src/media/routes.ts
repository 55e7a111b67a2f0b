import { API } from '@nubrin/core/api'
import type { Router } from 'express'
import type { Tables } from '../db/models'
import { NotFound } from '../http/problem'
import { serve } from '../http/serve'
import { accept, MAX_SOUND_BYTES } from './accept'
import type { Files } from './files'

/** Notes that a shop has a file, and what it is. */
export const noteFile = (db: Tables, shopId: string, hash: string, type: string, bytes: number) =>
  db.media.upsert({ hash, shopId, type, bytes, createdAt: new Date() })

/** Photos and sounds, in and out. */
export function mediaRoutes(r: Router, db: Tables, files: Files): void {
  serve(
    r,
    API.upload,
    async ({ file, who }) => {
      const good = await accept(file.bytes, file.name)
      const hash = await files.put(good.bytes)
      await noteFile(db, who.shopId, hash, good.type, good.bytes.length)
      return { hash, type: good.type, bytes: good.bytes.length, name: file.name.slice(0, 240) }
    },
    MAX_SOUND_BYTES + 1024,
  )
  serve(r, API.stored, async ({ params, who, res }) => {
    const row = await db.media.findOne({ where: { hash: params.hash, shopId: who.shopId } })
    if (!row) throw new NotFound('There is no such file.')
    res
      .type(row.type)
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .send(await files.get(row.hash))
    return undefined
  })
}
