// `npm run torture`: what goes in small measure with every test run, for long, with what it counted.
import { spawnSync } from 'node:child_process';

const jest = [
  '--experimental-vm-modules',
  '--disable-warning=ExperimentalWarning',
  'node_modules/jest/bin/jest.js',
];
const parts = [
  ['core/formats/fuzz'],
  ['-c', 'jest.e2e.config.mjs', 'e2e/torture'],
  ['-c', 'jest.e2e.config.mjs', 'e2e/endurance'],
];
let failed = false;
for (const part of parts) {
  const done = spawnSync('node', [...jest, ...part], {
    stdio: 'inherit',
    env: { ...process.env, TORTURE: 'long' },
  });
  failed ||= done.status !== 0;
}
process.exit(failed ? 1 : 0);
