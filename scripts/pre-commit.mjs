// Before a commit: types, lint of what is staged, and the arrows. `npm run hooks` puts it in place for this clone.
import { spawnSync } from 'node:child_process'
import { chmodSync, existsSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(root)
if (process.argv.includes('--install')) {
  const folder = spawnSync('git', ['rev-parse', '--git-path', 'hooks'], { encoding: 'utf8' }).stdout.trim()
  const hook = join(folder, 'pre-commit')
  if (existsSync(hook)) console.log(`${hook} is already there; it is left as it is`)
  else {
    writeFileSync(hook, '#!/bin/sh\nexec node scripts/pre-commit.mjs\n')
    chmodSync(hook, 0o755)
    console.log(`${hook} is in place`)
  }
} else {
  const bin = (name) => join('node_modules', '.bin', name)
  for (const [name, args] of [
    [bin('biome'), ['check', '--staged', '--no-errors-on-unmatched', '.']],
    [bin('tsc'), ['--noEmit', '-p', 'tsconfig.json']],
    [process.execPath, ['scripts/floors.mjs']],
  ]) {
    const r = spawnSync(name, args, { stdio: 'inherit' })
    if (r.status !== 0) process.exit(1)
  }
}
