// npm run check: the quick look before a commit: types, lint and floors at once, each with its time.
import { spawn } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const bin = (name) => join(root, 'node_modules', '.bin', name)
const look = (name, command, args) =>
  new Promise((done) => {
    const from = Date.now()
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
    let text = ''
    for (const s of [child.stdout, child.stderr]) s.setEncoding('utf8').on('data', (b) => (text += b))
    child.once('close', (status) => {
      const took = ((Date.now() - from) / 1000).toFixed(1)
      console.log(`${name}: ${status === 0 ? 'ok' : 'failed'}, ${took} s${status === 0 ? '' : `\n${text}`}`)
      done(status === 0)
    })
  })
const good = await Promise.all([
  look('types', bin('tsc'), ['--noEmit', '-p', 'tsconfig.json']),
  look('lint and format', bin('biome'), ['check', '.']),
  look('floors', process.execPath, ['scripts/floors.mjs']),
])
process.exit(good.every(Boolean) ? 0 : 1)
