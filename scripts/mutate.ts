import { execFileSync, spawn } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';

import path from 'node:path';
import ts from 'typescript';
import { randomFromSeed } from '../core/numerics';
import { HOOK_OF_A_FILE } from './together.mjs';

/**
 * `npm run mutate -- [--sample 300] [--seed 1] [--only core/lesson] [--workers 2]`: puts one plausible bug at a time into a
 * copy of core, and counts how many the tests find. Survivors are printed to be read: each is a missing test, or a change
 * that changes nothing. Tests of the same folder go first, then all others that load the file.
 */
interface Mutant {
  readonly file: string;
  readonly line: number;
  readonly start: number;
  readonly end: number;
  readonly from: string;
  readonly to: string;
}

const option = (name: string, usual: string): string => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : (process.argv[at + 1] ?? usual);
};
const SAMPLE = Number(option('sample', '300'));
const SEED = option('seed', '1');
const ONLY = option('only', 'core/');
const WORKERS = Number(option('workers', '2'));
/** ms: a mutant that runs on for ever is found, too. */
const MOST = 240_000;

const OPERATORS = new Map<ts.SyntaxKind, string>([
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
]);
const CALLS = new Map([
  ['Math.max', 'Math.min'],
  ['Math.min', 'Math.max'],
  ['Math.floor', 'Math.ceil'],
  ['Math.ceil', 'Math.floor'],
]);

function mutantsOf(file: string): Mutant[] {
  const text = readFileSync(file, 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: Mutant[] = [];
  const change = (node: ts.Node, to: string) => {
    const start = node.getStart(source);
    const line = source.getLineAndCharacterOfPosition(start).line + 1;
    found.push({ file, line, start, end: node.end, from: node.getText(source), to });
  };
  const visit = (node: ts.Node): void => {
    // Types say nothing at run time, and a message is no behaviour.
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isThrowStatement(node)) return;
    if (ts.isBinaryExpression(node)) {
      const to = OPERATORS.get(node.operatorToken.kind);
      const isText = ts.isStringLiteralLike(node.left) || ts.isStringLiteralLike(node.right);
      if (to && !(isText && node.operatorToken.kind === ts.SyntaxKind.PlusToken))
        change(node.operatorToken, to);
    } else if (ts.isNumericLiteral(node)) {
      const value = Number(node.text.replaceAll('_', ''));
      change(node, Number.isInteger(value) ? String(value + 1) : String(value * 1.25));
    } else if (ts.isConditionalExpression(node)) {
      const part = (n: ts.Node) => n.getText(source);
      change(node, `${part(node.condition)} ? ${part(node.whenFalse)} : ${part(node.whenTrue)}`);
    } else if (ts.isIfStatement(node)) change(node.expression, 'false');
    else if (ts.isPropertyAccessExpression(node)) {
      const to = CALLS.get(node.getText(source));
      if (to) change(node, to);
    } else if (ts.isPrefixUnaryExpression(node)) {
      if (node.operator === ts.SyntaxKind.ExclamationToken)
        change(node, node.operand.getText(source));
      if (node.operator === ts.SyntaxKind.MinusToken) change(node, node.operand.getText(source));
    } else if (node.kind === ts.SyntaxKind.TrueKeyword) change(node, 'false');
    else if (node.kind === ts.SyntaxKind.FalseKeyword) change(node, 'true');
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const JEST = [
  '--experimental-vm-modules',
  '--disable-warning=ExperimentalWarning',
  'node_modules/jest/bin/jest.js',
];

function copyOfTree(name: string): string {
  const home = path.resolve('.cache/mutate', name);
  rmSync(home, { recursive: true, force: true });
  mkdirSync(home, { recursive: true });
  for (const part of execFileSync('git', ['ls-files'], { encoding: 'utf8' }).trim().split('\n'))
    if (!part.startsWith('docs/screenshots/'))
      cpSync(part, path.join(home, part), { recursive: true });
  symlinkSync(path.resolve('node_modules'), path.join(home, 'node_modules'));
  return home;
}

const jest = (home: string, tests: readonly string[]): Promise<boolean> =>
  new Promise((done) => {
    const args = [...JEST, '--runInBand', '--bail', '--silent', '--runTestsByPath'];
    const child = spawn('node', [...args, ...tests], { cwd: home, stdio: 'ignore' });
    const late = setTimeout(() => child.kill('SIGKILL'), MOST);
    child.on('close', (code) => {
      clearTimeout(late);
      done(code === 0);
    });
  });

/** Gone when it runs. */
const TYPES_ONLY = /^(?:import|export) type [^;]*;/gm;
const IMPORTED = /(?:from|import)\s*\(?'(\.[^']*)'/g;

/** Who loads a file, by whatever way. */
function loaders(): ReadonlyMap<string, ReadonlySet<string>> {
  const by = new Map<string, Set<string>>();
  const sources = execFileSync('git', ['ls-files', 'core'], { encoding: 'utf8' })
    .split('\n')
    .filter((f) => f.endsWith('.ts'));
  const known = new Set(sources);
  for (const file of sources)
    for (const [, to] of readFileSync(file, 'utf8').replace(TYPES_ONLY, '').matchAll(IMPORTED)) {
      const target = path.join(path.dirname(file), to!);
      const found = [`${target}.ts`, path.join(target, 'index.ts')].find((f) => known.has(f));
      if (found) by.set(found, (by.get(found) ?? new Set()).add(file));
    }
  return by;
}

const directly = loaders();
function testsFor(file: string) {
  const met = new Set([file]);
  for (const one of met) for (const by of directly.get(one) ?? []) met.add(by);
  const all = [...met].filter((f) => f.endsWith('.test.ts'));
  const folder = path.dirname(file);
  const near = all.filter((t) => path.dirname(t) === folder);
  return { near, far: all.filter((t) => !near.includes(t)) };
}

/** One file that loads them all: the program is loaded once for all of them, which takes half the time. */
function together(home: string, tests: readonly string[]): string[] {
  const made = 'core/far.test.ts';
  const alone = tests.filter((t) => HOOK_OF_A_FILE.test(readFileSync(t, 'utf8')));
  const shared = tests.filter((t) => !alone.includes(t));
  const lines = shared.map((t) => `await import('./${path.relative('core', t)}');\n`);
  writeFileSync(path.join(home, made), lines.join(''));
  return [...(shared.length > 0 ? [made] : []), ...alone];
}

async function survives(home: string, mutant: Mutant): Promise<boolean> {
  const target = path.join(home, mutant.file);
  const sound = readFileSync(mutant.file, 'utf8');
  const { near, far } = testsFor(mutant.file);
  writeFileSync(target, sound.slice(0, mutant.start) + mutant.to + sound.slice(mutant.end));
  try {
    return (
      (near.length === 0 || (await jest(home, near))) &&
      (far.length === 0 || (await jest(home, together(home, far))))
    );
  } finally {
    writeFileSync(target, sound);
  }
}

const files = execFileSync('git', ['ls-files', 'core/**/*.ts', 'core/*.ts'], { encoding: 'utf8' })
  .trim()
  .split('\n')
  .filter((f) => f.startsWith(ONLY) && !/\.test\.ts$|\/tests\/|\/index\.ts$/.test(f));
const all = files.flatMap(mutantsOf);
const random = randomFromSeed(`mutate ${SEED}`);
const sample: Mutant[] = [];
const pool = [...all];
while (sample.length < SAMPLE && pool.length > 0)
  sample.push(...pool.splice(random.whole(0, pool.length - 1), 1));

const homes = Array.from({ length: WORKERS }, (_, k) => copyOfTree(`${k}`));
let done = 0;
const survivors: Mutant[] = [];
await Promise.all(
  homes.map(async (home) => {
    for (let mutant = sample.pop(); mutant; mutant = sample.pop()) {
      const alive = await survives(home, mutant);
      done++;
      if (done % 20 === 0) console.log(`${done} tried, ${survivors.length} survive`);
      if (!alive) continue;
      survivors.push(mutant);
      const { file, line, from, to } = mutant;
      const short = (text: string) => text.replace(/\s+/g, ' ').slice(0, 60);
      console.log(`survives ${file}:${line} ${short(from)} → ${short(to)}`);
    }
  }),
);
rmSync('.cache/mutate', { recursive: true, force: true });
const killed = done - survivors.length;
console.log(
  `${killed} of ${done} found, ${Math.round((100 * killed) / done)} % (of ${all.length})`,
);
