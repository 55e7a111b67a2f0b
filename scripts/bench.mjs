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

// Scripts as the browser loads them: the first page's, and for each screen what it imports beyond it, all the way down.
const assets = join(root, 'web', 'dist', 'assets')
const html = readFileSync(join(root, 'web', 'dist', 'index.html'), 'utf8')
const files = readdirSync(assets).filter((f) => f.endsWith('.js'))
const text = new Map(files.map((f) => [f, readFileSync(join(assets, f), 'utf8')]))
const size = new Map(files.map((f) => [f, gzipSync(text.get(f)).length]))
const imports = (f) =>
  [...text.get(f).matchAll(/(?:from|import)\s*["`]\.\/([^"`]+\.js)["`]/g)].map((m) => m[1]).filter((g) => text.has(g))
const whole = (starts) => {
  const seen = new Set()
  const todo = [...starts]
  for (let f = todo.pop(); f; f = todo.pop())
    if (!seen.has(f)) {
      seen.add(f)
      todo.push(...imports(f))
    }
  return seen
}
const bytes = (list) => [...list].reduce((n, f) => n + size.get(f), 0)
const first = whole(files.filter((f) => html.includes(f)))
const kB = (n) => `${(n / 1000).toFixed(0)} kB of 250 kB, ratio ${(250_000 / n).toFixed(1)}`
console.log(`first script, gzip: ${kB(bytes(first))}`)
const screens = [
  ...new Set(
    [...text.values()].flatMap((t) => [...t.matchAll(/import\(["`]\.\/([^"`]+\.js)["`]\)/g)].map((m) => m[1])),
  ),
]
const all = screens.filter((f) => text.has(f)).map((f) => ({ f, n: bytes(whole([...first, f])) }))
for (const { f, n } of all.toSorted((x, y) => y.n - x.n).slice(0, 6))
  console.log(`first load of ${f.replace(/-[\w-]{8}\.js$/, '')}, gzip: ${kB(n)}`)
const { benchShop } = await import('./lib/bench-shop.mjs')
await benchShop(root)
