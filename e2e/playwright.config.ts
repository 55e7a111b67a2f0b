import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { defineConfig } from '@playwright/test'
import { drawn } from '../core/test/drawn'
// @ts-expect-error a plain script without types, shared with npm run shots
import { CHROMIUM } from '../scripts/lib/chromium.mjs'
// @ts-expect-error a plain script without types, shared with npm test
import { clocksAfter, envOf } from '../scripts/lib/clocks.mjs'
import type { Clock } from './bench'

const here = dirname(fileURLToPath(import.meta.url))
const specs = readdirSync(here).filter((f) => f.endsWith('.spec.ts'))
/** Every test, by file and name. */
const tests = specs.flatMap((file) =>
  [...readFileSync(join(here, file), 'utf8').matchAll(/^ *test\('(.+)', async/gm)].map(([, name]) => ({
    file,
    name: name!,
  })),
)
const now = Date.now()
const clocks = (clocksAfter(now) as { name: string; at: Date; zone: string }[]).map((c): Clock => {
  const env = envOf(c, now) as Record<string, string>
  return { name: c.name, zone: c.zone, shift: Number(env.NUBRIN_CLOCK_SHIFT), env }
})
const TODAY: Clock = { name: 'today', zone: 'UTC', shift: 0, env: {} }
const named = (name: string | undefined) => [TODAY, ...clocks].find((c) => c.name === name)
const under = (clock: Clock, files: readonly string[], names?: readonly string[]) => ({
  name: clock.name,
  testMatch: [...files],
  ...(names ? { grep: names.map((n) => new RegExp(`${n.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}$`)) } : {}),
  use: { clock, timezoneId: clock.zone },
})
/**
 * All tests under the clock that is asked for; or of the files that are held by a draw, the main job and the clock always among
 * them, a third of the tests and of each file at least one: of every other file under today's clock, of the rest under the drawn one.
 */
const ALWAYS = ['main-job.spec.ts', 'clock.spec.ts']
const other = named(process.env.NUBRIN_DRAWN_CLOCK)
const held = drawn(specs, 1, (file) => (ALWAYS.includes(file) ? [file] : []))
const some = drawn(
  tests.filter((t) => held.includes(t.file)),
  1 / 3,
  (t) => [t.file],
).map((t) => t.name)
const half = held.filter((_, i) => i % 2)
const projects = other
  ? [under(TODAY, half, some), under(other, [...held.filter((f) => !half.includes(f)), 'clock.spec.ts'], some)]
  : [under(named(process.env.NUBRIN_CLOCK) ?? TODAY, specs)]

/** As long as a person would wait on a busy machine, ms; a good run waits for none of it. */
const patience = Number(process.env.NUBRIN_PATIENCE ?? 45_000)

/** The real interface in Debian's Chromium, in two workers with a server and data of their own. None is tried twice. */
export default defineConfig<object, { clock: Clock }>({
  testDir: '.',
  outputDir: '../test-results/e2e',
  workers: 2,
  retries: 0,
  forbidOnly: true,
  timeout: 300_000,
  expect: { timeout: patience },
  reporter: [['list']],
  projects,
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    headless: true,
    actionTimeout: patience,
    // A trace of every test costs as much as the tests: it is asked for where one has failed.
    trace: process.env.NUBRIN_TRACE ? 'on' : 'off',
    screenshot: 'only-on-failure',
  },
})
