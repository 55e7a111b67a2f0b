import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import { doors, outOf } from './scripts/lib/core-bundle.mjs'

/** The core as its sources lie, module by module, where faults are planted in them; otherwise as one. */
const core =
  process.env.NUBRIN_SOURCES === '1'
    ? {
        '^@nubrin/core/record/ops$': '<rootDir>/core/src/record/ops/index.ts',
        '^@nubrin/core/(.*)$': '<rootDir>/core/src/$1/index.ts',
        '^@nubrin/demo$': '<rootDir>/demo/src/index.ts',
      }
    : Object.fromEntries(doors(dirname(fileURLToPath(import.meta.url))).map((d) => [d.request, outOf('<rootDir>', d)]))

/** Core and server run in Node; the kit and the store run against a DOM, which their files ask for at the top. */
export default {
  testMatch: ['<rootDir>/{core,server,web}/test/**/*.test.{ts,tsx}'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
          experimental: { keepImportAttributes: true },
        },
        module: { type: 'es6' },
      },
    ],
  },
  moduleNameMapper: {
    '\\.css$': '<rootDir>/web/test/no-style.ts',
    ...core,
  },
  ...(process.env.NUBRIN_SOURCES === '1' ? {} : { globalSetup: '<rootDir>/scripts/lib/core-bundle.mjs' }),
  modulePathIgnorePatterns: ['<rootDir>/(\\.data|test-results)'],
  setupFiles: [
    '<rootDir>/web/test/dom.ts',
    '<rootDir>/scripts/lib/shift-clock.mjs',
    '<rootDir>/core/test/languages.ts',
  ],
  testTimeout: 180_000,
  maxWorkers: 2,
}
