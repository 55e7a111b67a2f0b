// npm run mutate: plants faults in core, server and web, drawn by a seed, and says how many of them a test noticed, with an
// interval. It takes about an hour; what nobody noticed is listed in test-results/mutation.
//   npm run mutate -- core web      only these;  core/fit only a folder
//   --seed=2 --n=120                another draw, so many of each
//   --long                          with every case and long properties, as npm run test:long has them
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build, buildServer } from './build.mjs'
import { ensureDebian, ensureNpm } from './lib/install.mjs'
import { runPart } from './lib/part.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(root)
ensureNpm(root)
ensureDebian(['mariadbd', 'mariadb', 'pdftotext', 'letters', 'sounds'])
// What plants is a package: it is there from here on.
const { draw, plant } = await import('./lib/plant.mjs')
await build()

const flags = process.argv.slice(2).filter((a) => a.startsWith('--'))
const flag = (name, otherwise) => flags.find((f) => f.startsWith(`--${name}=`))?.slice(name.length + 3) ?? otherwise
const asked = process.argv.slice(2).filter((a) => !a.startsWith('--'))
const seed = flag('seed', '1')
const n = Number(flag('n', '100'))
const long = flags.includes('--long')
const WORKERS = Number(process.env.NUBRIN_WORKERS ?? 2)
/** What is aimed at, as a share. */
const AIM = { core: 0.88, server: 0.8, web: 0.7 }
/** Tests that read the sources themselves, which are not as they were written, or start the project as `npm start` does. */
const NOT_HERE = /(sources|format-page|chrome|upkeep)\.test/

const jest = (copy, args, { limit, ...env }) =>
  runPart(
    process.execPath,
    [
      '--experimental-vm-modules',
      '--no-warnings',
      join(root, 'node_modules/jest/bin/jest.js'),
      '--config',
      join(copy, 'jest.mutate.json'),
      '--forceExit',
      ...args,
    ],
    {
      cwd: copy,
      env: { NODE_ENV: 'test', NUBRIN_SEED: seed, ...(long ? { NUBRIN_LONG: '1' } : {}), ...env },
      limit,
    },
  )

/** The tests of an area, as they are run in the copy. */
async function configOf(copy, area) {
  const { default: config } = await import(join(root, 'jest.config.mjs'))
  writeFileSync(
    join(copy, 'jest.mutate.json'),
    JSON.stringify({
      ...config,
      rootDir: copy,
      testMatch: [`<rootDir>/${area}/test/**/*.test.{ts,tsx}`],
      testPathIgnorePatterns: [NOT_HERE.source],
      setupFilesAfterEnv: ['<rootDir>/scripts/lib/covered-test.mjs'],
    }),
  )
}

/** Which test files pass which faults, and how long each takes, s: all of them run once with nothing switched on. */
async function look(copy, area) {
  const folder = join(copy, '.covered')
  mkdirSync(folder, { recursive: true })
  const report = join(copy, 'dry.json')
  const env = { NUBRIN_COVERED: folder, NUBRIN_CLOCK_NODE: `--import=${join(copy, 'scripts/lib/covered.mjs')}` }
  const run = await jest(copy, ['--json', `--outputFile=${report}`, `--maxWorkers=${WORKERS}`], env)
  if (run.status !== 0 || !existsSync(report))
    throw new Error(`${area}: its tests fail with nothing planted\n${run.text.slice(-3000)}`)
  const seconds = new Map(
    JSON.parse(readFileSync(report, 'utf8')).testResults.map((t) => [
      t.name.split('/').at(-1),
      [t.name, (t.endTime - t.startTime) / 1000],
    ]),
  )
  const passes = new Map()
  for (const file of readdirSync(folder)) {
    const by = file.split('~')[0]
    for (const id of Object.keys(JSON.parse(readFileSync(join(folder, file), 'utf8')))) {
      if (!passes.has(id)) passes.set(id, new Set())
      passes.get(id).add(by)
    }
  }
  return { seconds, passes }
}

/** Whether a test notices a fault: the quickest of those that pass it first, until one fails or does not end. */
async function noticed(copy, fault, { seconds, passes }) {
  const files = [...(passes.get(fault.id) ?? [])]
    .map((f) => seconds.get(f))
    .filter(Boolean)
    .sort((a, b) => a[1] - b[1])
  if (!files.length) return 'no test passes it'
  const env = { __STRYKER_ACTIVE_MUTANT__: fault.id, NUBRIN_COVERED: '' }
  for (const [file, usual] of files) {
    const run = await jest(copy, ['--bail', '--maxWorkers=1', '--runTestsByPath', file], {
      ...env,
      limit: (usual * 4 + 90) * 1000,
    })
    if (run.status !== 0) return 'noticed'
  }
  return `passed by ${files.length} and not noticed`
}

/** An interval of a share in which it lies 19 times of 20 (Wilson 1927). */
function interval(hits, of) {
  const z = 1.96
  const p = hits / of
  const mid = (p + z ** 2 / (2 * of)) / (1 + z ** 2 / of)
  const half = (z * Math.sqrt((p * (1 - p)) / of + z ** 2 / (4 * of ** 2))) / (1 + z ** 2 / of)
  return [mid - half, mid + half]
}
const percent = (x) => `${(100 * x).toFixed(0)} %`

mkdirSync('test-results/mutation', { recursive: true })
for (const what of asked.length ? asked : Object.keys(AIM)) {
  const [area, ...folder] = what.split('/')
  const from = Date.now()
  const copy = join(root, '.data', `mutate-${area}`)
  const { all, drawn } = await draw(root, area, n, seed, folder.join('/'))
  const faults = await plant(root, copy, area, drawn)
  await configOf(copy, area)
  if (area === 'server') await buildServer(copy)
  const seen = await look(copy, area)
  console.log(
    `${what}: ${faults.length} of ${all} faults planted, its tests ran in ${((Date.now() - from) / 1000).toFixed(0)} s`,
  )
  const left = [...faults]
  const worker = async () => {
    for (let f = left.shift(); f; f = left.shift()) {
      f.came = await noticed(copy, f, seen)
      if (f.came !== 'noticed') console.log(`  ${f.file}:${f.line} ${f.kind} → ${f.becomes}: ${f.came}`)
    }
  }
  await Promise.all(Array.from({ length: WORKERS }, worker))
  const hits = faults.filter((f) => f.came === 'noticed').length
  const [lo, hi] = interval(hits, faults.length)
  writeFileSync(
    `test-results/mutation/${what.replaceAll('/', '-')}.json`,
    JSON.stringify({ seed, long, faults }, null, 1),
  )
  console.log(
    `${what}: ${hits} of ${faults.length} noticed, ${percent(hits / faults.length)}, between ${percent(lo)} and ${percent(hi)}; aim ${percent(AIM[area])}; ${((Date.now() - from) / 60_000).toFixed(0)} min`,
  )
  if (hits / faults.length < AIM[area]) process.exitCode = 1
  rmSync(copy, { recursive: true, force: true })
}
