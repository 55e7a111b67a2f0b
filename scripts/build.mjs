// Builds web and server. Skipped when no source has changed since the last build.
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'

const root = dirname(dirname(fileURLToPath(import.meta.url)))

function fingerprint() {
  const hash = createHash('sha256')
  const walk = (dir) => {
    for (const e of readdirSync(dir, { withFileTypes: true }).sort((a, b) => a.name.localeCompare(b.name))) {
      const p = join(dir, e.name)
      if (e.isDirectory()) {
        if (!['node_modules', 'dist', '.data', 'test'].includes(e.name)) walk(p)
      } else hash.update(p.slice(root.length)).update(readFileSync(p))
    }
  }
  for (const d of ['core', 'server', 'web', 'demo']) walk(join(root, d))
  return hash.update(readFileSync(join(root, 'package-lock.json'))).digest('hex')
}

/** Bundles the server of a tree: workspaces are taken in, everything else stays a package. */
export async function buildServer(root) {
  const esbuild = await import('esbuild')
  await esbuild.build({
    entryPoints: {
      main: join(root, 'server', 'src', 'main.ts'),
      worker: join(root, 'server', 'src', 'worker.ts'),
    },
    outdir: join(root, 'server', 'dist'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    jsx: 'automatic',
    sourcemap: true,
    logLevel: 'warning',
    plugins: [
      {
        name: 'externals',
        setup(b) {
          b.onResolve({ filter: /^[^./]/ }, (a) =>
            a.path.startsWith('@nubrin/') || a.kind === 'entry-point' ? undefined : { path: a.path, external: true },
          )
        },
      },
    ],
  })
}

/** Bundles the interface of a tree. */
export async function buildWeb(root) {
  const vite = await import('vite')
  await vite.build({ root: join(root, 'web'), logLevel: 'warn' })
  // The client's page once more, as one script and one style for the file that needs no server.
  await vite.build({ root: join(root, 'web'), configFile: join(root, 'web', 'vite.file.config.ts'), logLevel: 'warn' })
}

export async function build({ force = false } = {}) {
  const stamp = join(root, 'server', 'dist', '.built')
  const now = fingerprint()
  if (
    !force &&
    existsSync(stamp) &&
    existsSync(join(root, 'web', 'dist', 'index.html')) &&
    readFileSync(stamp, 'utf8') === now
  )
    return false
  console.log('Building …')
  await buildServer(root)
  await buildWeb(root)
  mkdirSync(dirname(stamp), { recursive: true })
  writeFileSync(stamp, now)
  return true
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) await build({ force: true })
