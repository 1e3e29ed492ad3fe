import { flipsAt, partsOf, type PlanFault } from '../../../hydraulics';
import { sameNumber } from '../../../numerics';
import type { OilQuestion, OilRig, ShiftSetting } from './kinds';
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
    }
  | { claim: 'pair-never'; gear: number; throttle: number; with: PlanFault | null }
  /** With the foot on the floor at this speed a gear comes, or the one that was in stays. */
  | { claim: 'floored'; from: number; to: number; rpm: number; way: 'changes' | 'stays' }
  /** What a setting of a shift comes to: as the student set it, as it was found, as it can be. */
  | ({
      claim: 'shift-comes-to';
      gear: number;
      setting: ShiftSetting;
      way: 'set' | 'found' | 'could';
    } & ShiftedAs)
  | { claim: 'engine-in-gear'; gear: number; ratio: number; rpm: number; engine: number };

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
      return rpm !== null && rpm !== undefined && sameNumber(rpm, claim.rpm);
    }
    case 'pair-never':
      return linesFor(rig, claim.with, [claim.throttle]).some(
        (l) => l.from === claim.gear && l.points[0]!.up === null,
      );
    case 'floored': {
      const { mainLever } = gearsFor(rig);
      const at = { lever: mainLever ?? '', throttle: 1, outputRpm: claim.rpm };
      const { gear } = standingFrom(rig, at, claim.from);
      return gear === claim.to && (claim.from === claim.to) === (claim.way === 'stays');
    }
    case 'shift-comes-to': {
      if (question.kind !== 'set-shift' || !rig.vehicle || question.gear !== claim.gear)
        return false;
      const comes = shiftedWith(rig, question, claim.setting);
      return (['jerk', 'flare', 'dip', 'kelvin'] as const).every((k) =>
        sameNumber(comes[k], claim[k]),
      );
    }
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
