import { BOLLARD, FENDER, HAWSER, WINDLASS } from '../clutch/tests/demo';
import { openValue, readPack, writePack } from './index';
import { carrying, type Lesson } from '../lesson';

function problems(value: unknown): string[] {
  const opened = openValue(value);
  if (opened.ok) return [];
  if (opened.failure.cause !== 'invalid') return [opened.failure.cause];
  return opened.failure.problems.map((p) => `${p.path}: ${p.code}`);
}

test('the demo files open as they are', () => {
  for (const document of [BOLLARD, HAWSER, FENDER, WINDLASS])
    expect(problems(document)).toEqual([]);
});

test('a clutch that can’t be is refused at its place', () => {
  const disc = (change: object) => problems({ ...BOLLARD, disc: { ...BOLLARD.disc, ...change } });
  expect(disc({ innerRadius: 0.12 })).toEqual(['disc.innerRadius: inner-over-outer']);
  expect(disc({ wornThickness: 0.01 })).toEqual(['disc.wornThickness: worn-over-new']);
  expect(disc({ outerRadius: -1 })).toContain('disc.outerRadius: too_small');
  const friction = { ...BOLLARD.disc.friction, sliding: -0.3 };
  expect(disc({ friction })).toEqual(['disc.friction.sliding: too_small']);
  const spring = BOLLARD.cover.spring;
  if (spring.kind !== 'diaphragm') throw new Error('expected a diaphragm');
  const cover = (change: object) =>
    problems({ ...BOLLARD, cover: { ...BOLLARD.cover, spring: { ...spring, ...change } } });
  expect(cover({ spring: { ...spring.spring, coneHeight: 0.0063 } })).toEqual([
    'cover.spring.spring.coneHeight: spring-inverts',
  ]);
  expect(cover({ pivotRadius: 0.11 })).toEqual(['cover.spring.pivotRadius: radii-order']);
  expect(cover({ fingerRadius: 0.1 })).toEqual(['cover.spring.fingerRadius: radii-order']);
  const limits = (change: object) =>
    problems({ ...BOLLARD, limits: { ...BOLLARD.limits, ...change } });
  expect(limits({ pedalPlay: [0.03, 0.02] })).toEqual(['limits.pedalPlay[1]: must-rise']);
  expect(problems({ ...BOLLARD, brand: 'none' })[0]).toContain('unrecognized_keys');
});

test('a pack that can’t be is refused at its place', () => {
  expect(problems({ ...FENDER, stack: [] })).toEqual(['stack: too_few']);
  const twice = [...FENDER.stack, FENDER.stack[0]];
  expect(problems({ ...FENDER, stack: twice })).toEqual(['stack[10].id: duplicate-id']);
  expect(problems({ ...FENDER, lining: 0.0009 })).toContain(
    'stack[2].thickness: lining-over-plate',
  );
  const faces = { ...FENDER.faces, innerRadius: 0.08 };
  expect(problems({ ...FENDER, faces })).toEqual(['faces.innerRadius: inner-over-outer']);
  const turning = (change: object) =>
    problems({ ...FENDER, rotation: { feedRadius: 0.03, mostRpm: 4800, ...change } });
  expect(turning({ balance: { innerRadius: 0.04, fillRadius: 0.05, outerRadius: 0.06 } })).toEqual(
    [],
  );
  expect(turning({ balance: { innerRadius: 0.06, fillRadius: 0.05, outerRadius: 0.06 } })).toEqual([
    'rotation.balance.innerRadius: inner-over-outer',
  ]);
  expect(turning({ feedRadius: FENDER.piston.outerRadius + 0.001 })).toEqual([
    'rotation.feedRadius: inner-over-outer',
  ]);
  const selective = { part: 'ring', thicknesses: [0.002, 0.0018] };
  expect(problems({ ...FENDER, selective })).toEqual(['selective.thicknesses[1]: must-rise']);
  expect(problems({ ...FENDER, version: 9 })).toEqual(['too-new']);
});

test('a lesson carries clutches and packs in files of their own', () => {
  const lesson: Lesson = {
    format: 'fair-sprocket/lesson',
    version: 1,
    id: 'l',
    title: 'L',
    summary: '',
    steps: [
      {
        id: 's',
        title: 'S',
        blocks: [
          { id: 'p', kind: 'pack-bench', pack: FENDER.id, allow: { plates: true, pressure: true } },
          {
            id: 'q',
            kind: 'question',
            question: { prompt: '', kind: 'adjust-order', clutch: HAWSER.id },
          },
        ],
      },
    ],
  };
  const carried = carrying(lesson, [BOLLARD, HAWSER, FENDER, WINDLASS]);
  // What no block is about stays behind.
  expect(carried.clutches).toEqual([HAWSER]);
  expect(carried.clutchPacks).toEqual([FENDER]);
  const bytes = writePack({ lesson: carried, media: {} });
  const opened = readPack(bytes);
  if (!opened.ok) throw new Error(JSON.stringify(opened.failure));
  expect(opened.pack.lesson).toEqual(carried);
});
