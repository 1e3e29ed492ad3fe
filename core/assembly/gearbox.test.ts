import { machineOf } from '../faults';
import { solveUnit, type Unit } from '../geartrain';
import { goesIn, jumpsOutAbove, SIDE_AS_NEW, sideAsMeasured, SLEEVE_AS_BUILT } from '../shift';
import { demoFile } from '../tests/demoFile';
import {
  bestSize,
  checksFor,
  checkOrder,
  conditionIn,
  damagesOf,
  errorsIn,
  faultsOf,
  freeParts,
  gapWith,
  legalOrder,
  MEASURES,
  measuresOf,
  planOf,
  rigOfJob,
  selectivesOf,
  windowOf,
  type Damage,
} from './index';
import { job, part, plan as automatic, rightFits } from './tests/oneJob';

const winch = demoFile<Unit>('units/winch-manual');
const ferry = demoFile<Unit>('units/ferry-dual');
const plan = planOf(winch, 'main');
const gearbox = job({ unit: winch });

/** What a job with this hidden in a part that goes back gives the machine. */
function backWith(id: string, damage: Damage, turned = false, unit = winch) {
  const own = job({ unit, hidden: [{ part: id, damage }] });
  return faultsOf(errorsIn(own, planOf(unit, 'main'), {}, [{ part: id, turned }]));
}
const wrong = (id: string) => faultsOf(errorsIn(gearbox, plan, {}, [{ part: id, turned: true }]));

// Common practice, no source: the order in which a gearbox on its shafts comes apart.
test('a gearbox by its sleeves: one hub, one fork, a ring at each side, a nut and a bearing behind it all', () => {
  const ids = plan.parts.map((p) => p.id);
  for (const id of ['H12.sleeve', 'H12.hub', 'H12.fork', 'S1.blocker-rings', 'S2.blocker-rings'])
    expect(ids).toContain(id);
  expect(ids).not.toContain('S1.sleeve');
  expect(checkOrder(plan, legalOrder(plan)).violations).toEqual([]);
  // All that can leave while one part stays.
  const leaves = (stays: string) => {
    const gone = new Set<string>();
    for (;;) {
      const next = freeParts(plan, gone).filter((id) => id !== stays);
      if (next.length === 0) return gone;
      for (const id of next) gone.add(id);
    }
  };
  for (const [first, later] of [
    ['extension', 'out.nut'],
    ['out.nut', 'out.bearing'],
    ['out.bearing', 'H12.sleeve'],
    ['selector-shaft', 'H12.fork'],
    ['H12.fork', 'H12.sleeve'],
    ['H12.sleeve', 'H12.hub'],
    ['H12.hub', 'S2.blocker-rings'],
    ['H34.sleeve', 'M3.second'],
  ] as const)
    expect([first, later, leaves(first).has(later)]).toEqual([first, later, false]);
});

test('a file without sleeves is taken apart as before', () => {
  const { sleeves: _told, ...old } = winch;
  const ids = planOf(old).parts.map((p) => p.id);
  for (const id of ['S1.sleeve', 'S1.hub', 'S1.fork', 'S1.blocker-rings', 'SR.sleeve'])
    expect(ids).toContain(id);
  expect(ids).not.toContain('interlock');
});

test('the side decides which gear suffers; turned round, it is the other one', () => {
  expect(backWith('H34.sleeve', 'rounded-front')).toMatchObject([
    { target: 'S3', kind: 'rounded' },
  ]);
  expect(backWith('H34.sleeve', 'rounded-rear')).toMatchObject([{ target: 'S4', kind: 'rounded' }]);
  expect(backWith('H34.sleeve', 'rounded-front', true)).toMatchObject([
    { target: 'S4', kind: 'rounded' },
  ]);
  expect(backWith('H12.sleeve', 'short-rear')).toMatchObject([{ target: 'S2', kind: 'jumps-out' }]);
  expect(backWith('S5.blocker-rings', 'worn-ring')).toMatchObject([
    { target: 'S5', kind: 'synchro-worn' },
  ]);
  expect(backWith('out.bearing', 'rough-shaft-bearing')).toMatchObject([
    { target: 'out', kind: 'rough-bearing' },
  ]);
  expect(backWith('M3.second', 'loose-gear')).toMatchObject([
    { target: 'M3', kind: 'rough-teeth' },
  ]);
  // A step in the hub is told at the bench, and no model of the desk knows it.
  expect(backWith('H34.hub', 'stepped-hub')).toEqual([]);
  expect(backWith('H34.fork', 'worn-fork')).toEqual([]);
  // A sleeve with one gear: turned round, its bad side works for nothing.
  expect(backWith('H5.sleeve', 'rounded-front', false, ferry)).toHaveLength(1);
  expect(backWith('H5.sleeve', 'rounded-front', true, ferry)).toEqual([]);
});

// Common practice, no source: one bad side and the other gear on the same sleeve is fine.
test('third refuses or grinds, fourth on the same sleeve does not', () => {
  const machine = machineOf(rigOfJob(gearbox), backWith('H34.sleeve', 'rounded-front'));
  const state = (id: string) => machine.sleeves.get(id) ?? SLEEVE_AS_BUILT;
  expect(goesIn(state('S3'), false)).not.toBe('clean');
  expect(goesIn(state('S4'), false)).toBe('clean');
});

// Limits as the trade has them (common practice, no source): 0.2 and 0.5 mm of flat, half a millimetre of ring gap, 80 and
// 65 % of engagement.
test('what a side gives comes from its own numbers', () => {
  const side = (change: Partial<typeof SIDE_AS_NEW>) =>
    sideAsMeasured({ ...SIDE_AS_NEW, ...change });
  expect(goesIn(side({ tips: 0.2 }), false)).toBe('clean');
  expect(goesIn(side({ tips: 0.55 }), false)).toBe('grinds');
  expect(goesIn(side({ tips: 0.7 }), false)).toBe('refuses');
  expect(goesIn(side({ ringGap: 0.5 }), false)).toBe('clean');
  expect(goesIn(side({ ringGap: 0.05 }), false)).toBe('grinds');
  expect(goesIn(side({ ringGap: 0.05 }), true)).toBe('clean');
  expect(jumpsOutAbove(side({ engagement: 0.8 }))).toBe(Infinity);
  const [worn, more] = [0.62, 0.5].map((engagement) => jumpsOutAbove(side({ engagement })));
  expect(worn).toBeLessThan(Infinity);
  expect(more).toBeLessThan(worn!);
});

// Common practice, no source: what comes of a part of a gearbox that went in wrong.
test('hub, ring, bearing and interlock: each mistake is the fault that it shows as', () => {
  expect(wrong('H12.hub')).toEqual([{ target: 'S1', kind: 'will-not-apply' }]);
  expect(wrong('S3.blocker-rings')).toEqual([{ target: 'S3', kind: 'synchro-worn' }]);
  expect(wrong('out.bearing')).toEqual([{ target: 'out', kind: 'rough-bearing' }]);
  const [forgotten] = wrong('interlock');
  expect(forgotten).toEqual({ target: 'S5', kind: 'stuck-on' });
  // A second gear in with any other binds.
  expect(solveUnit(winch, ['K', 'S1', forgotten!.target]).outcome).toBe('tied-up');
  expect(errorsIn(gearbox, plan, {}, rightFits(plan))).toEqual([]);
});

test('the shim that the float asks for, by trying every one; far too thick, the bearing runs rough', () => {
  const shim = selectivesOf(plan).find((s) => s.part === 'out.shim')!;
  const on = part('out.bearing', plan);
  const gap = conditionIn(gearbox, on).values['shaft-float']!;
  const { least, most } = windowOf('shaft-float', on);
  const off = (size: number) => Math.abs(gapWith(gap, shim, size) - (least! + most!) / 2);
  const best = bestSize(shim, gap, on)!;
  for (const size of shim.sizes) expect(off(best)).toBeLessThanOrEqual(off(size) + 1e-12);
  const fitted = (size: number) =>
    errorsIn(gearbox, plan, {}, [{ part: 'out.shim', turned: false, size }]);
  expect(fitted(best)).toEqual([]);
  expect(fitted(shim.now + gap + 0.1)).toMatchObject([
    { kind: 'too-tight', shows: 'end-play', faults: [{ target: 'out', kind: 'rough-bearing' }] },
  ]);
});

test('checks are offered that can show something: gears are engaged where there are sleeves, air where there is oil', () => {
  expect(checksFor(plan)).toEqual(['by-hand', 'end-play', 'turn', 'gears']);
  expect(checksFor(automatic)).toEqual(['by-hand', 'air', 'end-play', 'clearance', 'turn']);
  const [hub] = errorsIn(gearbox, plan, {}, [{ part: 'H12.hub', turned: true }]);
  expect(hub!.shows).toBe('gears');
});

// Common practice, no source: 0.2 to 0.5 mm between pad and groove, and no more than 0.8.
test('a fork of a sleeve is measured in its groove; the one of a release bearing is not', () => {
  const fork = part('H34.fork', plan);
  expect(measuresOf(fork)).toEqual(['fork-gap']);
  expect(damagesOf(fork)).toEqual(['worn-fork']);
  expect(MEASURES['fork-gap']).toMatchObject({ sound: [0.2, 0.5], most: 0.8 });
  expect(measuresOf({ id: 'fork', kind: 'fork' })).toEqual([]);
});
