export default {
  testMatch: ['<rootDir>/{core,server}/test/**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022' }, module: { type: 'es6' } },
    ],
  },
  moduleNameMapper: {
    '^@nubrin/core/record/ops$': '<rootDir>/core/src/record/ops/index.ts',
    '^@nubrin/core/(.*)$': '<rootDir>/core/src/$1/index.ts',
    '^@nubrin/core$': '<rootDir>/core/src/index.ts',
    '^@nubrin/demo$': '<rootDir>/demo/src/index.ts',
  },
  testTimeout: 60_000,
  maxWorkers: 2,
}
