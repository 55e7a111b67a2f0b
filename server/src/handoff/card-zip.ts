import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { API } from '@nubrin/core/api'
import { CONFIGURATION_FILES, configurationOf, configurationSheet, writeConfiguration } from '@nubrin/core/card'
import { fileNameOf } from '@nubrin/core/handoff'
import { cardFiles } from '@nubrin/core/voice'
import type { Router } from 'express'
import yazl from 'yazl'
import type { Commissions } from '../commissions/store'
import { NotFound } from '../http/problem'
import { serve } from '../http/serve'
import type { Library } from '../media/library'
import type { Work } from '../work/kinds'

interface With {
  store: Commissions
  library: Library
  work: Work
}

/** The card of a saber: its sounds and its configuration. One file at a time is read and made louder; the stored ones stay as they are. */
export function cardRoutes(r: Router, { store, library, work }: With): void {
  serve(r, API.cardZip, async ({ params, who, res }) => {
    const { record } = await store.load(who.shopId, params.id)
    const saber = record.sabers.find((s) => s.id === params.saber)
    if (!saber) throw new NotFound(`There is no saber ${params.saber} in this order.`)
    const listed = cardFiles(saber)
    const here = await library.has(
      who.shopId,
      listed.map((f) => f.media),
    )
    const files = listed.filter((f) => here.has(f.media))
    const zip = new yazl.ZipFile()
    const onCard = async (media: string, gainDb: number) => {
      const { bytes } = await library.of(who.shopId, media)
      return gainDb ? work.run('louder', { bytes: new Uint8Array(bytes), gainDb }, who) : bytes
    }
    const configuration = configurationOf(saber)
    const json = Buffer.from(writeConfiguration(configuration))
    const [main, copy, sheet] = CONFIGURATION_FILES
    for (const name of [main, copy]) zip.addBuffer(json, name)
    const lines = configurationSheet(configuration).map(([name, value]) => `${name}: ${value}`)
    zip.addBuffer(Buffer.from(`${[saber.name, '', ...lines].join('\n')}\n`), sheet)
    // Sounds hardly grow smaller, and a card is read by a board.
    for (const f of files)
      zip.addReadStreamLazy(f.path, { compress: false }, (give) => {
        onCard(f.media, f.gainDb).then(
          (bytes) => give(null, Readable.from([bytes])),
          (e) => give(e, undefined as never),
        )
      })
    ;(zip as unknown as NodeJS.EventEmitter).once('error', (e: Error) => zip.outputStream.emit('error', e))
    zip.end()
    res.attachment(`${fileNameOf(record)}-card-${saber.id}.zip`).type('application/zip')
    await pipeline(zip.outputStream, res)
    return undefined
  })
}
