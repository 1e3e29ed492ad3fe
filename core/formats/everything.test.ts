import { strToU8, zipSync } from 'fflate';
import { randomFromSeed } from '../numerics';
import { demoFile } from '../tests/demoFile';
import type { Lesson } from '../lesson';
import { isEverything, openFile, readEverything, writeEverything, writePack } from './index';

const lesson = demoFile<Lesson>('lessons/hold-one-drive-one');
const attempt = demoFile<object>('attempts/demo-1');
const files = [
  { folder: 'lessons', name: 'a.lesson.zip', bytes: writePack({ lesson, media: {} }) },
  { folder: 'mine', name: 'r1.attempt.json', bytes: strToU8(JSON.stringify(attempt)) },
  { folder: 'class', name: 'r2.attempt.json', bytes: strToU8(JSON.stringify(attempt)) },
] as const;

test('what was taken along comes back byte for byte, and each opens as by itself', () => {
  const bytes = writeEverything({ files, settings: { paper: 'night' } });
  expect(isEverything(bytes)).toBe(true);
  const read = readEverything(bytes);
  if (!read.ok) throw new Error(read.failure.cause);
  expect(read.settings).toEqual({ paper: 'night' });
  expect(read.files).toEqual(files);
  expect(read.files.map((f) => openFile(f.bytes).ok)).toEqual([true, true, true]);
  // The same content gives the same file.
  expect(writeEverything({ files, settings: { paper: 'night' } })).toEqual(bytes);
});

test('what is not packed yet is packed, what is packed is put in as it is', () => {
  const bytes = new Uint8Array(50_000);
  const sizeWith = (name: string) =>
    writeEverything({ files: [{ folder: 'lessons', name, bytes }], settings: null }).length;
  expect(sizeWith('a.json')).toBeLessThan(5_000);
  expect(sizeWith('a.lesson.zip')).toBeGreaterThan(50_000);
});

test('a pack by itself is not everything, and nothing leaves its folder', () => {
  expect(isEverything(files[0].bytes)).toBe(false);
  expect(isEverything(new Uint8Array())).toBe(false);
  const odd = zipSync({
    'everything.json': strToU8('{}'),
    '../out.json': strToU8('{}'),
  });
  expect(readEverything(odd)).toMatchObject({ ok: false, failure: { cause: 'pack-path' } });
});

test('a damaged one is told, whatever is broken off or changed', () => {
  const bytes = writeEverything({ files, settings: null });
  const random = randomFromSeed('everything');
  for (let k = 0; k < 200; k++) {
    const broken = bytes.slice(0, random.whole(0, bytes.length));
    const at = random.whole(0, Math.max(0, broken.length - 1));
    if (broken.length > 0) broken[at] = broken[at]! ^ 0xff;
    expect(readEverything(broken).ok).toBe(false);
  }
});
