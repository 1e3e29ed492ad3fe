import { expectApproved } from '../tests/approved';
import { demoAll, demoFile, demoUnit } from '../tests/demoFile';
import type { Vehicle } from '../vehicle';
import {
  circuitOf,
  complaintOf,
  faultsOn,
  fillTime,
  gearsOf,
  linePressure,
  OIL_AS_BUILT,
  oilMap,
  oilModelOf,
  planFindings,
  planFor,
  pressureTable,
  shiftInTime,
  spoolsIn,
  upshiftOf,
  withPlanFaults,
  type HydraulicPlan,
} from './index';

const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
const RUNNING = { celsius: 80, idleRpm: 700, inputNm: 120, inputInertia: 0.2 };

test('plans as they are made', () => {
  const said: Record<string, unknown> = {};
  for (const unit of ['quay-four', 'wherry-four', 'capstan-five', 'lighter-six'].map(demoUnit))
    for (const shifting of ['valves', 'solenoids'] as const) {
      const plan = planFor(unit, { shifting });
      for (const part of plan.parts) said[`${unit.id} ${shifting} ${part.kind} ${part.id}`] = part;
      said[`${unit.id} ${shifting} lines`] = plan.lines;
    }
  expectApproved('plans', said);
});

test('plans at work: pressures, shift points, a shift, and every fault that a part can have', () => {
  const said: Record<string, unknown> = {};
  for (const plan of demoAll<HydraulicPlan>('hydraulics')) {
    const unit = demoUnit(plan.unit);
    const gears = gearsOf(unit);
    const setting = { ...RUNNING, ratios: gears.forward.map((f) => f.ratio) };
    const sound = circuitOf(plan);
    const asked = { ...RUNNING, unit, gears, vehicle, throttle: 0.45 };
    const model = oilModelOf(plan);
    said[`${plan.id} as a whole`] = [planFindings(plan, unit), spoolsIn(plan, 2)];
    said[`${plan.id} model`] = [
      model,
      [600, 2000].map((pumpRpm) =>
        [false, true].map((reverse) => {
          const line = linePressure(model, OIL_AS_BUILT, { load: 0.5, pumpRpm, reverse }, []);
          return [line, model && unit.elements.map((e) => fillTime(model, [e.id, 0.1], line))];
        }),
      ),
    ];
    said[`${plan.id} map`] = oilMap(
      sound,
      setting,
      gears.forward.map((f) => f.range.id),
    );
    for (const row of pressureTable(sound, { ...RUNNING, gears }).rows)
      said[`${plan.id} gauge ${row.line}`] = row;
    for (const gear of gears.forward.slice(1).map((_f, k) => k + 1)) {
      const shift = upshiftOf({ ...asked, gear });
      if (!shift) continue;
      const { quality, coming, going, heats, run } = shiftInTime({ ...shift, circuit: sound });
      said[`${plan.id} shift ${gear}`] = [quality, coming, going, run.summary];
      said[`${plan.id} shift ${gear} heats`] = heats;
    }
    for (const part of plan.parts)
      for (const kind of faultsOn(part)) {
        const worn = withPlanFaults(plan, [{ kind, part: part.id }]);
        const circuit = circuitOf(worn.plan, worn.condition);
        const at = circuit.inGear(
          {
            lever: gears.mainLever!,
            throttle: 0.4,
            outputRpm: 900,
            engineRpm: 1900,
            celsius: 80,
          },
          2,
        );
        said[`${plan.id} ${part.id} ${kind}`] = [at.applied, at.pressures, at.spools];
      }
    const first = plan.parts.find((p) => faultsOn(p).length > 0)!;
    const worn = withPlanFaults(plan, [{ kind: faultsOn(first)[0]!, part: first.id }]);
    said[`${plan.id} told`] = complaintOf(sound, circuitOf(worn.plan, worn.condition), asked);
  }
  expectApproved('oil', said);
});
