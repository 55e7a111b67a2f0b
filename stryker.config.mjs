// npm run mutate -- facts: plants faults in one folder of the core and counts which of them a test notices.
const folder = process.env.NUBRIN_MUTATE ?? 'facts'

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
  mutate: [`core/src/${folder}/**/*.ts`, `!core/src/${folder}/**/index.ts`, '!core/src/**/*-words.ts'],
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules', '--no-warnings'],
  jest: { projectType: 'custom', configFile: 'jest.mutate.config.mjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  ignorePatterns: ['docs', 'test-results', '.data', 'web/dist', 'server/dist', 'e2e'],
  ignoreStatic: true,
  reporters: ['clear-text', 'json'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  jsonReporter: { fileName: `test-results/mutation/${folder.replaceAll('/', '-')}.json` },
  concurrency: Number(process.env.NUBRIN_WORKERS ?? 2),
  timeoutMS: 20_000,
  thresholds: { high: 80, low: 60, break: null },
  tempDirName: '.data/stryker',
  disableTypeChecks: false,
  disableBail: false,
  // Its preprocessor needs a TypeScript that can be programmed; nothing here depends on it.
  tsconfigFile: 'none.json',
}
