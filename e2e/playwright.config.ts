import { defineConfig } from '@playwright/test'
// @ts-expect-error a plain script without types, shared with npm run shots
import { CHROMIUM } from '../scripts/lib/chromium.mjs'

/** The real interface in Debian's Chromium. A test that fails leaves its trace; none is tried twice. */
export default defineConfig({
  testDir: '.',
  outputDir: '../test-results/e2e',
  workers: 1,
  retries: 0,
  forbidOnly: true,
  timeout: 120_000,
  expect: { timeout: 10_000 },
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    headless: true,
    actionTimeout: 10_000,
    trace: 'retain-on-failure',
    screenshot: 'only-on-failure',
  },
})
