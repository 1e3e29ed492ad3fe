import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { expect } from 'expect';
import { bind } from 'jest-each';

/**
 * `tsx runTests.ts AWAKE HITS FILE…`: runs test files one after the other, in a process of their own and without a runner's
 * start, and ends at the first test that fails (1). With no bug awake (-1) it writes which ones were met to HITS.
 */
type Body = () => unknown;
interface Case {
  readonly name: string;
  readonly body: Body;
}

const [awake, hitsFile, ...files] = process.argv.slice(2);
const number = Number(awake);
const met = new Set<number>();
const cases: Case[] = [];

const test = (name: string, body: Body): void => void cases.push({ name, body });
const describe = (_name: string, body: Body): void => void body();
const given = {
  expect,
  test: Object.assign(test, { each: bind(test as never, false) }),
  describe: Object.assign(describe, { each: bind(describe as never, false) }),
  mutant: number < 0 ? (k: number) => (met.add(k), false) : (k: number): boolean => k === number,
};
Object.assign(globalThis, given);

async function run(): Promise<void> {
  for (const file of files) {
    cases.length = 0;
    await import(path.resolve(file));
    for (const { name, body } of cases)
      try {
        await body();
      } catch (problem) {
        console.error(`${file}: ${name}: ${String(problem).slice(0, 400)}`);
        process.exit(1);
      }
  }
  if (number < 0 && hitsFile) writeFileSync(hitsFile, JSON.stringify([...met]));
  process.exit(0);
}

run().catch((problem: unknown) => {
  console.error(String(problem));
  process.exit(1);
});
