// Read before everything else while faults are planted: writes down which of them were passed, by the test file that runs.
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { threadId } from 'node:worker_threads'

const folder = process.env.NUBRIN_COVERED
/** Writes what was passed so far; a process may be killed at any moment. */
const note = () => {
  const by = process.env.NUBRIN_COVERED_BY
  const passed = globalThis.__stryker__?.mutantCoverage
  if (folder && by && passed)
    writeFileSync(join(folder, `${by}~${process.pid}~${threadId}.json`), JSON.stringify(passed))
}
if (folder && process.env.NUBRIN_COVERED_BY) {
  setInterval(note, 500).unref()
  process.on('exit', note)
}
