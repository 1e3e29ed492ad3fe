import { unitFindings } from '../../../geartrain';
import {
  partsOf,
  planFaultProblem,
  planFindings,
  type PlanFault,
  type ShiftMoment,
} from '../../../hydraulics';
import { found, refused, type KeyResult } from '../../family';
import { ballsOf, fitsEvidence } from './balls';
import {
  alongTheRow,
  orderKeeps,
  shopOrder,
  springsPush,
  strongFirst,
  type BoltOrder,
} from './bolts';
import { goodDrawing } from './drawn';
import type { DrawnPressures, OilGauge, OilQuestion, OilRig, ShiftSetting } from './kinds';
import {
  canShift,
  drivenUp,
  standUp,
  exchangeIn,
  gearsFor,
  keepsWithin,
  linesFor,
  momentsWith,
  pathTo,
  shiftedWith,
  standingFrom,
  type ShiftedAs,
} from './runs';

/** Answers to questions about oil, computed from the plan. */
export type OilKey =
  | { readonly kind: 'trace-oil'; readonly parts: readonly string[] }
  | { readonly kind: 'spool-places'; readonly up: readonly string[] }
  | { readonly kind: 'shift-speed'; readonly up: number; readonly down: number }
  | { readonly kind: 'oil-fault-row'; readonly row: readonly ShiftMoment[] }
  | { readonly kind: 'which-ball'; readonly balls: readonly string[] }
  | { readonly kind: 'kick-down'; readonly gear: number; readonly engineRpm: number }
  | { readonly kind: 'set-shift'; readonly setting: ShiftSetting; readonly comes: ShiftedAs }
  | ({ readonly kind: 'draw-pressures' } & DrawnPressures)
  | ({ readonly kind: 'bolt-order' } & BoltOrder);

export type OilKeyFault =
  | 'plan-missing'
  | 'unit-broken'
  | 'plan-broken'
  | 'plan-of-another'
  | 'lever-missing'
  | 'not-applied'
  | 'no-shift-valves'
  | 'no-such-shift'
  | 'never-shifts'
  | 'fault-not-here'
  | 'changes-nothing'
  | 'no-such-ball'
  | 'no-such-gauge'
  | 'tells-nothing'
  | 'vehicle-missing'
  | 'not-reachable'
  | 'right-as-found'
  | 'nothing-comes'
  | 'nothing-pushes'
  | 'any-order-does'
  | 'no-order-does'
  | 'gear-does-not-hold'
  | 'does-not-settle';

type Result = KeyResult<OilKey, OilKeyFault>;

export function oilKey(question: OilQuestion, rig: OilRig): Result {
  if (unitFindings(rig.unit).some((f) => f.weight === 'wrong')) return refused('unit-broken');
  if (rig.plan.unit !== rig.unit.id) return refused('plan-of-another');
  if (planFindings(rig.plan).some((f) => f.weight === 'error')) return refused('plan-broken');
  switch (question.kind) {
    case 'trace-oil': {
      if (!knows(rig, question.lever)) return refused('lever-missing');
      const { state } = drivenUp(rig, question);
      if (!state.settled) return refused('does-not-settle');
      const parts = pathTo(rig, state, question.element);
      return parts ? found({ kind: 'trace-oil', parts }) : refused('not-applied');
    }
    case 'spool-places': {
      if (!knows(rig, question.lever)) return refused('lever-missing');
      if (partsOf(rig.plan, 'shift-valve').length === 0) return refused('no-shift-valves');
      const { state } = drivenUp(rig, question);
      if (!state.settled) return refused('does-not-settle');
      const up = standUp(rig, state);
      return found({ kind: 'spool-places', up });
    }
    case 'shift-speed':
      return speedKey(question, rig);
    case 'oil-fault-row': {
      if (!has(rig, question.fault)) return refused('fault-not-here');
      const row = momentsWith(rig, question.fault, question.throttle);
      if (row.length === 0) return refused('no-such-shift');
      return row.every((m) => m === 'same')
        ? refused('changes-nothing')
        : found({ kind: 'oil-fault-row', row });
    }
    case 'which-ball':
      return ballKey(question, rig);
    case 'set-shift':
      return setKey(question, rig);
    case 'draw-pressures': {
      if (!rig.vehicle) return refused('vehicle-missing');
      if (!canShift(rig, question.gear)) return refused('no-such-shift');
      if (exchangeIn(rig, question.gear).coming.length === 0) return refused('nothing-comes');
      const { jerk, flare, dip, kelvin } = question;
      const drawn = goodDrawing(rig, question, { jerk, flare, dip, kelvin });
      return drawn ? found({ kind: 'draw-pressures', ...drawn }) : refused('not-reachable');
    }
    case 'bolt-order': {
      if (springsPush(rig, question) === 0) return refused('nothing-pushes');
      const good = shopOrder(rig, question);
      if (!orderKeeps(rig, question, good)) return refused('no-order-does');
      const bad = [alongTheRow(rig, question), { ...strongFirst(rig, question), inTurns: false }];
      return bad.every((order) => orderKeeps(rig, question, order))
        ? refused('any-order-does')
        : found({ kind: 'bolt-order', ...good });
    }
    case 'kick-down': {
      const { forward, mainLever } = gearsFor(rig);
      if (mainLever === null || !forward[question.gear - 1]) return refused('no-such-shift');
      const at = { lever: mainLever, throttle: question.throttle, outputRpm: question.outputRpm };
      if (standingFrom(rig, at, question.gear).gear !== question.gear)
        return refused('gear-does-not-hold');
      const { gear } = standingFrom(rig, { ...at, throttle: 1 }, question.gear);
      const ratio = forward[gear - 1]!.ratio;
      return found({ kind: 'kick-down', gear, engineRpm: question.outputRpm * ratio });
    }
  }
}

/** Settings that are tried for one that keeps within what is asked. */
const TRIED: readonly ShiftSetting[] = [1, 1.2, 0.85, 1.5].flatMap((spring) =>
  [1, 1.3, 0.7].flatMap((out) => [1, 1.3, 0.8].map((feed) => ({ slack: 0, feed, spring, out }))),
);

function setKey(question: Extract<OilQuestion, { kind: 'set-shift' }>, rig: OilRig): Result {
  if (!rig.vehicle) return refused('vehicle-missing');
  if (!canShift(rig, question.gear)) return refused('no-such-shift');
  if (keepsWithin(question, shiftedWith(rig, question, question.found)))
    return refused('right-as-found');
  for (const setting of TRIED) {
    const comes = shiftedWith(rig, question, setting);
    if (keepsWithin(question, comes)) return found({ kind: 'set-shift', setting, comes });
  }
  return refused('not-reachable');
}

/** Every ball whose absence would show just so. */
function ballKey(question: Extract<OilQuestion, { kind: 'which-ball' }>, rig: OilRig): Result {
  const all = ballsOf(rig);
  const { forward } = gearsFor(rig);
  if (!all.includes(question.ball)) return refused('no-such-ball');
  if (!forward[question.gear - 1] || !forward[question.gear]) return refused('no-such-shift');
  const elements = partsOf(rig.plan, 'piston').map((p) => p.element);
  const isThere = ({ lever, gear, element }: OilGauge) =>
    knows(rig, lever) && gear <= forward.length && elements.includes(element);
  if (!question.gauges.every(isThere)) return refused('no-such-gauge');
  if (fitsEvidence(rig, question, null).all) return refused('changes-nothing');
  const balls = all.filter((ball) => fitsEvidence(rig, question, ball).all);
  return balls.length === all.length
    ? refused('tells-nothing')
    : found({ kind: 'which-ball', balls });
}

const knows = ({ plan }: OilRig, lever: string): boolean =>
  partsOf(plan, 'manual-valve').some((v) => v.places.some((p) => p.lever === lever));

const has = ({ plan }: OilRig, fault: PlanFault): boolean => planFaultProblem(plan, fault) === null;

function speedKey(
  { gear, throttle, fault }: Extract<OilQuestion, { kind: 'shift-speed' }>,
  rig: OilRig,
): Result {
  if (fault && !has(rig, fault)) return refused('fault-not-here');
  const line = linesFor(rig, fault, [throttle]).find((l) => l.from === gear);
  if (!line) return refused('no-such-shift');
  const { up, down } = line.points[0]!;
  return up === null || down === null
    ? refused('never-shifts')
    : found({ kind: 'shift-speed', up, down });
}
