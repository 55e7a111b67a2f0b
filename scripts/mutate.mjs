// npm run mutate: plants faults in core, server and web, drawn by a seed, and says how many of them `npm test` notices, by its
// types or its tests, and how many `npm run test:long`, each with an interval; and how many the tests notice of those that the
// types let through. It takes about an hour an area; what nobody noticed is listed in test-results/mutation.
//   npm run mutate -- core web      only these;  core/fit only a folder
//   --seed=2 --n=120                another draw, so many of each
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build, buildServer, buildWeb } from './build.mjs'
import { ensureDebian, ensureNpm } from './lib/install.mjs'
import { runPart } from './lib/part.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(root)
ensureNpm(root)
ensureDebian(['mariadbd', 'mariadb', 'chromium', 'pdftotext', 'letters', 'sounds', 'ffmpeg'])
// What plants is a package: it is there from here on.
const { draw, plant, textWith } = await import('./lib/plant.mjs')
const { typesOf } = await import('./lib/typed.mjs')
await build()

const flags = process.argv.slice(2).filter((a) => a.startsWith('--'))
const flag = (name, otherwise) => flags.find((f) => f.startsWith(`--${name}=`))?.slice(name.length + 3) ?? otherwise
const asked = process.argv.slice(2).filter((a) => !a.startsWith('--'))
const seed = flag('seed', '1')
const n = Number(flag('n', '200'))
const WORKERS = Number(process.env.NUBRIN_WORKERS ?? 2)
/** What is aimed at, as a share of all, by the long run. */
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
      env: { NODE_ENV: 'test', NUBRIN_SEED: seed, ...env },
      limit,
    },
  )

const playwright = (copy, args, { limit, ...env }) =>
  runPart(join(root, 'node_modules/.bin/playwright'), ['test', '-c', 'e2e/playwright.config.ts', ...args], {
    cwd: copy,
    env: { NUBRIN_SEED: seed, ...env },
    limit,
  })

/** The tests of an area, as they are run in the copy. */
async function configOf(copy, area) {
  process.env.NUBRIN_SOURCES = '1'
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

/** What was written down in a folder of what is passed: by whom, outside of any test and by test. */
const written = (folder) =>
  readdirSync(folder).map((file) => {
    const { static: outside = {}, perTest = {} } = JSON.parse(readFileSync(join(folder, file), 'utf8'))
    return { by: file.split('~')[0], outside, perTest }
  })

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
  for (const { by, outside, perTest } of written(folder)) {
    for (const id of Object.keys(outside)) passed(id, by)
    for (const [test, ids] of Object.entries(perTest)) for (const id of Object.keys(ids)) passed(id, by, test)
  }
  return { seconds, passes, alone: new Map() }
}

const escaped = (name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** How long a page of a test may keep one waiting, ms: it is told apart from a fault by a run with none switched on. */
const PATIENCE = { NUBRIN_PATIENCE: '15000' }
/** Which browser tests pass which faults of the page, the quickest first, and which of them `npm test` holds by this draw. */
async function lookInBrowser(copy) {
  const folder = join(copy, '.covered-pages')
  mkdirSync(folder, { recursive: true })
  const run = await playwright(copy, ['--reporter=json'], { NUBRIN_COVERED: folder })
  const all = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(all)]
  const specs = JSON.parse(run.text.slice(run.text.indexOf('\n{') + 1)).suites.flatMap(all)
  const bad = specs.filter((t) => !t.ok).map((t) => t.title)
  if (bad.length > specs.length / 10)
    throw new Error(`in the browser these fail with nothing planted: ${bad.join('; ')}`)
  // A test that fails by itself, as on a busy machine, says nothing of a fault.
  if (bad.length) console.log(`left out, since it fails with nothing planted: ${bad.join('; ')}`)
  const good = specs.filter((t) => t.ok)
  const took = new Map(good.map((t) => [t.title, t.tests[0].results[0].duration / 1000]))
  const listed = await playwright(copy, ['--list'], { NUBRIN_DRAWN_CLOCK: 'the 30th' })
  const passes = new Map()
  for (const { perTest } of written(folder))
    for (const [test, ids] of Object.entries(perTest))
      for (const id of Object.keys(ids)) (passes.get(id) ?? passes.set(id, new Set()).get(id)).add(test)
  return {
    passes: new Map(
      [...passes].map(([id, of]) => [id, [...of].filter((t) => took.has(t)).sort((a, b) => took.get(a) - took.get(b))]),
    ),
    held: new Set([...took.keys()].filter((title) => listed.text.includes(` › ${title}\n`))),
    took,
    alone: new Map(),
  }
}
/** Whether one of some browser tests notices a fault. */
async function noticedIn(copy, fault, tests, pages) {
  if (!tests.length) return false
  const { took, alone } = pages
  const ask = async (id, titles) => {
    const limit = (titles.reduce((sum, t) => sum + took.get(t), 0) * 4 + 120) * 1000
    const env = { __STRYKER_ACTIVE_MUTANT__: id, NUBRIN_COVERED: '', limit, ...PATIENCE }
    const few = `(${titles.map(escaped).join('|')})$`
    return playwright(copy, ['--workers=1', '--max-failures=1', '-g', few], env)
  }
  for (let from = 0, many = 3; from < tests.length; from += many, many *= 2) {
    const titles = tests.slice(from, from + many)
    if ((await ask(fault.id, titles)).status === 0) continue
    const key = titles.join('|')
    if (!alone.has(key)) alone.set(key, (await ask('', titles)).status === 0)
    if (alone.get(key)) return true
  }
  return false
}

/** A file that takes longer is asked only for the tests that pass the fault, s. */
const SLOW = 12

/** Whether a test of core, server or kit notices a fault: the quickest of those that pass it first, until one fails or does not end. */
async function noticed(copy, fault, { seconds, passes, alone }, long) {
  const files = [...(passes.get(fault.id) ?? [])]
    .filter(([f]) => seconds.has(f))
    .map(([f, tests]) => [...seconds.get(f), tests])
    .sort((a, b) => a[1] - b[1])
  const quick = files.filter(([, usual]) => usual <= SLOW)
  const ask = async (id, asked, few = []) => {
    const usual = asked.reduce((sum, [, s]) => sum + s, 0)
    const limit = (usual * (long ? 20 : 4) + 90) * 1000
    const env = { __STRYKER_ACTIVE_MUTANT__: id, NUBRIN_COVERED: '', limit, ...(long ? { NUBRIN_LONG: '1' } : {}) }
    const paths = asked.map(([file]) => file)
    return (await jest(copy, ['--bail', '--maxWorkers=1', ...few, '--runTestsByPath', ...paths], env)).status !== 0
  }
  // Most are noticed by the first; a process for each of many would cost more than what it runs.
  for (let from = 0, many = 1; from < quick.length; from += many, many *= 3)
    if (await ask(fault.id, quick.slice(from, from + many))) return true
  for (const file of files.slice(quick.length)) {
    const tests = file[2]
    const few = tests && tests.size < 40 ? ['-t', `^(${[...tests].map(escaped).join('|')})$`] : []
    if (!(await ask(fault.id, [file], few))) continue
    if (!few.length) return true
    // A test that leans on another fails by itself as well: then the whole file says.
    const key = `${file[0]} ${few[1]} ${long}`
    if (!alone.has(key)) alone.set(key, await ask('', [file], few))
    if (!alone.get(key) || (await ask(fault.id, [file]))) return true
  }
  return false
}

/** What came of a fault: noticed by `npm test`, only by the long run, or by none of those that pass it. */
async function cameOf(copy, fault, seen, pages) {
  const shown = pages?.passes.get(fault.id) ?? []
  const by = (held) => shown.filter((title) => pages.held.has(title) === held)
  if ((await noticed(copy, fault, seen, false)) || (await noticedIn(copy, fault, by(true), pages))) return SHORT
  if ((await noticed(copy, fault, seen, true)) || (await noticedIn(copy, fault, by(false), pages))) return LONG
  const many = (seen.passes.get(fault.id)?.size ?? 0) + shown.length
  return many ? `passed by ${many} and not noticed` : 'no test passes it'
}
const SHORT = 'noticed'
const LONG = 'noticed by the long run'

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
  const copy = join(root, 'test-results', `planted-${area}`)
  const { all, drawn } = await draw(root, area, n, seed, folder.join('/'))
  const types = typesOf(root)
  const through = drawn.filter((m) => !types.refuse(m.fileName, textWith(root, m)))
  types.close()
  const refused = drawn.length - through.length
  const faults = await plant(root, copy, area, through)
  await configOf(copy, area)
  if (area === 'server') await buildServer(copy)
  if (area === 'web') await buildWeb(copy)
  const seen = await look(copy, area)
  const pages = area === 'web' ? await lookInBrowser(copy) : undefined
  console.log(
    `${what}: ${drawn.length} of ${all} faults drawn, the types refuse ${refused}; the tests ran in ${((Date.now() - from) / 1000).toFixed(0)} s`,
  )
  const left = [...faults]
  /** What came so far: a run that is cut off has not been for nothing. */
  const keep = () =>
    writeFileSync(
      `test-results/mutation/${what.replaceAll('/', '-')}.json`,
      JSON.stringify({ seed, refused, faults }, null, 1),
    )
  const worker = async () => {
    for (let f = left.shift(); f; f = left.shift()) {
      f.came = await cameOf(copy, f, seen, pages)
      keep()
      if (f.came !== SHORT) console.log(`  ${f.file}:${f.line} ${f.kind} → ${f.becomes}: ${f.came}`)
    }
  }
  await Promise.all(Array.from({ length: WORKERS }, worker))
  const share = (hits, of) => {
    const [lo, hi] = interval(hits, of)
    return `${hits} of ${of}, ${percent(hits / of)}, between ${percent(lo)} and ${percent(hi)}`
  }
  const short = faults.filter((f) => f.came === SHORT).length
  const hits = short + faults.filter((f) => f.came === LONG).length
  const of = refused + faults.length
  console.log(`${what}: ${share(refused + hits, of)}, noticed by the long run, aim ${percent(AIM[area])}`)
  console.log(`${what}: ${share(refused + short, of)}, by npm test`)
  console.log(`${what}: ${share(hits, faults.length)}, of what the types let through, by the long run's tests alone`)
  console.log(`${what}: ${((Date.now() - from) / 60_000).toFixed(0)} min`)
  if ((refused + hits) / of < AIM[area]) process.exitCode = 1
  rmSync(copy, { recursive: true, force: true })
}
