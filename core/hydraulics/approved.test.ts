import { expectApproved } from '../tests/approved';
import { demoAll, demoFile, demoUnit } from '../tests/demoFile';
import type { Vehicle } from '../vehicle';
import {
  bodyOf,
  circuitOf,
  drawnAt,
  gearByMap,
  handTight,
  holdsTrace,
  learnedFrom,
  PLAN_FAULTS,
  pointAt,
  setAs,
  SHIFT_SCHOOLS,
  turned,
  shiftDrawn,
  shiftMap,
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

test('a valve body, bolt by bolt, and what faults are made of', () => {
  const said: Record<string, unknown> = { ...PLAN_FAULTS };
  const [plan] = demoAll<HydraulicPlan>('hydraulics');
  for (const thin of ['M5', 'M6'] as const) {
    const body = bodyOf(plan!, { spring: 150, travel: 0.01, thin });
    const order = body.bolts.map((b) => b.id);
    said[thin] = body;
    for (const job of ['off', 'on'] as const)
      for (const inTurns of [false, true])
        said[`${thin} ${job} ${inTurns}`] = turned(body, { job, order, inTurns });
    said[`${thin} by hand`] = handTight(body);
  }
  expectApproved('valve-body', said);
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
    const again = upshiftOf({ ...asked, gear: 1 });
    if (again) {
      const drawing = { every: 0.1, coming: [0, 1e5, 3e5, 6e5, 6e5], going: [6e5, 2e5, 0, 0, 0] };
      const shift = { ...again, circuit: sound };
      const { quality, run, filled } = shiftDrawn(shift, drawing);
      said[`${plan.id} drawn`] = [
        quality,
        run.summary,
        [...filled.elements.values()].map(holdsTrace),
      ];
      said[`${plan.id} learned`] = learnedFrom(plan, { ...shiftInTime(shift), lateBy: 0.05 }).parts;
      said[`${plan.id} between`] = [0, 0.4, 2.5, 9].map((at) => drawnAt(drawing.coming, at));
    }
    const map = shiftMap(sound, setting);
    said[`${plan.id} gears`] = [1, 2, 3].map((gear) =>
      [0.1, 0.5, 1].map((throttle) => [
        map.map((line) => pointAt(line, throttle)),
        [300, 900, 1500, 2600].map((rpm) => gearByMap(map, gear, throttle, rpm)),
      ]),
    );
    said[`${plan.id} set`] = SHIFT_SCHOOLS.map((school) =>
      setAs(plan, school, { unit, gears, gear: 1, wishes: {} }).parts.filter(
        (p) => p.kind === 'feed' || p.kind === 'accumulator',
      ),
    );
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
