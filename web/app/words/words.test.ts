import { readFileSync } from 'node:fs';

const keys = (value: object, prefix = ''): string[] =>
  Object.entries(value).flatMap(([k, v]) =>
    typeof v === 'string' ? [`${prefix}${k}`] : keys(v as object, `${prefix}${k}.`),
  );

const pattern = (key: string) =>
  new RegExp(`^${key.replace(/[.]/g, '\\.').replace(/\*/g, '[\\w./-]*')}$`);

test('the first screen has all its words at once', () => {
  const start = keys(JSON.parse(readFileSync('web/app/words/start.en.json', 'utf8')) as object);
  const rest = keys(JSON.parse(readFileSync('web/app/words/en.json', 'utf8')) as object);
  expect(start.filter((k) => rest.includes(k))).toEqual([]);
  const parts = ['app/App', 'app/Shell', 'app/Home', 'app/ErrorScreen', 'shared/NotFound'];
  const first = [...parts, 'shared/PartMissing'].map((f) => readFileSync(`web/${f}.tsx`, 'utf8'));
  const needed = [...first.join('\n').matchAll(/\bt\(\s*(?:'([^']+)'|`([^`]+)`)/g)].map(
    (m) => m[1] ?? m[2]!.replace(/\$\{[^}]*\}/g, '*'),
  );
  expect(needed.length).toBeGreaterThan(15);
  expect(needed.filter((k) => !start.some((s) => pattern(k).test(s)))).toEqual([]);
});
