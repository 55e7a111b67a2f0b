// npm run check: the quick look before a commit: types, lint and floors at once, each with its time.
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { runPart } from './lib/part.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const bin = (name) => join(root, 'node_modules', '.bin', name)
const look = async (name, command, args) => {
  const { status, text, seconds } = await runPart(command, args, { cwd: root })
  console.log(`${name}: ${status === 0 ? 'ok' : 'failed'}, ${seconds.toFixed(1)} s${status === 0 ? '' : `\n${text}`}`)
  return status === 0
}
const good = await Promise.all([
  look('types', bin('tsc'), ['--noEmit', '-p', 'tsconfig.json']),
  look('lint and format', bin('biome'), ['check', '.']),
  look('floors', process.execPath, ['scripts/floors.mjs']),
])
process.exit(good.every(Boolean) ? 0 : 1)
