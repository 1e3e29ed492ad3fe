import { RPM_TO_RAD } from '../quantities';
import {
  atPedal,
  dragTorque,
  holdingTorque,
  releaseCurve,
  springyTravel,
  type Clutch,
  type ClutchState,
} from '../clutch';
import { engage } from './engagement';
import type { EngagementResult, EngagementSetup } from './engagementSetup';
import { steady } from './trace';

/** The tests of the trade, done on the model: every reading is computed. */

/** Brakes on, in a gear, a little throttle, pedal up quickly. */
export interface SlipTest {
  /** `stalls`: it holds. `runs-on`: it slips. */
  readonly verdict: 'stalls' | 'runs-on';
  readonly run: EngagementResult;
}

/**
 * What the brakes must hold at the wheels in a slip test, N·m: at most all that the clutch can pass, through the gear.
 *
 * @param turnsForWheel turns of the engine for one of the wheels
 */
export const brakesMustHold = (clutch: Clutch, state: ClutchState, turnsForWheel: number): number =>
  holdingTorque(clutch, state) * turnsForWheel;

const TEST_SECONDS = 2.5;
const TEST_THROTTLE = 0.25;

export function slipTest(setup: Omit<EngagementSetup, 'pedal' | 'throttle' | 'brake'>): SlipTest {
  const run = engage({
    ...setup,
    seconds: TEST_SECONDS,
    brake: steady(1),
    throttle: steady(TEST_THROTTLE),
    pedal: [
      { time: 0.4, value: 1 },
      { time: 0.7, value: 0 },
    ],
  });
  return { verdict: run.summary.stalled ? 'stalls' : 'runs-on', run };
}

/**
 * On the road in the highest gear: full throttle from half speed. Engine speed climbs away from the road: it slips.
 */
export function roadSlipTest(
  setup: Omit<EngagementSetup, 'pedal' | 'throttle' | 'brake' | 'start'>,
  turnsForWheel: number,
): { readonly verdict: 'holds' | 'slips'; readonly run: EngagementResult } {
  const { engine, vehicle } = setup;
  const omega =
    ((ROAD_SHARE * engine.governedRpm * RPM_TO_RAD) / turnsForWheel) * vehicle.tyreRadiusM;
  const run = engage({
    ...setup,
    seconds: TEST_SECONDS,
    brake: steady(0),
    pedal: steady(0),
    throttle: [
      { time: 0.3, value: 0.2 },
      { time: 0.5, value: 1 },
    ],
    start: { speed: omega },
  });
  return { verdict: run.summary.slipTime > SHOWN_SLIP ? 'slips' : 'holds', run };
}

const ROAD_SHARE = 0.45;
/** s of slip that a rev counter shows. */
const SHOWN_SLIP = 0.5;

/** Engine running, pedal down: does a gear go in? Then the same with the engine off, the pedal's feel, the gap. */
export interface DragTest {
  /** N·m that turn the gearbox on with the pedal down. */
  readonly drag: number;
  readonly running: 'quiet' | 'grinds';
  /** With the engine off nothing turns: always easy, unless the gearbox itself is at fault. */
  readonly off: 'quiet';
  /** Pad travel that goes into air, leaks and give, m. */
  readonly springy: number;
  readonly spongy: boolean;
  /** Least gap by the feeler gauge, m; zero or less: it touches. */
  readonly gap: number;
  readonly says: 'releases' | 'air-or-leak' | 'too-little-lift' | 'touches' | 'drags-though-clear';
}

/** N·m of drag from which a gear grinds going in (memory). */
const GRINDS_FROM = 4;
/** Pad travel from which a foot calls a pedal spongy, m. */
const SPONGY_FROM = 0.015;

export function dragTest(clutch: Clutch, state: ClutchState): DragTest {
  const curve = releaseCurve(clutch, state);
  const down = atPedal(curve, curve.floor);
  const drag = dragTorque(clutch, state, down.clamp);
  const springy = springyTravel(clutch, state);
  const spongy = springy > SPONGY_FROM;
  const grinds = drag > GRINDS_FROM;
  const touches = down.leastGap <= 0;
  return {
    drag,
    running: grinds ? 'grinds' : 'quiet',
    off: 'quiet',
    springy,
    spongy,
    gap: down.leastGap,
    says: !grinds
      ? 'releases'
      : spongy
        ? 'air-or-leak'
        : down.gap <= 0
          ? 'too-little-lift'
          : touches
            ? 'touches'
            : 'drags-though-clear',
  };
}
