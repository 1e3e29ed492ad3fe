import { inLesson } from '../../tests/askable';
import { marked } from '../../tests/marked';
import {
  characteristicOf,
  engineModel,
  stallRpm,
  weakened,
  type Converter,
  type Engine,
} from '../../../converter';
import type { Vehicle } from '../../../vehicle';
import {
  assess,
  carrying,
  classBook,
  converterKey,
  measured,
  newConverterQuestion,
  newLesson,
  newStep,
  posedFor,
  SKETCH_AT,
  subjectFor,
  type Attempt,
  type ConverterAnswer,
  type ConverterQuestion,
  type ConverterRig,
  type Lesson,
} from '../..';
import { demoFile, demoUnit } from '../../../tests/demoFile';
import { launchEvents } from './key';

const rig: ConverterRig = {
  converter: demoFile<Converter>('converters/jetty-eleven'),
  engine: demoFile<Engine>('engines/pilot-petrol'),
  vehicle: demoFile<Vehicle>('vehicles/yard-tractor'),
  unit: demoUnit('skerry-three'),
};
const characteristic = characteristicOf(rig.converter)!;
const question = <K extends ConverterQuestion['kind']>(
  kind: K,
  change: Partial<Extract<ConverterQuestion, { kind: K }>> = {},
) => ({ ...newConverterQuestion(kind, rig), ...change }) as Extract<ConverterQuestion, { kind: K }>;
const graded = (q: ConverterQuestion, answer: ConverterAnswer) => {
  const result = assess(q, { kind: 'converter', rig }, answer);
  if (!result.ok) throw new Error(result.fault);
  return marked(result.grade);
};
const keyOf = (q: ConverterQuestion) => {
  const result = converterKey(q, rig);
  if (!result.ok) throw new Error(result.fault);
  return result.key;
};

describe('operate to a target', () => {
  const q = question('operate', { target: 1.6 });

  test('the example of the key meets it, and so does any other setting that reads the same', () => {
    const key = keyOf(q);
    if (key.kind !== 'operate') throw new Error(key.kind);
    expect(graded(q, { kind: 'operate', ...key.example }).score).toBe(1);
    const models = { engine: engineModel(rig.engine), converter: characteristic };
    const full = { throttle: 1, turbineRpm: 0, lockUp: false };
    const speeds = Array.from({ length: 300 }, (_, k) => 10 * k);
    const turbineRpm = speeds.find((n) => {
      const value = measured('torque-ratio', models, { ...full, turbineRpm: n }, 0);
      return value !== null && Math.abs(value - 1.6) < 0.02;
    })!;
    expect(graded(q, { kind: 'operate', ...full, turbineRpm }).score).toBe(1);
  });

  test('locked up, or at road speed, nothing multiplies: recognised', () => {
    const fast = { kind: 'operate', throttle: 0.8, turbineRpm: 3000 } as const;
    expect(graded(q, { ...fast, lockUp: true }).misconception).toBe('lock-up-multiplies');
    expect(graded(q, { ...fast, lockUp: false }).misconception).toBe('multiplies-at-road-speed');
  });

  test('a target just past the most that the pair does can’t be asked either', () => {
    const most = characteristic.at(0).torqueRatio;
    const tolerance = { kind: 'percent' as const, value: 0.5 };
    expect(converterKey(question('operate', { target: most, tolerance }), rig).ok).toBe(true);
    expect(converterKey(question('operate', { target: 1.015 * most, tolerance }), rig).ok).toBe(
      false,
    );
  });

  test('a target that no setting reaches can’t be asked', () => {
    expect(converterKey(question('operate', { target: 4 }), rig)).toEqual({
      ok: false,
      fault: 'target-not-reached',
    });
  });
});

describe('read off the match', () => {
  test('stall speed and coupling point are the model’s own', () => {
    const stall = keyOf(question('read-match', { throttle: 0.7 }));
    expect(stall).toEqual({
      kind: 'read-match',
      value: stallRpm(engineModel(rig.engine), characteristic, 0.7),
    });
    expect(keyOf(question('read-match', { ask: 'coupling-ratio' }))).toEqual({
      kind: 'read-match',
      value: characteristic.couplesAt,
    });
  });

  test('engine torque for turbine torque, and turbine speed for engine speed, are recognised', () => {
    const at = { throttle: 0.8, turbineRpm: 800 };
    const torque = question('read-match', { ask: 'turbine-torque', ...at });
    const right = keyOf(torque);
    if (right.kind !== 'read-match') throw new Error(right.kind);
    const models = { engine: engineModel(rig.engine), converter: characteristic };
    const ratio = measured('torque-ratio', models, { ...at, lockUp: false }, 0)!;
    expect(graded(torque, { kind: 'read-match', value: right.value / ratio }).misconception).toBe(
      'engine-torque-for-turbine',
    );
    const speed = question('read-match', { ask: 'engine-speed', ...at });
    expect(graded(speed, { kind: 'read-match', value: 800 })).toMatchObject({
      score: 0,
      misconception: 'no-slip-expected',
    });
  });
});

describe('sketch the curve', () => {
  const truth = (curve: 'torque-ratio' | 'efficiency' | 'capacity') => {
    const key = keyOf(question('sketch-curve', { curve }));
    if (key.kind !== 'sketch-curve') throw new Error(key.kind);
    return SKETCH_AT.map(key.at);
  };
  const sketch = (curve: 'torque-ratio' | 'efficiency' | 'capacity', values: number[]) =>
    graded(question('sketch-curve', { curve }), { kind: 'sketch-curve', values });

  test('the true curve at its handles is right for every curve', () => {
    for (const curve of ['torque-ratio', 'efficiency', 'capacity'] as const)
      expect([curve, sketch(curve, truth(curve)).score]).toEqual([curve, 1]);
  });

  test('ends, shape, crossing and area are judged one by one', () => {
    const values = truth('torque-ratio');
    const wrong = (v: number[]) =>
      sketch('torque-ratio', v)
        .parts.filter((p) => !p.right)
        .map((p) => p.part);
    expect(wrong([1.2, ...values.slice(1)])).toContain('at-stall');
    expect(wrong(values.map((v) => v + 0.6))).toEqual(['at-stall', 'at-end', 'crossing', 'area']);
    expect(wrong(values.map((_v, k) => 1 + k / 6))).toContain('shape');
  });

  test('multiplication at road speed, none at stall, efficiency at stall: recognised', () => {
    expect(sketch('torque-ratio', [2.2, 2.1, 2, 2, 1.9, 1.9, 1.9]).misconception).toBe(
      'multiplies-at-road-speed',
    );
    expect(sketch('torque-ratio', [1, 1, 1, 1, 1, 1, 1]).misconception).toBe(
      'no-multiplication-at-stall',
    );
    expect(sketch('efficiency', [0.9, 0.9, 0.9, 0.9, 0.9, 0.9, 0.9]).misconception).toBe(
      'efficient-at-stall',
    );
  });
});

// Common practice, no source: a weak engine and thin air lower the stall speed, a slipping stator too; a seized
// stator does not show at stall.
describe('predict the stall speed after a change', () => {
  test.each([
    [{ kind: 'engine', share: 0.7 }, 'down'],
    [{ kind: 'altitude', metres: 2500 }, 'down'],
    [{ kind: 'size', factor: 1.1 }, 'down'],
    [{ kind: 'size', factor: 0.9 }, 'up'],
    [{ kind: 'stator', fault: 'slips' }, 'down'],
    [{ kind: 'stator', fault: 'seized' }, 'same'],
  ] as const)('%j: %s', (change, way) => {
    expect(keyOf(question('predict-change', { change }))).toMatchObject({ way });
  });

  test('way and number are judged apart, the wrong way is recognised', () => {
    const q = question('predict-change');
    const after = stallRpm(engineModel(weakened(rig.engine, 0.7)), characteristic);
    expect(graded(q, { kind: 'predict-change', way: 'down', value: after }).score).toBe(1);
    expect(graded(q, { kind: 'predict-change', way: 'up', value: after })).toMatchObject({
      score: 0.5,
      misconception: 'weak-engine-stalls-higher',
    });
    const seized = question('predict-change', { change: { kind: 'stator', fault: 'seized' } });
    expect(graded(seized, { kind: 'predict-change', way: 'down', value: 1000 }).misconception).toBe(
      'seized-shows-at-stall',
    );
  });

  // Common practice, no source: a stator that slips makes it sluggish off the line, a seized one costs top speed.
  test('launch and top speed after a stator fault', () => {
    const on = { vehicle: 'yard-tractor', unit: 'skerry-three' };
    const key = (of: 'launch-time' | 'top-speed', broken: 'slips' | 'seized') =>
      keyOf(question('predict-change', { of, change: { kind: 'stator', fault: broken }, ...on }));
    expect(key('launch-time', 'slips')).toMatchObject({ way: 'up' });
    expect(key('top-speed', 'seized')).toMatchObject({ way: 'down' });
    expect(key('top-speed', 'slips')).toMatchObject({ way: 'same' });
    const seized = question('predict-change', {
      of: 'top-speed',
      change: { kind: 'stator', fault: 'seized' },
      ...on,
    });
    expect(graded(seized, { kind: 'predict-change', way: 'same', value: 38 }).misconception).toBe(
      'seized-spares-top-speed',
    );
    expect(converterKey(seized, { ...rig, vehicle: null })).toMatchObject({ ok: false });
  });

  test('a table is not asked about its stator', () => {
    const table = { ...rig, converter: demoFile<Converter>('converters/slipway-table') };
    const q = question('predict-change', { change: { kind: 'stator', fault: 'slips' } });
    expect(converterKey(q, table)).toEqual({ ok: false, fault: 'table-without-stator' });
  });
});

describe('order the events of a launch', () => {
  const q = question('launch-order', { throttle: 1 });
  const names = () => {
    const key = keyOf(q);
    if (key.kind !== 'launch-order') throw new Error(key.kind);
    return key.events.map((e) => e.name);
  };

  test('the model’s order is right, and swapped neighbours cost what they touch', () => {
    const order = names();
    expect(order.indexOf('moves')).toBeLessThan(order.indexOf('stator-lets-go'));
    expect(graded(q, { kind: 'launch-order', order }).score).toBe(1);
    const swapped = [order.at(-1)!, ...order.slice(1, -1), order[0]!];
    expect(graded(q, { kind: 'launch-order', order: swapped }).score).toBeLessThan(1);
  });

  test('a stator that lets go at once is recognised', () => {
    const rest = names().filter((n) => n !== 'stator-lets-go');
    const order = ['stator-lets-go', ...rest];
    expect(graded(q, { kind: 'launch-order', order }).misconception).toBe('stator-lets-go-at-once');
  });

  test('without a vehicle, or gears, it can’t be asked', () => {
    expect(converterKey(q, { ...rig, vehicle: null })).toMatchObject({ fault: 'vehicle-missing' });
    expect(converterKey(q, { ...rig, unit: null })).toMatchObject({ fault: 'gears-missing' });
    const geared = (...ids: string[]) => ({
      ...rig.unit!,
      ranges: rig.unit!.ranges.filter((r) => ids.includes(r.id)),
    });
    expect(converterKey(q, { ...rig, unit: geared('R') })).toMatchObject({
      fault: 'gears-missing',
    });
    // One gear is enough to move off in.
    const one = launchEvents(q, { ...rig, unit: geared('D1') });
    expect(one?.map((e) => e.name)).toContain('moves');
    expect(one?.some((e) => e.name.startsWith('upshift'))).toBe(false);
  });
});

test('an engine that can’t pull idle is no engine to ask about', () => {
  const weak = { ...rig, engine: weakened(rig.engine, 0.03) };
  expect(converterKey(question('read-match'), weak)).toEqual({
    ok: false,
    fault: 'can-not-pull-idle',
  });
});

test('a lesson carries what its questions name, and lets go of what none names', () => {
  const empty: Lesson = newLesson('l', 'Lesson', newStep('s', 'Step'));
  const asked = question('launch-order');
  const lesson: Lesson = {
    ...empty,
    steps: [{ ...empty.steps[0]!, blocks: [{ id: 'q', kind: 'question', question: asked }] }],
  };
  const models = [rig.converter, rig.engine, rig.vehicle!, rig.unit!];
  const carried = carrying(lesson, models);
  expect(subjectFor(carried, asked)).toEqual({ kind: 'converter', rig });
  expect(assess(asked, subjectFor(lesson, asked), { kind: 'launch-order', order: [] })).toEqual({
    ok: false,
    fault: 'converter-missing',
  });
  const emptied = carrying({ ...carried, steps: empty.steps }, []);
  expect(emptied).toEqual(empty);
});

test('the class book grades converter answers again from the model, and marks a file that states another score', () => {
  const lesson = demoFile<Lesson>('lessons/read-the-crossing');
  const attempts = ['demo-1', 'demo-2'].map((id, k): Attempt => ({
    format: 'fair-sprocket/attempt',
    version: 1,
    id,
    student: id,
    lesson: { id: lesson.id, title: lesson.title, hash: 'x' },
    startedAt: '2026-11-09T07:31:00Z',
    answers: [
      {
        question: 'read-stall',
        round: 0,
        answer: { kind: 'read-match', value: k === 0 ? 2020 : 2500 },
        confidence: 'certain',
        at: '2026-11-09T07:32:00Z',
        score: 1,
      },
    ],
  }));
  const book = classBook(lesson, attempts);
  const cells = book.rows.map((r) => r.cells[0]!);
  expect(cells.map((c) => [c.score, c.differs, c.why?.named[0]?.slip ?? null])).toEqual([
    [1, false, null],
    [0, true, 'stall-at-governor-expected'],
  ]);
  const bare = { ...lesson };
  delete bare.converters;
  // Without its models a question can't be graded: the answer is set aside, whatever the file states.
  expect(classBook(bare, attempts).rows[1]!.cells[0]).toMatchObject({
    score: null,
    setAside: 'ungraded',
  });
});

test('of a change each student gets more or less of the same, and never none', () => {
  const changes = [
    { kind: 'engine', share: 0.75 },
    { kind: 'altitude', metres: 1100 },
    { kind: 'size', factor: 0.95 },
    { kind: 'stator', fault: 'slips' },
  ] as const;
  for (const change of changes) {
    const asked = question('predict-change', { change, vary: true });
    const lesson = inLesson(asked, { kind: 'converter', rig });
    const drawn = Array.from({ length: 8 }, (_v, k) => {
      const seed = { student: `S${k}`, lessonId: 'l', questionId: 'q', round: 0 };
      const posed = posedFor(lesson, asked, seed).question as typeof asked;
      expect(converterKey(posed, rig).ok).toBe(true);
      return posed.change;
    });
    expect([...new Set(drawn.map((c) => c.kind))]).toEqual([change.kind]);
    for (const c of drawn) {
      expect(c).not.toEqual(change);
      if (c.kind === 'size') expect(Math.abs(c.factor - 1)).toBeGreaterThan(0.04);
      if (c.kind === 'engine') expect(Math.abs(c.share - 1)).toBeGreaterThan(0.1);
    }
  }
});
