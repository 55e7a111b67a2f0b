import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { HandoffDocument } from '@nubrin/core/handoff'
import type { Commission, Saber } from '@nubrin/core/record'

/** What a file carries beside its words. */
export interface CarriedPhoto {
  type: string
  bytes: Uint8Array
}
/** Photos beyond this stay at home, so that the file can be sent, bytes. */
export const MOST_PHOTO_BYTES = 4 * 1024 * 1024

/** Text that may stand in a script: nothing in it ends the script. */
const inScript = (text: string) => text.replace(/<(?=\/script|!--)/gi, '\\u003c')
const escaped = (text: string) => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`)

/**
 * The client's page as one file that needs no server and no network: the document, the sabers to take in hand, photos as far as
 * they fit, script and style. What it may load is said in it: nothing.
 */
export function handoffHtml(
  webFolder: string,
  record: {
    document: HandoffDocument
    sabers: readonly Saber[]
    media: Commission['media']
    keep: string
  },
  photos: ReadonlyMap<string, CarriedPhoto>,
): string {
  const [script, style] = ['page.js', 'page.css'].map((f) => readFileSync(join(webFolder, 'file', f), 'utf8'))
  const urls = Object.fromEntries(
    [...photos].map(([hash, p]) => [hash, `data:${p.type};base64,${Buffer.from(p.bytes).toString('base64')}`]),
  )
  const carried = JSON.stringify({
    ...record,
    media: record.media.filter((m) => photos.has(m.hash)),
    photos: urls,
  }).replace(/</g, '\\u003c')
  const csp =
    "default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; img-src data: blob:; font-src data:; media-src data: blob:"
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
<script>${inScript(script!)}</script>
</body>
</html>
`
}
