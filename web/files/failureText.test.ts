import { testWords } from '../tests/words';
import type { FileFailure } from '../../core/formats';
import { fileName } from '../shared/download';
import { failureText } from './failureText';

const t = await testWords();

const LESSON = 'fair-sprocket/lesson';
const FAILURES: FileFailure[] = [
  { cause: 'empty' },
  { cause: 'too-large', bytes: 209715200, most: 67108864 },
  { cause: 'too-deep', most: 40 },
  { cause: 'truncated' },
  { cause: 'not-json', position: null },
  { cause: 'not-json', position: 7 },
  { cause: 'forbidden-key', key: '__proto__' },
  { cause: 'not-ours' },
  { cause: 'not-text' },
  { cause: 'unknown-kind', format: 'fair-sprocket/poem' },
  { cause: 'wrong-kind', format: 'fair-sprocket/unit', expected: LESSON },
  { cause: 'no-version', format: LESSON },
  { cause: 'too-new', format: LESSON, version: 3, newest: 1 },
  { cause: 'migration-failed', format: LESSON, step: 'adds a trail' },
  {
    cause: 'invalid',
    format: LESSON,
    problems: [
      { path: 'steps[0].title', code: 'invalid_type', values: { expected: 'string' } },
      { path: '', code: 'unrecognized_keys', values: { keys: 'surprise' } },
      { path: 'x', code: 'never-heard-of', values: {} },
    ],
  },
  { cause: 'pack-damaged' },
  { cause: 'pack-too-large', bytes: 80 * 1048576, most: 67108864 },
  { cause: 'pack-too-many', count: 500, most: 400 },
  { cause: 'pack-path', path: '../x' },
  { cause: 'pack-missing', path: 'lesson.json' },
  { cause: 'pack-picture', path: 'media/x.png' },
  { cause: 'pack-part', path: 'lesson.json', failure: { cause: 'truncated' } },
];

test('every cause has words of its own, with nothing left to fill in', () => {
  const texts = FAILURES.map((f) => failureText(t, f));
  expect(new Set(texts).size).toBe(texts.length);
  for (const text of texts) expect(text).not.toMatch(/\{\{|undefined|failures\./);
});

test('paths, sizes and versions are named', () => {
  const say = (index: number) => failureText(t, FAILURES[index]!);
  expect(say(1)).toBe('The file is 200 MB; the most this program opens is 64 MB.');
  expect(say(12)).toContain('version 3 of its format; this program reads up to version 1');
  expect(say(14)).toContain(
    'steps[0].title: should be text; top of the file: has unknown fields (surprise); x: never-heard-of',
  );
  expect(say(21)).toContain('“lesson.json” in the pack: The file breaks off');
});

test('file names are plain whatever the title', () => {
  expect(fileName('Hold one, drive one', 'lesson.zip')).toBe('hold-one-drive-one.lesson.zip');
  expect(fileName('../../etc/passwd', 'json')).toBe('etc-passwd.json');
  expect(fileName('Größe ½', 'csv')).toBe('gro-e-1-2.csv');
  expect(fileName('???', 'json')).toBe('untitled.json');
});
