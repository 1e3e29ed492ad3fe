import { circuitOf, partsOf, planFor, withPart, type PlanFault } from '../../../hydraulics';
import { demoUnit } from '../../../tests/demoFile';
import { assess, oilKey, type OilAnswer } from '../..';
import { flooredWay, latches } from './claims';
import { unit, plan, rig, ask, keyed, graded, fits } from '../../tests/quayOil';

describe('trace the oil', () => {
  const second = ask('trace-oil', { lever: 'D', throttle: 0.3, outputRpm: 1000, element: 'B1' });

  test('in second the band is fed through both valves, and through the one side of its ball', () => {
    expect(keyed(second)).toEqual({
      kind: 'trace-oil',
      parts: ['ball-B1-1', 'feed-B1', 'piston-B1', 'pump', 'manual', 'shift-1', 'shift-2'],
    });
    // In fourth it comes through the third valve alone.
    const fourth = { ...second, outputRpm: 4000 };
    expect(keyed(fourth)).toMatchObject({
      parts: ['ball-B1-1', 'feed-B1', 'piston-B1', 'pump', 'manual', 'shift-3'],
    });
  });

  test('what is left out, and what a spool shuts, is told', () => {
    const key = keyed(second) as unknown as { parts: string[] };
    const answer = (parts: string[]): OilAnswer => ({ kind: 'trace-oil', parts });
    expect(graded(second, answer(key.parts)).score).toBe(1);
    expect(graded(second, answer(['pump', 'feed-B1', 'piston-B1'])).named).toEqual([
      'valves-left-out',
    ]);
    const both = graded(second, answer([...key.parts, 'shift-3']));
    expect(both.named).toEqual(['both-sides-of-the-ball']);
    expect(both.score).toBeCloseTo(7 / 8, 9);
    expect(fits(second, answer(['pump', 'pump']))).toBe(false);
    expect(fits(second, answer(['nowhere']))).toBe(false);
  });

  test('what is not on has no way to be traced', () => {
    expect(keyed({ ...second, element: 'C2' })).toBe('not-applied');
    expect(keyed({ ...second, lever: 'X' })).toBe('lever-missing');
  });
});

describe('which valve stands where', () => {
  test('speed against throttle: a foot that is down holds them down', () => {
    const light = ask('spool-places', { throttle: 0.1, outputRpm: 1300 });
    const heavy = { ...light, throttle: 1 };
    expect(keyed(light)).toMatchObject({ up: ['shift-1', 'shift-2'] });
    expect(keyed(heavy)).toMatchObject({ up: [] });
    const wrong = graded(heavy, { kind: 'spool-places', up: ['shift-1', 'shift-2', 'shift-3'] });
    expect(wrong.named).toContain('lever-clicks-are-gears');
    // Each reason weighs the governor's pressure against what is asked of it.
    for (const claim of wrong.why.named[0]!.claims)
      expect(claim).toMatchObject({ claim: 'spool-weighed', way: 'down' });
  });
});

describe('shift speeds', () => {
  const slack: PlanFault = { part: 'throttle-valve', kind: 'cable-slack' };
  const sound = ask('shift-speed', { gear: 2, throttle: 0.5 });

  test('the same speeds come of driving the plan up and down step by step', () => {
    const key = keyed(sound) as { up: number; down: number };
    const circuit = circuitOf(plan);
    const at = (outputRpm: number, stood: ReadonlyMap<string, number>) =>
      circuit.at(
        {
          lever: 'D',
          throttle: 0.5,
          outputRpm,
          engineRpm: Math.max(700, 1.6 * outputRpm),
          celsius: 80,
        },
        stood,
      ).spools;
    let stood: ReadonlyMap<string, number> = new Map([['shift-1', 1]]);
    let [up, down] = [0, 0];
    for (let rpm = 600; rpm < 4000; rpm += 4) {
      stood = at(rpm, stood);
      if (up === 0 && stood.get('shift-2') === 1) up = rpm;
    }
    for (let rpm = 2600; rpm > 300 && down === 0; rpm -= 4) {
      stood = at(rpm, stood);
      if (stood.get('shift-2') === 0) down = rpm;
    }
    expect(up / key.up).toBeCloseTo(1, 1);
    expect(down / key.down).toBeCloseTo(1, 1);
  });

  // Common practice, no source: a slack cable shifts early.
  test('a slack cable shifts early, and who thinks it shifts late is told', () => {
    const faulty = { ...sound, fault: slack };
    const [was, now] = [keyed(sound), keyed(faulty)] as { up: number; down: number }[];
    expect(now!.up).toBeLessThan(0.9 * was!.up);
    expect(graded(faulty, { kind: 'shift-speed', ...was! }).named).toContain('fault-left-out');
    const late = keyed({ ...sound, fault: { ...slack, kind: 'cable-short' } }) as {
      up: number;
      down: number;
    };
    expect(graded(faulty, { kind: 'shift-speed', ...late }).named).toContain('slack-is-late');
    const flat = graded(faulty, { kind: 'shift-speed', up: now!.up, down: now!.up });
    expect([flat.score, flat.named[0]]).toEqual([0.5, 'no-gap-between-up-and-down']);
  });

  // Derived here: without a land that what is passed on presses against, nothing but the spring tells down from up.
  test('only a valve with a difference land is said to be held up by what it passes on', () => {
    expect(latches(rig, 2)).toBe(true);
    const [valve] = partsOf(plan, 'shift-valve').filter((v) => v.gear === 2);
    const flat = withPart(plan, { ...valve!, difference: { ...valve!.difference, area: 0 } });
    const claims = (of: typeof rig) => {
      const result = assess(
        sound,
        { kind: 'oil', rig: of },
        { kind: 'shift-speed', up: 1, down: 1 },
      );
      return result.ok ? result.grade.why.facts : [];
    };
    const downs = [rig, { ...rig, plan: flat }].map((r) =>
      claims(r).find((c) => c.claim === 'pair-changes' && c.way === 'down'),
    );
    expect(downs).toMatchObject([{ latched: true }, { latched: false }]);
  });

  test('what can not be asked says why', () => {
    expect(keyed({ ...sound, gear: 9 })).toBe('no-such-shift');
    expect(keyed({ ...sound, fault: { part: 'governor', kind: 'governor-stuck' } })).toBe(
      'never-shifts',
    );
    expect(keyed({ ...sound, fault: { part: 'pump', kind: 'cable-slack' } })).toBe(
      'fault-not-here',
    );
    expect(oilKey(sound, { ...rig, unit: demoUnit('lighter-six') })).toMatchObject({
      fault: 'plan-of-another',
    });
    const without = (kind: string) => plan.parts.filter((p) => p.kind !== kind);
    const key = (change: object) => oilKey(sound, { ...rig, ...change });
    expect(key({ plan: { ...plan, parts: without('pump') } })).toMatchObject({
      fault: 'plan-broken',
    });
    expect(key({ plan: { ...plan, lines: [] } })).toMatchObject({ fault: 'plan-broken' });
    // What only warns can be asked about.
    expect(key({ plan: { ...plan, parts: without('regulator') } })).not.toMatchObject({
      fault: 'plan-broken',
    });
  });
});

test('what a fault does to every shift: a spring to its own pair, a cable to all, a stuck valve takes its gear', () => {
  const row = (fault: PlanFault, throttle = 0.4) =>
    keyed(ask('oil-fault-row', { fault, throttle }));
  expect(row({ part: 'throttle-valve', kind: 'cable-slack' })).toMatchObject({
    row: ['early', 'early', 'early'],
  });
  expect(row({ part: 'throttle-valve', kind: 'cable-short' })).toMatchObject({
    row: ['late', 'late', 'late'],
  });
  expect(row({ part: 'shift-2', kind: 'spring-broken', amount: 0.9 }, 0.1)).toMatchObject({
    row: ['same', 'early', 'same'],
  });
  expect(row({ part: 'shift-2', kind: 'valve-stuck-down' })).toMatchObject({
    row: ['same', 'never', 'same'],
  });
  expect(row({ part: 'acc-C3', kind: 'accumulator-stuck' })).toBe('changes-nothing');
  const question = ask('oil-fault-row', {
    fault: { part: 'throttle-valve', kind: 'cable-slack' },
    throttle: 0.4,
  });
  const late = graded(question, { kind: 'oil-fault-row', row: ['late', 'late', 'late'] });
  expect([late.score, late.named]).toEqual([0, ['slack-is-late']]);
  // Nobody who turns a weak spring round thinks of a cable.
  const spring = { part: 'shift-2', kind: 'spring-broken', amount: 0.9 } as const;
  const weak = ask('oil-fault-row', { fault: spring, throttle: 0.1 });
  const turned = graded(weak, { kind: 'oil-fault-row', row: ['same', 'late', 'same'] });
  expect(turned.named).toEqual(['the-other-way']);
  expect(fits(question, { kind: 'oil-fault-row', row: ['late'] })).toBe(false);
});

describe('kick-down', () => {
  const fourth = ask('kick-down', { gear: 4, throttle: 0.2, outputRpm: 2400 });

  test('the floor brings a lower gear, and the engine turns by its ratio', () => {
    const key = keyed(fourth) as { gear: number; engineRpm: number };
    expect(key.gear).toBeLessThan(4);
    const ratio = { 1: 2.44, 2: 1.44, 3: 1 }[key.gear]!;
    expect(key.engineRpm / (2400 * ratio)).toBeCloseTo(1, 1);
    const answer = (gear: number, engineRpm: number): OilAnswer => ({
      kind: 'kick-down',
      gear,
      engineRpm,
    });
    expect(graded(fourth, answer(key.gear, key.engineRpm)).score).toBe(1);
    const stays = graded(fourth, answer(4, 2400 * 0.7));
    expect([stays.score, stays.named]).toEqual([0, ['kick-down-adds-pressure']]);
    expect(graded(fourth, answer(key.gear, 2400 * 0.7)).named).toEqual(['engine-stays-as-it-was']);
  });

  // Each reason by what the plan has: what is not in it may not be given for one.
  test.each([
    ['valves', 4, 2700, 'kick-down-pressure'],
    ['valves', 4, 2400, 'throttle-pressure'],
    ['no kick-down valve', 4, 1800, 'throttle-pressure'],
    ['valves', 3, 6000, 'valve-stays-up'],
    ['solenoids', 4, 1500, 'control-asks'],
    ['solenoids', 3, 9000, 'control-keeps'],
    ['valves', 1, 900, 'first-already'],
  ] as const)('with %s, in %i at %i rev/min: %s', (shifting, gear, outputRpm, way) => {
    const made = planFor(unit, { shifting: shifting === 'solenoids' ? 'solenoids' : 'valves' });
    const parts =
      shifting === 'no kick-down valve'
        ? made.parts.filter((p) => p.kind !== 'kick-down-valve')
        : made.parts;
    expect(flooredWay({ ...rig, plan: { ...made, parts } }, gear, outputRpm)).toBe(way);
  });

  test('a gear that this speed would not leave in can not be asked about', () => {
    expect(keyed({ ...fourth, outputRpm: 300 })).toBe('gear-does-not-hold');
  });
});
