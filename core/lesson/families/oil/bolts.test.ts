import { randomFromSeed } from '../../../numerics';
import { ask, fits, graded, keyed, rig } from '../../tests/quayOil';
import { bodyFor, boltsAs, boltsKept, shopOrder, strainedAt } from './bolts';
import { OIL_FAMILY } from './family';
import type { BoltOrderQuestion } from './kinds';

describe('bolt by bolt', () => {
  const off = ask('bolt-order');
  const on = ask('bolt-order', { job: 'on' });
  const answer = (order: string, inTurns: boolean) => ({
    kind: 'bolt-order' as const,
    order: [...order],
    inTurns,
  });

  test('the example keeps within, and so does any other order that does', () => {
    for (const question of [off, on]) {
      const key = keyed(question);
      if (typeof key === 'string' || key.kind !== 'bolt-order')
        throw new Error('expected an order');
      expect(graded(question, { ...key, order: [...key.order] })).toMatchObject({ score: 1 });
    }
    expect(graded(off, answer('BECADFHJGK', true))).toMatchObject({ score: 1 });
    // Where all in turns come out even, the order is nobody's mistake.
    expect(graded(on, answer('ADGJBEHKCF', true))).toMatchObject({ score: 1 });
  });

  test('each way of thinking is told by what became of the body', () => {
    const row = graded(off, answer('ADGJBEHKCF', false));
    expect(row.score).toBe(0);
    expect(row.named).toEqual(['along-the-row']);
    const strong = graded(off, answer('GKJHAFDCEB', true));
    expect(strong.named).toEqual(['springs-left-to-thin']);
    const once = graded(off, answer('AFDCEBGKJH', false));
    expect(once.named).toEqual(['each-at-once']);
    expect(once.score).toBe(0.5);
    expect(graded(on, answer('BECDFAHJKG', false)).named).toEqual(['each-at-once']);
    expect(graded(on, answer('ADGJBEHKCF', false)).named).toEqual(['along-the-row']);
  });

  test('what bent is said with what it pulled and who held with it', () => {
    const order = { order: [...'ADGJBEHKCF'], inTurns: false };
    const at = strainedAt(rig, off, order);
    // The last bolt of the row, alone under all springs and their lever.
    expect(at).toMatchObject({ bolt: 'F', holding: 1 });
    expect(at.tension).toBeGreaterThan(5 * 180);
    expect(boltsAs(rig, off, order)).toMatchObject({ bolt: 'F', strain: at.strain });
  });

  test('springs that push nothing, next to nothing, or too hard are not asked about', () => {
    const bare = { ...rig.plan, parts: rig.plan.parts.filter((p) => p.kind !== 'accumulator') };
    const refusal = (question: BoltOrderQuestion, plan = rig.plan) => {
      const result = OIL_FAMILY.key(question, { kind: 'oil', rig: { ...rig, plan } });
      return result.ok ? null : result.fault;
    };
    const with_ = (spring: number) => ({ ...off, body: { ...off.body, spring } });
    expect(refusal(off, bare)).toBe('nothing-pushes');
    expect(refusal(with_(20), rig.plan)).toBe('any-order-does');
    expect(refusal(off)).toBeNull();
  });

  test('off, the lean is judged, on, the clamps, either way off; a bend always', () => {
    const as = { bolt: 'A', leanAt: 'A', offAt: 'A', strain: 0.7, lean: 0, off: 0 };
    expect(boltsKept(on, { ...as, lean: 1, off: -0.14 })).toEqual({ whole: true, as: true });
    for (const by of [0.16, -0.16]) expect(boltsKept(on, { ...as, off: by }).as).toBe(false);
    expect(boltsKept(off, { ...as, lean: 0.06, off: 0 }).as).toBe(false);
    expect(boltsKept(off, { ...as, lean: 0.04, off: -1 }).as).toBe(true);
    expect(boltsKept(off, { ...as, strain: 1.01 }).whole).toBe(false);
  });

  test('every bolt once, or it is no answer', () => {
    expect(fits(off, answer('AFDCEBGKJH', true))).toBe(true);
    expect(fits(off, answer('AFDCEBGKJ', true))).toBe(false);
    expect(fits(off, answer('AAFDCEBGKJ', true))).toBe(false);
    expect(fits(off, answer('AFDCEBGKJX', true))).toBe(false);
  });

  test('each student gets springs and bolts of their own, with which the shop’s order does', () => {
    const subject = { kind: 'oil' as const, rig };
    const drawn = ['Arno', 'Brigid', 'Cole'].map((seed) => {
      const question = OIL_FAMILY.vary?.['bolt-order']?.(off, subject, randomFromSeed(seed));
      if (question?.kind !== 'bolt-order') throw new Error('expected the same kind');
      return question;
    });
    expect(new Set(drawn.map((q) => JSON.stringify(q.body))).size).toBe(3);
    for (const question of drawn) {
      const { strain, lean } = boltsAs(rig, question, shopOrder(rig, question));
      expect(strain).toBeLessThan(1);
      expect(lean).toBeLessThan(0.05);
      expect(bodyFor(rig, question).bolts).toHaveLength(10);
    }
  });
});
