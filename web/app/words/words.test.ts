import { readFileSync } from 'node:fs';
import { catalogue as whole } from '../../tests/words';

const en = whole() as {
  misconceptions: Record<string, string>;
  why: Record<string, object>;
  whyUnit: Record<string, object>;
  whyConverter: Record<string, object>;
  whyClutch: Record<string, object>;
  whyFault: Record<string, object>;
};

const keys = (value: object, prefix = ''): string[] =>
  Object.entries(value).flatMap(([k, v]) =>
    typeof v === 'string' ? [`${prefix}${k}`] : keys(v as object, `${prefix}${k}.`),
  );

const pattern = (key: string) =>
  new RegExp(`^${key.replace(/[.]/g, '\\.').replace(/\*/g, '[\\w./-]*')}$`);

test('every misconception has its name and its reason', () => {
  const reasons = new Set([
    ...Object.keys(en.why),
    ...Object.keys(en.whyUnit),
    ...Object.keys(en.whyConverter),
    ...Object.keys(en.whyClutch),
    ...Object.keys(en.whyFault),
  ]);
  for (const none of ['unknown', 'unknown-pack']) reasons.delete(none);
  expect([...reasons].sort()).toEqual(Object.keys(en.misconceptions).sort());
});

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
