import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { strToU8, zipSync } from 'fflate';
import CRC32 from 'crc-32';
import Papa from 'papaparse';
import { FORMULA_LIKE } from './spreadsheetCells';
import { z } from 'zod';
import { classBook, newBlock, newLesson, newStep, type Attempt, type Lesson } from '../lesson';
import {
  acceptPicture,
  classBookCsv,
  jsonSchemas,
  KINDS,
  lessonHash,
  openText,
  openValue,
  readJson,
  readPack,
  writePack,
  type OpenResult,
} from './index';
import type { KindTable } from './kinds';

const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);

const lesson = (over: Partial<Lesson> = {}): Lesson => ({
  ...newLesson('lesson-1', 'Lesson', {
    ...newStep('s1', 'Step'),
    blocks: (['text', 'caution', 'picture', 'bench', 'question'] as const).map((kind) =>
      newBlock(kind, kind),
    ),
  }),
  ...over,
});
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

const MEGABYTE = 1024 * 1024;

describe('packs', () => {
  const picture = acceptPicture(PNG);
  const media = picture.ok ? { [picture.path]: PNG } : {};
  const withPicture = (): Lesson => {
    const l = lesson();
    l.steps[0]!.blocks[2] = {
      id: 'p',
      kind: 'picture',
      media: Object.keys(media)[0]!,
      alt: 'A gear',
      caption: '',
    };
    return l;
  };
  const failure = (files: Record<string, Uint8Array>) => {
    const r = readPack(zipSync(files));
    return r.ok ? 'opened' : r.failure.cause;
  };
  const json = (value: unknown) => strToU8(JSON.stringify(value));
  const manifest = json({
    format: 'fair-sprocket/pack',
    version: 1,
    lesson: { id: 'lesson-1', title: 'Lesson' },
    files: [],
  });
  const good = { 'manifest.json': manifest, 'lesson.json': json(lesson()) };

  test('a pack reads back as it was written, byte for byte the same each time', () => {
    const bytes = writePack({ lesson: withPicture(), media });
    expect(readPack(bytes)).toEqual({ ok: true, pack: { lesson: withPicture(), media } });
    expect(writePack({ lesson: withPicture(), media })).toEqual(bytes);
    expect(() => writePack({ lesson: withPicture(), media: {} })).toThrow(/picture/);
  });

  test('each way a pack can be wrong has its own cause', () => {
    expect(failure(good)).toBe('opened');
    expect(failure({ 'lesson.json': json(lesson()) })).toBe('pack-missing');
    expect(failure({ ...good, '../outside.json': json({}) })).toBe('pack-path');
    expect(failure({ ...good, '/etc/passwd': json({}) })).toBe('pack-path');
    expect(failure({ ...good, 'media\\..\\x.png': PNG })).toBe('pack-path');
    expect(failure({ ...good, 'media/x.png': strToU8('<svg onload=alert(1)>') })).toBe(
      'pack-picture',
    );
    expect(failure({ ...good, 'lesson.json': strToU8('{') })).toBe('pack-part');
    expect(failure({ 'manifest.json': manifest, 'lesson.json': json(withPicture()) })).toBe(
      'pack-missing',
    );
    const bytes = zipSync(good);
    const damaged = readPack(bytes.slice(0, bytes.length - 30));
    expect(damaged).toMatchObject({ failure: { cause: 'pack-damaged' } });
    const many = Object.fromEntries(Array.from({ length: 500 }, (_, k) => [`media/${k}.png`, PNG]));
    expect(failure({ ...good, ...many })).toBe('pack-too-many');
  });

  test('an archive that would unpack to gigabytes is refused before it is unpacked', () => {
    /** An entry of a megabyte whose size is stated otherwise, in both headers. */
    const stating = (size: number) => {
      const bytes = zipSync({ ...good, 'media/huge.png': new Uint8Array(MEGABYTE) }, { level: 1 });
      const view = new DataView(bytes.buffer);
      for (let k = 0; k < bytes.length - 4; k++)
        if (view.getUint32(k, true) === MEGABYTE) view.setUint32(k, size, true);
      return bytes;
    };
    expect(readPack(stating(70 * MEGABYTE))).toMatchObject({
      failure: { cause: 'pack-too-large' },
    });
    // It never grows past what it states, and never falls short of it.
    for (const size of [100, MEGABYTE - 1, MEGABYTE + 1])
      expect(readPack(stating(size))).toMatchObject({ failure: { cause: 'pack-damaged' } });
    expect(readPack(stating(MEGABYTE))).toMatchObject({ failure: { cause: 'pack-picture' } });
  });

  test('whatever byte of its content is changed, the pack is refused', () => {
    const bytes = writePack({ lesson: lesson(), media: {} });
    const view = new DataView(bytes.buffer);
    // Bytes of the entries, not those of the directory at the end.
    const directory = view.getUint32(bytes.length - 6, true);
    let taken = 0;
    for (let k = 30; k < directory; k += 3) {
      const changed = bytes.slice();
      changed[k] = changed[k]! ^ 0x40;
      const opened = readPack(changed);
      if (opened.ok && JSON.stringify(opened.pack.lesson) !== JSON.stringify(lesson())) taken++;
    }
    expect(taken).toBe(0);
    const text = new TextDecoder('latin1').decode(bytes);
    const stored = zipSync({
      ...good,
      'lesson.json': [good['lesson.json'], { level: 0 }],
    } as never);
    const at = new TextDecoder('latin1').decode(stored).indexOf('"title"') + 10;
    stored[at] = stored[at]! ^ 1;
    expect(text.length).toBeGreaterThan(100);
    expect(readPack(stored)).toMatchObject({
      failure: { cause: 'pack-changed', path: 'lesson.json' },
    });
  });

  test('an archive whose entries share one heap of data is refused by its directory, at once', () => {
    // Each entry of the directory states 50 MB of the same packed data: hundreds of kilobytes for gigabytes.
    const one = zipSync({ 'media/a.png': new Uint8Array(MEGABYTE) }, { level: 1 });
    const view = new DataView(one.buffer);
    const directory = view.getUint32(one.length - 6, true);
    view.setUint32(directory + 24, 50 * MEGABYTE, true);
    const entry = one.slice(directory, one.length - 22);
    const copies = Array.from({ length: 300 }, (_v, k) => {
      const copy = entry.slice();
      copy.set(strToU8(`media/${String.fromCharCode(97 + (k % 26))}.png`), 46);
      return copy;
    });
    const bomb = new Uint8Array(directory + entry.length * copies.length + 22);
    bomb.set(one.subarray(0, directory));
    copies.forEach((copy, k) => bomb.set(copy, directory + k * entry.length));
    bomb.set(one.subarray(one.length - 22), bomb.length - 22);
    new DataView(bomb.buffer).setUint16(bomb.length - 12, copies.length, true);
    const refused = readPack(bomb);
    expect(refused.ok).toBe(false);
    const few = bomb.slice();
    new DataView(few.buffer).setUint16(few.length - 12, 20, true);
    expect(readPack(few)).toMatchObject({
      failure: { cause: 'pack-too-large', bytes: 20 * 50 * MEGABYTE },
    });
  });

  test('a password, a name that is empty', () => {
    const locked = zipSync(good);
    const view = new DataView(locked.buffer);
    const directory = view.getUint32(locked.length - 6, true);
    view.setUint16(directory + 8, 1, true);
    expect(readPack(locked)).toMatchObject({ failure: { cause: 'pack-encrypted' } });
    const nameless = zipSync({ '': strToU8('x') });
    expect(readPack(nameless)).toMatchObject({ failure: { cause: 'pack-path', path: '' } });
  });

  // The check value of CRC-32 (published: ISO 3309, and every catalogue of CRCs).
  test('the sum that guards an entry is that of the standard', () => {
    expect(CRC32.bstr('123456789') >>> 0).toBe(0xcbf43926);
  });
});

test('pictures are told by their bytes, not by their name', () => {
  expect(acceptPicture(PNG)).toMatchObject({ ok: true, kind: 'png' });
  expect(acceptPicture(strToU8('<svg></svg>'))).toMatchObject({
    ok: false,
    cause: 'not-a-picture',
  });
  expect(acceptPicture(new Uint8Array(7 * 1024 * 1024))).toMatchObject({
    cause: 'picture-too-large',
  });
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
