import base from './jest.config.mjs';

export default {
  ...base,
  roots: ['<rootDir>/e2e'],
  testMatch: ['**/*.e2e.ts'],
  testTimeout: 90_000,
  // Two browsers at a time, as many as there are cores.
  maxWorkers: 2,
};
