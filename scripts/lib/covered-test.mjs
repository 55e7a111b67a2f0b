// Set up with every test file while faults are planted: the file is named to whatever it starts, and what it passed is written,
// by the test that passed it where it was one of its own.
import { writeFileSync } from 'node:fs'
import { basename, join } from 'node:path'

const folder = process.env.NUBRIN_COVERED
if (folder) {
  const by = basename(expect.getState().testPath)
  process.env.NUBRIN_COVERED_BY = by
  globalThis.__stryker__ ??= {}
  beforeEach(() => {
    globalThis.__stryker__.currentTestId = expect.getState().currentTestName
  })
  afterEach(() => {
    globalThis.__stryker__.currentTestId = undefined
  })
  afterAll(() => {
    const passed = globalThis.__stryker__.mutantCoverage ?? {}
    writeFileSync(join(folder, `${by}~test.json`), JSON.stringify(passed))
  })
}
