// What `npm start` and `npm test` need on a fresh machine. Uses nothing from node_modules.
//   node scripts/setup.mjs            dependencies
//   node scripts/setup.mjs build      dependencies and an up-to-date build
//   node scripts/setup.mjs tests      dependencies, and the programs that tests run
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
process.chdir(root);
const want = new Set(process.argv.slice(2));

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Node 20.19 or newer is needed; this is ${process.versions.node}.`);
  process.exit(1);
}

function run(cmd, args, env = {}) {
  console.error(`> ${[cmd, ...args].join(' ')}`);
  return new Promise((done, fail) => {
    // A child's standard output goes to standard error, so `npm run -s inspect` prints JSON only.
    const child = spawn(cmd, args, { stdio: ['ignore', 2, 2], env: { ...process.env, ...env } });
    child.on('error', fail);
    child.on('close', (status) =>
      status === 0 ? done() : fail(new Error(`${cmd} ended with ${status}.`)),
    );
  });
}

function npm(...args) {
  const cli = process.env['npm_execpath'];
  return cli ? run(process.execPath, [cli, ...args]) : run('npm', args);
}

async function installDependencies() {
  const stamp = 'node_modules/.lock-hash';
  const hash = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return;
  await npm('ci', '--include=dev', '--no-audit', '--no-fund');
  writeFileSync(stamp, hash);
}

function newest(p) {
  const s = statSync(p, { throwIfNoEntry: false });
  if (!s) return 0;
  if (!s.isDirectory()) return s.mtimeMs;
  return Math.max(s.mtimeMs, ...readdirSync(p).map((f) => newest(path.join(p, f))));
}

async function buildIfStale() {
  const built = Math.min(newest('dist/web/index.html'), newest('dist/server/main.js'));
  const sources = ['core', 'web', 'server', 'demo', 'package-lock.json', 'vite.config.ts'];
  if (Math.max(...sources.map(newest)) > built) await npm('run', 'build');
}

/** What the tests run besides Node: a browser and its driver, a store for rooms, a maker of certificates. */
async function installTestPrograms() {
  const given = process.env['CHROMIUM'];
  const driver = process.env['CHROMEDRIVER'] ?? '/usr/bin/chromedriver';
  const needed = [
    ['chromium', given ?? '/usr/bin/chromium'],
    ['chromium-driver', driver],
    ['redis-server', '/usr/bin/redis-server'],
    ['openssl', '/usr/bin/openssl'],
  ];
  const missing = needed.filter(([, file]) => !existsSync(file)).map(([name]) => name);
  // scripts/chromium.sh takes the shell where there is one.
  const shell = given || existsSync('/usr/lib/chromium/chromium-headless-shell');
  const mayInstall = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (missing.length === 0 && (shell || !mayInstall)) return;
  if (!mayInstall) {
    console.error(`The tests need these packages: ${missing.join(', ')}.`);
    process.exit(1);
  }
  const packages = [...missing, ...(shell ? [] : ['chromium-headless-shell', 'fonts-liberation'])];
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  const lock = ['-qq', '-o', 'DPkg::Lock::Timeout=600', '-o', 'Dpkg::Use-Pty=0'];
  await run('apt-get', [...lock, 'update'], env);
  await run('apt-get', [...lock, 'install', '-y', '--no-install-recommends', ...packages], env);
}

// Two installers beside each other: each keeps one core busy, and neither needs what the other brings. Where one
// fails, the other still comes to its end, so that none is left writing.
const outcomes = await Promise.allSettled([
  installDependencies(),
  ...(want.has('tests') ? [installTestPrograms()] : []),
]);
const failed = outcomes.find((outcome) => outcome.status === 'rejected');
if (failed) {
  console.error(failed.reason.message);
  process.exit(1);
}
if (want.has('build')) await buildIfStale();
mkdirSync('.cache', { recursive: true });
