import type { Engine } from '../../../converter';
import { binds, type Unit } from '../../../geartrain';
import { randomFromSeed } from '../../../numerics';
import { WAITING_MARKS } from '../../../shift';
import { demoFile, demoUnit } from '../../../tests/demoFile';
import type { Vehicle } from '../../../vehicle';
import {
  assess,
  gearboxKey,
  graderOf,
  newGearboxQuestion,
  rangesAt,
  type GearboxAnswer,
  type GearboxQuestion,
} from '../..';
import { marked } from '../../tests/marked';
import { clutchOf } from './claims';
import { rampsThatMeet, crossedWith, meets, pairOf, upshifts } from './runs';
import { vary } from './vary';

const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const engine = demoFile<Engine>('engines/pilot-petrol');
const winch = demoUnit('winch-manual');
const ferry = demoUnit('ferry-dual');
const rigOf = (unit: Unit) => ({ unit, vehicle, engine });
const about = (unit: Unit) => ({ kind: 'gearbox' as const, rig: rigOf(unit) });

const ask = <K extends GearboxQuestion['kind']>(
  unit: Unit,
  kind: K,
  change: Partial<Extract<GearboxQuestion, { kind: K }>> = {},
) =>
  ({ ...newGearboxQuestion(kind, rigOf(unit)), ...change }) as Extract<
    GearboxQuestion,
    { kind: K }
  >;
const keyed = (question: GearboxQuestion, unit: Unit) => {
  const result = gearboxKey(question, rigOf(unit));
  return result.ok ? result.key : result.fault;
};
function graded(question: GearboxQuestion, unit: Unit, answer: GearboxAnswer) {
  const result = assess(question, about(unit), answer);
  if (!result.ok) throw new Error(result.fault);
  const { grade } = result;
  return { ...marked(grade), named: grade.why.named.map((n) => n.slip), why: grade.why };
}
const fits = (question: GearboxQuestion, unit: Unit, answer: GearboxAnswer): boolean => {
  const grader = graderOf(question, about(unit));
  return grader.ok && grader.fits(answer);
};

// Common practice, no source: in a dual clutch odd gears hang on one clutch and even ones on the other; in a manual box every gear
// hangs on the one clutch before it.
test('which clutch a side drives through', () => {
  const gears = ferry.ranges.filter((r) => /^[1-9]$/.test(r.gear));
  expect(gears.length).toBeGreaterThan(4);
  const clutches = ferry.elements.filter((e) => e.kind === 'clutch').map((e) => e.id);
  expect(clutches).toHaveLength(2);
  for (const { gear, apply } of gears) {
    const side = apply.find((id) => !clutches.includes(id))!;
    const own = apply.find((id) => clutches.includes(id));
    expect([gear, clutchOf(ferry, side)]).toEqual([gear, own]);
  }
  const [odd, even] = [0, 1].map((rest) =>
    gears
      .filter((r) => Number(r.gear) % 2 !== rest)
      .map((r) => r.apply.find((id) => clutches.includes(id))),
  );
  expect([new Set(odd).size, new Set(even).size]).toEqual([1, 1]);
  expect(odd![0]).not.toBe(even![0]);
  const one = winch.elements.filter((e) => e.kind === 'clutch').map((e) => e.id);
  expect(one).toHaveLength(1);
  for (const { id, kind } of winch.elements)
    expect([id, clutchOf(winch, id)]).toEqual([id, kind === 'clutch' ? null : one[0]]);
});

describe('which side of which sleeve', () => {
  const worn = ask(winch, 'which-side', { part: 'ring', side: 'S3', value: 0.05 });

  test('the gear that complains is the side; what it does tells what is worn', () => {
    expect(keyed(worn, winch)).toMatchObject({ right: [{ part: 'ring', side: 'S3' }] });
    const right = graded(worn, winch, { kind: 'which-side', part: 'ring', side: 'S3' });
    expect(right.score).toBe(1);
    expect(graded(worn, winch, { kind: 'which-side', part: 'tips', side: 'S3' })).toMatchObject({
      score: 0.5,
      named: ['grinds-means-tips'],
    });
  });

  // Common practice, no source: if one gear grinds it is the box, if all do it is the clutch; fourth on the same sleeve is fine.
  test.each([
    [{ kind: 'which-side', part: 'clutch' }, 'blames-the-clutch'],
    [{ kind: 'which-side', part: 'ring', side: 'S4' }, 'other-side-of-the-sleeve'],
    [{ kind: 'which-side', part: 'ring', side: 'S1' }, 'another-gear'],
  ] as const)('%o', (answer, slip) => {
    expect(graded(worn, winch, answer).named).toEqual([slip]);
  });

  test('all of them complain of a clutch that drags: no side is right', () => {
    const drags = ask(winch, 'which-side', { part: 'clutch', value: 22 });
    expect(graded(drags, winch, { kind: 'which-side', part: 'clutch' }).score).toBe(1);
    expect(graded(drags, winch, { kind: 'which-side', part: 'ring', side: 'S3' })).toMatchObject({
      score: 0,
      named: ['blames-one-gear'],
    });
    expect(fits(drags, winch, { kind: 'which-side', part: 'clutch', side: 'S3' })).toBe(false);
    expect(fits(drags, winch, { kind: 'which-side', part: 'ring' })).toBe(false);
  });

  test('what nobody would notice, and a side that no forward gear has, can’t be asked', () => {
    expect(keyed({ ...worn, value: 0.9 }, winch)).toBe('no-complaint');
    expect(keyed({ ...worn, side: 'SR' }, winch)).toBe('side-missing');
    expect(keyed(worn, demoUnit('skerry-three'))).toBe('no-sleeves');
  });
});

describe('two gears at once', () => {
  // Common practice, no source: two sleeves on one shaft bind; one on each input shaft turns while one clutch is open.
  test.each([
    [winch, ['S1', 'S3'], ['K'], true, 'one-shaft'],
    [ferry, ['S1', 'S3'], ['K1'], true, 'one-shaft'],
    [ferry, ['S1', 'S2'], ['K1', 'K2'], true, 'both-clutches'],
    [ferry, ['S1', 'S2'], ['K1'], false, 'open-clutch'],
    [ferry, ['S3', 'S4'], [], false, 'open-clutch'],
  ] as const)('%#', (unit, sides, clutches, isBound, why) => {
    const question = ask(unit, 'two-gears', {
      sides: [...sides],
      clutches: [...clutches],
    });
    expect(keyed(question, unit)).toMatchObject({ binds: isBound, why });
    expect(graded(question, unit, { kind: 'two-gears', binds: isBound, why }).score).toBe(1);
    expect(
      graded(question, unit, {
        kind: 'two-gears',
        binds: !isBound,
        why: isBound ? 'open-clutch' : 'one-shaft',
      }),
    ).toMatchObject({ score: 0, named: [isBound ? 'bind-unseen' : 'two-gears-always-bind'] });
  });

  test('one side twice, or what no sleeve is, is refused', () => {
    expect(keyed(ask(ferry, 'two-gears', { sides: ['S1', 'S1'] }), ferry)).toBe('no-two-sides');
    expect(keyed(ask(ferry, 'two-gears', { sides: ['S1', 'K1'] }), ferry)).toBe('no-two-sides');
    expect(keyed(ask(ferry, 'two-gears', { clutches: ['S4'] }), ferry)).toBe('no-two-sides');
  });

  test('no reason is given that would not be so: one clutch alone is not both', () => {
    // A clutch that closes a ring of gears by itself.
    const ring: Unit = {
      ...ferry,
      elements: ferry.elements.map((e) =>
        e.id === 'K2' ? { ...e, between: ['g1', 'g2'] as [string, string] } : e,
      ),
    };
    const key = keyed(ask(ring, 'two-gears', { sides: ['S1', 'S2'], clutches: ['K2'] }), ring);
    expect(key).toBe('nothing-holds-them');
  });

  test('whatever is drawn, every sleeve of one shaft against every other is told as it is', () => {
    const random = randomFromSeed('two gears');
    const plain = ask(ferry, 'two-gears');
    const told = new Set<string>();
    for (let k = 0; k < 40; k++) {
      const question = vary['two-gears']!(plain, about(ferry), random);
      const key = keyed(question, ferry);
      if (question.kind !== 'two-gears' || typeof key === 'string') continue;
      if (key.kind !== 'two-gears') throw new Error(key.kind);
      expect(key.binds).toBe(binds(ferry, [...question.sides, ...question.clutches]));
      told.add(`${key.binds} ${key.why}`);
    }
    expect([...told].sort()).toEqual(['false open-clutch', 'true both-clutches', 'true one-shaft']);
  });
});

describe('which gear waits', () => {
  const question = ask(ferry, 'set-waiting');
  const key = keyed(question, ferry);
  if (typeof key === 'string' || key.kind !== 'set-waiting') throw new Error(JSON.stringify(key));
  const best = rangesAt(ferry, key.best);

  test('with the gears of the answer next to nothing is lost, and no other setting of one mark is better', () => {
    expect(graded(question, ferry, { kind: 'set-waiting', gears: best }).score).toBe(1);
    expect(key.drive.lost).toBeLessThan(0.2);
    const gears = ['D1', 'D2', 'D3', 'D4', 'D5', 'D6'];
    for (const k of WAITING_MARKS.keys())
      for (const gear of gears) {
        const other = best.map((g, n) => (n === k ? gear : g));
        const { parts, score } = graded(question, ferry, { kind: 'set-waiting', gears: other });
        expect(parts).toHaveLength(key.drive.changes.length);
        expect(score).toBeLessThanOrEqual(1);
      }
  });

  // Common practice, no source: gaining speed the next one up waits, braking the next one down.
  test('up on the way up costs nothing there, and everything on the brake', () => {
    const up = key.drive.changes.filter((c) => c.to > c.from);
    const driving = WAITING_MARKS.map(
      (mark) => key.drive.lane.findLast((l) => l.time <= mark)?.gear ?? 0,
    );
    const always = rangesAt(
      ferry,
      driving.map((g) => Math.min(5, g + 1)),
    );
    const { named, parts } = graded(question, ferry, { kind: 'set-waiting', gears: always });
    expect(named).toContain('always-the-next-up');
    expect(parts.slice(0, up.length).every((p) => p.right)).toBe(true);
    expect(parts.slice(up.length).some((p) => !p.right)).toBe(true);
  });

  test('one gear for the whole drive is named as such', () => {
    const gears = WAITING_MARKS.map(() => 'D3');
    expect(graded(question, ferry, { kind: 'set-waiting', gears }).named).toEqual([
      'one-gear-waits-for-all',
    ]);
  });

  test('a drive that asks for no change, and a gearbox with one clutch, can’t be asked', () => {
    const slow = { ...question, speeds: question.speeds.map(() => 0.1) };
    expect(keyed(slow, ferry)).toBe('no-change');
    expect(keyed({ ...question, unit: winch.id }, winch)).toBe('no-dual-clutch');
    expect(gearboxKey(question, { ...rigOf(ferry), vehicle: null })).toMatchObject({
      fault: 'vehicle-missing',
    });
    expect(fits(question, ferry, { kind: 'set-waiting', gears: best.slice(1) })).toBe(false);
    expect(fits(question, ferry, { kind: 'set-waiting', gears: best.map(() => 'R') })).toBe(false);
  });
});

describe('draw the crossing', () => {
  const question = ask(ferry, 'draw-crossing');
  const pair = pairOf(question, ferry)!;
  const ramps = (off: [number, number], on: [number, number]) => ({
    off: { at: off[0], over: off[1] },
    on: { at: on[0], over: on[1] },
  });

  // About 30 ms across (common practice, no source), with at most a tenth of the torque and 100 rev/min lost.
  test('ramps of 30 ms that cross meet it', () => {
    const answer = { kind: 'draw-crossing' as const, ramps: ramps([0.1, 0.03], [0.1, 0.03]) };
    expect(graded(question, ferry, answer).score).toBe(1);
    expect(keyed(question, ferry)).toMatchObject({ kind: 'draw-crossing' });
  });
  test.each([
    ['vehicle', 'vehicle-missing'],
    ['engine', 'engine-missing'],
  ] as const)('without its %s it can’t be asked', (part, fault) => {
    expect(gearboxKey(question, { ...rigOf(ferry), [part]: null })).toMatchObject({ fault });
  });

  test.each([
    ['lets-go-too-early', ramps([0.05, 0.03], [0.22, 0.03]), 'flare'],
    ['both-hold-too-long', ramps([0.25, 0.1], [0.02, 0.03]), 'dip'],
    ['longer-is-softer', ramps([0.1, 0.2], [0.1, 0.2]), 'dip'],
  ] as const)('%s', (slip, drawn, part) => {
    const { named, parts } = graded(question, ferry, { kind: 'draw-crossing', ramps: drawn });
    expect(named).toContain(slip);
    expect(parts.find((p) => p.part === part)!.right).toBe(false);
  });

  test('limits that nothing keeps can’t be asked, nor a change that stays on its clutch', () => {
    expect(keyed({ ...question, dip: 0, flare: 0 }, ferry)).toBe('not-reachable');
    expect(keyed({ ...question, from: 'D1', to: 'D3' }, ferry)).toBe('no-crossing');
    expect(keyed({ ...question, from: 'D3', to: 'D2' }, ferry)).toBe('no-crossing');
    expect(upshifts(ferry).map((p) => `${p.from.id}${p.to.id}`)).toEqual([
      'D1D2',
      'D2D3',
      'D3D4',
      'D4D5',
      'D5D6',
    ]);
    const whole = { unit: ferry, vehicle, engine };
    expect(rampsThatMeet({ ...question, dip: 0, flare: 0 }, whole, pair)).toBeNull();
    const crossed = crossedWith(whole, pair, ramps([0.1, 0.03], [0.1, 0.03]));
    expect(meets({ ...question, flare: crossed.flareRpm }, crossed)).toBe(true);
    expect(meets({ ...question, dip: crossed.dip - 1e-6 }, crossed)).toBe(false);
    const far = { kind: 'draw-crossing' as const, ramps: ramps([5, 0.03], [0.1, 0.03]) };
    expect(fits(question, ferry, far)).toBe(false);
  });
});
