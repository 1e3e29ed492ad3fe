// Native ESM: no package needs transforming.
export default {
  roots: ['<rootDir>/core', '<rootDir>/web', '<rootDir>/server', '<rootDir>/cli', '<rootDir>/demo'],
  testMatch: ['**/*.test.ts'],
  testEnvironment: '<rootDir>/scripts/testEnvironment.mjs',
  // Both cores: the runner would leave one idle.
  maxWorkers: 2,
  // Whatever the machine: what is slow is measured elsewhere.
  testTimeout: 120_000,
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
  reporters: ['default', '<rootDir>/scripts/countReporter.mjs'],
  cacheDirectory: '<rootDir>/.cache/jest',
};
