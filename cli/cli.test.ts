import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Unit } from '../core/geartrain';
import { check } from './check';
import { grade } from './grade';
import { hydraulics, shiftmap } from './hydraulics';
import { inspect } from './inspect';
import { plan } from './plan';
import { demoFile } from '../core/tests/demoFile';

const commands = { check, grade, hydraulics, inspect, plan, shiftmap };

const run = (name: keyof typeof commands, ...args: string[]) => {
  const [out, err]: string[][] = [[], []];
  const code = commands[name](args, { line: (t) => out!.push(t), wrong: (t) => err!.push(t) });
  return { code, out: out!.join('\n'), err: err!.join('\n') };
};

test('from the command line: result, complaint and exit code each have their place', () => {
  const typed = (...args: string[]) =>
    spawnSync(process.execPath, ['--import', 'tsx', 'cli/main.ts', ...args], { encoding: 'utf8' });
  const fine = typed('inspect', 'demo/units/skerry-three.json');
  expect([fine.status, fine.stderr]).toEqual([0, '']);
  expect(JSON.parse(fine.stdout)).toMatchObject({ unit: 'skerry-three' });
  // Codes that a terminal would obey are shown.
  const missing = typed('check', 'no/\u001b[31msuch.json');
  expect([missing.status, missing.stdout]).toEqual([1, '']);
  expect(missing.stderr).toContain('no/\\x1b[31msuch.json');
  expect(missing.stderr).not.toContain('\u001b');
});

const read = (file: string) => JSON.parse(readFileSync(file, 'utf8')) as Record<string, unknown>;

test('check: good files pass, a bad one is named with its path and what would be right', () => {
  expect(
    run(
      'check',
      'demo/lessons/name-the-parts.json',
      'demo/units/skerry-three.json',
      'demo/attempts/demo-1.json',
    ).code,
  ).toBe(0);
  const bad = path.join(mkdtempSync(path.join(tmpdir(), 'check-')), 'bad.json');
  writeFileSync(bad, '{"format":"fair-sprocket/unit","version":1,"id":"u","name":"U"}');
  const result = run('check', bad);
  expect(result.code).toBe(1);
  expect(result.err).toContain('members: invalid_type (expected array)');
  expect(run('check', 'no/such/file.json').code).toBe(1);
});

test('inspect: ranges of the demo unit, drive and coast', () => {
  const { code, out } = run('inspect', 'demo/units/skerry-three.json');
  expect(code).toBe(0);
  const { ranges } = JSON.parse(out) as {
    ranges: {
      id: string;
      ratioExact: string | null;
      coast: object;
      elements: Record<string, { state: string }>;
    }[];
  };
  const of = (id: string) => ranges.find((r) => r.id === id)!;
  expect(of('D1').ratioExact).toBe('61/25');
  expect(of('D1').elements['F1']?.state).toBe('holding');
  expect(of('D1').coast).toEqual({ outcome: 'overruns', engineBraking: false });
  expect(of('L1').coast).toEqual({ outcome: 'drives', engineBraking: true });
  expect(of('N').ratioExact).toBeNull();
});

const written = (document: object) => {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'check-')), 'file.json');
  writeFileSync(file, JSON.stringify(document));
  return file;
};
const demoUnit = () => demoFile<Unit>('units/skerry-three');

test('check: what is odd is noted and passes, what can never turn does not', () => {
  const unit = demoUnit();
  const odd = {
    ...unit,
    ranges: [...unit.ranges, { id: 'X', lever: 'D', gear: '9', apply: ['C1', 'B1', 'B2'] }],
  };
  const noted = run('check', written(odd));
  expect(noted.code).toBe(0);
  expect(noted.out).toContain(
    `note: ranges[${unit.ranges.length}].apply: range-binds (range X, outcome tied-up)`,
  );
  const pair = (id: string, first: number, second: number) => ({
    id,
    kind: 'mesh',
    first: 'a',
    second: 'b',
    teeth: { first, second },
  });
  const contradicting = {
    ...unit,
    members: ['a', 'b'].map((id) => ({ id, name: id })),
    input: 'a',
    output: 'b',
    gearsets: [pair('G1', 20, 40), pair('G2', 20, 41)],
    elements: [],
    ranges: [],
  };
  const refused = run('check', written(contradicting));
  expect(refused.code).toBe(1);
  expect(refused.err).toContain('gearsets: sets-contradict (outcome tied-up)');
  const lesson = demoFile<object>('lessons/who-holds');
  const bare = run('check', written({ ...lesson, units: undefined }));
  expect(bare.code).toBe(0);
  expect(bare.out).toContain('unit-missing (harbour-trainer)');
});

// Common practice, no source: each failed part is felt only in the ranges that use it.
test('inspect --fault: a failed part changes the ranges that need it, and an unknown one is refused', () => {
  const outcomes = (...faults: string[]) => {
    const { out } = run(
      'inspect',
      'demo/units/skerry-three.json',
      ...faults.flatMap((f) => ['--fault', f]),
    );
    const { ranges } = JSON.parse(out) as { ranges: { id: string; outcome: string }[] };
    return Object.fromEntries(ranges.map((r) => [r.id, r.outcome]));
  };
  expect(outcomes('F1=will-not-hold')).toMatchObject({ D1: 'neutral', D2: 'drives', L1: 'drives' });
  expect(outcomes('B1=stuck-on')).toMatchObject({ D1: 'drives', D3: 'tied-up', R: 'tied-up' });
  expect(outcomes('C1=will-not-apply', 'F1=will-not-hold')).toMatchObject({ D1: 'neutral' });
  expect(outcomes('P1.sun=broken')).toMatchObject({ D2: 'neutral' });
  const unknown = run('inspect', 'demo/units/skerry-three.json', '--fault', 'Q7=stuck-on');
  expect(unknown.code).toBe(1);
  expect(unknown.err).toContain('unknown-element: Q7');
  expect(run('inspect', 'demo/units/skerry-three.json', '--fault', 'F1=bent').code).toBe(2);
});

test('check: tables are found wrong at their rows, and an engine that can’t pull idle is noted', () => {
  const table = read('demo/converters/slipway-table.json') as {
    model: { rows: { speedRatio: number; torqueRatio: number }[] };
  };
  table.model.rows[3]!.speedRatio = 0.1;
  table.model.rows[0]!.torqueRatio = 0.8;
  const wrong = run('check', written(table));
  expect(wrong.code).toBe(1);
  expect(wrong.err).toContain('model.rows[3].speedRatio: must-rise');
  expect(wrong.err).toContain('model.rows[0].torqueRatio: stall-multiplies');
  const vehicle = { ...read('demo/vehicles/yard-tractor.json'), massKg: -1 };
  expect(run('check', written(vehicle)).err).toContain('massKg: too_small');
  const lesson = read('demo/lessons/why-it-multiplies.json') as {
    engines: { rows: { torqueNm: number }[] }[];
  };
  for (const row of lesson.engines[0]!.rows) row.torqueNm = 1;
  const odd = run('check', written(lesson));
  expect(odd.code).toBe(0);
  expect(odd.out).toContain('can-not-pull-idle');
});

test('check knows clutches and packs, and notes what is odd about them', () => {
  expect(
    run('check', 'demo/clutches/bollard-nine.json', 'demo/clutch-packs/fender-pack.json'),
  ).toMatchObject({
    code: 0,
  });
  const clutch = read('demo/clutches/bollard-nine.json') as { linkage: object };
  const short = { ...clutch, linkage: { ...clutch.linkage, pedalTravel: 0.05 } };
  const noted = run('check', written(short));
  expect(noted.code).toBe(0);
  expect(noted.out + noted.err).toContain('never-releases');
  const pack = read('demo/clutch-packs/fender-pack.json');
  expect(run('check', written({ ...pack, pressure: -1 })).err).toContain('pressure: too_small');
});

test('check: a case that can not be given out is refused, with the reason', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'case-'));
  const write = (name: string, change: object) => {
    const file = path.join(folder, name);
    const document = { ...read('demo/fault-cases/pier-crawler.json'), ...change };
    writeFileSync(file, JSON.stringify(document));
    return file;
  };
  expect(run('check', 'demo/fault-cases/pier-crawler.json').code).toBe(0);
  const missing = write('missing.json', { cause: [{ target: 'C9', kind: 'burnt' }] });
  const silent = write('silent.json', {
    cause: [{ target: 'fluid', kind: 'low-fluid', severity: 0.8 }],
  });
  const result = run('check', missing, silent);
  expect(result.code).toBe(1);
  expect(result.err).toContain('cause: no-such-part (target C9, kind burnt)');
  expect(result.err).toContain('cause: no-symptom');
});

test('inspect: teeth stripped off a set', () => {
  const { code, out } = run('inspect', 'demo/units/skerry-three.json', '--fault', 'P1=stripped');
  expect(code).toBe(0);
  const { ranges } = JSON.parse(out) as { ranges: { id: string; outcome: string }[] };
  expect(ranges.find((r) => r.id === 'D1')?.outcome).toBe('neutral');
  // A fault that changes no constraint is none that inspect can show: the usage is printed.
  expect(
    run('inspect', 'demo/units/skerry-three.json', '--fault', 'C1=accumulator-stuck').code,
  ).toBe(2);
});

interface Line {
  id: string;
  kind: string;
  attempt?: string;
  key: object | null;
  score: number | null;
  right: boolean | null;
  reasons: { code: string; text: string }[];
}

test('grade: answers are graded as in the class book, with their reasons; without any, the key alone', () => {
  const lesson = 'demo/lessons/hold-one-drive-one.json';
  const lines = (...args: string[]) => {
    const { code, out, err } = run('grade', ...args);
    expect([code, err]).toEqual([0, '']);
    return JSON.parse(out) as Line[];
  };
  const keys = lines(lesson);
  expect(keys.map((l) => l.score)).toEqual(keys.map(() => null));
  expect(keys.every((l) => l.key !== null)).toBe(true);

  const folder = mkdtempSync(path.join(tmpdir(), 'grade-'));
  const answers = path.join(folder, 'answers.json');
  // The ring drives and the sun is held: 1 + 30/70 = 1.43; without the 1 it is 0.43.
  const sun = { kind: 'number', value: 0.43, direction: 'same' };
  writeFileSync(answers, JSON.stringify({ 'q-sun': sun, 'q-ring': { kind: 'nonsense' } }));
  const wrong = lines(lesson, '--answers', answers);
  const told = wrong.find((l) => l.id === 'q-sun')!;
  expect(told).toMatchObject({ right: false, reasons: [{ code: 'forgot-one-plus' }] });
  expect(told.reasons[0]!.text).not.toMatch(/^why/);
  expect(wrong.find((l) => l.id === 'q-ring')).toMatchObject({ answer: null, score: null });

  const record = lines(lesson, '--attempt', 'demo/attempts/demo-1.json');
  expect(record.map((l) => l.attempt)).toEqual(record.map(() => 'demo-1'));
  expect(record.find((l) => l.id === 'q-ring')).toMatchObject({ score: 1, right: true });

  expect(run('grade').code).toBe(2);
  expect(run('grade', lesson, '--attempt').code).toBe(2);
  expect(run('grade', 'demo/units/skerry-three.json')).toMatchObject({
    code: 1,
    err: 'demo/units/skerry-three.json: expected a lesson',
  });
  expect(run('grade', lesson, '--answers', 'no/such.json').code).toBe(1);
});

test('plan: parts, rules, what is free and one legal order; with an order, what it breaks', () => {
  const unit = 'demo/units/harbour-trainer.json';
  const made = JSON.parse(run('plan', unit).out) as {
    parts: { id: string }[];
    rules: { why: string }[];
    free: string[];
    order: string[];
    violations?: unknown;
  };
  expect([...made.order].sort()).toEqual(made.parts.map((p) => p.id).sort());
  expect(made.free).toContain('converter');
  expect(made.free).not.toContain('pan');
  expect(made.rules.every((r) => r.why !== '')).toBe(true);
  expect(made.violations).toBeUndefined();

  const folder = mkdtempSync(path.join(tmpdir(), 'plan-'));
  const file = (name: string, content: string) => {
    const at = path.join(folder, name);
    writeFileSync(at, content);
    return at;
  };
  const own = (order: readonly string[]) =>
    JSON.parse(run('plan', unit, '--order', file('o.json', JSON.stringify(order))).out) as object;
  expect(own(made.order)).toMatchObject({ violations: [], complete: true });
  expect(own(['fluid', 'pan', 'fluid', 'nothing'])).toMatchObject({
    violations: [
      { at: 1, part: 'pan', rule: 'outside-first', consequence: 'breaks' },
      { at: 2, part: 'fluid', rule: 'twice', missing: [], consequence: 'none' },
      { at: 3, part: 'nothing', rule: 'unknown', missing: [], consequence: 'none' },
    ],
    complete: false,
  });
  expect(run('plan', unit, '--order', file('bad.json', '{')).err).toContain('is no JSON');
  expect(run('plan', unit, '--order', file('bad.json', '{}')).err).toContain('JSON array');
  expect(run('plan').code).toBe(2);
  expect(run('plan', 'no/such.json').err).toContain("can't be read");
});

test('hydraulics and shiftmap: a plan for a unit, and the speeds at which its valves change gear', () => {
  const unit = 'demo/units/quay-four.json';
  const made = run('hydraulics', unit);
  expect(made.code).toBe(0);
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'oil-')), 'oil.json');
  writeFileSync(file, made.out);
  expect(run('check', file)).toMatchObject({ code: 0, err: '' });
  interface Shift {
    from: number;
    to: number;
    points: { throttle: number; up: number; down: number }[];
  }
  const map = (...args: string[]) =>
    (JSON.parse(run('shiftmap', file, ...args).out) as { shifts: Shift[] }).shifts;
  const shifts = map('--unit', unit);
  expect(shifts.map((s) => [s.from, s.to])).toEqual([
    [1, 2],
    [2, 3],
    [3, 4],
  ]);
  for (const { points } of shifts) {
    expect(points.map((p) => p.throttle)).toEqual([
      0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1,
    ]);
    for (const { up, down } of points) expect(up > down && down > 0).toBe(true);
  }
  // Without the unit the pump turns steadily: the same lines, but for what a slow pump leaves out.
  expect(map()[1]!.points[5]!.up / shifts[1]!.points[5]!.up).toBeCloseTo(1, 1);
  expect(run('shiftmap', file, '--unit', 'demo/units/lighter-six.json')).toMatchObject({ code: 1 });
  const plan = JSON.parse(made.out) as { parts: { kind: string }[] };
  writeFileSync(
    file,
    JSON.stringify({ ...plan, parts: plan.parts.filter((p) => p.kind !== 'pump') }),
  );
  expect(run('shiftmap', file).err).toContain('no-pump');
  expect(run('check', file).code).toBe(1);
  expect([run('hydraulics').code, run('shiftmap').code]).toEqual([2, 2]);
});
