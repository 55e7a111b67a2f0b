import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from 'playwright-core'
// @ts-expect-error a plain script without types, shared with npm run shots
import { CHROMIUM } from '../scripts/lib/chromium.mjs'
import { startServer } from '../server/test/harness'
import { cases, must } from './cases'
import './jobs'
import './benches'

const server = await startServer({ NUBRIN_SIGNIN_LIMIT: '500' })
let passed = 0
let failed = 0
const only = process.argv[2]
for (const [name, run] of cases.filter(([n]) => !only || n.includes(only))) {
  const folder = mkdtempSync(join(tmpdir(), 'nubrin-e2e-'))
  const browser = await chromium.launch(CHROMIUM)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const faults: string[] = []
  page.on('pageerror', (e) => faults.push(e.message))
  try {
    await run({ server, page, browser, folder })
    must(!faults.length, `errors on the page: ${faults.join('; ')}`)
    console.log(`  ✓ ${name}`)
    passed++
  } catch (e) {
    failed++
    console.log(`  ✗ ${name}\n    ${(e as Error).message}`)
    await page.screenshot({ path: join(tmpdir(), `nubrin-failed-${failed}.png`) }).catch(() => undefined)
  }
  await browser.close()
  rmSync(folder, { recursive: true, force: true })
}
await server.stop()
console.log(`interface: ${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
