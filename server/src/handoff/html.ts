import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { type HandoffDocument, handedSaber, handedSounds } from '@nubrin/core/handoff'
import { type Commission, type Saber, told } from '@nubrin/core/record'
import { Once } from '../base/once'
import type { Library } from '../media/library'
import type { Done, Whom, Work } from '../work/kinds'

/** What a file carries beside its words. */
interface CarriedPhoto {
  type: string
  bytes: Uint8Array
}
/** As many sounds are looked at for one page. */
const MOST_SOUNDS = 60
/** Photos beyond this stay at home, so that the file can be sent, bytes. */
const MOST_PHOTO_BYTES = 4 * 1024 * 1024

/** The photos of a record as far as they fit. What is not there any more leaves a gap, not an answer without a page. */
async function photosFor(record: Commission, shopId: string, library: Library): Promise<Map<string, CarriedPhoto>> {
  const photos = new Map<string, CarriedPhoto>()
  let bytes = 0
  for (const m of record.media.filter((x) => x.type.startsWith('image/'))) {
    const file = await library.of(shopId, m.hash).catch(() => undefined)
    if (!file) continue
    bytes += file.bytes.length
    if (bytes > MOST_PHOTO_BYTES) break
    photos.set(m.hash, file)
  }
  return photos
}

/** Sounds beyond this stay at home: what a page says without them is made by it, bytes. */
const MOST_SOUND_BYTES = 1024 * 1024

/** What was pressed lately, or is just being: the sounds of a saber are the same in each of its handoffs. */
const pressedBefore = new Once<Done<'pressed'>>({ max: 24 })

/** The sounds of the presets whose licence lets them be copied, pressed in an open codec as far as they fit. */
async function soundsFor(
  record: Commission,
  shopId: string,
  library: Library,
  work: Work,
  whom: Whom,
): Promise<Map<string, CarriedPhoto>> {
  const hashes = [...new Set(handedSounds(record))].slice(0, MOST_SOUNDS)
  const found = await Promise.all(hashes.map((hash) => library.of(shopId, hash).catch(() => undefined)))
  const sounds = found.flatMap((f, i) => (f?.type === 'audio/wav' ? [{ hash: hashes[i]!, bytes: f.bytes }] : []))
  if (!sounds.length) return new Map()
  // By what this shop has, not by what its record names.
  const key = sounds.map((x) => x.hash).join(' ')
  const done = await pressedBefore.of(key, () => work.run('pressed', { sounds, most: MOST_SOUND_BYTES }, whom))
  return new Map(done.map(({ hash, bytes }) => [hash, { type: 'audio/ogg', bytes }]))
}

/** Text that may stand in a script: nothing in it ends the script. */
const inScript = (text: string) => text.replace(/<(?=\/script|!--)/gi, '\\u003c')
const built = new Map<string, { script: string; style: string }>()
/** Script and style of the page, read once a process: they are the built program's own. */
function partsOf(webFolder: string) {
  const there = built.get(webFolder)
  if (there) return there
  const read = (f: string) => readFileSync(join(webFolder, 'file', f), 'utf8')
  const parts = { script: inScript(read('page.js')), style: read('page.css') }
  built.set(webFolder, parts)
  return parts
}
const escaped = (text: string) => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`)

interface OfPage {
  webFolder: string
  library: Library
  work: Work
  whom: Whom
  shopId: string
  record: Commission
  document: HandoffDocument
  /** Under what the page remembers. */
  key: string
}
/** What was issued as its page in one file, with the photos and sounds that the shop has. */
export async function pageFile(of: OfPage): Promise<Uint8Array> {
  const { webFolder, library, work, whom, shopId, record, document, key } = of
  const photos = await photosFor(record, shopId, library)
  const sounds = await soundsFor(record, shopId, library, work, whom)
  const { sabers, media } = told(record)
  const page = { document, sabers: sabers.map(handedSaber), media, keep: key }
  return Buffer.from(handoffHtml(webFolder, page, new Map([...photos, ...sounds])))
}

/**
 * The client's page as one file that needs no server and no network: the document, the sabers to take in hand, photos as far as
 * they fit, script and style. What it may load is said in it: nothing.
 */
function handoffHtml(
  webFolder: string,
  record: {
    document: HandoffDocument
    sabers: readonly Saber[]
    media: Commission['media']
    keep: string
  },
  photos: ReadonlyMap<string, CarriedPhoto>,
): string {
  const { script, style } = partsOf(webFolder)
  const urls = Object.fromEntries(
    [...photos].map(([hash, p]) => [hash, `data:${p.type};base64,${Buffer.from(p.bytes).toString('base64')}`]),
  )
  const carried = JSON.stringify({
    ...record,
    media: record.media.filter((m) => photos.has(m.hash)),
    photos: urls,
  }).replace(/</g, '\\u003c')
  const csp =
    "default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; img-src data: blob:; font-src data:; connect-src data:; media-src data: blob: file: 'self'"
  return `<!doctype html>
<html lang="${record.document.language}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="${csp}">
<title>${escaped(record.document.title)}</title>
<style>${style}</style>
</head>
<body>
<div id="root"></div>
<script type="application/json" id="carried">${carried}</script>
<script>${script}</script>
</body>
</html>
`
}
