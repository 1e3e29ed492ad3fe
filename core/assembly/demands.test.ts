import { randomUnit } from '../geartrain/tests/randomUnit';
import type { Unit } from '../geartrain';
import { randomFromSeed } from '../numerics';
import { demoFile } from '../tests/demoFile';
import {
  bagsOf,
  canSwap,
  checkOrder,
  conditionIn,
  errorsIn,
  freeParts,
  fromBag,
  isOneOfMany,
  lateCost,
  legalOrder,
  lookAlikes,
  MEASURES,
  minutesTaken,
  NEW_JOB_WORK,
  planOf,
  planOfJob,
  reportOn,
  selectivesOf,
  shownBy,
  standingOf,
  stateAsked,
  togetherOf,
  USUAL_DEMANDS,
  USUAL_SCHOOL,
  whyOff,
  windowOf,
  type Fit,
  type Part,
} from './index';
import { job, part, plan as main, rightFits, skerry } from './tests/oneJob';

const all = planOf(skerry);

/** Taken out as soon as it can be, with everything that has to go before it: what of it is `first` must be among that. */
function leavesBefore(first: string, later: string): boolean {
  const gone = new Set<string>();
  for (;;) {
    const next = freeParts(all, gone).filter((id) => id !== first);
    if (next.length === 0) return !gone.has(later);
    for (const id of next) gone.add(id);
  }
}

test('finer parts: the main ones and more, in an order that breaks nothing, for any unit', () => {
  const random = randomFromSeed('fine');
  const units = [skerry, demoFile<Unit>('units/winch-manual')];
  for (let k = 0; k < 40; k++) units.push(randomUnit(random, true, 2));
  for (const unit of units) {
    const [few, many] = [planOf(unit, 'main'), planOf(unit)];
    expect(many.parts.filter((p) => !p.fine).map((p) => p.id)).toEqual(few.parts.map((p) => p.id));
    expect(many.parts.length).toBeGreaterThan(few.parts.length);
    expect(checkOrder(many, legalOrder(many)).violations).toEqual([]);
  }
});

// Common practice, no source.
test.each([
  ['thin-bolts', 'thick-bolts'],
  ['thick-bolts', 'valve-body'],
  ['separator-plate', 'check-balls'],
  ['C1.ring', 'C1.end-plate'],
  ['C1.end-plate', 'C1.pack'],
  ['C1.pack', 'C1.cushion'],
  ['C1.cushion', 'C1.piston'],
  ['B1.anchor', 'B1.strut'],
  ['B1.strut', 'B1.band'],
  ['C1.drum', 'C1.feed-rings'],
  ['P1.pins', 'P1.pinions'],
  ['P1.pinions', 'P1.needles'],
])('%s leaves before %s', (first, later) => {
  expect([first, later, leavesBefore(first, later)]).toEqual([first, later, true]);
  expect(leavesBefore(later, first)).toBe(false);
});

test('the end plate is counted by itself where it is a part of its own', () => {
  expect(part('C1.pack', all).count).toBe(part('C1.pack').count - 1);
});

// Common practice, no source: what comes of a finer part that went in wrong.
test.each([
  ['C1.feed-rings', 'seal-leaks', 'C1'],
  ['C2.accumulator', 'accumulator-stuck', 'C2'],
  ['C1.cushion', 'accumulator-stuck', 'C1'],
])('%s the wrong way: %s', (id, kind, target) => {
  const fine = job({ demands: { ...USUAL_DEMANDS, parts: 'all' } });
  const plan = planOfJob(fine)!;
  expect(errorsIn(fine, plan, {}, [{ part: id, turned: true }])).toMatchObject([
    { kind: 'wrong-way', faults: [{ target, kind }] },
  ]);
  expect(errorsIn(fine, plan, {}, [{ part: id, turned: false }])).toEqual([]);
});

test('a washer is judged against its own thickness when it was new', () => {
  for (const washer of main.parts.filter((p) => p.kind === 'thrust-washer')) {
    const { least } = windowOf('washer', washer);
    expect(least).toBeCloseTo(washer.size! - 0.1, 9);
    const thin = job({ hidden: [{ part: washer.id, damage: 'thin-washer' }] });
    const reads = (of: typeof thin) => conditionIn(of, washer).values.washer!;
    expect(standingOf(reads(thin), 'washer', windowOf('washer', washer))).toBe('outside');
    expect(standingOf(reads(job()), 'washer', windowOf('washer', washer))).not.toBe('outside');
  }
  for (const { now, sizes } of selectivesOf(main)) expect(sizes).toContain(now);
});

const visited = job({ demands: { ...USUAL_DEMANDS, visitor: true } });

test('somebody at the tray: two washers of different thickness have changed bags, no others', () => {
  const bags = [...bagsOf(visited, main)].filter(([bag, id]) => bag !== id);
  expect(bags).toHaveLength(2);
  const [[one, other], back] = bags as [[string, string], [string, string]];
  expect(back).toEqual([other, one]);
  expect(part(one).size).not.toBe(part(other).size);
  expect([...bagsOf(job(), main)].every(([bag, id]) => bag === id)).toBe(true);
  expect(canSwap(main)).toBe(true);
  expect(canSwap(planOf(demoFile<Unit>('units/winch-manual')))).toBe(false);
  expect(lookAlikes(main).map((p) => p.id)).toEqual([...bagsOf(job(), main).keys()]);

  // Whoever goes by the bags puts two in wrong, and trying the end play shows it; whoever goes by the gauge, none.
  const byBag = (fit: Fit): Fit => {
    const piece = bagsOf(visited, main).get(fit.part);
    return piece === undefined || piece === fit.part ? fit : { ...fit, piece };
  };
  const wrong = errorsIn(visited, main, {}, rightFits(main).map(byBag));
  expect(
    wrong
      .filter((e) => e.kind === 'swapped')
      .map((e) => e.part)
      .sort(),
  ).toEqual([one, other].sort());
  expect(shownBy('end-play', wrong).map((e) => e.part)).toEqual(
    expect.arrayContaining([one, other]),
  );
  expect(errorsIn(visited, main, {}, rightFits(main)).filter((e) => e.kind === 'swapped')).toEqual(
    [],
  );
});

test('what is worn goes with the washer, not with its place; one washer can lie in one place', () => {
  const [a, b] = lookAlikes(main) as readonly Part[] as [Part, Part];
  const worn = job({ hidden: [{ part: a.id, damage: 'thin-washer' }] });
  const bad = (fits: Fit[]) =>
    errorsIn(worn, main, {}, fits)
      .filter((e) => e.kind === 'bad-part')
      .map((e) => e.part);
  expect(bad([{ part: b.id, turned: false, piece: a.id }])).toEqual([a.id]);
  expect(bad([{ part: a.id, turned: false, piece: b.id }])).toEqual([]);
  const first = rightFits(main).slice(0, 1 + rightFits(main).findIndex((f) => f.part === b.id));
  const twice = togetherOf(main, [...first, { part: a.id, turned: false, piece: b.id }]);
  expect(twice.in.some((f) => f.part === a.id)).toBe(false);
  // A drum is no washer.
  expect(togetherOf(main, [{ part: 'case', turned: false, piece: 'C1.drum' }]).in).toEqual([]);
});

test('a clock: each begun ten minutes over what was given cost a mark', () => {
  const timed = (minutes: number | null) => job({ demands: { ...USUAL_DEMANDS, minutes } });
  expect([120, 121, 130, 131].map((taken) => lateCost(timed(120), taken))).toEqual([0, 1, 1, 2]);
  expect(lateCost(timed(null), 1e6)).toBe(0);
  // Ten minutes for the fluid, and two for each reading (from memory, as the table has it).
  const reading = {
    part: 'input-shaft',
    measure: 'end-play-in',
    state: 'free',
    value: 0,
    before: true,
  } as const;
  const work = { ...NEW_JOB_WORK, tried: ['fluid'], taken: [reading, reading] };
  expect(minutesTaken(main, work)).toBe(14);
  expect(reportOn(timed(5), main, work)).toMatchObject({ minutes: 14, lateCost: 1 });
});

test('which of several alike goes here: found out where the labels are lost or somebody was at the tray', () => {
  const lost = job({ demands: { ...USUAL_DEMANDS, labels: 'lost' } });
  const [washer] = lookAlikes(main) as readonly Part[] as [Part];
  const drum = part('C1.drum');
  expect([job(), lost, visited].map((of) => isOneOfMany(of, main, washer))).toEqual([
    false,
    true,
    true,
  ]);
  expect([job(), lost, visited].map((of) => isOneOfMany(of, main, drum))).toEqual([
    false,
    false,
    false,
  ]);
  expect([job(), lost].map((of) => fromBag(of, main, washer))).toEqual([washer.id, null]);
  expect(fromBag(job(), main, drum)).toBeNull();
  const swapped = lookAlikes(main).filter((p) => fromBag(visited, main, p) !== p.id);
  expect(swapped).toHaveLength(2);
});

// Common practice, no source: resistance is stated cold; a pack's height by the shop's own way with the cushion plate.
test('a reading in another state than the shop asks for is off, and why', () => {
  const school = USUAL_SCHOOL;
  expect(stateAsked('solenoid', school)).toBe('cold');
  expect([whyOff('solenoid', 'warm', school), whyOff('solenoid', 'cold', school)]).toEqual([
    'coil-warm',
    null,
  ]);
  expect(whyOff('disc-thickness', 'free', school)).toBe('disc-stands');
  expect(stateAsked('pack-clearance', school)).toBe('pressed');
  expect(whyOff('pack-clearance', 'pressed', school)).toBeNull();
  expect(whyOff('pack-clearance', 'pressed', { ...school, cushion: 'free' })).not.toBeNull();
});

// What a table of sizes has to be, whatever its figures are: sound parts lie within the limits, differ by no more than twice what they may wear,
// and the instrument tells a sound one from a worn one.
test.each(Object.entries(MEASURES))(
  '%s: sound within its limits, told by its instrument',
  (_id, spec) => {
    const [low, high] = spec.sound;
    expect(low).toBeLessThan(high);
    if (spec.least !== undefined) expect(spec.least).toBeLessThan(low);
    if (spec.most !== undefined) expect(spec.most).toBeGreaterThan(high);
    const room = [
      ...(spec.least === undefined ? [] : [low - spec.least]),
      ...(spec.most === undefined ? [] : [spec.most - high]),
    ];
    if (room.length === 1) expect(high - low).toBeLessThanOrEqual(2 * room[0]! + 1e-9);
    const [worst] = room.toSorted((a, b) => b - a) as [number];
    expect(spec.scatter).toBeLessThan(worst);
    expect(spec.readsTo).toBeLessThanOrEqual(worst + 1e-9);
  },
);
