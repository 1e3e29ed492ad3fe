import base from './jest.config.mjs';

export default {
  ...base,
  roots: ['<rootDir>/e2e'],
  testMatch: ['**/*.e2e.ts'],
  // A machine that is slow or busy takes its time; what does not come at all is told by what waits for it.
  testTimeout: 600_000,
  // One more than there are cores: a browser that waits for a hand leaves its core idle.
  maxWorkers: 3,
  testSequencer: '<rootDir>/scripts/longestFirst.mjs',
  globalSetup: '<rootDir>/e2e/setup.mjs',
  globalTeardown: '<rootDir>/e2e/tearDown.mjs',
};
