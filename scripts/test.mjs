// `npm test`: every check in order, stopping at the first that fails. The last line counts the tests.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';

const counts = '.cache/test-counts.jsonl';
rmSync(counts, { force: true });

const stages = [
  ['formatting', ['npx', 'prettier', '--check', '--log-level', 'warn', '.']],
  ['lint', ['npm', 'run', '-s', 'lint']],
  ['types', ['npm', 'run', '-s', 'typecheck']],
  ['import rules', ['npm', 'run', '-s', 'imports']],
  ['unit tests', ['npm', 'run', '-s', 'test:unit']],
  ['build', ['npm', 'run', '-s', 'build']],
  ['browser tests', ['npm', 'run', '-s', 'test:e2e']],
];

let failedStage = null;
for (const [name, [cmd, ...args]] of stages) {
  const start = Date.now();
  console.log(`\n== ${name}`);
  const r = spawnSync(cmd, args, { stdio: ['ignore', 'inherit', 'inherit'] });
  console.log(
    `== ${name}: ${r.status === 0 ? 'ok' : 'FAILED'} (${Math.round((Date.now() - start) / 1000)} s)`,
  );
  if (r.status !== 0) {
    failedStage = name;
    break;
  }
}

const total = { passed: 0, failed: 0, skipped: 0 };
if (existsSync(counts))
  for (const line of readFileSync(counts, 'utf8').trim().split('\n')) {
    const c = JSON.parse(line);
    for (const key of Object.keys(total)) total[key] += c[key];
  }
if (failedStage !== null) console.log(`\nStopped at: ${failedStage}`);
if (failedStage !== null && total.failed === 0) total.failed = 1;
console.log(`${total.passed} passed, ${total.failed} failed, ${total.skipped} skipped`);
process.exit(failedStage === null && total.failed === 0 && total.passed > 0 ? 0 : 1);
