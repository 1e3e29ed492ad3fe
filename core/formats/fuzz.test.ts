import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { strFromU8, strToU8 } from 'fflate';
import type { Lesson } from '../lesson';
import { randomFromSeed, type Random } from '../numerics';
import { openFile, writePack } from './index';
import { demoFile } from '../tests/demoFile';

/** Files that were cut, mixed up, or made to harm: every one opens or is refused with its reason; none throws. */
const FILES = process.env['TORTURE'] === 'long' ? 3000 : 200;

const documents = ['lessons', 'units', 'converters', 'clutches', 'fault-cases', 'attempts']
  .flatMap((folder) => readdirSync(`demo/${folder}`).map((f) => path.join('demo', folder, f)))
  .filter((f) => f.endsWith('.json'))
  .map((f) => new Uint8Array(readFileSync(f)));
const lesson = demoFile<Lesson>('lessons/name-the-parts');
const packs = [writePack({ lesson, media: {} })];

const HARMS = [
  '__proto__',
  'constructor',
  'toString',
  '\u0000',
  '1e999',
  '-0',
  '9'.repeat(400),
  '<img src=x onerror=alert(1)>',
];

function bytesWrong(bytes: Uint8Array, random: Random): Uint8Array {
  const out = bytes.slice(0, random.next() < 0.3 ? random.whole(0, bytes.length) : bytes.length);
  for (let n = random.whole(1, 12); n > 0 && out.length > 0; n--)
    out[random.whole(0, out.length - 1)] = random.whole(0, 255);
  return out;
}

/** A value somewhere in the document is another kind of value, gone, or named to do harm. */
function valueWrong(bytes: Uint8Array, random: Random): Uint8Array {
  const root = JSON.parse(strFromU8(bytes)) as Record<string, unknown>;
  let at: Record<string, unknown> = root;
  for (let depth = random.whole(0, 6); depth > 0; depth--) {
    const inner = Object.values(at).filter((v) => typeof v === 'object' && v !== null);
    if (inner.length === 0) break;
    at = random.pick(inner) as Record<string, unknown>;
  }
  const keys = Object.keys(at);
  if (keys.length === 0) return bytes;
  const key = random.pick(keys);
  const wrong = [
    null,
    [],
    {},
    -1,
    1e308,
    '',
    random.pick(HARMS),
    { [random.pick(HARMS)]: 1 },
    [[[[]]]],
  ];
  if (random.next() < 0.2) Reflect.deleteProperty(at, key);
  else at[key] = random.pick(wrong);
  if (random.next() < 0.2) at[random.pick(HARMS)] = at[key];
  return strToU8(JSON.stringify(root));
}

test(`${FILES} hostile files: none throws, none pollutes, each refusal says why`, () => {
  const random = randomFromSeed('hostile files');
  const counted = { opened: 0, refused: 0 };
  for (let k = 0; k < FILES; k++) {
    const from = random.next() < 0.25 ? random.pick(packs) : random.pick(documents);
    const isPack = from === packs[0];
    const bytes =
      isPack || random.next() < 0.4 ? bytesWrong(from, random) : valueWrong(from, random);
    const result = openFile(bytes);
    if (result.ok) counted.opened++;
    else {
      counted.refused++;
      expect(result.failure.cause).toMatch(/^[a-z-]+$/);
    }
  }
  expect(({} as Record<string, unknown>)['x']).toBeUndefined();
  expect(Object.keys(Object.prototype)).toEqual([]);
  // Both ends are reached, or the files were not hostile in the way that was meant.
  expect(Math.min(counted.opened, counted.refused)).toBeGreaterThan(FILES / 20);
  if (FILES > 1000) process.stdout.write(`torture: files ${JSON.stringify(counted)}\n`);
});
