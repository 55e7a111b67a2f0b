// npm run bench: ratios measured side by side in one run; above 1 means inside the limit named.
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { ensureNpm } from './lib/install.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
ensureNpm(root)
const { build } = await import('./build.mjs')
await build()
const esbuild = await import('esbuild')
const out = join(root, 'bench', 'dist', 'bench.mjs')
await esbuild.build({
  entryPoints: [join(root, 'bench', 'bench.ts')],
  outfile: out,
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  jsx: 'automatic',
  logLevel: 'warning',
  alias: { '@nubrin/core': join(root, 'core/src'), '@nubrin/demo': join(root, 'demo/src') },
})
await import(pathToFileURL(out).href)

const { firstLoads } = await import('./lib/first-loads.mjs')
const loads = firstLoads(join(root, 'web', 'dist'))
const kB = (n) => `${(n / 1000).toFixed(0)} kB of 250 kB, ratio ${(250_000 / n).toFixed(2)}`
console.log(`first script, gzip: ${kB(loads.first)}`)
for (const { screen, bytes } of loads.screens) console.log(`first load of ${screen.slice(4)}, gzip: ${kB(bytes)}`)
const { benchFrames } = await import('./lib/bench-frames.mjs')
await benchFrames(root)
const { benchPack } = await import('./lib/bench-pack.mjs')
await benchPack(root)
const { benchShop } = await import('./lib/bench-shop.mjs')
await benchShop(root)
const { benchSounds } = await import('./lib/bench-sounds.mjs')
await benchSounds(root)
const { benchApart } = await import('./lib/bench-apart.mjs')
await benchApart(root)
