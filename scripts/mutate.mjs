// npm run mutate -- facts record: plants faults in folders of the core and says how many of them a test noticed.
// A draw of lines of every file unless --all is said (that takes hours); --seed=2 makes another draw,
// --lines=45 a smaller one.
import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureNpm } from './lib/install.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(root)
ensureNpm(root)
const GATED = [
  ...['facts', 'record', 'units', 'room', 'drawing', 'fit', 'fit/search', 'power', 'parts', 'import'],
  ...['controls', 'judge', 'judge/checks', 'proof', 'box', 'handoff'],
]
const flags = process.argv.slice(2).filter((a) => a.startsWith('--'))
const folders = process.argv.slice(2).filter((a) => !a.startsWith('--'))
const all = flags.includes('--all')
const seed = flags.find((f) => f.startsWith('--seed='))?.slice(7) ?? '1'
const lines = flags.find((f) => f.startsWith('--lines='))?.slice(8)
for (const folder of folders.length ? folders : GATED) {
  const run = spawnSync(join(root, 'node_modules/.bin/stryker'), ['run'], {
    stdio: ['ignore', process.env.NUBRIN_TALK ? 'inherit' : 'ignore', 'inherit'],
    env: {
      ...process.env,
      NUBRIN_MUTATE: folder,
      NUBRIN_MUTATE_SEED: all ? '' : seed,
      ...(lines ? { NUBRIN_MUTATE_LINES: lines } : {}),
    },
  })
  const file = `test-results/mutation/${folder.replaceAll('/', '-')}.json`
  if (run.status !== 0 || !existsSync(file)) {
    console.log(`${folder}: the run itself failed`)
    process.exitCode = 1
    continue
  }
  const { files } = JSON.parse(readFileSync(file, 'utf8'))
  let [found, planted] = [0, 0]
  for (const [name, { mutants }] of Object.entries(files)) {
    const counted = mutants.filter((m) => ['Killed', 'Timeout', 'Survived', 'NoCoverage'].includes(m.status))
    const killed = counted.filter((m) => m.status === 'Killed' || m.status === 'Timeout').length
    found += killed
    planted += counted.length
    if (counted.length && killed / counted.length < 0.6) console.log(`  ${name}: ${killed} of ${counted.length}`)
  }
  console.log(
    `${folder}: ${found} of ${planted} planted faults noticed, ${Math.round((100 * found) / Math.max(1, planted))} %`,
  )
}
