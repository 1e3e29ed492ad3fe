import { RPM_TO_RAD } from '../quantities';
import {
  bearingRuns,
  NOISE_TESTS,
  readLinkage,
  springyTravel,
  torqueAt,
  type Clutch,
} from '../clutch';
import { engineModel } from '../converter';
import {
  dragTest,
  engage,
  engagementVerdicts,
  feetTrace,
  goesIn,
  mainClutchOf,
  mostTorque,
  SLEEVE_AS_BUILT,
  steady,
  type EngagementSetup,
} from '../shift';
import type { Answer } from './answer';
import type { Bench } from './bench';
import type { Driving } from './driving';
import type { Machine } from './machine';

/** What the checks of a dry clutch, and of the sleeves behind it, read. Everything is computed. */
export interface ClutchBench extends Bench {
  readonly clutch: Clutch;
}

/** s; with a quarter of it every verdict is the same. */
const RUN_STEP = 4e-3;

/** What an engagement of this machine is run from, in its lowest gear or its highest. */
function setupOf(
  { rig, driving, clutch, starts }: ClutchBench,
  machine: Machine,
  gear: 'low' | 'high',
) {
  if (!rig.engine || !rig.vehicle || !driving)
    throw new Error('clutchAnswers: expected a unit, an engine and a vehicle');
  const cells = driving
    .cells(machine)
    .filter((c) => c.ratio !== null && c.ratio > 0 && c.drive !== 'binds' && c.drive !== 'moves')
    .sort((a, b) => b.ratio! - a.ratio!);
  const { first } = starts;
  const cell = gear === 'low' ? cells.find((c) => c.range === first) : cells.at(-1);
  const range = cell && driving.unit.ranges.find((r) => r.id === cell.range);
  if (!range || cell.ratio === null) return null;
  const main = mainClutchOf(driving.unit)?.id;
  const setup: Omit<EngagementSetup, 'pedal' | 'throttle' | 'brake'> = {
    engine: engineModel(rig.engine),
    clutch,
    state: machine.clutch,
    unit: driving.unit,
    apply: range.apply.filter((id) => id !== main),
    vehicle: rig.vehicle,
    grade: 0,
    seconds: 3,
    step: RUN_STEP,
  };
  return { setup, driving, turns: cell.ratio * rig.vehicle.finalDrive };
}

/** N·m that slide by while the clutch slips: pedal up, warm. */
const slidingTorque = (clutch: Clutch, driving: Driving, machine: Machine): number =>
  torqueAt(clutch, machine.clutch, driving.loads.clampNow(clutch, machine), SLIDES_AT, WARM_C);
/** rad/s and °C while it is tried. */
const SLIDES_AT = 60;
const WARM_C = 80;

/**
 * Brakes on, first gear, pedal up quickly: the engine stalls when what slides by brings it down against its own idle
 * control within the test. The static twin of `shift/shopTests.ts`, which runs it through time.
 */
export function slipTestReading(bench: ClutchBench, machine: Machine): Answer {
  const rig = setupOf(bench, machine, 'low');
  if (!rig) return { word: 'no-gear' };
  const { engine, clutch } = rig.setup;
  const labouring = engine.torque(LABOURS_AT * engine.idleRpm, TEST_THROTTLE);
  const falls = (engine.inertia * (1 - LABOURS_AT) * engine.idleRpm * RPM_TO_RAD) / TEST_SECONDS;
  const gives = Math.max(labouring, mostTorque(engine, TEST_THROTTLE)) + falls;
  return { word: slidingTorque(clutch, rig.driving, machine) > gives ? 'stalls' : 'runs-on' };
}
const TEST_THROTTLE = 0.25;
const TEST_SECONDS = 1.5;
/** Share of idle at which an engine gives its last. */
const LABOURS_AT = 0.6;

/** Full throttle in the highest gear: what it is asked to carry there against what it holds. */
export function roadSlipReading(bench: ClutchBench, machine: Machine): Answer {
  const rig = setupOf(bench, machine, 'high');
  if (!rig) return { word: 'no-gear' };
  const slips = rig.driving.loads.drySlipsFrom(bench.clutch, machine, rig.turns);
  return { word: slips === null ? 'holds' : 'slips' };
}

/** An unhurried start: shares of the pedal and of the throttle at the times of `FEET_AT`. */
const START_PEDAL = [1, 0.75, 0.62, 0.54, 0.46, 0.38, 0.3, 0.15, 0];
const START_THROTTLE = [0.1, 0.25, 0.35, 0.4, 0.4, 0.4, 0.4, 0.4, 0.4];
const JUDGED = ['stalls', 'never-bites', 'slips-on', 'judders', 'jolts'] as const;

/** How a gentle start feels, the worst first. */
export function startReading(bench: ClutchBench, machine: Machine): Answer {
  const rig = setupOf(bench, machine, 'low');
  if (!rig) return { word: 'no-gear' };
  const { apply, state } = rig.setup;
  const key = JSON.stringify([apply, { ...state, roughBearings: [] }]);
  const run = bench.keep(`start ${key}`, () =>
    engage({
      ...rig.setup,
      pedal: feetTrace(START_PEDAL),
      throttle: feetTrace(START_THROTTLE),
      brake: steady(0),
      seconds: 4,
    }),
  );
  const verdicts = engagementVerdicts(run.summary);
  return { word: JUDGED.find((v) => verdicts.includes(v)) ?? 'clean' };
}

/** A gear put in with the engine running and the pedal down: grinds when the clutch does not let go. */
export const dragReading = ({ clutch }: ClutchBench, machine: Machine): Answer => ({
  word: dragTest(clutch, machine.clutch).running,
});

/** Pad travel that goes into air, leaks and give from which a foot calls a pedal spongy, m, and N that are heavy. */
const SPONGY = 0.015;
const HEAVY_TIMES = 1.25;

export function pedalReading({ clutch }: ClutchBench, machine: Machine): Answer {
  if (springyTravel(clutch, machine.clutch) > SPONGY) return { word: 'spongy' };
  const sound = readLinkage(clutch, { ...machine.clutch, ...FRESH }).force;
  const now = readLinkage(clutch, machine.clutch).force;
  return { word: now > HEAVY_TIMES * sound ? 'heavy' : 'firm' };
}
const FRESH = { wear: 0, bent: 0, uneven: 0, forkRod: 0 };

/** m at the pad. */
export const playReading = ({ clutch }: ClutchBench, machine: Machine): Answer => ({
  word: 'reads',
  figure: readLinkage(clutch, machine.clutch).pedalPlay,
});

/** m between disc and plate where it is least, pedal on the floor; what touches reads nought. */
export const gapReading = ({ clutch }: ClutchBench, machine: Machine): Answer => ({
  word: 'reads',
  figure: Math.max(0, readLinkage(clutch, machine.clutch).gap),
});

const LISTENING_RPM = 900;

export function noiseReading({ clutch }: ClutchBench, machine: Machine, test: string): Answer {
  const found = NOISE_TESTS.find((t) => t.id === test);
  if (!found) throw new Error(`clutchAnswers: expected a noise test, got "${test}"`);
  const runs = bearingRuns(clutch, machine.clutch, found, LISTENING_RPM);
  return { word: runs.some((r) => r.heard) ? 'noise' : 'quiet' };
}

/** What is seen with the clutch out: the worst thing first. */
export function discReading({ clutch }: ClutchBench, { clutch: state }: Machine): Answer {
  const { newThickness, wornThickness } = clutch.disc;
  if (state.oil > 0.1) return { word: 'oily' };
  if (state.wear > 0.8 * (newThickness - wornThickness)) return { word: 'worn-out' };
  if (state.runOut > clutch.limits.releasedGap) return { word: 'warped' };
  if (state.bent > 0) return { word: 'fingers-bent' };
  if (state.uneven > clutch.limits.fingerHeight) return { word: 'fingers-uneven' };
  if (state.cushion < 0.5) return { word: 'cushion-gone' };
  if (state.damper < 0.5) return { word: 'damper-loose' };
  if (state.splineDrag > 10) return { word: 'splines-burred' };
  if (state.pilotDrag > 5) return { word: 'pilot-tight' };
  if (state.roughBearings.length > 0) return { word: `rough-${state.roughBearings[0]!}` };
  return { word: 'good' };
}

/** A gear put in after a double de-clutch, or with everything standing. */
export function gearInReading(
  driving: Driving,
  machine: Machine,
  rangeId: string,
  how: 'moving' | 'matched' | 'standing',
): Answer {
  const range = driving.unit.ranges.find((r) => r.id === rangeId)!;
  const sleeves = range.apply.filter(
    (id) =>
      driving.sound.factorOf(rangeId, id) > 0 &&
      driving.unit.elements.some((e) => e.id === id && e.kind === 'dog'),
  );
  if (sleeves.some((id) => machine.never.includes(id))) return { word: 'does-not-move' };
  if (how === 'standing') return { word: 'goes-in' };
  if (how === 'moving') return { word: driving.cell(machine, rangeId).goesIn };
  const words = sleeves.map((id) => goesIn(machine.sleeves.get(id) ?? SLEEVE_AS_BUILT, true));
  return { word: words.find((w) => w !== 'clean') ?? 'clean' };
}
