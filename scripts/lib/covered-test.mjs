// Set up with every test file while faults are planted: the file is named to whatever it starts, and what it passed is written.
import { writeFileSync } from 'node:fs'
import { basename, join } from 'node:path'

const folder = process.env.NUBRIN_COVERED
if (folder) {
  const by = basename(expect.getState().testPath)
  process.env.NUBRIN_COVERED_BY = by
  afterAll(() => {
    const passed = globalThis.__stryker__?.mutantCoverage?.static ?? {}
    writeFileSync(join(folder, `${by}~test.json`), JSON.stringify(passed))
  })
}
