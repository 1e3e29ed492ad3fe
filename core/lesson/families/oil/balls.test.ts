import { partsOf, planFor } from '../../../hydraulics';
import { demoUnit } from '../../../tests/demoFile';
import {
  assess,
  graderOf,
  newOilQuestion,
  oilKey,
  type OilAnswer,
  type OilGauge,
  type OilRig,
  type WhichBallQuestion,
} from '../..';
import { randomFromSeed } from '../../../numerics';
import { ballsOf, fitsEvidence, GAUGE_PA, gaugeReads, standingWithout } from './balls';
import { OIL_FAMILY } from './family';
import { wayBack } from './runs';

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
