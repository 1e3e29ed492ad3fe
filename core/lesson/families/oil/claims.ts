import { flipsAt, partsOf, withPart, type PlanFault } from '../../../hydraulics';
import { sameNumber } from '../../../numerics';
import { gaugeReads, takesHold } from './balls';
import { bodyFor, boltsAs, springsPush, strainedAt, type BoltsAs } from './bolts';
import { drawnTo, handOverIn, heldFor, tiesUp, type Carried, type DrawnAs } from './drawn';
import type { DrawnPressures, OilGauge, OilQuestion, OilRig, ShiftSetting } from './kinds';
import {
  drivenUp,
  gearsFor,
  linesFor,
  pathTo,
  shiftedWith,
  standingFrom,
  type ShiftedAs,
} from './runs';

/** Facts about a plan as it is driven. */
export type OilClaim =
  /** The oil of an element comes through this part now, or does not. */
  | { claim: 'oil-comes'; part: string; element: string; way: 'through' | 'past' }
  /** Governor pressure against what a valve's other forces ask for, Pa, and where it stands by it. */
  | { claim: 'spool-weighed'; valve: string; governor: number; wants: number; way: 'up' | 'down' }
  /** rev/min of the output at which a pair changes. */
  | {
      claim: 'pair-changes';
      gear: number;
      throttle: number;
      rpm: number;
      way: 'up' | 'down';
      with: PlanFault | null;
      /** Whether the valve's difference area helps to hold it once it is up. */
      latched: boolean;
    }
  /** Pa at a gauge with a ball out. */
  | { claim: 'gauge-reads'; gauge: OilGauge; ball: string; pressure: number }
  /** Whether the next gear takes hold with a ball out. */
  | { claim: 'ball-holds'; ball: string; gear: number; way: 'holds' | 'lets-go' }
  | { claim: 'pair-never'; gear: number; throttle: number; with: PlanFault | null }
  /** With the foot on the floor at this speed a gear comes, or the one that was in stays. */
  | { claim: 'floored'; from: number; to: number; rpm: number; way: FlooredWay }
  /** What a setting of a shift comes to: as the student set it, as it was found, as it can be. */
  | ({
      claim: 'shift-comes-to';
      gear: number;
      setting: ShiftSetting;
      way: 'set' | 'found' | 'could';
    } & ShiftedAs)
  /** What a drawing of the pressures comes to: the student's, or one that would do. */
  | ({
      claim: 'drawn-comes-to';
      gear: number;
      drawn: DrawnPressures;
      way: 'drawn' | 'could';
    } & DrawnAs)
  /** Pa from which what comes holds all that it will carry, or down to which what goes holds all that it carries, N·m. */
  | ({ claim: 'holds-from'; way: 'coming' | 'going' } & Carried)
  /** s of a drawing in which both hold all that they carry, or neither does. */
  | { claim: 'held-by'; drawn: DrawnPressures; seconds: number; way: HeldWay }
  /** What an order of bolts comes to: the student's, the same in turns, or one that would do. */
  | ({
      claim: 'bolts-come-to';
      order: string[];
      inTurns: boolean;
      way: 'turned' | 'in-turns' | 'could';
    } & BoltsAs)
  /** N that a bolt pulled, with how many that held, when its stress over the one that bends it was this. */
  | {
      claim: 'bolt-bends';
      order: string[];
      inTurns: boolean;
      bolt: string;
      strain: number;
      tension: number;
      holding: number;
    }
  /** N of the springs under a body. */
  | { claim: 'springs-push'; count: number; force: number }
  | { claim: 'engine-in-gear'; gear: number; ratio: number; rpm: number; engine: number };

/** Both, and then the unit is tied up; both, and it is not; neither. */
export type HeldWay = 'both-tied' | 'both' | 'neither';

/** What brings a lower gear under the floored pedal, or what keeps the one that is in. */
export type FlooredWay =
  | 'kick-down-pressure'
  | 'throttle-pressure'
  | 'control-asks'
  | 'control-keeps'
  | 'first-already'
  | 'valve-stays-up';

const flooredGear = (rig: OilRig, from: number, outputRpm: number): number =>
  standingFrom(rig, { lever: gearsFor(rig).mainLever ?? '', throttle: 1, outputRpm }, from).gear;

/** What decides which gear a floored pedal has from a gear on, at this speed of the output. */
export function flooredWay(rig: OilRig, from: number, rpm: number): FlooredWay {
  const to = flooredGear(rig, from, rpm);
  const controlled = partsOf(rig.plan, 'control').length > 0;
  if (from === 1) return 'first-already';
  if (to >= from) return controlled ? 'control-keeps' : 'valve-stays-up';
  if (controlled) return 'control-asks';
  // The same valves with nothing for kick-down pressure to press on.
  const deaf = partsOf(rig.plan, 'shift-valve').reduce(
    (plan, v) => (v.kick ? withPart(plan, { ...v, kick: { ...v.kick, area: 0 } }) : plan),
    rig.plan,
  );
  const without = flooredGear({ ...rig, plan: deaf }, from, rpm);
  return without === to ? 'throttle-pressure' : 'kick-down-pressure';
}

/** Whether what a valve passes on holds it up: it comes down at a lower speed for that. */
export const latches = ({ plan }: OilRig, gear: number): boolean =>
  partsOf(plan, 'shift-valve').some((v) => v.gear === gear && v.difference.area > 0);

/** What a valve of a driven plan weighs: the pressure that moves it and the one that it asks for. */
export function weighed(
  rig: OilRig,
  question: Extract<OilQuestion, { kind: 'spool-places' }>,
  id: string,
): Extract<OilClaim, { claim: 'spool-weighed' }> | null {
  const valve = partsOf(rig.plan, 'shift-valve').find((v) => v.id === id);
  if (!valve) return null;
  const { state } = drivenUp(rig, question);
  const pressure = (line: string) => state.pressures.get(line) ?? 0;
  const up = (state.spools.get(id) ?? 0) > 0.5;
  const wants = flipsAt(
    valve,
    {
      throttle: pressure(valve.throttle.line),
      kick: valve.kick ? pressure(valve.kick.line) : 0,
      passed: pressure(valve.difference.line),
    },
    up ? 1 : 0,
  );
  const governor = pressure(valve.governor.line);
  return { claim: 'spool-weighed', valve: id, governor, wants, way: up ? 'up' : 'down' };
}

/** Asks the plan whether a claim is so. */
export function oilClaimHolds(claim: OilClaim, question: OilQuestion, rig: OilRig): boolean {
  switch (claim.claim) {
    case 'oil-comes': {
      if (question.kind !== 'trace-oil') return false;
      const path = pathTo(rig, drivenUp(rig, question).state, claim.element);
      return path !== null && path.includes(claim.part) === (claim.way === 'through');
    }
    case 'spool-weighed': {
      const now = question.kind === 'spool-places' ? weighed(rig, question, claim.valve) : null;
      return (
        now !== null &&
        now.way === claim.way &&
        sameNumber(now.governor, claim.governor) &&
        sameNumber(now.wants, claim.wants) &&
        (now.governor > now.wants === (now.way === 'up') || now.governor === now.wants)
      );
    }
    case 'pair-changes': {
      const rpm = linesFor(rig, claim.with, [claim.throttle]).find((l) => l.from === claim.gear)
        ?.points[0]?.[claim.way];
      return (
        rpm !== null &&
        rpm !== undefined &&
        sameNumber(rpm, claim.rpm) &&
        latches(rig, claim.gear) === claim.latched
      );
    }
    case 'pair-never':
      return linesFor(rig, claim.with, [claim.throttle]).some(
        (l) => l.from === claim.gear && l.points[0]!.up === null,
      );
    case 'gauge-reads':
      return (
        question.kind === 'which-ball' &&
        sameNumber(gaugeReads(rig, claim.ball, question.throttle, claim.gauge), claim.pressure)
      );
    case 'ball-holds':
      return (
        question.kind === 'which-ball' &&
        takesHold(rig, claim.ball, question.throttle, claim.gear) === (claim.way === 'holds')
      );
    case 'floored':
      return (
        flooredGear(rig, claim.from, claim.rpm) === claim.to &&
        flooredWay(rig, claim.from, claim.rpm) === claim.way
      );
    case 'shift-comes-to': {
      if (question.kind !== 'set-shift' || !rig.vehicle || question.gear !== claim.gear)
        return false;
      const comes = shiftedWith(rig, question, claim.setting);
      return (['jerk', 'flare', 'dip', 'kelvin'] as const).every((k) =>
        sameNumber(comes[k], claim[k]),
      );
    }
    case 'drawn-comes-to': {
      if (question.kind !== 'draw-pressures' || question.gear !== claim.gear) return false;
      const comes = drawnTo(rig, question, claim.drawn);
      return (
        comes.taken === claim.taken &&
        (['jerk', 'flare', 'dip', 'kelvin'] as const).every((k) => sameNumber(comes[k], claim[k]))
      );
    }
    case 'holds-from': {
      if (question.kind !== 'draw-pressures') return false;
      const now = handOverIn(rig, question)[claim.way];
      return (
        now?.element === claim.element &&
        sameNumber(now.pressure, claim.pressure) &&
        sameNumber(now.torque, claim.torque)
      );
    }
    case 'held-by':
      return (
        question.kind === 'draw-pressures' &&
        claim.seconds > 0 &&
        (claim.way === 'neither' || tiesUp(rig, question) === (claim.way === 'both-tied')) &&
        sameNumber(
          heldFor(rig, question, claim.drawn)[claim.way === 'neither' ? 'neither' : 'both'],
          claim.seconds,
        )
      );
    case 'bolts-come-to': {
      if (question.kind !== 'bolt-order') return false;
      const comes = boltsAs(rig, question, claim);
      return (
        comes.bolt === claim.bolt &&
        (['strain', 'lean', 'off'] as const).every((k) => sameNumber(comes[k], claim[k]))
      );
    }
    case 'bolt-bends': {
      if (question.kind !== 'bolt-order') return false;
      const at = strainedAt(rig, question, claim);
      return (
        claim.strain >= 1 &&
        sameNumber(at.strain, claim.strain) &&
        at.bolt === claim.bolt &&
        at.holding === claim.holding &&
        sameNumber(at.tension, claim.tension)
      );
    }
    case 'springs-push':
      return (
        question.kind === 'bolt-order' &&
        bodyFor(rig, question).pushes.length === claim.count &&
        sameNumber(springsPush(rig, question), claim.force)
      );
    case 'engine-in-gear': {
      const ratio = gearsFor(rig).forward[claim.gear - 1]?.ratio;
      return (
        ratio !== undefined &&
        sameNumber(ratio, claim.ratio) &&
        sameNumber(claim.engine, claim.rpm * ratio)
      );
    }
  }
}
