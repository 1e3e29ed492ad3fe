import base from './jest.config.mjs';

export default {
  ...base,
  roots: ['<rootDir>/e2e'],
  testMatch: ['**/*.e2e.ts'],
  testTimeout: 90_000,
  maxWorkers: 1,
};
