import { faultsOn, partsOf, type PlanFault } from '../../../hydraulics';
import { ballsOf, GAUGE_PA, gaugeReads, takesHold } from './balls';
import {
  AS_MADE,
  type OilGauge,
  type OilQuestion,
  type OilRig,
  type ShiftLimits,
  type WhichBallQuestion,
} from './kinds';
import { drawnTo, goodDrawing } from './drawn';
import {
  canShift,
  drivenUp,
  exchangeIn,
  gearsFor,
  linesFor,
  shiftedWith,
  type Upshift,
} from './runs';

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
    case 'draw-pressures': {
      const shifts = gearsFor(rig)
        .forward.slice(1)
        .map((_f, k) => k + 1);
      // One that hands over, if there is one: with a one-way clutch nothing has to be let go.
      const gear = shifts.find((k) => handsOverIn(rig, k)) ?? 1;
      const vehicle = rig.vehicle?.id ?? '';
      return { ...base, kind, vehicle, gear, throttle, ...drawnLimits(rig, { gear, throttle }) };
    }
    case 'bolt-order':
      return { ...base, kind, job: 'off', body: { spring: 180, travel: 0.012, thin: 'M6' } };
    case 'which-ball':
      return { ...base, kind, throttle, ...firstBall(rig, throttle) };
    case 'kick-down':
      return { ...base, kind, gear: 2, throttle, outputRpm, tolerance: FIVE_PERCENT };
  }
}

/** Every gauge that can be read: each element, in each gear of each lever place that a range has. */
export const gaugesOf = (rig: OilRig): OilGauge[] => {
  const { gearOf } = gearsFor(rig);
  const places = new Map<string, Omit<OilGauge, 'element'>>();
  for (const range of rig.unit.ranges) {
    const place = { lever: range.lever, gear: gearOf(range) };
    places.set(JSON.stringify(place), place);
  }
  const levers = partsOf(rig.plan, 'manual-valve').flatMap((v) => v.places.map((p) => p.lever));
  return [...places.values()]
    .filter((p) => levers.includes(p.lever))
    .flatMap((p) => partsOf(rig.plan, 'piston').map(({ element }) => ({ ...p, element })));
};

type Telling = Pick<WhichBallQuestion, 'ball' | 'gauges' | 'gear'>;

/** A ball, two gauges of which at least one tells, and a shift: as few other balls as can be show the same. */
export function tellingBall(
  rig: OilRig,
  throttle: number,
  balls: readonly string[],
  gauges: readonly OilGauge[],
): Telling | null {
  const shifts = gearsFor(rig)
    .forward.slice(1)
    .map((_f, k) => k + 1);
  for (const ball of balls) {
    const reads = (of: string | null, g: OilGauge) => gaugeReads(rig, of, throttle, g);
    const isLow = (g: OilGauge) => reads(null, g) - reads(ball, g) > GAUGE_PA;
    const first = gauges.find(isLow);
    // One that is as it should be says as much as one that is not.
    const second =
      gauges.find((g) => reads(null, g) > GAUGE_PA && !isLow(g)) ??
      gauges.find((g) => g !== first && isLow(g));
    const gear = shifts.find((k) => !takesHold(rig, ball, throttle, k)) ?? shifts[0];
    if (first && second && gear !== undefined) return { ball, gauges: [first, second], gear };
  }
  return null;
}

function firstBall(rig: OilRig, throttle: number): Telling {
  const [ball = ''] = ballsOf(rig);
  const nowhere = { lever: '', gear: 1, element: '' };
  return (
    tellingBall(rig, throttle, ballsOf(rig), gaugesOf(rig)) ?? {
      ball,
      gauges: [nowhere, nowhere],
      gear: 1,
    }
  );
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

const handsOverIn = (rig: OilRig, gear: number): boolean => {
  const { coming, going } = exchangeIn(rig, gear);
  return coming.length > 0 && going.length > 0;
};

/** What a drawing that goes well keeps, and room for another. */
export function drawnLimits(rig: OilRig, shift: Upshift): ShiftLimits {
  const drawn = canShift(rig, shift.gear) ? goodDrawing(rig, shift, null) : null;
  if (!drawn) return { jerk: 40, flare: 80, dip: 0.2, kelvin: 20 };
  const { jerk, dip, kelvin } = drawnTo(rig, shift, drawn);
  return {
    jerk: Math.ceil(jerk * 1.4),
    flare: 60,
    dip: Math.floor(20 * (dip - 0.1)) / 20,
    kelvin: Math.ceil(kelvin * 2),
  };
}

/** A slack cable where there is one, else the first thing that a valve can have. */
function firstFault({ plan }: OilRig): PlanFault {
  const [valve] = partsOf(plan, 'throttle-valve');
  if (valve?.by.kind === 'cable') return { part: valve.id, kind: 'cable-slack' };
  const part = plan.parts.find((p) => faultsOn(p).length > 0);
  return { part: part?.id ?? '', kind: part ? faultsOn(part)[0]! : 'pump-worn' };
}
