import { faultsOn, partsOf, type PlanFault } from '../../../hydraulics';
import { AS_MADE, type OilQuestion, type OilRig } from './kinds';
import { drivenUp, gearsFor, linesFor, shiftedWith } from './runs';

const FIVE_PERCENT = { kind: 'percent', value: 5 } as const;

/** What a new question about oil starts as. */
export function newOilQuestion(kind: OilQuestion['kind'], rig: OilRig): OilQuestion {
  const base = { prompt: '', unit: rig.unit.id, hydraulics: rig.plan.id };
  const lever = gearsFor(rig).mainLever ?? '';
  const throttle = 0.4;
  const [first, second] = linesFor(rig, null, [throttle]).map((l) => l.points[0]!.up ?? 1000);
  // Between the first two shifts: second gear.
  const outputRpm = Math.round(((first ?? 800) + (second ?? 2 * (first ?? 800))) / 100) * 50;
  const driven = { ...base, lever, throttle, outputRpm };
  switch (kind) {
    case 'trace-oil': {
      const { applied } = drivenUp(rig, driven).state;
      return { ...driven, kind, element: applied.at(-1) ?? '' };
    }
    case 'spool-places':
      return { ...driven, kind };
    case 'shift-speed':
      return { ...base, kind, gear: 1, throttle, fault: null, tolerance: FIVE_PERCENT };
    case 'oil-fault-row':
      return { ...base, kind, throttle, fault: firstFault(rig) };
    case 'set-shift': {
      const gear = Math.max(1, Math.min(2, gearsFor(rig).forward.length - 1));
      const found = { ...AS_MADE, slack: 0.4 };
      const vehicle = rig.vehicle?.id ?? '';
      return { ...base, kind, vehicle, gear, throttle, found, ...limitsFor(rig, gear, throttle) };
    }
    case 'kick-down':
      return { ...base, kind, gear: 2, throttle, outputRpm, tolerance: FIVE_PERCENT };
  }
}

/** A little worse than the plan as it was made: what a good setting keeps. */
function limitsFor(rig: OilRig, gear: number, throttle: number) {
  if (!rig.vehicle) return { jerk: 40, flare: 80, dip: 0.2, kelvin: 20 };
  const { jerk, flare, dip, kelvin } = shiftedWith(rig, { gear, throttle }, AS_MADE);
  return {
    jerk: Math.ceil(jerk * 1.25),
    flare: 10 * Math.ceil((flare + 20) / 10),
    dip: Math.floor(20 * (dip - 0.05)) / 20,
    kelvin: Math.ceil(kelvin * 1.15),
  };
}

/** A slack cable where there is one, else the first thing that a valve can have. */
function firstFault({ plan }: OilRig): PlanFault {
  const [valve] = partsOf(plan, 'throttle-valve');
  if (valve?.by.kind === 'cable') return { part: valve.id, kind: 'cable-slack' };
  const part = plan.parts.find((p) => faultsOn(p).length > 0);
  return { part: part?.id ?? '', kind: part ? faultsOn(part)[0]! : 'pump-worn' };
}
