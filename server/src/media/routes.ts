import { API } from '@nubrin/core/api'
import { MOST_SOUND_BYTES } from '@nubrin/core/voice'
import type { Response, Router } from 'express'
import { serve } from '../http/serve'
import { MEDIA_TYPES, type Work } from '../work/kinds'
import { accept } from './accept'
import type { Library } from './library'

/** Sends a stored file as what it was found to be, from where it cannot act: no script, no frame, no guess at its type. */
export function sendFile(res: Response, file: { bytes: Buffer; type: string }, cache: string): void {
  const type = MEDIA_TYPES.find((t) => t === file.type)
  res.set({
    'Content-Type': type ?? 'application/octet-stream',
    'X-Content-Type-Options': 'nosniff',
    'Content-Security-Policy': "sandbox; default-src 'none'",
    'Content-Disposition': type ? 'inline' : 'attachment',
    'Cache-Control': cache,
  })
  res.send(file.bytes)
}

/** Photos and sounds, in and out. `there` refuses a commission that the shop does not have. */
export function mediaRoutes(
  r: Router,
  library: Library,
  work: Work,
  there: (shopId: string, commission: string) => Promise<void>,
): void {
  serve(
    r,
    API.upload,
    async ({ file, query, who }) => {
      const { commission } = query
      if (commission) await there(who.shopId, commission)
      const good = await accept(file.bytes, file.name, work, who)
      const hash = await library.keep(who.shopId, good, { commission })
      return { hash, type: good.type, bytes: good.bytes.length, name: file.name.slice(0, 240) }
    },
    MOST_SOUND_BYTES + 1024,
  )
  serve(r, API.stored, async ({ params, who, res }) => {
    sendFile(res, await library.of(who.shopId, params.hash), 'private, max-age=31536000, immutable')
    return undefined
  })
}
