import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { inflateSync } from 'node:zlib'
import fonts from 'fonteditor-core'

const require = createRequire(import.meta.url)

/** A font of a package, unpacked: the writer would unpack a WOFF's outlines again for every letter. */
const unpacked = (path: string) => {
  const packed = readFileSync(path)
  return Buffer.from(
    fonts.woff2ttf(new Uint8Array(packed).buffer, { inflate: (bytes) => [...inflateSync(Uint8Array.from(bytes))] }),
  )
}
const archivo = (weight: number, set: string) => () =>
  unpacked(require.resolve(`@fontsource/archivo/files/archivo-${set}-${weight}-normal.woff`))
const dejavu = (name: string) => () => readFileSync(require.resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`))
const emoji = () => unpacked(require.resolve('@fontsource/noto-emoji/files/noto-emoji-emoji-400-normal.woff'))
/** Of Debian's package of letters, which the scripts of this project install. */
const eastAsian = () => readFileSync('/usr/share/fonts/truetype/wqy/wqy-microhei.ttc')

export type Weight = 400 | 600 | 700

/** A font, read when the first letter needs it; `family` where its file holds several. */
export interface Face {
  key: string
  bytes: () => Buffer
  family?: string
}
const read = new Map<string, Buffer>()
const face = (key: string, bytes: () => Buffer, family?: string): Face => ({
  key,
  // Once a process, with the first paper.
  bytes: () => {
    const there = read.get(key) ?? bytes()
    read.set(key, there)
    return there
  },
  ...(family ? { family } : {}),
})
const of = (weight: Weight, fallback: string) => [
  face(`latin-${weight}`, archivo(weight, 'latin')),
  face(`latin-ext-${weight}`, archivo(weight, 'latin-ext')),
  face(`vietnamese-${weight}`, archivo(weight, 'vietnamese')),
  face(fallback, dejavu(fallback)),
  face('emoji', emoji),
  face('east-asian', eastAsian, 'WenQuanYiMicroHei'),
]
/**
 * The fonts of each weight in the order in which a shape is looked for. DejaVu has what Archivo lacks: Greek, Cyrillic, Hebrew,
 * Arabic, signs. Pictures and the letters of East Asia come in one weight.
 */
export const FACES: Record<Weight, readonly Face[]> = {
  400: of(400, 'DejaVuSansCondensed'),
  600: of(600, 'DejaVuSansCondensed-Bold'),
  700: of(700, 'DejaVuSansCondensed-Bold'),
}
/** What is set where no font has a shape: a frame. */
export const LAST_RESORT = 3
