import { marked } from '../../tests/marked';
import { NOISE_TESTS } from '../../../clutch';
import { BOLLARD, FENDER, HAWSER, WINDLASS } from '../../../clutch/tests/demo';
import type { Engine } from '../../../converter';
import { FEET_AT } from '../../../shift';
import type { Vehicle } from '../../../vehicle';
import {
  clutchKey,
  assess,
  graderOf,
  kindsOf,
  newClutchQuestion,
  type ClutchAnswer,
  type ClutchQuestion,
  type ClutchRig,
} from '../..';
import { demoFile, demoUnit } from '../../../tests/demoFile';

const RIG: ClutchRig = {
  clutch: BOLLARD,
  pack: FENDER,
  engine: demoFile<Engine>('engines/pilot-petrol'),
  vehicle: demoFile<Vehicle>('vehicles/yard-tractor'),
  unit: demoUnit('winch-manual'),
};
const LEVERS: ClutchRig = { ...RIG, clutch: HAWSER, pack: WINDLASS };

type Of<K extends ClutchQuestion['kind']> = Extract<ClutchQuestion, { kind: K }>;
function asked<K extends ClutchQuestion['kind']>(kind: K, change: Partial<Of<K>> = {}, rig = RIG) {
  return { ...newClutchQuestion(kind, rig), ...change } as Of<K>;
}
function key(question: ClutchQuestion, rig = RIG) {
  const result = clutchKey(question, rig);
  if (!result.ok) throw new Error(result.fault);
  return result.key;
}
function grade(question: ClutchQuestion, answer: ClutchAnswer, rig = RIG) {
  const result = assess(question, { kind: 'clutch', rig }, answer);
  if (!result.ok) throw new Error(result.fault);
  return marked(result.grade);
}
/** A record from elsewhere may say anything: is this an answer to that question? */
const fits = (question: ClutchQuestion, answer: ClutchAnswer): boolean => {
  const grader = graderOf(question, { kind: 'clutch', rig: RIG });
  return grader.ok && grader.fits(answer);
};
const fault = (question: ClutchQuestion, rig = RIG) => {
  const result = clutchKey(question, rig);
  return result.ok ? null : result.fault;
};

test('a new question of every kind can be asked', () => {
  for (const kind of kindsOf('clutch')) expect([kind, fault(asked(kind))]).toEqual([kind, null]);
});

test('set the free play: the book’s setting is right, the turnbuckle trick is seen', () => {
  const question = asked('set-free-play', { wear: 0.0006 }, LEVERS);
  const k = key(question, LEVERS);
  if (k.kind !== 'set-free-play') throw new Error(k.kind);
  const set = (forkRod: number, turnbuckle: number) =>
    grade(question, { kind: 'set-free-play', forkRod, turnbuckle }, LEVERS);
  expect(set(k.forkRod, k.turnbuckle).score).toBe(1);
  expect(set(k.forkRod - 0.0026, 0.0166)).toMatchObject({
    misconception: 'play-at-the-turnbuckle',
  });
  expect(set(k.forkRod - 0.003, 0)).toMatchObject({ misconception: 'play-is-slack' });
  expect(set(k.forkRod + 0.006, 0)).toMatchObject({ misconception: 'more-play-is-safer' });
  // The linkage as it is handed out is not right.
  const handed = asked('set-free-play', { wear: 0 });
  expect(
    grade(handed, { kind: 'set-free-play', forkRod: -0.0021, turnbuckle: 0 }).score,
  ).toBeLessThan(1);
});

test('order of adjusting: only the trade’s order, and the check last', () => {
  const question = asked('adjust-order', {}, LEVERS);
  const order = (...steps: string[]) =>
    grade(question, { kind: 'adjust-order', order: steps }, LEVERS);
  expect(order('over-centre', 'fork-rod', 'check-gap').score).toBe(1);
  expect(order('fork-rod', 'over-centre', 'check-gap')).toMatchObject({
    score: 0.5,
    misconception: 'fork-rod-first',
  });
  expect(order('over-centre', 'check-gap', 'fork-rod')).toMatchObject({
    score: 0.5,
    misconception: 'checks-too-early',
  });
});

test('will it hold: half worn it holds more than new', () => {
  const question = asked('will-it-hold', { wear: 0.0012, throttle: 1, grade: 0.06 });
  const k = key(question);
  if (k.kind !== 'will-it-hold') throw new Error(k.kind);
  expect(k.holds).toBe(true);
  expect(k.value).toBeGreaterThan(1.1 * k.asNew);
  const say = (holds: boolean, value: number) =>
    grade(question, { kind: 'will-it-hold', holds, value });
  expect(say(true, k.value).score).toBe(1);
  expect(say(true, k.value / 2).misconception).toBe('counts-one-face');
  expect(say(true, k.asNew).misconception).toBe('wear-changes-nothing');
  expect(say(false, k.asNew * 0.85).misconception).toBe('wear-only-weakens');
  const oily = key(asked('will-it-hold', { oil: 0.7, wear: 0 }));
  expect(oily).toMatchObject({ kind: 'will-it-hold', holds: false });
});

// Common practice, no source: worn out, it slips in the upper gears under power first.
test('which gear slips first', () => {
  const question = asked('will-it-hold', { ask: 'slips-first' });
  const top = key(question);
  if (top.kind !== 'slips-first') throw new Error(top.kind);
  expect(top.gear).toBe('5');
  const say = (range: string) => grade(question, { kind: 'will-it-hold', range });
  expect(say(top.range).score).toBe(1);
  expect(say('G1').misconception).toBe('slips-low-first');
  expect(say('G3').misconception).toBe('slips-in-another-first');
  expect(fault(asked('will-it-hold', { ask: 'slips-first' }, LEVERS), LEVERS)).toBe('never-slips');
});

test('noise tests: right where one of the two turns', () => {
  const question = asked('noise-test');
  const k = key(question);
  if (k.kind !== 'noise-test') throw new Error(k.kind);
  expect(k.right).toEqual(['touch-neutral', 'down-neutral']);
  for (const { id } of NOISE_TESTS)
    expect(grade(question, { kind: 'noise-test', test: id }).score).toBe(
      k.right.includes(id) ? 1 : 0,
    );
  const said = (test: string) => grade(question, { kind: 'noise-test', test }).misconception;
  expect(said('down-in-gear')).toBe('both-turn');
  expect(said('up-neutral')).toBe('neither-turns');
  expect(fault(asked('noise-test', { second: 'release' }))).toBe('no-test-separates');
});

test('draw the start: the example keeps to its limits, and each way to fail is named', () => {
  const question = asked('draw-start', { heat: 45_000, brakeUntil: 1.2 });
  const k = key(question);
  if (k.kind !== 'draw-start') throw new Error(k.kind);
  const drawn = (pedal: number[], throttle: number[]) =>
    grade(question, { kind: 'draw-start', pedal, throttle });
  expect(drawn([...k.pedal], [...k.throttle]).score).toBe(1);
  const all = (v: number) => FEET_AT.map(() => v);
  expect(drawn([1, ...FEET_AT.slice(1).map(() => 0)], all(0.1)).misconception).toBe(
    'dumps-the-clutch',
  );
  expect(
    drawn(
      FEET_AT.map((_t, n) => (n === 0 ? 1 : 0.42)),
      all(0.9),
    ).misconception,
  ).toBe('slips-to-be-gentle');
  const late = FEET_AT.map((t) => (t < 2.4 ? 1 : Math.max(0, 0.5 - (t - 2.5) * 0.2)));
  const rolled = drawn(
    late,
    FEET_AT.map((t) => (t < 2 ? 0.1 : 0.6)),
  );
  expect(rolled.parts.find((p) => p.part === 'stays')!.right).toBe(false);
  expect(fault({ ...question, heat: 500 })).toBe('no-start-found');
  expect(fault({ ...question, range: 'nobody' })).toBe('range-missing');
});

test('the selective part: any inside the window, and the wrong way is seen', () => {
  const loose = asked('choose-selective', { fitted: 0.0014 }, LEVERS);
  const k = key(loose, LEVERS);
  if (k.kind !== 'choose-selective') throw new Error(k.kind);
  const choose = (thickness: number) =>
    grade(loose, { kind: 'choose-selective', thickness }, LEVERS);
  expect(k.right.map((c) => c.thickness)).toEqual([0.0018]);
  for (const c of k.right) expect(choose(c.thickness).score).toBe(1);
  expect(choose(0.0014)).toMatchObject({ score: 0, misconception: 'keeps-what-is-in' });
  const tight = asked('choose-selective', { fitted: 0.0049 });
  const thin = { ...RIG, pack: { ...FENDER, depth: 0.0245 } };
  expect(grade(tight, { kind: 'choose-selective', thickness: 0.0037 }, thin).score).toBe(1);
  const none = { ...RIG, pack: { ...FENDER, depth: 0.03 } };
  expect(fault(tight, none)).toBe('no-part-fits');
});

// Domain: more plates do not change the torque of a clutch that is not slipping.
test('what limits an upgrade, and what a pack that holds carries', () => {
  const limit = asked('upgrade-limit', { upgrade: 'one-plate-more' });
  expect(grade(limit, { kind: 'upgrade-limit', limit: 'room' }).score).toBe(1);
  expect(grade(limit, { kind: 'upgrade-limit', limit: 'none' }).misconception).toBe(
    'upgrades-are-free',
  );
  const carried = asked('upgrade-limit', { ask: 'carried', load: 120 });
  expect(grade(carried, { kind: 'upgrade-limit', value: 120 }).score).toBe(1);
  for (const value of [150, 232])
    expect(grade(carried, { kind: 'upgrade-limit', value }).misconception).toBe(
      'more-plates-carry-more',
    );
  expect(fault({ ...carried, load: 500 })).toBe('pack-would-slip');
  const says = (answer: object) => ({ kind: 'upgrade-limit', ...answer }) as ClutchAnswer;
  const answers = [{ limit: 'room' }, { value: 120 }, {}, { limit: 'room', value: 120 }].map(says);
  expect(answers.map((a) => fits(limit, a))).toEqual([true, false, false, false]);
  expect(answers.map((a) => fits(carried, a))).toEqual([false, true, false, false]);
});

test('what a question lacks is told', () => {
  const bare: ClutchRig = { clutch: null, pack: null, engine: null, vehicle: null, unit: null };
  expect(fault(asked('adjust-order'), bare)).toBe('clutch-missing');
  expect(fault(asked('choose-selective'), bare)).toBe('pack-missing');
  expect(fault(asked('draw-start'), { ...bare, clutch: BOLLARD })).toBe('drive-missing');
  expect(fault(asked('noise-test'), { ...bare, clutch: BOLLARD })).toBe('drive-missing');
  const inside = { ...BOLLARD, disc: { ...BOLLARD.disc, innerRadius: 1 } };
  expect(fault(asked('adjust-order'), { ...RIG, clutch: inside })).toBe('clutch-broken');
  const short = { ...BOLLARD, linkage: { ...BOLLARD.linkage, pedalTravel: 0.06 } };
  expect(fault(asked('set-free-play'), { ...RIG, clutch: short })).toBe('linkage-can-not-be-set');
  const grader = graderOf(asked('adjust-order'), { kind: 'clutch', rig: RIG });
  if (!grader.ok) throw new Error(grader.fault);
  expect(() => grader.grade({ kind: 'noise-test', test: 'up-neutral' })).toThrow('adjust-order');
});
