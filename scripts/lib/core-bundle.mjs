// The core and the demo data each as one module, for tests: a file that loads hundreds of modules waits for each of them.
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { build } from 'esbuild'

/** What tests ask of the core behind its doors, by its path in core/src. */
function asked(root) {
  const out = new Set()
  const walk = (dir) => {
    for (const e of readdirSync(dir, { withFileTypes: true }))
      if (e.isDirectory()) walk(join(dir, e.name))
      else if (/\.tsx?$/.test(e.name))
        for (const m of readFileSync(join(dir, e.name), 'utf8').matchAll(/from '(?:\.\.\/)+(core\/)?src\/([\w/-]+)'/g))
          if (m[1] || dir.startsWith(join(root, 'core'))) out.add(m[2])
  }
  for (const tree of ['core', 'server', 'web']) walk(join(root, tree, 'test'))
  return [...out]
}
const fileOf = (root, path) =>
  existsSync(join(root, 'core/src', `${path}.ts`)) ? `core/src/${path}.ts` : `core/src/${path}/index.ts`

/** The modules of the core that stand for themselves, each with the requests that ask for it. */
export function doors(root) {
  const rooms = readdirSync(join(root, 'core/src')).map((room) => ({
    ...{ as: room, from: `core/src/${room}/index.ts`, request: `^@nubrin/core/${room}$` },
  }))
  const inner = asked(root).map((path) => ({
    ...{ as: `inner/${path}`, from: fileOf(root, path), request: `^(\\.\\./)+(core/)?src/${path}$` },
  }))
  const ops = { as: 'ops', from: 'core/src/record/ops/index.ts', request: '^@nubrin/core/record/ops$' }
  const demo = { as: 'demo', from: 'demo/src/index.ts', request: '^@nubrin/demo$' }
  return [ops, ...rooms, ...inner, demo]
}
/** Where a door leads after the bundling. */
export const outOf = (root, door) => join(root, 'core/dist', `${door.as}.mjs`)

/** A hash of all that goes into it. */
function fingerprint(root) {
  const hash = createHash('sha256').update(readFileSync(join(root, 'package-lock.json')))
  const walk = (dir) => {
    for (const e of readdirSync(dir, { withFileTypes: true }))
      if (e.isDirectory()) walk(join(dir, e.name))
      else hash.update(join(dir, e.name)).update(readFileSync(join(dir, e.name)))
  }
  for (const d of ['core/src', 'demo/src']) walk(join(root, d))
  return hash
    .update(JSON.stringify(doors(root)))
    .update(readFileSync(import.meta.filename))
    .digest('hex')
}

/** Bundles anew what has changed since the last time. Everything lies in one module, so that each thing is there once. */
export default async function bundleCore({ rootDir: root }) {
  const stamp = join(root, 'core/dist/.of')
  const now = fingerprint(root)
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return
  const all = doors(root)
  const { metafile } = await build({
    ...{ entryPoints: all.map((d) => join(root, d.from)), absWorkingDir: root, outdir: join(root, 'core/dist/x') },
    ...{ bundle: true, format: 'esm', packages: 'external', metafile: true, write: false, logLevel: 'error' },
    plugins: [one],
  })
  await build({
    stdin: {
      contents: all.map((d, i) => `export * as m${i} from './${d.from}'`).join('\n'),
      ...{ resolveDir: root, loader: 'ts' },
    },
    ...{ outfile: join(root, 'core/dist/all.mjs'), bundle: true, format: 'esm', plugins: [one] },
    ...{ platform: 'node', target: 'node20', sourcemap: 'linked', logLevel: 'error' },
  })
  const names = new Map(Object.values(metafile.outputs).map((o) => [o.entryPoint, o.exports]))
  for (const [i, d] of all.entries()) {
    const to = outOf(root, d)
    mkdirSync(join(to, '..'), { recursive: true })
    const back = '../'.repeat(d.as.split('/').length - 1) || './'
    const lines = names.get(d.from).map((n, k) => `const x${k} = m${i}.${n}\nexport { x${k} as ${n} }`)
    writeFileSync(to, [`import { m${i} } from '${back}all.mjs'`, ...lines, ''].join('\n'))
  }
  writeFileSync(stamp, now)
}

/** Workspaces are taken in; packages stay what they are. */
const one = {
  name: 'workspaces',
  setup(b) {
    b.onResolve({ filter: /^@nubrin\// }, ({ path, importer }) => {
      const root = importer.replace(/\/(core|demo)\/(src|dist)\/.*$|\/<stdin>$/, '')
      const inner = path.replace('@nubrin/core/', '')
      if (path === '@nubrin/demo') return { path: join(root, 'demo/src/index.ts') }
      return { path: join(root, 'core/src', inner, 'index.ts') }
    })
  },
}
