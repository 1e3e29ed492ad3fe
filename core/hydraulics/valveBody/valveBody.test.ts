import { demoFile } from '../../tests/demoFile';
import type { HydraulicPlan } from '../plan';
import { BoltedPlate, STEEL_MODULUS, type Bolted } from './bolted';
import { bodyOf } from './layout';
import {
  BOLT_YIELD,
  boltStress,
  clampOf,
  groupsOf,
  SWUNG,
  THREADS,
  turned,
  type BoltPlan,
} from './turning';

const plan = demoFile<HydraulicPlan>('hydraulics/quay-valves');
const SETTING = { spring: 180, travel: 0.012, thin: 'M6' } as const;
const body = bodyOf(plan, SETTING);
const off = (order: string, inTurns: boolean): BoltPlan => ({
  job: 'off',
  order: [...order],
  inTurns,
});
const on = (order: string, inTurns: boolean): BoltPlan => ({ ...off(order, inTurns), job: 'on' });
const strains = (run: ReturnType<typeof turned>) =>
  Object.values(run.stress).map((w) => w.value / BOLT_YIELD);
const strongest = (run: ReturnType<typeof turned>) => Math.max(...strains(run));
const degrees = (rad: number) => (180 * rad) / Math.PI;

/** A strip so narrow that it is a beam; nothing shrinks across it. */
const strip: Bolted = {
  plate: { length: 0.3, width: 0.02, thickness: 0.008, modulus: 70e9, poisson: 0 },
  weight: 0,
  gasket: 6e9,
  bolts: [],
  pushes: [],
};
const EI = (70e9 * 0.02 * 0.008 ** 3) / 12;
const pin = (id: string, x: number, area = 1e-3) => ({
  id,
  x,
  y: 0,
  length: 0.01,
  area,
  head: 1e-3,
});

describe('a plate on its gasket', () => {
  test.each([0, 0.3])(
    'between two bolts it bends as a beam on two supports (ν = %p)',
    (poisson) => {
      const force = 400;
      const beam = new BoltedPlate({
        ...strip,
        plate: { ...strip.plate, poisson },
        bolts: [pin('a', -0.14), pin('b', 0.14), pin('middle', 0, 1e-12)],
        pushes: [{ x: 0, y: 0, force, rate: 1e-3 }],
      });
      // Far off its gasket: nothing but the three forces.
      const { lifts, tensions } = beam.stands([{ at: 0.01 }, { at: 0.01 }, { at: 1 }]);
      // Any table of beams (published): F·l³/48EI.
      const bent = (force * 0.28 ** 3) / 48 / EI;
      expect(lifts[2]! - lifts[0]!).toBeCloseTo(bent, 4);
      expect((lifts[2]! - lifts[0]!) / bent).toBeCloseTo(1, 1.5);
      expect(tensions[0]! + tensions[1]!).toBeCloseTo(force, 0);
    },
  );

  test('twisted by its corners it warps as a plate does', () => {
    const [side, force, poisson] = [0.2, 300, 0.3];
    const plate = { length: side, width: side, thickness: 0.006, modulus: 70e9, poisson };
    const corner = (id: string, x: number, y: number, area = 1e-3) => ({
      ...pin(id, (x * side) / 2, area),
      y: (y * side) / 2,
    });
    const twisted = new BoltedPlate({
      ...strip,
      plate,
      bolts: [corner('a', 1, -1), corner('b', -1, 1), corner('c', 1, 1, 1e-12)],
      pushes: [1, -1].map((k) => ({ x: (k * side) / 2, y: (k * side) / 2, force, rate: 1e-3 })),
    });
    const { lifts } = twisted.stands([{ at: 0.01 }, { at: 0.01 }, { at: 1 }]);
    // Timoshenko and Woinowsky-Krieger, Theory of plates and shells (published; from memory): w = P·x·y/2D(1 − ν).
    const rigidity = (plate.modulus * plate.thickness ** 3) / 12 / (1 - poisson ** 2);
    const warp = (force * side ** 2) / 4 / rigidity / (1 - poisson);
    expect((lifts[2]! - lifts[0]!) / warp).toBeCloseTo(1, 1.5);
  });

  test('pressed at one place it gives way as a long beam on an elastic foundation', () => {
    const pulls = 500;
    const long = new BoltedPlate({ ...strip, bolts: [pin('a', 0)] });
    const { lifts } = long.stands([{ pulls }]);
    // Hetényi, Beams on elastic foundation (published; from memory): w = Pβ/2k, β = (k/4EI)^¼.
    const k = strip.gasket * strip.plate.width;
    const beta = (k / 4 / EI) ** 0.25;
    expect(beta * strip.plate.length).toBeGreaterThan(2 * Math.PI);
    expect((-lifts[0]! * 2 * k) / pulls / beta).toBeGreaterThan(0.93);
    expect((-lifts[0]! * 2 * k) / pulls / beta).toBeLessThan(1.07);
  });

  test('forces and moments balance, and it stands the same wherever it came from', () => {
    const plate = new BoltedPlate(body);
    const half = body.bolts.map((_b, n) => (n < 6 ? null : { at: 0.004 }));
    const first = plate.stands(half);
    plate.stands(body.bolts.map((b) => ({ pulls: clampOf(b) })));
    const again = plate.stands(half);
    const spring = (k: number) => {
      const { force, rate, x, y } = body.pushes[k]!;
      return force - rate * (again.lift + again.leans[0] * x + again.leans[1] * y);
    };
    const pulled = again.tensions.reduce((a, b) => a + b);
    // Off the case at all its bolts: springs and weight against them alone, but for a hundredth.
    expect(Math.abs(pulled - again.pushed) / pulled).toBeLessThan(0.01);
    again.tensions.forEach((t, n) => expect(t).toBeCloseTo(first.tensions[n]!, 1));
    const about = (list: readonly { y: number }[], force: (k: number) => number) =>
      list.reduce((sum, { y }, k) => sum + force(k) * y, 0);
    expect(about(body.bolts, (k) => again.tensions[k]!)).toBeCloseTo(about(body.pushes, spring), 0);
  });
});

describe('a bolt', () => {
  test('stress areas are those of the standard: π/4·(d − 0.9382·P)²', () => {
    // ISO 898-1 (published).
    for (const [name, { area, pitch }] of Object.entries(THREADS)) {
      const d = Number(name.slice(1)) / 1000;
      const by = (Math.PI / 4) * (d - 0.9382 * pitch) ** 2;
      expect(Math.abs(area / by - 1)).toBeLessThan(0.005);
    }
  });

  test('clamps with its torque over a fifth of its diameter', () => {
    // 20 N·m on M8: 12.5 kN (common practice, T = 0.2·d·F).
    expect(clampOf(body.bolts.find((b) => b.thread === 'M8')!)).toBeCloseTo(12_500);
  });

  test('is bent by what leans under its head, until its head bears on one edge', () => {
    const bolt = { id: 'a', x: 0, y: 0, length: 0.04, area: 20.1e-6, head: 5e-3 };
    const d = Math.sqrt((4 * bolt.area) / Math.PI);
    expect(boltStress(bolt, 4000, 0)).toBeCloseTo(4000 / bolt.area);
    // σ = E·d·θ/2l of a shank bent to an arc, beside its tension (any text).
    const slope = 1e-3;
    const arc = (STEEL_MODULUS * d * slope) / 2 / bolt.length;
    expect(boltStress(bolt, 4000, slope)).toBeCloseTo(4000 / bolt.area + arc, -2);
    // Half a radian would ask for more than F·r can give: 32·F·r/πd³.
    const edge = (32 * 1000 * bolt.head) / Math.PI / d ** 3;
    expect(boltStress(bolt, 1000, 0.5)).toBeCloseTo(1000 / bolt.area + edge, -2);
    expect(boltStress(bolt, 0, 0.5)).toBe(0);
  });
});

describe('a valve body, bolt by bolt', () => {
  test('thin ones first, thick ones last, a turn at a time: nothing bends, and it comes away level', () => {
    // The shop's rule (common practice, no source), and each of its parts left out.
    const shop = turned(body, off('AFDCEBGKJH', true));
    expect(strongest(shop)).toBeLessThan(1);
    expect(degrees(shop.lean.value)).toBeLessThan(2);
    const atOnce = turned(body, off('AFDCEBGKJH', false));
    expect(degrees(atOnce.lean.value)).toBeGreaterThan(5);
    const thickFirst = turned(body, off('GKJHAFDCEB', false));
    expect(strongest(thickFirst)).toBeGreaterThan(1);
    const bent = Object.entries(thickFirst.stress).filter(([, w]) => w.value > BOLT_YIELD);
    expect(bent.every(([id]) => body.bolts.find((b) => b.id === id)!.thread === 'M6')).toBe(true);
    // A body that has swung down is followed no further, and the last bolt never leaves it to nothing.
    const swung = turned(body, off('GKJHAFDCEB', true));
    expect(swung.lean.value).toBe(SWUNG);
    for (const { turns } of [shop, atOnce, thickFirst, swung])
      expect(turns.every((t) => t.left > 0)).toBe(true);
    const fromOneEnd = turned(body, off('ADGJBEHKCF', false));
    expect(strongest(fromOneEnd)).toBeGreaterThan(1.5);
  });

  test('without springs nothing pulls but the clamps; stronger ones strain the last bolt more', () => {
    const worst = (spring: number) =>
      strongest(turned(bodyOf(plan, { ...SETTING, spring }), off('GKJHAFDCEB', false)));
    // A clamp of 10 N·m on M6, and what it leans on a gasket that gives way beside it.
    expect(worst(0.001)).toBeLessThan(0.8);
    expect(worst(300)).toBeGreaterThan(worst(150));
  });

  test('tightened from one end, the first bolt is pried up; in turns all clamp alike', () => {
    // Elastic interaction of bolts (common practice: two passes).
    const row = turned(body, on('ADGJBEHKCF', false));
    expect(row.clamps['A']).toBeGreaterThan(1.3);
    expect(row.stress['A']!.value).toBeGreaterThan(BOLT_YIELD);
    for (const order of ['HJKGBECDFA', 'ADGJBEHKCF', 'BECDFAHJKG']) {
      const run = turned(body, on(order, true));
      for (const clamp of Object.values(run.clamps)) expect(Math.abs(clamp - 1)).toBeLessThan(0.06);
      expect(strongest(run)).toBeLessThan(1);
    }
  });

  test('bolts of one size that follow one another go in turns, and only those', () => {
    const ids = (p: BoltPlan) => groupsOf(body, p).map((g) => g.map((b) => b.id).join(''));
    expect(ids(off('ABCDEFGHJK', true))).toEqual(['ABCDEF', 'GHJK']);
    expect(ids(off('AGBHCDEFJK', true))).toEqual(['A', 'G', 'B', 'H', 'CDEF', 'JK']);
    expect(ids(off('ABG', false))).toEqual(['A', 'B', 'G']);
    expect(() => turned(body, off('AXB', true))).toThrow('not there');
  });

  test('every accumulator of the plan has its spring between its bolts, every valve its bore', () => {
    expect(body.pushes.map((p) => p.element)).toEqual(['C1', 'C2', 'C3', 'B1', 'B2']);
    const { length, width } = body.plate;
    for (const { x, y } of [...body.bolts, ...body.pushes]) {
      expect(Math.abs(x)).toBeLessThan(length / 2);
      expect(Math.abs(y)).toBeLessThan(width / 2);
    }
    expect(body.bores.length).toBeGreaterThan(3);
  });
});
