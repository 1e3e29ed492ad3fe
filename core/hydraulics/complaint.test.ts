import { demoFile, demoUnit, demoUnits } from '../tests/demoFile';
import type { Vehicle } from '../vehicle';
import { circuitOf } from './circuit';
import { complaintOf, type Complaint } from './complaint';
import { planFor } from './generate';
import { commandedRange, gearsOf } from './gears';
import { partsOf, type HydraulicPlan } from './plan';
import { withPlanFaults, type PlanFault } from './planFaults';
import { setAs } from './schools';
import { shiftInTime } from './shiftInTime';
import { upshiftOf } from './upshift';

const unit = demoUnit('quay-four');
const gears = gearsOf(unit);
const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const byValves = planFor(unit, { lockUp: true });
const electric = planFor(unit, { lockUp: true, shifting: 'solenoids', throttle: 'solenoid' });
const asked = {
  unit,
  gears,
  vehicle,
  throttle: 0.45,
  celsius: 80,
  idleRpm: 700,
  inputNm: 90,
  inputInertia: 0.2,
};
const told = (plan: HydraulicPlan, fault: PlanFault): Complaint => {
  const worn = withPlanFaults(plan, [fault]);
  return complaintOf(circuitOf(plan), circuitOf(worn.plan, worn.condition), asked);
};

test('of a plan that is as it was made a driver has nothing to tell', () => {
  for (const plan of [byValves, electric])
    expect(complaintOf(circuitOf(plan), circuitOf(plan), asked)).toEqual({
      places: [],
      shifts: [],
      lockUp: null,
      smokes: false,
    });
});

// Common practice, no source: a slack cable shifts early and soft, a torn diaphragm is not asked here; a stuck valve holds its gear.
test('a slack cable is told as early shifts, a valve stuck down as a gear that never comes', () => {
  const slack = told(byValves, { kind: 'cable-slack', part: 'throttle-valve' });
  expect(slack.shifts.map((s) => s.moment)).toEqual(['early', 'early', 'early']);
  expect([slack.places, slack.lockUp]).toEqual([[], 'early']);
  const stuck = told(byValves, { kind: 'valve-stuck-down', part: 'shift-2' });
  expect(stuck.shifts[0]).toEqual({ from: 2, to: 3, moment: 'never', felt: null });
  expect(stuck.lockUp).toBe('never');
});

test('a blocked feed is told where it is missed at a standstill, a leaking piston in the shifts that it takes part in', () => {
  const blocked = told(byValves, { kind: 'gasket-other', part: 'feed-C1' });
  expect(blocked.places.map((p) => [p.lever, p.on])).toContainEqual(['D', []]);
  expect(blocked.shifts).toEqual([]);
  const leaks = told(byValves, { kind: 'piston-seal', part: 'piston-C3' });
  expect([leaks.places, leaks.shifts.map((s) => [s.from, s.moment])]).toEqual([
    [],
    [
      [2, 'same'],
      [3, 'same'],
    ],
  ]);
  // Common practice, no source: a shift valve stuck up starts off in the higher gear.
  const high = told(byValves, { kind: 'valve-stuck-up', part: 'shift-1' });
  expect(high.places.map((p) => [p.lever, p.range])).toEqual([['D', 'D2']]);
});

test('a lock-up that is stuck on is on at a standstill; without its signal it never comes', () => {
  const stuck = { kind: 'valve-stuck-up', part: 'lock-up-valve' } as const;
  expect(told(byValves, stuck).lockUp).toBe('always');
  expect(told(electric, { kind: 'solenoid-dead', part: 'sol-lock-up' }).lockUp).toBe('never');
});

// Common practice, no source: a torn modulator shifts late and hard, the exhaust smokes and the fluid vanishes.
test('a torn diaphragm is told as late shifts with smoke', () => {
  const plan = planFor(unit, { throttle: 'modulator' });
  const torn = told(plan, { kind: 'diaphragm-torn', part: 'throttle-valve' });
  expect(torn.smokes).toBe(true);
  expect(torn.shifts.map((s) => s.moment)).toEqual(['late', 'late', 'late']);
});

// Common practice, no source: a lever sensor that reads one place beside gives the oil of one place and the commands of another.
test('with swarf on the lever sensor a control unit commands the place beside', () => {
  const beside = { leverRead: 1 };
  expect(gears.levers).toEqual(['P', 'R', 'N', 'D', '1']);
  expect(commandedRange(gears, 'R', 1, beside)!.lever).toBe('N');
  // Beside the last there is only the one before it.
  expect(commandedRange(gears, '1', 1, beside)!.lever).toBe('D');
  expect(commandedRange(gears, 'D', 2, { leverRead: 0 })).toBe(gears.rangeAt('D', 2));
  const swarf = told(electric, { kind: 'lever-swarf', part: 'control' });
  expect(swarf.places.map((p) => [p.lever, p.on])).toContainEqual(['R', []]);
  // The place beside D is the one that knows only first gear.
  expect(swarf.shifts.map((s) => s.moment)).toEqual(['never', 'never', 'never']);
  // Over time nothing is handed over either.
  const worn = withPlanFaults(electric, [{ kind: 'lever-swarf', part: 'control' }]);
  const circuit = circuitOf(worn.plan, worn.condition);
  const { quality } = shiftInTime({ ...upshiftOf({ ...asked, gear: 1 })!, circuit });
  expect(quality).toBe('no-shift');
  // Spools know nothing of sensors.
  expect(partsOf(byValves, 'control')).toEqual([]);
});

// Common practice, no source: firm slips less and heats less, soft is the gentler; not every shift tells them apart by its jerk.
test('set firm, every upshift rubs away less than set soft, and most are felt more', () => {
  const rows = demoUnits()
    .filter((u) => ['quay-four', 'skerry-three', 'capstan-five'].includes(u.id))
    .flatMap((u) => {
      const own = gearsOf(u);
      const plan = planFor(u);
      return own.forward.slice(1).map((_f, k) => {
        const [soft, firm] = (['soft', 'firm'] as const).map((school) =>
          shiftInTime({
            ...upshiftOf({ ...asked, unit: u, gears: own, gear: k + 1 })!,
            circuit: circuitOf(
              setAs(plan, school, { unit: u, gears: own, gear: k + 1, wishes: {} }),
            ),
          }),
        );
        return { soft: soft!, firm: firm! };
      });
    });
  expect(rows).toHaveLength(9);
  const heat = (r: (typeof rows)[0]['soft']) => r.heats.reduce((sum, h) => sum + h.joules, 0);
  for (const { soft, firm } of rows) expect(heat(firm)).toBeLessThan(0.8 * heat(soft));
  const firmer = rows.filter((r) => r.firm.run.summary.jerk > r.soft.run.summary.jerk);
  expect(firmer.length).toBeGreaterThanOrEqual(7);
});
