// The arrows between modules, held against .dependency-cruiser.cjs; a wrong arrow is planted to see that it is noticed.
import { rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { cruise } from 'dependency-cruiser'
import extractTsConfig from 'dependency-cruiser/config-utl/extract-ts-config'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(root)
const { forbidden, options } = createRequire(import.meta.url)('../.dependency-cruiser.cjs')
const look = async () => {
  const { output } = await cruise(
    ['core/src', 'server/src', 'web/src', 'demo/src'],
    { ...options, ruleSet: { forbidden }, validate: true },
    undefined,
    { tsConfig: extractTsConfig(join(root, 'tsconfig.json')) },
  )
  return output.summary
}
const told = (v) => `  ${v.rule.name}: ${v.from} → ${v.to}`

const found = await look()
console.log(`${found.totalCruised} modules, ${found.totalDependenciesCruised} arrows`)
for (const v of found.violations) console.log(told(v))
if (found.totalCruised < 300) {
  console.log('  too few modules were looked at')
  process.exitCode = 1
}
if (found.error) process.exitCode = 1

const PLANTED = [
  ['core/src/units/planted.ts', "export { judgeCommission } from '../judge'\n"],
  ['core/src/fit/planted.ts', "export { say } from '../words/say'\n"],
  ['web/src/kit/planted.ts', "export { default } from '../stations/brief'\n"],
]
for (const [file, text] of PLANTED)
  try {
    writeFileSync(file, text)
    const seen = (await look()).violations.some((v) => v.from === file)
    if (!seen) {
      console.log(`  a wrong arrow in ${file} was not noticed`)
      process.exitCode = 1
    }
  } finally {
    rmSync(file, { force: true })
  }
console.log(process.exitCode ? 'floors: failed' : `floors: fine, ${PLANTED.length} planted arrows noticed`)
