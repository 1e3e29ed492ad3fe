import { readFileSync } from 'node:fs';
import { CATALOGUE_PARTS, wordsIn } from '../../tests/words';

const keys = (value: object, prefix = ''): string[] =>
  Object.entries(value).flatMap(([k, v]) =>
    typeof v === 'string' ? [`${prefix}${k}`] : keys(v as object, `${prefix}${k}.`),
  );

const pattern = (key: string) =>
  new RegExp(`^${key.replace(/[.]/g, '\\.').replace(/\*/g, '[\\w./-]*')}$`);

test('the first screen has all its words at once', () => {
  const start = keys(wordsIn('start.en'));
  const parts = ['app/App', 'app/Shell', 'app/Home', 'app/ErrorScreen', 'shared/NotFound'];
  const first = [...parts, 'shared/PartMissing'].map((f) => readFileSync(`web/${f}.tsx`, 'utf8'));
  const needed = [...first.join('\n').matchAll(/\bt\(\s*(?:'([^']+)'|`([^`]+)`)/g)].map(
    (m) => m[1] ?? m[2]!.replace(/\$\{[^}]*\}/g, '*'),
  );
  expect(needed.length).toBeGreaterThan(15);
  expect(needed.filter((k) => !start.some((s) => pattern(k).test(s)))).toEqual([]);
});

test('no word stands in two parts of the catalogue', () => {
  const all = CATALOGUE_PARTS.flatMap((part) => keys(wordsIn(part)));
  expect(all.filter((k, n) => all.indexOf(k) !== n)).toEqual([]);
});
