// npm test: installs what is missing, then types, lint, floors, unit, component and server tests, and the real interface in Chromium.
//   npm test             every rule, with a share of its cases drawn by a seed; what reads a day under today's clock and a drawn one
//   npm run test:long    every case, long properties, and what reads a day under eight clocks
//   NUBRIN_SEED=7        the same draw again;  NUBRIN_CLOCK='the 30th'  the drawn clock
//   --parts=jest,browser only some of the parts
import { createWriteStream, mkdirSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { clocksAfter, envOf } from './lib/clocks.mjs'
import { ensureDebian, ensureNpm } from './lib/install.mjs'
import { runPart } from './lib/part.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(root)
ensureNpm(root)
ensureDebian(['mariadbd', 'mariadb', 'chromium', 'pdftotext', 'letters', 'sounds', 'ffmpeg'])

const began = Date.now()
const flags = process.argv.slice(2)
const long = flags.includes('--long')
const only = flags
  .find((f) => f.startsWith('--parts='))
  ?.slice(8)
  .split(',')
const wanted = (part) => !only || only.includes(part)
const rest = flags.filter((f) => f !== '--long' && !f.startsWith('--parts='))
const seed = process.env.NUBRIN_SEED ?? String(Math.floor(began / 86_400_000))
process.env.NUBRIN_SEED = seed
if (long) process.env.NUBRIN_LONG = '1'
const clocks = clocksAfter(began)
const asked = process.env.NUBRIN_CLOCK
const other = clocks.find((c) => (asked ? c.name === asked : c === clocks[Number(seed) % clocks.length || 0]))
if (!other) {
  console.error(`NUBRIN_CLOCK='${asked}' is none of these: ${clocks.map((c) => c.name).join(', ')}`)
  process.exit(2)
}
delete process.env.NUBRIN_CLOCK
console.log(long ? 'every case, under every clock' : `drawn with NUBRIN_SEED=${seed} NUBRIN_CLOCK='${other.name}'`)

const bin = (name) => join(root, 'node_modules', '.bin', name)
let passed = 0
let failed = 0
mkdirSync('test-results', { recursive: true })
const step = async (name, command, args, env = {}) => {
  // What it says lies in test-results as it comes, for whoever cannot wait for the end.
  const log = createWriteStream(join('test-results', `${name.replace(/\W+/g, '-')}.txt`))
  const { status, text, seconds } = await runPart(command, args, { cwd: root, env, hear: (b) => log.write(b) })
  await new Promise((done) => log.end(done))
  const took = `${seconds.toFixed(0)} s`
  const count = (word) => Number(new RegExp(`^\\s*(?:Tests:.*?)?(\\d+) ${word}\\b`, 'm').exec(text)?.[1] ?? 0)
  const good = count('passed')
  passed += good || (status === 0 ? 1 : 0)
  failed += status === 0 ? 0 : Math.max(1, count('failed'))
  if (status !== 0) console.log(`\n${name}, ${took}\n${text}`)
  else {
    const modules = /^\d+ modules.*$/m.exec(text)?.[0]
    console.log([`${name}: ok`, good ? `${good} tests` : '', modules ?? '', took].filter(Boolean).join(', '))
  }
}
const jest = (name, args, env = {}) =>
  step(
    name,
    process.execPath,
    ['--experimental-vm-modules', '--no-warnings', join(root, 'node_modules/jest/bin/jest.js'), ...args],
    // The build leaves NODE_ENV behind; the kit is tested with React's own checks on.
    { NODE_ENV: 'test', ...env },
  )
const browser = (name, env = {}) =>
  step(name, bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts', ...rest], env)

// The quick ones two at a time: one of them is a thread by itself.
if (wanted('quick'))
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
if (wanted('jest')) {
  await jest('core, server and kit', [])
  // What reads a day says so at the end of its name.
  const marked = ['core', 'server', 'web']
    .flatMap((d) => readdirSync(join(d, 'test')).map((f) => join(d, 'test', f)))
    .filter((f) => /\.test\.tsx?$/.test(f) && readFileSync(f, 'utf8').includes('· a day'))
  for (const clock of long ? clocks : [other])
    await jest(
      `what reads a day, on ${clock.name}`,
      ['-t', '· a day$', '--runTestsByPath', ...marked],
      envOf(clock, Date.now()),
    )
}
// A browser waits more than it works: the attack takes what it leaves of the machine.
await Promise.all([
  wanted('attack') ? step('an unlucky day', process.execPath, ['scripts/attack.mjs', '--small']) : undefined,
  (async () => {
    if (!wanted('browser')) return
    if (!long) return browser('the real interface', { NUBRIN_DRAWN_CLOCK: other.name })
    for (const name of ['today', ...clocks.map((c) => c.name)])
      await browser(`the real interface, ${name}`, { NUBRIN_CLOCK: name })
  })(),
])
console.log(`\n${((Date.now() - began) / 60_000).toFixed(1)} min\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
