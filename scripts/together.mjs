// Test files that share one loading of the program: to load and warm it anew for each takes half the time of a run.
import { mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const PLACE = '.cache/together';

/** A hook outside of every `describe` would be a hook of all that are loaded with it. */
export const HOOK_OF_A_FILE = /^(before|after)(Each|All)\(/m;

/** A short file that asks for everything takes as long as a long one. */
const EVERYTHING = 'approved.test.ts';
const weightOf = ({ file, text }) => (file.endsWith(EVERYTHING) ? 10 : 1) * text.length;

/**
 * Deals the unit tests out to a few files of nothing but imports, the long ones first so that all come out alike.
 * @param {readonly string[]} roots folders, from the project's
 * @param {number} many how many files to make
 * @returns {string[]} what to run, from the project's folder: those, and each test file that has to stay alone
 */
export function dealt(roots, many) {
  const files = roots
    .flatMap((root) => readdirSync(root, { recursive: true }).map((file) => path.join(root, file)))
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => ({ file, text: readFileSync(file, 'utf8') }))
    .toSorted((a, b) => weightOf(b) - weightOf(a) || (a.file < b.file ? -1 : 1));
  const alone = files.filter(({ text }) => HOOK_OF_A_FILE.test(text));
  const shared = files.filter(({ text }) => !HOOK_OF_A_FILE.test(text));
  rmSync(PLACE, { recursive: true, force: true });
  mkdirSync(PLACE, { recursive: true });
  const made = Array.from({ length: many }, (_, k) => {
    const name = path.join(PLACE, `${k + 1}.test.ts`);
    // There and back again: dealt round and round the first would get the longer of each round.
    const turn = (at) => (Math.floor(at / many) % 2 === 0 ? at % many : many - 1 - (at % many));
    const imports = shared
      .filter((_file, at) => turn(at) === k)
      .map(({ file }) => `await import(${JSON.stringify(path.relative(PLACE, file))});\n`);
    writeFileSync(name, imports.join(''));
    return name;
  });
  return [...made, ...alone.map(({ file }) => file)];
}
