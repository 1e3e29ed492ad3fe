// What `npm start` and `npm test` need on a fresh machine. Uses nothing from node_modules.
//   node scripts/setup.mjs            dependencies
//   node scripts/setup.mjs build      dependencies and an up-to-date build
//   node scripts/setup.mjs tests      dependencies, and the programs that tests run
import { spawnSync } from 'node:child_process';
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
  // A child's standard output goes to standard error, so `npm run -s inspect` prints JSON only.
  const r = spawnSync(cmd, args, { stdio: ['ignore', 2, 2], env: { ...process.env, ...env } });
  if (r.error) throw r.error;
  if (r.status !== 0) process.exit(r.status ?? 1);
}

function npm(...args) {
  const cli = process.env['npm_execpath'];
  if (cli) run(process.execPath, [cli, ...args]);
  else run('npm', args);
}

function installDependencies() {
  const stamp = 'node_modules/.lock-hash';
  const hash = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return;
  npm('ci', '--include=dev', '--no-audit', '--no-fund');
  writeFileSync(stamp, hash);
}

function newest(p) {
  const s = statSync(p, { throwIfNoEntry: false });
  if (!s) return 0;
  if (!s.isDirectory()) return s.mtimeMs;
  return Math.max(s.mtimeMs, ...readdirSync(p).map((f) => newest(path.join(p, f))));
}

function buildIfStale() {
  const built = Math.min(newest('dist/web/index.html'), newest('dist/server/main.js'));
  const sources = ['core', 'web', 'server', 'demo', 'package-lock.json', 'vite.config.ts'];
  if (Math.max(...sources.map(newest)) > built) npm('run', 'build');
}

/** What the tests run besides Node: a browser and its driver, a store for rooms, a maker of certificates. */
function installTestPrograms() {
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
  run('apt-get', [...lock, 'update'], env);
  run('apt-get', [...lock, 'install', '-y', '--no-install-recommends', ...packages], env);
}

installDependencies();
if (want.has('build')) buildIfStale();
if (want.has('tests')) installTestPrograms();
mkdirSync('.cache', { recursive: true });
