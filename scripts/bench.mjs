// npm run bench: ratios measured side by side in one run; above 1 means inside the limit named.
import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { gzipSync } from 'node:zlib'
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

const assets = join(root, 'web', 'dist', 'assets')
const html = readFileSync(join(root, 'web', 'dist', 'index.html'), 'utf8')
const first = readdirSync(assets).filter((f) => f.endsWith('.js') && html.includes(f))
const bytes = first.reduce((n, f) => n + gzipSync(readFileSync(join(assets, f))).length, 0)
console.log(`first script, gzip: ${(bytes / 1000).toFixed(0)} kB of 250 kB, ratio ${(250_000 / bytes).toFixed(1)}`)

const { benchShop } = await import('./lib/bench-shop.mjs')
await benchShop(root)
