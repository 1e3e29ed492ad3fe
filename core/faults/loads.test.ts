import { AS_BUILT, holdingTorque, worn } from '../clutch';
import { engineModel } from '../converter';
import { USUAL_PRESSURES } from '../hydraulics';
import { demands } from '../shift';
import { drivingOf, machineOf, SOUND_MACHINE, type Fault } from './index';
import { loadsOf } from './loads';
import { AUTOMATIC, MANUAL, RAVIGNEAUX, SIMPSON } from './tests/rigs';
import { rigOfUnit } from './symptoms';

const auto = drivingOf(AUTOMATIC);
const cell = (fault: Fault, range: string) => auto.cell(machineOf(AUTOMATIC, [fault]), range);

// The margin at work: a sound unit slips in no range at any load.
test.each([
  ['automatic', AUTOMATIC],
  ['Simpson alone', rigOfUnit(SIMPSON)],
  ['Ravigneaux alone', rigOfUnit(RAVIGNEAUX)],
])('a sound unit holds: %s', (_name, rig) => {
  const driving = drivingOf(rig);
  for (const c of driving.cells(SOUND_MACHINE))
    expect([c.range, c.drive]).toEqual([c.range, 'right']);
});

/*
 * By hand, for the element that a range asks most of, at full pressure: it was made for 1.4 times what is asked, so with
 * the share s of its grip it holds 1.4·s of the full load there, and slips from the load x where
 *   x = 1.4·s·(p(x) − p_0)/(p_full − p_0)      p(x) = 450 + 750·x kPa, p_0 = 144 kPa, p_full = 1200 kPa
 */
test.each([0.6, 0.4])('the load from which a worn clutch slips: %p of its grip left', (share) => {
  const { idle: idlePressure, full: fullPressure } = USUAL_PRESSURES;
  const none = 0.12 * fullPressure;
  const span = fullPressure - none;
  const a = (1.4 * share * (idlePressure - none)) / span;
  const b = (1.4 * share * (fullPressure - idlePressure)) / span;
  const x = a / (1 - b);
  const { drive, above } = cell({ target: 'C1', kind: 'slips', severity: share }, 'D1');
  expect(drive).toBe('flares');
  // The loads are tried in twentieths, from below.
  expect(above!).toBeGreaterThanOrEqual(x);
  expect(above! - x).toBeLessThanOrEqual(0.05 + 1e-9);
});

// Monotone: the less grip is left, the sooner it slips; a range that does not use the element never does.
test('less grip, less load', () => {
  let before = Infinity;
  for (const severity of [0.7, 0.6, 0.5, 0.4, 0.3]) {
    const { above } = cell({ target: 'C1', kind: 'slips', severity }, 'D1');
    expect(above ?? Infinity).toBeLessThanOrEqual(before);
    before = above ?? Infinity;
    expect(cell({ target: 'C1', kind: 'slips', severity }, 'R').drive).toBe('right');
  }
});

// Facts of the trade: a one-way clutch beside a slipping brake carries the drive, but brakes nothing on the overrun.
test('a slipping brake behind a one-way clutch is only missed on the overrun', () => {
  const low = cell({ target: 'B2', kind: 'burnt' }, 'L1');
  expect([low.drive, low.coast]).toEqual(['right', 'no-braking']);
});

test('a rig without an engine is weighed in shares of its own full load', () => {
  const loads = loadsOf(rigOfUnit(SIMPSON));
  expect(loads.fullNm).toBe(1);
  expect(loads.multiplied(true)).toBe(1);
  expect(loadsOf(AUTOMATIC).multiplied(true)).toBeGreaterThan(1.5);
  expect(loadsOf(AUTOMATIC).multiplied(false)).toBe(1);
});

// Slow twin: what each gear asks of the dry clutch, as `shift/holding.ts` tells it, against the load at which it slips here.
test('the dry clutch slips from the load at which its gear asks more than it holds', () => {
  const driving = drivingOf(MANUAL);
  const clutch = MANUAL.clutch!;
  const engine = engineModel(MANUAL.engine!);
  const wear = 1.15 * (clutch.disc.newThickness - clutch.disc.wornThickness);
  const holds = holdingTorque(clutch, worn(clutch, AS_BUILT, wear));
  const fault: Fault = { target: 'clutch', kind: 'clutch-worn', severity: 1.15 };
  const asked = { engine, unit: MANUAL.unit!, vehicle: MANUAL.vehicle!, grade: 0 };
  const machine = machineOf(MANUAL, [fault]);
  for (const range of ['G1', 'G2', 'G3', 'G4', 'G5']) {
    const first = Array.from({ length: 20 }, (_v, k) => (k + 1) / 20).find((throttle) => {
      const demand = demands({ ...asked, throttle }).find((d) => d.range === range)!;
      return demand.torque > holds;
    });
    const { above } = driving.cell(machine, range);
    expect([range, above ?? undefined]).toEqual([range, first]);
  }
});
