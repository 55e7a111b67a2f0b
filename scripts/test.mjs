// npm test: installs what is missing, then types, lint, floors, unit, component and server tests, and the real interface in Chromium.
import { spawn } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureDebian, ensureNpm } from './lib/install.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(root)
ensureNpm(root)
ensureDebian(['mariadbd', 'mariadb', 'chromium', 'pdftotext', 'sounds'])

const bin = (name) => join(root, 'node_modules', '.bin', name)
let passed = 0
let failed = 0
const run = (command, args, env) =>
  new Promise((done) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } })
    let text = ''
    for (const stream of [child.stdout, child.stderr]) stream.setEncoding('utf8').on('data', (b) => (text += b))
    child.once('error', (e) => done({ status: 1, text: String(e) }))
    child.once('close', (status) => done({ status, text }))
  })
const step = async (name, command, args, env = {}) => {
  const r = await run(command, args, env)
  const { text } = r
  console.log(`\n${name}`)
  const count = (word) => Number(new RegExp(`^\\s*(?:Tests:.*?)?(\\d+) ${word}\\b`, 'm').exec(text)?.[1] ?? 0)
  const good = count('passed')
  passed += good || (r.status === 0 ? 1 : 0)
  failed += r.status === 0 ? 0 : Math.max(1, count('failed'))
  if (r.status !== 0) console.log(text)
  else console.log(`  ok${good ? `, ${good} tests` : ''}${/^\d+ modules.*$/m.exec(text)?.[0].replace(/^/, ', ') ?? ''}`)
}

// The quick ones two at a time: one of them is a thread by itself.
await Promise.all([
  step('types', bin('tsc'), ['--noEmit', '-p', 'tsconfig.json']),
  (async () => {
    await step('lint and format', bin('biome'), ['check', '.'])
    await step('floors', process.execPath, ['scripts/floors.mjs'])
    await step('nothing dead', bin('knip'), [])
  })(),
])
const { build } = await import('./build.mjs')
await build()
// The build leaves NODE_ENV behind; the kit is tested with React's own checks on.
await step(
  'core, server and kit',
  process.execPath,
  ['--experimental-vm-modules', '--no-warnings', join(root, 'node_modules/jest/bin/jest.js')],
  { NODE_ENV: 'test' },
)
// A browser waits more than it works: the other takes what it leaves of the machine.
await Promise.all([
  step('an unlucky day', process.execPath, ['scripts/attack.mjs', '--small']),
  step('the real interface', bin('playwright'), [
    ...['test', '-c', 'e2e/playwright.config.ts'],
    ...process.argv.slice(2),
  ]),
])
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
