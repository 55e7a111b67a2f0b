import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { inflateSync } from 'node:zlib'
import fonts from 'fonteditor-core'

const require = createRequire(import.meta.url)

/** A font of the package, unpacked: the writer would unpack a WOFF's outlines again for every letter. */
const archivo = (weight: number, set: string) => {
  const packed = readFileSync(require.resolve(`@fontsource/archivo/files/archivo-${set}-${weight}-normal.woff`))
  return Buffer.from(
    fonts.woff2ttf(new Uint8Array(packed).buffer, { inflate: (bytes) => [...inflateSync(Uint8Array.from(bytes))] }),
  )
}
const dejavu = (name: string) => readFileSync(require.resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`))

export type Weight = 400 | 600 | 700

/** The fonts of each weight in the order in which a shape is looked for; DejaVu has what Archivo lacks: Greek, Cyrillic, signs. */
export type Faces = Record<Weight, Buffer[]>

let unpacked: Faces | undefined
/** Read and unpacked once a process, with the first PDF. */
export function faces(): Faces {
  const of = (weight: Weight, fallback: string) => [
    archivo(weight, 'latin'),
    archivo(weight, 'latin-ext'),
    dejavu(fallback),
  ]
  unpacked ??= {
    400: of(400, 'DejaVuSansCondensed'),
    600: of(600, 'DejaVuSansCondensed-Bold'),
    700: of(700, 'DejaVuSansCondensed-Bold'),
  }
  return unpacked
}
