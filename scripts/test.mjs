// `npm test`: every check, stopping at the first that fails. The last line counts the tests.
import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';

const counts = '.cache/test-counts.jsonl';
rmSync(counts, { force: true });

const npm = (script) => ['npm', ['run', '-s', script]];
// What only reads goes beside the unit tests, since it would leave a core idle; the browser gets the machine to itself.
const reading = [
  ['formatting', ['npx', ['oxfmt', '--check', '.']]],
  ['lint', npm('lint')],
  ['types', npm('typecheck')],
  ['import rules', npm('imports')],
  ['words', npm('words')],
  ['build', npm('build')],
];
const phases = [
  [reading, [['unit tests', npm('test:units')]]],
  [[['browser tests', npm('test:e2e')]]],
];

let failedStage = null;

/** Runs one stage; what it says comes in one piece, so that two at once stay legible. */
function run([name, [command, args]]) {
  const start = Date.now();
  return new Promise((done) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    const said = [];
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => said.push(part));
    child.on('error', (error) => said.push(Buffer.from(`${error}\n`)));
    child.on('close', (code) => {
      process.stdout.write(`\n== ${name}\n`);
      process.stdout.write(Buffer.concat(said));
      const seconds = Math.round((Date.now() - start) / 1000);
      console.log(`== ${name}: ${code === 0 ? 'ok' : 'FAILED'} (${seconds} s)`);
      if (code !== 0) failedStage ??= name;
      done();
    });
  });
}

for (const chains of phases) {
  if (failedStage !== null) break;
  await Promise.all(
    chains.map(async (chain) => {
      for (const stage of chain) if (failedStage === null) await run(stage);
    }),
  );
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
