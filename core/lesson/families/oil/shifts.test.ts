import { solveUnit } from '../../../geartrain';
import { demoUnit } from '../../../tests/demoFile';
import { partsOf, planFor, USUAL_ENGINE } from '../../../hydraulics';
import {
  AS_MADE,
  DRAWN_AT,
  drawnLimits,
  gearsFor,
  handsAt,
  lineIn,
  oilKey,
  sharesOf,
  shiftAsDrawn,
  shiftSet,
  type OilAnswer,
} from '../..';
import { toNumber } from '../../../numerics';
import { goodDrawing, handOverIn, tiesUp } from './drawn';
import { exchangeIn } from './runs';
import { unit, plan, rig, ask, keyed, graded, fits } from '../../tests/quayOil';

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

  // Two clutches come at once in the tug's four-speed: what is told is told of the one that asks for more.
  test('of two that come together the one that asks for more pressure is named, and both hold there', () => {
    const wherry = demoUnit('wherry-four');
    const two = { unit: wherry, plan: planFor(wherry), vehicle: rig.vehicle };
    const shift = { gear: 2, throttle: 0.4 };
    expect(exchangeIn(two, 2).coming).toEqual(['C0', 'C2']);
    const { coming } = handOverIn(two, shift);
    // From the run itself: neither carries more than it can hold at the pressure that is told.
    const drawn = goodDrawing(two, shift, null)!;
    const torques = shiftAsDrawn(two, shift, drawn).run.samples.at(-1)!.torques;
    for (const piston of partsOf(two.plan, 'piston').filter((p) =>
      ['C0', 'C2'].includes(p.element),
    )) {
      const holds = piston.torquePerForce * (coming!.pressure * piston.area - piston.returnForce);
      expect(holds).toBeGreaterThan(0.999 * Math.abs(torques[piston.element]!));
    }
  });

  test('both on are told to tie the unit up where the exact solution says so', () => {
    expect(tiesUp(rig, { gear: 2, throttle: 0.4 })).toBe(true);
    const claims = graded(asked, together).why.named[0]!.claims;
    expect(claims).toContainEqual(expect.objectContaining({ claim: 'held-by', way: 'both-tied' }));
    // In first the band comes while a one-way clutch holds: it overruns, and nothing is tied up.
    expect(tiesUp(rig, { gear: 1, throttle: 0.4 })).toBe(false);
  });

  test('when each takes and lets go is read off the drawing', () => {
    const drawn = sharesOf(rig, asked, [0, 0, 1], [1, 1, 1, 0]);
    const { coming, going } = handOverIn(rig, asked);
    const line = lineIn(rig, asked);
    const at = handsAt(rig, asked, drawn);
    // On straight lines: up from 0.1 to 0.2 s, and down from 0.2 to 0.3 s.
    expect(at.find((h) => h.side === 'coming')!.time).toBeCloseTo(
      0.1 + (0.1 * coming!.pressure) / line,
      1.7,
    );
    expect(at.find((h) => h.side === 'going')!.time).toBeCloseTo(
      0.3 - (0.1 * going!.pressure) / line,
      1.7,
    );
    expect(handsAt(rig, asked, sharesOf(rig, asked, [0], [1])).map((h) => h.time)).toEqual([
      null,
      null,
    ]);
  });

  test('what can not be asked says why', () => {
    expect(keyed({ ...asked, jerk: 0 })).toBe('not-reachable');
    expect(keyed({ ...asked, gear: 4 })).toBe('no-such-shift');
    expect(oilKey(asked, { ...rig, vehicle: null })).toMatchObject({ fault: 'vehicle-missing' });
  });
});
