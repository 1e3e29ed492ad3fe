import { execFileSync, spawn } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { randomFromSeed } from '../../core/numerics';
import { KINDS, mutantsOf, withMutants, type Mutant } from './mutants';

/**
 * `npm run mutate -- [--sample 300] [--seed 1] [--only core/lesson] [--workers 2] [--enough 17] [--again FILE]`: puts plausible bugs into a copy of core,
 * wakes one at a time, and counts how many the tests find. All are there at once, asleep, so that nothing is written or
 * compiled for one of them; and only those test files are run that meet it. Survivors are printed to be read: each is a
 * missing test, or a change that changes nothing. `--enough`: per cent of what all tests take, the same in a slow hour as
 * in a fast one. `--again`: no sample, but the survivors that an earlier run printed into this file.
 */
const option = (name: string, usual: string): string => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : (process.argv[at + 1] ?? usual);
};
const SAMPLE = Number(option('sample', '300'));
const SEED = option('seed', '1');
const ONLY = option('only', 'core/');
const WORKERS = Number(option('workers', '2'));
const AGAIN = option('again', '');

const HOME = path.resolve('.cache/mutate');

const tracked = (...patterns: string[]): string[] =>
  execFileSync('git', ['ls-files', '-co', '--exclude-standard', ...patterns], { encoding: 'utf8' })
    .trim()
    .split('\n');

/** A copy of the tree whose core has these bugs in it, asleep. */
function copyWith(sample: readonly Mutant[]): void {
  rmSync(HOME, { recursive: true, force: true });
  mkdirSync(HOME, { recursive: true });
  for (const part of tracked(
    'core',
    'web',
    'cli',
    'demo',
    'docs/*.md',
    'docs/schemas',
    '*.json',
    'scripts/mutation',
  ))
    cpSync(part, path.join(HOME, part));
  symlinkSync(path.resolve('node_modules'), path.join(HOME, 'node_modules'));
  for (const file of new Set(sample.map((m) => m.file))) {
    const numbers = new Map(sample.flatMap((m, k) => (m.file === file ? [[m.at, k]] : [])));
    writeFileSync(
      path.join(HOME, file),
      withMutants(file, (at) => numbers.get(at) ?? null),
    );
  }
}

interface Run {
  readonly passed: boolean;
  readonly ms: number;
  readonly said: string;
}

/** @param most ms: a bug that makes a test run on for ever is found, too */
function runTests(
  awake: number,
  hits: string,
  files: readonly string[],
  most: number,
): Promise<Run> {
  const start = Date.now();
  return new Promise((done) => {
    const args = ['--import', 'tsx', 'scripts/mutation/runTests.ts', String(awake), hits, ...files];
    const child = spawn('node', args, { cwd: HOME, stdio: ['ignore', 'ignore', 'pipe'] });
    let said = '';
    child.stderr.on('data', (part) => (said += String(part)));
    const late = setTimeout(() => child.kill('SIGKILL'), most);
    child.on('close', (code) => {
      clearTimeout(late);
      done({ passed: code === 0, ms: Date.now() - start, said });
    });
  });
}

/** So many at a time, each worker the next one. */
async function each<T>(
  list: readonly T[],
  work: (one: T, k: number) => Promise<void>,
): Promise<void> {
  let next = 0;
  const worker = async () => {
    while (next < list.length) {
      const k = next++;
      await work(list[k]!, k);
    }
  };
  await Promise.all(Array.from({ length: WORKERS }, worker));
}

interface TestFile {
  readonly file: string;
  readonly ms: number;
  readonly meets: ReadonlySet<number>;
}

const LONG_MS = 600_000;
/** What is not found by so much of the tests, the nearest and quickest first, is taken to survive. */
const ENOUGH = Number(option('enough', '17')) / 100;

function soMuchOf(tests: readonly TestFile[], whole: number): TestFile[] {
  let sum = 0;
  return tests.filter((t) => (sum += t.ms) <= ENOUGH * whole + t.ms);
}

/** Words, files and commands tell of core, too. */
const TESTS = ['core', 'web', 'cli', 'demo'].flatMap((part) =>
  tracked(`${part}/**/*.test.ts`, `${part}/*.test.ts`),
);

/** Every test file with all bugs asleep: how long it takes, and which bugs it meets. */
async function soundRun(): Promise<TestFile[]> {
  const found: TestFile[] = [];
  await each(TESTS, async (file, k) => {
    const hits = path.join(HOME, `hits-${k}.json`);
    const { passed, ms, said } = await runTests(-1, hits, [file], LONG_MS);
    if (passed)
      found.push({ file, ms, meets: new Set(JSON.parse(readFileSync(hits, 'utf8')) as number[]) });
    else console.log(`left out, since it fails as it is: ${said.trim()}`);
  });
  return found;
}

const sources = tracked('core/**/*.ts', 'core/*.ts').filter(
  (f) => f.startsWith(ONLY) && !/\.test\.ts$|\/tests\/|\/index\.ts$/.test(f),
);
const all = sources.flatMap(mutantsOf);
const short = (text: string): string => text.replace(/\s+/g, ' ').slice(0, 70);
const printed = ({ from, to }: Mutant): string => `${short(from)} → ${short(to)}`;

/** The bug that a line of an earlier run tells of: mends and tests move lines, and little else. */
function toldOf(line: string): Mutant[] {
  const [, file, at] = /^survives (\S+):(\d+) /.exec(line) ?? [];
  const away = (m: Mutant) => Math.abs(m.line - Number(at));
  return all
    .filter((m) => m.file === file && line.includes(` ${printed(m)}`))
    .toSorted((m, n) => away(m) - away(n))
    .slice(0, 1);
}

function drawn(): Mutant[] {
  const random = randomFromSeed(`mutate ${SEED}`);
  const pool = [...all];
  const draws = Math.min(SAMPLE, pool.length);
  return Array.from({ length: draws }, () => pool.splice(random.whole(0, pool.length - 1), 1)[0]!);
}

const sample = AGAIN === '' ? drawn() : readFileSync(AGAIN, 'utf8').split('\n').flatMap(toldOf);

copyWith(sample);
const tests = await soundRun();
const whole = tests.reduce((sum, t) => sum + t.ms, 0);
console.log(`${tests.length} test files, ${Math.round(whole / 1000)} s`);

let tried = 0;
const survivors: Mutant[] = [];
await each(sample, async (mutant, k) => {
  const folder = path.dirname(mutant.file);
  // Its own folder's, then those of the folders that it lies in, then all others.
  const far = ({ file }: TestFile) => {
    const own = path.dirname(file);
    return own === folder ? 0 : folder.startsWith(`${own}/`) ? 1 : 2;
  };
  const meeting = soMuchOf(
    tests.filter((t) => t.meets.has(k)).toSorted((a, b) => far(a) - far(b) || a.ms - b.ms),
    whole,
  );
  const usual = meeting.reduce((sum, t) => sum + t.ms, 0);
  const found =
    meeting.length > 0 &&
    !(
      await runTests(
        k,
        '',
        meeting.map((t) => t.file),
        30_000 + 5 * usual,
      )
    ).passed;
  tried++;
  if (tried % 20 === 0) console.log(`${tried} tried, ${survivors.length} survive`);
  if (found) return;
  survivors.push(mutant);
  const met = meeting.length > 0 ? '' : ', met by no test';
  console.log(`survives ${mutant.file}:${mutant.line} ${printed(mutant)}${met}`);
});
rmSync(HOME, { recursive: true, force: true });
for (const kind of KINDS) told(kind, (m) => m.kind === kind);
told('without numbers', (m) => m.kind !== 'number');
told(`all, of ${all.length}`, () => true);

function told(name: string, counts: (m: Mutant) => boolean): void {
  const many = sample.filter(counts).length;
  const found = many - survivors.filter(counts).length;
  if (many > 0) console.log(`${name}: ${found} of ${many}, ${Math.round((100 * found) / many)} %`);
}
