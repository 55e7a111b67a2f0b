// The arrows between modules, held against .dependency-cruiser.cjs; wrong ones are planted beside to see that they are noticed.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { cruise } from 'dependency-cruiser'
import extractTsConfig from 'dependency-cruiser/config-utl/extract-ts-config'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(root)
const { forbidden, options } = createRequire(import.meta.url)('../.dependency-cruiser.cjs')

/** Modules that break one rule each: the floors of each tree, doors, neighbours, and what stands on no floor. */
const PLANTED = [
  ['core/src/units/planted.ts', "export { judgeCommission } from '../judge'\n"],
  ['core/src/fit/planted.ts', "export { say } from '../words/say'\n"],
  ['server/src/base/planted.ts', "export { migrate } from '../db/migrations'\n"],
  ['server/src/media/planted.ts', "export { pack } from '../commissions/archive'\n"],
  ['server/src/rack/planted.ts', "export { settingsOf } from '../shelf/rows'\n"],
  ['server/src/work/planted.ts', "export { JOBS } from '../jobs'\n"],
  ['server/src/planted/planted.ts', "export { connect } from '../db/models'\n"],
  ['web/src/kit/planted.ts', "export { default } from '../stations/brief'\n"],
  ['web/src/store/planted.ts', "export { Modal } from '../kit'\n"],
  ['web/src/stations/hilt/planted.ts', "export { default } from '../brief'\n"],
  ['web/src/film/planted.ts', "export { default } from '../main'\n"],
]
const files = PLANTED.map(([file]) => file)
const remove = () => {
  for (const file of [...files, 'server/src/planted']) rmSync(file, { force: true, recursive: true })
}

let summary
try {
  for (const [file, text] of PLANTED) {
    mkdirSync(dirname(file), { recursive: true })
    writeFileSync(file, text)
  }
  const { output } = await cruise(
    ['core/src', 'server/src', 'web/src', 'demo/src'],
    { ...options, ruleSet: { forbidden }, validate: true },
    undefined,
    { tsConfig: extractTsConfig(join(root, 'tsconfig.json')) },
  )
  summary = output.summary
} finally {
  remove()
}
const modules = summary.totalCruised - files.length
console.log(`${modules} modules, ${summary.totalDependenciesCruised - files.length} arrows`)
const faults = summary.violations
  .filter((v) => !files.includes(v.from))
  .map((v) => `${v.rule.name}: ${v.from} → ${v.to}`)
for (const file of files)
  if (!summary.violations.some((v) => v.from === file)) faults.push(`a wrong arrow in ${file} was not noticed`)
if (modules < 300) faults.push('too few modules were looked at')
for (const f of faults) console.log(`  ${f}`)
console.log(faults.length ? 'floors: failed' : `floors: fine, ${files.length} planted arrows noticed`)
process.exitCode = faults.length ? 1 : 0
