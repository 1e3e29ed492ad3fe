import { RPM_TO_RAD } from '../quantities';
import {
  HOT_FACING_C,
  type EngagementEvent,
  type EngagementEventKind,
  type EngagementSample,
  type EngagementSetup,
  type EngagementSummary,
} from './engagementSetup';
import type { Rig } from './engagementRig';

/** What is kept of an engagement while it runs: samples, the first time that each thing happens, jerk and judder. */
/** rad/s of slip below which a clutch is said to be locked. */
const LOCKED = 1;
const JERK_OVER = 0.02;
const MEAN_OVER = 0.16;
/** Notes samples, events and the summary of a run. */
export function logOf(setup: EngagementSetup, rig: Rig) {
  const { state, now, at, metres } = rig;
  const samples: EngagementSample[] = [];
  const events: EngagementEvent[] = [];
  const seen = new Set<EngagementEventKind>();
  const accelerations: number[] = [];
  const slipping: boolean[] = [];
  let [before, slipTime, peakC, rolled, travelled] = [
    state.speeds[at.road]! * metres,
    0,
    now.iron.skinC,
    0,
    0,
  ];
  let locked = false;
  const window = Math.max(1, Math.round(JERK_OVER / setup.step));
  const note = (kind: EngagementEventKind, time: number) => {
    if (seen.has(kind)) return;
    seen.add(kind);
    events.push({ kind, time });
  };
  return {
    samples,
    events,
    step(time: number): void {
      const speed = state.speeds[at.road]! * metres;
      accelerations.push((speed - before) / setup.step);
      before = speed;
      travelled += speed * setup.step;
      rolled = Math.max(rolled, -travelled);
      const slip = Math.abs(state.slips[0]!);
      const torque = Math.abs(state.torques[0]!);
      const rubs = slip > LOCKED && torque > LOCKED;
      slipping.push(rubs);
      if (rubs) slipTime += setup.step;
      peakC = Math.max(peakC, now.iron.skinC);
      if (now.holdsNm > BITES_NM) note('bites', time);
      if (speed > MOVING) note('moves', time);
      if (rolled > ROLLED) note('rolls-back', time);
      if (slip < LOCKED && now.holdsNm > BITES_NM) {
        note('locks', time);
        locked = true;
      }
      if (locked && slip > SLIPS_AGAIN && now.pedal < 0.02) note('slips-again', time);
      if (now.dead) note('stalls', time);
      if (now.iron.skinC > HOT_FACING_C) note('too-hot', time);
    },
    sample(time: number, heat: number): void {
      samples.push({
        time,
        pedal: now.pedal,
        throttle: now.throttle,
        engineRpm: state.speeds[at.engine]! / RPM_TO_RAD,
        discRpm: state.speeds[at.disc]! / RPM_TO_RAD,
        speed: state.speeds[at.road]! * metres,
        clutchNm: -state.torques[0]! + 0,
        holdsNm: now.holdsNm,
        acceleration: meanOf(accelerations, accelerations.length - window, accelerations.length),
        heatW: state.heats[0]! / setup.step,
        heat,
        facingC: now.iron.skinC,
      });
    },
    summary(heat: number): EngagementSummary {
      return {
        slipTime,
        heat,
        peakC,
        jerk: largestJerk(accelerations, window, setup.step),
        judder: judderOf(accelerations, slipping, setup.step),
        stalled: now.dead,
        rolledBack: rolled,
        slipping: slipping.at(-1) ?? false,
        speed: before,
        engineRpm: state.speeds[at.engine]! / RPM_TO_RAD,
      };
    },
  };
}

/** N·m of capacity from which a clutch bites, m/s that is moving, m that is rolling back, rad/s of slip that shows. */
const BITES_NM = 5;
const MOVING = 0.05;
const ROLLED = 0.02;
const SLIPS_AGAIN = 5;

function meanOf(list: readonly number[], from: number, to: number): number {
  const start = Math.max(0, from);
  if (to <= start) return 0;
  let sum = 0;
  for (let k = start; k < to; k++) sum += list[k]!;
  return sum / (to - start);
}

/** Sliding mean of a list over a window, by running sums. */
function smoothed(list: readonly number[], window: number): number[] {
  const sums = [0];
  for (const v of list) sums.push(sums.at(-1)! + v);
  const half = Math.floor(window / 2);
  return list.map((_v, k) => {
    const [from, to] = [Math.max(0, k - half), Math.min(list.length, k + half + 1)];
    return (sums[to]! - sums[from]!) / (to - from);
  });
}

function largestJerk(list: readonly number[], window: number, step: number): number {
  const smooth = smoothed(list, window);
  let most = 0;
  for (let k = window; k < smooth.length; k++)
    most = Math.max(most, Math.abs(smooth[k]! - smooth[k - window]!) / (window * step));
  return most;
}

/** Shaking about the sliding mean while the clutch slips: the mean height from trough to crest, and how often. */
function judderOf(
  list: readonly number[],
  slipping: readonly boolean[],
  step: number,
): EngagementSummary['judder'] {
  const none = { swing: 0, hertz: 0 };
  const fine = smoothed(list, Math.max(1, Math.round(0.01 / step)));
  const slow = smoothed(list, Math.max(1, Math.round(MEAN_OVER / step)));
  let [crest, trough, crossings, seconds] = [0, 0, 0, 0];
  const swings: number[] = [];
  let sign = 0;
  for (let k = 0; k < list.length; k++) {
    if (!slipping[k]) continue;
    seconds += step;
    const off = fine[k]! - slow[k]!;
    crest = Math.max(crest, off);
    trough = Math.min(trough, off);
    const next = off > 0 ? 1 : -1;
    if (sign !== 0 && next !== sign && ++crossings % 2 === 0) {
      swings.push(crest - trough);
      [crest, trough] = [0, 0];
    }
    sign = next;
  }
  if (swings.length < FEWEST_SWINGS) return none;
  swings.sort((a, b) => b - a);
  const strong = swings.slice(0, Math.max(FEWEST_SWINGS, Math.floor(swings.length / 2)));
  const swing = strong.reduce((a, b) => a + b, 0) / strong.length;
  return swing < LEAST_SWING ? none : { swing, hertz: crossings / 2 / seconds };
}
const FEWEST_SWINGS = 4;
/** m/s² below which nothing shakes. */
const LEAST_SWING = 0.05;
