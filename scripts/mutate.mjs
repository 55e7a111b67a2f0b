// npm run mutate: plants faults in core, server and web, drawn by a seed, and says how many of them `npm test` notices, by its
// types or its tests, with an interval; and how many the tests notice of those that the types let through. It takes about an
// hour; what nobody noticed is listed in test-results/mutation.
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
const { draw, plant, textWith } = await import('./lib/plant.mjs')
const { typesOf } = await import('./lib/typed.mjs')
await build()

const flags = process.argv.slice(2).filter((a) => a.startsWith('--'))
const flag = (name, otherwise) => flags.find((f) => f.startsWith(`--${name}=`))?.slice(name.length + 3) ?? otherwise
const asked = process.argv.slice(2).filter((a) => !a.startsWith('--'))
const seed = flag('seed', '1')
const n = Number(flag('n', '200'))
const long = flags.includes('--long')
const WORKERS = Number(process.env.NUBRIN_WORKERS ?? 2)
/** What is aimed at, as a share. */
const AIM = { core: 0.88, server: 0.8, web: 0.7 }
/** Tests that read the sources themselves, which are not as they were written, or start the project as `npm start` does. */
const NOT_HERE = /(sources|chrome|upkeep)\.test/

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
  /** By fault and file: the tests that pass it, or all of them where it is passed outside of any. */
  const passes = new Map()
  const passed = (id, by, test) => {
    const files = passes.get(id) ?? passes.set(id, new Map()).get(id)
    if (!test) files.set(by, undefined)
    else if (!files.has(by)) files.set(by, new Set([test]))
    else files.get(by)?.add(test)
  }
  for (const file of readdirSync(folder)) {
    const by = file.split('~')[0]
    const { static: outside = {}, perTest = {} } = JSON.parse(readFileSync(join(folder, file), 'utf8'))
    for (const id of Object.keys(outside)) passed(id, by)
    for (const [test, ids] of Object.entries(perTest)) for (const id of Object.keys(ids)) passed(id, by, test)
  }
  return { seconds, passes, alone: new Map() }
}

/** A file that takes longer is asked only for the tests that pass the fault, s. */
const SLOW = 12
const escaped = (name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** Whether a test notices a fault: the quickest of those that pass it first, until one fails or does not end. */
async function noticed(copy, fault, { seconds, passes, alone }) {
  const files = [...(passes.get(fault.id) ?? [])]
    .filter(([f]) => seconds.has(f))
    .map(([f, tests]) => [...seconds.get(f), tests])
    .sort((a, b) => a[1] - b[1])
  if (!files.length) return 'no test passes it'
  const quick = files.filter(([, usual]) => usual <= SLOW)
  const ask = async (id, asked, few = []) => {
    const usual = asked.reduce((sum, [, s]) => sum + s, 0)
    const env = { __STRYKER_ACTIVE_MUTANT__: id, NUBRIN_COVERED: '', limit: (usual * 4 + 90) * 1000 }
    const paths = asked.map(([file]) => file)
    return (await jest(copy, ['--bail', '--maxWorkers=1', ...few, '--runTestsByPath', ...paths], env)).status !== 0
  }
  // Most are noticed by the first; a process for each of many would cost more than what it runs.
  for (let from = 0, many = 1; from < quick.length; from += many, many *= 3)
    if (await ask(fault.id, quick.slice(from, from + many))) return 'noticed'
  for (const file of files.slice(quick.length)) {
    const tests = file[2]
    const few = tests && tests.size < 40 ? ['-t', `^(${[...tests].map(escaped).join('|')})$`] : []
    if (!(await ask(fault.id, [file], few))) continue
    if (!few.length) return 'noticed'
    // A test that leans on another fails by itself as well: then the whole file says.
    const key = `${file[0]} ${few[1]}`
    if (!alone.has(key)) alone.set(key, await ask('', [file], few))
    if (!alone.get(key) || (await ask(fault.id, [file]))) return 'noticed'
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
  const types = typesOf(root)
  const through = drawn.filter((m) => !types.refuse(m.fileName, textWith(root, m)))
  types.close()
  const refused = drawn.length - through.length
  const faults = await plant(root, copy, area, through)
  await configOf(copy, area)
  if (area === 'server') await buildServer(copy)
  const seen = await look(copy, area)
  console.log(
    `${what}: ${drawn.length} of ${all} faults drawn, the types refuse ${refused}; the tests ran in ${((Date.now() - from) / 1000).toFixed(0)} s`,
  )
  const left = [...faults]
  /** What came so far: a run that is cut off has not been for nothing. */
  const keep = () =>
    writeFileSync(
      `test-results/mutation/${what.replaceAll('/', '-')}.json`,
      JSON.stringify({ seed, long, refused, faults }, null, 1),
    )
  const worker = async () => {
    for (let f = left.shift(); f; f = left.shift()) {
      f.came = await noticed(copy, f, seen)
      keep()
      if (f.came !== 'noticed') console.log(`  ${f.file}:${f.line} ${f.kind} → ${f.becomes}: ${f.came}`)
    }
  }
  await Promise.all(Array.from({ length: WORKERS }, worker))
  const hits = faults.filter((f) => f.came === 'noticed').length
  const share = (hits, of) => {
    const [lo, hi] = interval(hits, of)
    return `${hits} of ${of}, ${percent(hits / of)}, between ${percent(lo)} and ${percent(hi)}`
  }
  const total = [refused + hits, refused + faults.length]
  console.log(
    `${what}: noticed ${share(...total)}, aim ${percent(AIM[area])}; by the tests alone, of what the types let through, ${share(hits, faults.length)}; ${((Date.now() - from) / 60_000).toFixed(0)} min`,
  )
  if (total[0] / total[1] < AIM[area]) process.exitCode = 1
  rmSync(copy, { recursive: true, force: true })
}
