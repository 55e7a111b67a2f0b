// Read by npm run mutate: plants faults in one folder of the core and counts which of them a test notices.
import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const folder = process.env.NUBRIN_MUTATE ?? 'facts'
const seed = process.env.NUBRIN_MUTATE_SEED ?? ''

/** About how many lines a folder is drawn for, and how many stand together, so that faults over several lines are planted too. */
const [LINES, TOGETHER] = [Number(process.env.NUBRIN_MUTATE_LINES ?? 90), 6]

/** @type {Record<string, string>} */
const APART = { fit: 'search/', judge: 'checks/' }
const files = readdirSync(join('core/src', folder), { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.ts') && !/(^|\/)index\.ts$|-words\.ts$/.test(f))
  // What is counted by itself: its tests take long, and the rest of the folder has others.
  .filter((f) => !APART[folder] || !f.startsWith(APART[folder]))
  .map((f) => join('core/src', folder, f))

/** Windows of lines, those with the smallest hash first: every file has one where so many are drawn, then by luck. */
function drawn() {
  const windows = files.flatMap((file) => {
    const lines = readFileSync(file, 'utf8').split('\n').length
    return Array.from({ length: Math.ceil(lines / TOGETHER) }, (_, i) => {
      const [from, to] = [i * TOGETHER + 1, Math.min(lines, (i + 1) * TOGETHER)]
      const luck = createHash('sha256').update(`${seed}:${file}:${from}`).digest('hex')
      return { file, luck, pattern: `${file}:${from}-${to}` }
    })
  })
  windows.sort((a, b) => (a.luck < b.luck ? -1 : 1))
  const first = (files.length * TOGETHER > LINES ? [] : files).flatMap(
    (file) => windows.find((w) => w.file === file) ?? [],
  )
  const rest = windows.filter((w) => !first.includes(w))
  return [...first, ...rest.slice(0, Math.max(0, Math.ceil(LINES / TOGETHER) - first.length))].map((w) => w.pattern)
}

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
  mutate: seed ? drawn() : files,
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules', '--no-warnings'],
  jest: { projectType: 'custom', configFile: 'jest.mutate.config.mjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  // Modules of a run stay in memory until its process ends, so it ends often.
  maxTestRunnerReuse: 12,
  ignorePatterns: ['docs/screenshots', 'test-results', '.data', 'web/dist', 'server/dist', 'e2e'],
  ignoreStatic: true,
  reporters: ['clear-text', 'json', 'progress-append-only'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  jsonReporter: { fileName: `test-results/mutation/${folder.replaceAll('/', '-')}.json` },
  concurrency: Number(process.env.NUBRIN_WORKERS ?? 2),
  // Generous, so that a busy machine does not pass for a fault that was noticed.
  timeoutMS: 40_000,
  thresholds: { high: 80, low: 60, break: null },
  tempDirName: '.data/stryker',
  disableTypeChecks: false,
  disableBail: false,
  // Its preprocessor needs a TypeScript that can be programmed; nothing here depends on it.
  tsconfigFile: 'none.json',
}
