// While faults are planted: tells the pages of a browser which one is switched on, or writes down which they pass, by the test.
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'

const { NUBRIN_COVERED: folder, __STRYKER_ACTIVE_MUTANT__: on } = process.env

/** What a page does before anything of its own, with the clock it has then. */
const watch = () => {
  const tell = () => {
    const passed = globalThis.__stryker__?.mutantCoverage?.static
    if (passed) globalThis.__passed(Object.keys(passed))
  }
  const { setInterval } = globalThis
  setInterval(tell, 150)
  addEventListener('pagehide', tell)
}

const passed = {}
/** Readies a context; `test` says which test runs at the moment. */
export async function planted(context, test) {
  if (on) await context.addInitScript(`globalThis.__stryker__ = { activeMutant: '${on}' }`)
  if (!folder) return
  await context.exposeBinding('__passed', (_page, ids) => {
    const own = (passed[test()] ??= {})
    const many = Object.keys(own).length
    for (const id of ids) own[id] = 1
    if (Object.keys(own).length > many)
      writeFileSync(join(folder, `page~${process.pid}.json`), JSON.stringify({ perTest: passed }))
  })
  await context.addInitScript(watch)
}
