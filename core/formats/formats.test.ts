import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import Papa from 'papaparse';
import { z } from 'zod';
import { classBook, newBlock, newLesson, newStep, type Attempt, type Lesson } from '../lesson';
import {
  classBookCsv,
  jsonSchemas,
  KINDS,
  lessonHash,
  openText,
  openValue,
  readJson,
  type OpenResult,
} from './index';
import { type KindTable } from './documents';
import { FORMULA_LIKE } from './spreadsheetCells';
import { sampleLesson as lesson } from './tests/sampleLesson';

const why = (result: OpenResult) => (result.ok ? 'opened' : result.failure);
const cause = (text: string) => {
  const r = openText(text, 'fair-sprocket/lesson');
  return r.ok ? 'opened' : r.failure.cause;
};

test('a new lesson of every block opens as it was written', () => {
  const result = openText(JSON.stringify(lesson()));
  expect(result).toEqual({ ok: true, kind: 'fair-sprocket/lesson', document: lesson() });
});

test('each way a file can be wrong has its own cause', () => {
  const good = JSON.stringify(lesson());
  const nested = '['.repeat(1000) + ']'.repeat(1000);
  expect(cause('')).toBe('empty');
  expect(cause('hello there')).toBe('not-json');
  expect(cause(good.slice(0, -40))).toBe('truncated');
  expect(cause('{"a":1,}')).toBe('not-json');
  expect(cause(nested)).toBe('too-deep');
  const deep = (levels: number) => '['.repeat(levels) + ']'.repeat(levels);
  expect([cause(deep(40)), cause(deep(41))]).toEqual([cause('[]'), 'too-deep']);
  expect(cause(`{"x":"${'a'.repeat(9_000_000)}"}`)).toBe('too-large');
  expect(cause('{"format":"fair-sprocket/lesson","__proto__":{"admin":true}}')).toBe(
    'forbidden-key',
  );
  expect(cause('{"deep":{"constructor":1}}')).toBe('forbidden-key');
  expect(cause('{"format":"something-else"}')).toBe('not-ours');
  expect(cause('[1,2]')).toBe('not-ours');
  expect(cause('{"format":"fair-sprocket/poem","version":1}')).toBe('unknown-kind');
  expect(cause('{"format":"fair-sprocket/attempt","version":1}')).toBe('wrong-kind');
  expect(cause('{"format":"fair-sprocket/lesson","version":"one"}')).toBe('no-version');
  expect(why(openText('{"format":"fair-sprocket/lesson","version":7}'))).toEqual({
    cause: 'too-new',
    format: 'fair-sprocket/lesson',
    version: 7,
    newest: 1,
  });
  expect(({} as Record<string, unknown>)['admin']).toBeUndefined();
});

test('a lesson that was just begun is one', () => {
  const begun = newLesson('begun', 'Begun', newStep('first', 'First'));
  expect(openText(JSON.stringify(begun), 'fair-sprocket/lesson')).toMatchObject({
    ok: true,
    document: begun,
  });
});

test('all problems are listed with their paths', () => {
  const bad = structuredClone(lesson()) as unknown as Record<string, never>;
  const steps = bad['steps'] as unknown as { blocks: Record<string, never>[] }[];
  Object.assign(steps[0]!.blocks[3]!['setup']!, { inputSpeedRpm: 1e12 });
  Object.assign(
    (steps[0]!.blocks[3]!['setup'] as unknown as { set: { teeth: object } }).set.teeth,
    { sun: 12.5 },
  );
  Object.assign(steps[0]!.blocks[0]!, { surprise: true });
  const result = openValue(bad);
  const problems = !result.ok && result.failure.cause === 'invalid' ? result.failure.problems : [];
  expect(problems.map((p) => [p.path, p.code])).toEqual([
    ['steps[0].blocks[0]', 'unrecognized_keys'],
    ['steps[0].blocks[3].setup.set.teeth.sun', 'invalid_type'],
    ['steps[0].blocks[3].setup.inputSpeedRpm', 'too_big'],
  ]);
});

test('absurd numbers, equal ids and equal roles are refused', () => {
  const twice = lesson();
  twice.steps[0]!.blocks.push(newBlock('text', 'text'));
  const codes = (value: unknown) => {
    const r = openValue(value);
    return !r.ok && r.failure.cause === 'invalid' ? r.failure.problems.map((p) => p.code) : r;
  };
  expect(codes(twice)).toEqual(['duplicate-id']);
  const same = structuredClone(lesson());
  const bench = same.steps[0]!.blocks[3]!;
  if (bench.kind === 'bench') bench.setup.roles.driven = 'sun';
  expect(codes(same)).toEqual(['same-part']);
  expect(codes({ ...lesson(), id: '../../etc/passwd' })).toEqual(['invalid_format']);
});

test('a unit with unknown members, a listed one-way clutch or a missing input says where', () => {
  const unit = {
    format: 'fair-sprocket/unit',
    version: 1,
    id: 'u',
    name: 'U',
    members: [
      { id: 'a', name: 'A' },
      { id: 'b', name: 'B' },
    ],
    input: 'nobody',
    output: 'b',
    gearsets: [
      {
        id: 'P',
        kind: 'single-pinion',
        sun: 'a',
        carrier: 'x',
        ring: 'case',
        teeth: { sun: 30, ring: 70 },
      },
    ],
    elements: [
      { id: 'F', name: 'F', kind: 'one-way', between: ['a', 'case'] },
      { id: 'C', name: 'C', kind: 'clutch', between: ['a', 'a'] },
    ],
    ranges: [{ id: 'D', lever: 'D', gear: '1', apply: ['F', 'Z'] }],
  };
  const r = openValue(unit);
  const problems = !r.ok && r.failure.cause === 'invalid' ? r.failure.problems : [];
  expect(problems.map((p) => `${p.path} ${p.code}`)).toEqual([
    'input unknown-member',
    'gearsets[0].carrier unknown-member',
    'elements[1].between same-part',
    'ranges[0].apply[0] one-way-listed',
    'ranges[0].apply[1] unknown-element',
  ]);
});

test('migrations run in order, and a failing step is named', () => {
  const kinds = {
    ...KINDS,
    'fair-sprocket/pack': {
      version: 3,
      schema: z.strictObject({ format: z.string(), version: z.literal(3), trail: z.string() }),
      migrations: [
        {
          from: 1,
          name: 'adds a trail',
          up: (d: Record<string, unknown>) => ({ ...d, trail: 'one' }),
        },
        {
          from: 2,
          name: 'extends the trail',
          up: (d: Record<string, unknown>) => {
            if (d['trail'] === 'broken') throw new Error('no');
            return { ...d, trail: `${String(d['trail'])}, two` };
          },
        },
      ],
    },
  } as unknown as KindTable;
  const open = (value: object) => openValue(value, undefined, kinds);
  expect(open({ format: 'fair-sprocket/pack', version: 1 })).toMatchObject({
    ok: true,
    document: { trail: 'one, two' },
  });
  expect(open({ format: 'fair-sprocket/pack', version: 2, trail: 'broken' })).toMatchObject({
    failure: { cause: 'migration-failed', step: 'extends the trail' },
  });
});

test('a kept sample of every version of every kind still opens', () => {
  const folder = path.join(import.meta.dirname, 'golden');
  const files = readdirSync(folder);
  for (const kind of Object.keys(KINDS) as (keyof typeof KINDS)[])
    for (let version = 1; version <= KINDS[kind].version; version++)
      expect(files).toContain(`${kind.slice('fair-sprocket/'.length)}-v${version}.json`);
  for (const file of files)
    expect([file, openText(readFileSync(path.join(folder, file), 'utf8')).ok]).toEqual([
      file,
      true,
    ]);
});

test('docs/schemas is fresh', () => {
  for (const [file, schema] of Object.entries(jsonSchemas()))
    expect(JSON.parse(readFileSync(path.join('docs/schemas', file), 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(schema)),
    );
});

test('the hash follows content, not the order of keys', () => {
  const a = lesson();
  const shuffled = Object.fromEntries(Object.entries(a).reverse()) as unknown as Lesson;
  expect(lessonHash(shuffled)).toBe(lessonHash(a));
  expect(lessonHash({ ...a, title: 'Other' })).not.toBe(lessonHash(a));
  expect(lessonHash(a)).toMatch(/^[0-9a-f]{64}$/);
});

// Published: RFC 4180 (line ends, quotes); formula injection as described by OWASP.
test('CSV: quoted, CRLF, and never a formula', () => {
  const attempt: Attempt = {
    format: 'fair-sprocket/attempt',
    version: 1,
    id: 'a',
    student: '=HYPERLINK("http://x")',
    lesson: { id: 'lesson-1', title: 'Lesson', hash: '0'.repeat(64) },
    startedAt: '2030-01-01T08:00:00Z',
    answers: [
      {
        question: 'question',
        round: 0,
        setup: {
          set: { kind: 'single-pinion', teeth: { sun: 30, ring: 70 } },
          roles: { drives: 'sun', driven: 'carrier', reaction: 'held' },
          inputSpeedRpm: 1,
          inputTorqueNm: 1,
        },
        answer: { kind: 'number', value: 3.33, direction: 'same' },
        confidence: 'guess',
        at: '2030-01-01T08:00:00Z',
        score: 1,
      },
    ],
  };
  const csv = classBookCsv('Ratio, "one" set', classBook(lesson(), [attempt]), {
    columns: [
      'Student',
      'Lesson',
      'Question',
      'Answer',
      'Score',
      'Confidence',
      'Why',
      'Practice',
      'When',
    ],
    answer: () => '+3.33',
    misconception: (c) => c,
    setAside: (why) => why,
    question: () => '@q',
  });
  const rows = Papa.parse<string[]>(csv, { newline: '\r\n' }).data;
  expect(rows).toHaveLength(2);
  expect(rows[1]!.slice(0, 4)).toEqual([
    '\'=HYPERLINK("http://x")',
    'Ratio, "one" set',
    "'@q",
    "'+3.33",
  ]);
  expect(csv.split('\r\n')).toHaveLength(2);
});

test.each(['=1+1', '\n=1+1', ' =cmd|x', '\uFF1D1+1', '\u200B@x', '\tx', '\uFEFF -2'])(
  'a cell that a spreadsheet may run is made safe: %j',
  (cell) => {
    const csv = Papa.unparse([[cell]], { escapeFormulae: FORMULA_LIKE });
    expect(Papa.parse<string[]>(csv).data[0]![0]).toBe(`'${cell}`);
  },
);

test('text outside JSON does no harm', () => {
  expect(readJson('\uFEFF{"a":1}')).toEqual({ ok: true, value: { a: 1 } });
  expect(readJson('"just text"').ok).toBe(true);
  expect(readJson('{"a":"]]]]"}').ok).toBe(true);
});
