import { solveUnit } from '../../../geartrain';
import {
  circuitOf,
  partsOf,
  planFor,
  USUAL_ENGINE,
  withPart,
  type PlanFault,
} from '../../../hydraulics';
import { demoFile, demoUnit } from '../../../tests/demoFile';
import type { Vehicle } from '../../../vehicle';
import {
  AS_MADE,
  assess,
  DRAWN_AT,
  drawnLimits,
  gearsFor,
  graderOf,
  lineIn,
  newOilQuestion,
  oilKey,
  sharesOf,
  shiftAsDrawn,
  shiftSet,
  type OilAnswer,
  type OilGauge,
  type OilQuestion,
  type OilRig,
  type WhichBallQuestion,
} from '../..';
import { randomFromSeed, toNumber } from '../../../numerics';
import { ballsOf, fitsEvidence, GAUGE_PA, gaugeReads, standingWithout } from './balls';
import { handOverIn } from './drawn';
import { OIL_FAMILY } from './family';
import { wayBack } from './runs';
import { marked } from '../../tests/marked';
import { flooredWay, latches } from './claims';

const unit = demoUnit('quay-four');
const plan = planFor(unit);
const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const rig = { unit, plan, vehicle };
const subject = { kind: 'oil' as const, rig };

const ask = <K extends OilQuestion['kind']>(
  kind: K,
  change: Partial<Extract<OilQuestion, { kind: K }>> = {},
) => ({ ...newOilQuestion(kind, rig), ...change }) as Extract<OilQuestion, { kind: K }>;
const keyed = (question: OilQuestion) => {
  const result = oilKey(question, rig);
  return result.ok ? result.key : result.fault;
};
function graded(question: OilQuestion, answer: OilAnswer) {
  const result = assess(question, subject, answer);
  if (!result.ok) throw new Error(result.fault);
  const { grade } = result;
  return { ...marked(grade), named: grade.why.named.map((n) => n.slip), why: grade.why };
}
const fits = (question: OilQuestion, answer: OilAnswer): boolean => {
  const grader = graderOf(question, subject);
  return grader.ok && grader.fits(answer);
};

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

describe('set it right', () => {
  const slack = ask('set-shift');

  test('a slack cable rubs too long; set as it was made, the shift keeps within what is asked', () => {
    expect(keyed(slack)).toMatchObject({ kind: 'set-shift', setting: AS_MADE });
    const answer = (change: object): OilAnswer => ({
      kind: 'set-shift',
      setting: { ...AS_MADE, ...change },
    });
    expect(graded(slack, answer({})).score).toBe(1);
    const left = graded(slack, answer({ slack: 0.4 }));
    expect(left.score).toBeLessThan(1);
    expect(left.named).toEqual(['soft-spares-the-lining']);
    // The reason says what this very setting comes to.
    expect(left.why.named[0]!.claims[0]).toMatchObject({ claim: 'shift-comes-to', way: 'set' });
    expect(graded(slack, answer({ out: 0.25 })).named).toEqual(['overlap-is-softer']);
    expect(fits(slack, answer({ spring: 9 }))).toBe(false);
  });

  test('what can not be asked says why', () => {
    expect(keyed({ ...slack, found: AS_MADE })).toBe('right-as-found');
    expect(keyed({ ...slack, jerk: 0 })).toBe('not-reachable');
    expect(oilKey(slack, { ...rig, vehicle: null })).toMatchObject({ fault: 'vehicle-missing' });
  });
});

describe('where is the ball', () => {
  const capstan = demoUnit('capstan-five');
  const five = { unit: capstan, plan: planFor(capstan), vehicle: null };
  const asked = (change: Partial<WhichBallQuestion>) =>
    ({ ...newOilQuestion('which-ball', five), ...change }) as WhichBallQuestion;
  const C0 = (lever: string, gear = 1) => ({ lever, gear, element: 'C0' });
  const drive = asked({ ball: 'ball-C0-2', gauges: [C0('D'), C0('R')], gear: 2 });
  const keyOf = (question: WhichBallQuestion, of: OilRig = five) => {
    const result = oilKey(question, of);
    return result.ok ? result.key : result.fault;
  };

  test('oil is lost where a ball should shut the side that does not press, and there alone', () => {
    const { plan: whole } = five;
    for (const { id, first, second, to } of partsOf(whole, 'shuttle'))
      for (const lever of ['R', 'D'])
        for (const gear of [1, 2, 3]) {
          const stands = (ball: string | null) =>
            standingWithout(five, ball, 0.4, { lever, gear }).state.pressures;
          const sound = (line: string) => stands(null).get(line) ?? 0;
          // Common practice, no source: one side presses and the other is drained, or nothing is missed.
          const one = Math.max(sound(first), sound(second));
          const other = Math.min(sound(first), sound(second));
          const lost = one > 3e5 && other < 0.5e5;
          const now = stands(id).get(to) ?? 0;
          if (lost)
            expect([id, lever, gear, now < 0.5 * sound(to)]).toEqual([id, lever, gear, true]);
          else expect(Math.abs(now - sound(to))).toBeLessThan(0.5e5);
        }
  });

  test('every ball that shows just so is right; what tells nothing is not asked', () => {
    expect(keyOf(drive)).toEqual({ kind: 'which-ball', balls: ['ball-C0-2'] });
    // Two that show the same are both right.
    const second = { lever: 'D', gear: 2, element: 'B0' };
    expect(keyOf(asked({ ball: 'ball-B0-1', gauges: [second, C0('R')], gear: 1 }))).toMatchObject({
      balls: ['ball-B0-1', 'ball-B2-1'],
    });
    expect(keyOf({ ...drive, gauges: [C0('R'), C0('N')], gear: 4 })).toBe('changes-nothing');
    expect(keyOf({ ...drive, ball: 'nowhere' })).toBe('no-such-ball');
    expect(keyOf({ ...drive, gauges: [C0('D'), C0('X')] })).toBe('no-such-gauge');
    expect(keyOf({ ...drive, gauges: [C0('D'), C0('D', 9)] })).toBe('no-such-gauge');
    expect(keyOf({ ...drive, gear: 5 })).toBe('no-such-shift');
    const skerry = demoUnit('skerry-three');
    const one = { unit: skerry, plan: planFor(skerry), vehicle: null };
    expect(keyOf(newOilQuestion('which-ball', one) as WhichBallQuestion, one)).toBe(
      'tells-nothing',
    );
  });

  test('who went by one gauge hears what the other would have read', () => {
    const reverse = asked({ ball: 'ball-C2-1', gauges: [C0('R'), C0('N')], gear: 3 });
    const answer = (ball: string): OilAnswer => ({ kind: 'which-ball', ball });
    const result = assess(reverse, { kind: 'oil', rig: five }, answer('ball-C0-1'));
    if (!result.ok) throw new Error(result.fault);
    expect(result.grade.score).toBe(0);
    const { named } = result.grade.why;
    expect(named.map((n) => n.slip)).toContain('ball-of-the-low-gauge');
    expect(named[0]!.claims).toContainEqual(
      expect.objectContaining({ claim: 'gauge-reads', ball: 'ball-C0-1', gauge: C0('N') }),
    );
    const right = assess(reverse, { kind: 'oil', rig: five }, answer('ball-C2-1'));
    expect(right.ok && right.grade.score).toBe(1);
    const grader = graderOf(reverse, { kind: 'oil', rig: five });
    expect(grader.ok && grader.fits(answer('pump'))).toBe(false);
  });

  test('an answer is called by what it went by, and only where that is so', () => {
    const about = { kind: 'oil' as const, rig: five };
    const namedFor = (question: WhichBallQuestion, ball: string) => {
      const result = assess(question, about, { kind: 'which-ball', ball });
      return result.ok ? result.grade.why.named.map((n) => n.slip) : [result.fault];
    };
    const wrongOf = (question: WhichBallQuestion) => {
      const key = keyOf(question);
      if (typeof key === 'string' || key.kind !== 'which-ball') throw new Error('no key');
      return ballsOf(five).filter((ball) => !key.balls.includes(ball));
    };
    const seen = new Set<string>();
    for (const ball of ballsOf(five))
      for (const gauges of [
        [C0('D'), C0('R')],
        [C0('R'), C0('N')],
        [{ lever: 'D', gear: 3, element: 'C2' }, C0('R')],
      ] as [OilGauge, OilGauge][])
        for (const gear of [1, 2, 3, 4]) {
          const question = asked({ ball, gauges, gear });
          if (typeof keyOf(question) === 'string') continue;
          const low = gauges.filter(
            (g) => gaugeReads(five, null, 0.4, g) - gaugeReads(five, ball, 0.4, g) > GAUGE_PA,
          );
          for (const wrong of wrongOf(question)) {
            const fit = fitsEvidence(five, question, wrong);
            for (const slip of namedFor(question, wrong)) {
              seen.add(slip);
              // With no gauge low nobody can have gone by a low one.
              if (slip !== 'shift-left-out') expect(low.length).toBeGreaterThan(0);
              if (slip === 'shift-left-out')
                expect([fit.gauges, fit.shift]).toEqual([[true, true], false]);
              if (slip === 'one-gauge-only') expect(new Set(fit.gauges).size).toBe(2);
            }
          }
        }
    expect([...seen].sort()).toEqual(['ball-of-the-low-gauge', 'one-gauge-only', 'shift-left-out']);
  });

  test('the way back to the valves is every passage and ball that can feed an element', () => {
    const { passages, balls } = wayBack(five.plan, 'C0');
    expect(balls).toEqual(['ball-C0-2', 'ball-C0-1']);
    const [one] = partsOf(five.plan, 'shuttle').filter((s) => s.id === 'ball-C0-1');
    expect(passages).toEqual(new Set([...passages, one!.first, one!.second]));
    expect(wayBack(five.plan, 'C1')).toMatchObject({ balls: [] });
    expect(wayBack(five.plan, 'nowhere').passages.size).toBe(0);
  });

  test('what is drawn for a student can be asked, and is not the same for all', () => {
    const about = { kind: 'oil' as const, rig: five };
    const drawn = new Set<string>();
    for (let k = 0; k < 12; k++) {
      const question = OIL_FAMILY.vary['which-ball']!(drive, about, randomFromSeed(`ball ${k}`));
      if (question.kind !== 'which-ball') throw new Error(question.kind);
      drawn.add(question.ball);
      const key = keyOf(question);
      expect(key).toMatchObject({ kind: 'which-ball' });
    }
    expect(drawn.size).toBeGreaterThan(2);
  });
});

describe('draw the hand-over', () => {
  // From second to third: C3 comes, the band B1 goes.
  const asked = ask('draw-pressures', { gear: 2, throttle: 0.4 });
  const draw = (coming: readonly number[], going: readonly number[]): OilAnswer => ({
    kind: 'draw-pressures',
    ...sharesOf(rig, asked, coming, going),
  });
  const run = (answer: OilAnswer) => {
    if (answer.kind !== 'draw-pressures') throw new Error('expected a drawing');
    return shiftAsDrawn(rig, asked, answer);
  };
  const apart = draw([0, 0, 0, 0, 0.4, 0.8, 1], [1, 0]);
  const together = draw([0, 0.2, 0.4, 0.6, 0.8, 1], [1, 1, 1, 1, 1, 1, 0]);
  const atOnce = draw([0, 1], [1, 0]);

  test('one that keeps within what is asked is found, and counts whole', () => {
    const key = keyed(asked) as OilAnswer;
    expect(key).toMatchObject({ kind: 'draw-pressures' });
    expect(graded(asked, key).score).toBe(1);
    expect(run(key).quality).toBe('smooth');
  });

  // Common practice, no source: let go too soon and the engine runs away, too late and the box ties up, all at once and it bangs.
  test('apart it flares, together it ties up, at once it is harsh, and each is named', () => {
    expect(run(apart).quality).toBe('flares');
    expect(run(together).quality).toBe('bumps');
    expect(run(together).run.summary.dip).toBeLessThan(0.05);
    expect(run(atOnce).run.summary.jerk).toBeGreaterThan(asked.jerk);
    const named = [apart, together, atOnce].map((answer) => graded(asked, answer));
    expect(named.map((g) => g.named)).toEqual([
      ['lets-go-first'],
      ['overlap-is-softer'],
      ['more-pressure-is-safer'],
    ]);
    expect(named[0]!.why.named[0]!.claims).toContainEqual(
      expect.objectContaining({ claim: 'held-by', way: 'neither' }),
    );
  });

  test('nothing drawn is no shift, and keeps within nothing', () => {
    const none = graded(asked, draw([0], [1]));
    expect(none.score).toBe(0);
    const soft = graded(asked, draw([0, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5], [1, 1, 0]));
    expect(soft.named).toEqual(['soft-spares-the-lining']);
  });

  // By hand: p = (T / (T per N) + spring) / area, for what the piston's own figures say.
  test('an element holds just what it carries at the pressure that is told, and changes hands there', () => {
    const { coming: on, going: off } = handOverIn(rig, asked);
    for (const { element, torque, pressure } of [on!, off!]) {
      const piston = partsOf(plan, 'piston').find((p) => p.element === element)!;
      const holds = piston.torquePerForce * (pressure * piston.area - piston.returnForce);
      expect(holds).toBeCloseTo(torque, 9);
    }
    // The same torques from the exact solution of the standing gear, by the engine's at that pedal.
    const { forward } = gearsFor(rig);
    const carries = (gear: number, element: string) => {
      const { elements } = solveUnit(unit, forward[gear - 1]!.range.apply);
      return Math.abs(toNumber(elements.get(element)!.torque!)) * USUAL_ENGINE.inputNm * 0.4;
    };
    expect(off!.torque / carries(2, 'B1')).toBeCloseTo(1, 1);
    expect(on!.torque / carries(3, 'C3')).toBeCloseTo(1, 1);
  });

  test('as the valves make it, drawn from their own pressures it goes as it goes by itself', () => {
    const made = shiftSet(rig, asked, AS_MADE);
    const [on, off] = ['C3', 'B1'].map((id) => made.filled.elements.get(id)!.pressures);
    const at = (row: Float64Array) =>
      DRAWN_AT.map((t) => Math.min(row[Math.round(t * 1000)]!, lineIn(rig, asked)));
    const { summary } = shiftAsDrawn(rig, asked, { coming: at(on!), going: at(off!) }).run;
    expect(summary.arrives! / made.run.summary.arrives!).toBeCloseTo(1, 0);
    expect(summary.flareRpm).toBeLessThan(60);
    expect(Math.abs(summary.dip - made.run.summary.dip)).toBeLessThan(0.12);
  });

  test('no piston presses harder than the line, and a drawing has all its points', () => {
    const { coming, going } = sharesOf(rig, asked, [0, 1], [1, 0]);
    const answer = (change: object): OilAnswer => ({
      kind: 'draw-pressures',
      coming,
      going,
      ...change,
    });
    expect(fits(asked, answer({}))).toBe(true);
    expect(fits(asked, answer({ coming: coming.map((p) => p * 1.01) }))).toBe(false);
    expect(fits(asked, answer({ coming: coming.slice(1) }))).toBe(false);
    expect(fits(asked, answer({ going: [] }))).toBe(false);
  });

  test('where a one-way clutch lets go by itself, only what comes is drawn', () => {
    const first = ask('draw-pressures', {
      gear: 1,
      ...drawnLimits(rig, { gear: 1, throttle: 0.4 }),
    });
    const key = keyed(first);
    expect(key).toMatchObject({ kind: 'draw-pressures', going: [] });
    expect(graded(first, key as OilAnswer).score).toBe(1);
    expect(
      graded(first, { ...sharesOf(rig, first, [0, 0.05], []), kind: 'draw-pressures' }).score,
    ).toBe(0);
  });

  test('what can not be asked says why', () => {
    expect(keyed({ ...asked, jerk: 0 })).toBe('not-reachable');
    expect(keyed({ ...asked, gear: 4 })).toBe('no-such-shift');
    expect(oilKey(asked, { ...rig, vehicle: null })).toMatchObject({ fault: 'vehicle-missing' });
  });
});
