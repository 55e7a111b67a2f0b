import config from './jest.config.mjs'

/** The tests of the core alone, for planted faults; without the one that reads the sources, which the planting rewrites. */
export default {
  ...config,
  testMatch: ['<rootDir>/core/test/**/*.test.ts'],
  testPathIgnorePatterns: ['sources\\.test', 'format-page\\.test'],
  maxWorkers: 1,
}
