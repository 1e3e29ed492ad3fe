import { readFileSync } from 'node:fs';
import { catalogue, CATALOGUE_PARTS, wordsIn } from '../../tests/words';

const sentences = (value: object, prefix = ''): { key: string; said: string }[] =>
  Object.entries(value).flatMap(([k, v]) =>
    typeof v === 'string'
      ? [{ key: `${prefix}${k}`, said: v }]
      : sentences(v as object, `${prefix}${k}.`),
  );

const keys = (value: object): string[] => sentences(value).map((s) => s.key);

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

test('no sentence fixes a unit that inch-pound shows otherwise: it comes with the number', () => {
  const fixed = /(\}\}|\d|,)\s?(mm|kPa|bar|km\/h|kJ|kW|N·m|°C|kg|l|l\/min)(?![\w²³/])/;
  for (const known of ['Flat on the tips, mm', 'plates {{kelvin}} °C hotter', '0.1 mm of lining'])
    expect(known).toMatch(fixed);
  const all = sentences(catalogue()).filter(({ key }) => !key.startsWith('units.'));
  expect(all.length).toBeGreaterThan(4000);
  expect(all.filter(({ said }) => fixed.test(said))).toEqual([]);
});
