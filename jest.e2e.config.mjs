import base from './jest.config.mjs';

export default {
  ...base,
  roots: ['<rootDir>/e2e'],
  testMatch: ['**/*.e2e.ts'],
  testTimeout: 180_000,
  // Two more than there are cores: a browser that waits for a hand leaves its core idle.
  maxWorkers: 4,
  testSequencer: '<rootDir>/scripts/longestFirst.mjs',
  globalSetup: '<rootDir>/e2e/setup.mjs',
  globalTeardown: '<rootDir>/e2e/tearDown.mjs',
};
