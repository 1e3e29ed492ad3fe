import { found, refused, type KeyResult } from '../../family';
import { onceFor } from '../../../numerics';
import {
  atAltitude,
  characteristicOf,
  engineModel,
  matchEngine,
  resized,
  stallRpm,
  weakened,
  type Characteristic,
  type ConverterPoint,
  type EngineModel,
} from '../../../converter';
import { forwardRatios } from '../../../geartrain';
import {
  launch,
  topSpeed,
  fluidOf,
  scheduleOf,
  type LaunchResult,
  type Vehicle,
} from '../../../vehicle';
import type {
  Changed,
  ConverterQuestion,
  ConverterRig,
  ConverterSetting,
  LaunchOrderQuestion,
  Measure,
  OperateQuestion,
  ReadMatchQuestion,
  Sketched,
  PredictChangeQuestion,
  StallChange,
  Way,
} from './kinds';
import { allowedAround } from '../../questionParts';

/** The right answers to questions about a converter, computed from the models at the moment they are asked for. */
export type ConverterKey =
  | { readonly kind: 'operate'; readonly example: ConverterSetting; readonly value: number }
  | { readonly kind: 'read-match'; readonly value: number }
  | {
      readonly kind: 'sketch-curve';
      readonly at: (speedRatio: number) => number;
      readonly most: number;
    }
  | {
      readonly kind: 'predict-change';
      readonly before: number;
      readonly after: number;
      readonly way: Way;
    }
  | { readonly kind: 'launch-order'; readonly events: readonly TimedEvent[] };

/** An event by its name, `upshift-2` for the change into second, and its time, s. */
export interface TimedEvent {
  readonly name: string;
  readonly time: number;
}

/** Why a question can't be asked as it stands. */
export type ConverterKeyFault =
  | 'converter-missing'
  | 'vehicle-missing'
  | 'gears-missing'
  | 'can-not-pull-idle'
  | 'target-not-reached'
  | 'table-without-stator'
  | 'too-few-events';

export type ConverterKeyResult = KeyResult<ConverterKey, ConverterKeyFault>;

export function converterKey(question: ConverterQuestion, rig: ConverterRig): ConverterKeyResult {
  const engine = engineModel(rig.engine);
  const converter = characteristicOf(rig.converter);
  if (!converter) return refused('converter-missing');
  if (matchEngine(engine, converter, 1, 0).kind === 'can-not-pull-idle')
    return refused('can-not-pull-idle');
  switch (question.kind) {
    case 'operate': {
      const example = exampleFor(question, rig, engine, converter);
      return example
        ? found({ kind: 'operate', example, value: question.target })
        : refused('target-not-reached');
    }
    case 'read-match':
      return found({ kind: 'read-match', value: readValue(question, engine, converter) });
    case 'sketch-curve': {
      const at = (speedRatio: number) => curveAt(question.curve, converter, speedRatio);
      const most = Math.max(...Array.from({ length: 21 }, (_, k) => at(k / 20)));
      return found({ kind: 'sketch-curve', at, most });
    }
    case 'predict-change':
      return changeKey(question, rig);
    case 'launch-order':
      return launchKey(question, rig);
  }
}

/** A reading of the bench at a setting. @returns `null` where the engine does not run */
export function measured(
  measure: Measure,
  { engine, converter }: { engine: EngineModel; converter: Characteristic },
  { throttle, turbineRpm, lockUp }: ConverterSetting,
  lockUpCapacity: number,
): number | null {
  const match = matchEngine(engine, converter, throttle, turbineRpm, lockUp ? lockUpCapacity : 0);
  if (match.kind === 'can-not-pull-idle' || match.kind === 'overrun') return null;
  switch (measure) {
    case 'torque-ratio':
      return match.torqueRatio;
    case 'engine-speed':
      return match.engineRpm;
    case 'turbine-torque':
      return match.turbineNm;
    case 'efficiency':
      return match.efficiency;
    case 'heat':
      return match.heatKw;
  }
}

/** Throttle and turbine steps of the search for one setting that meets a target. */
const TRIED = 24;
/** What the sliders of the bench can be set to. */
const THROTTLE_STEP = 0.01;
const TURBINE_STEP_RPM = 10;

/** One setting that the sliders reach and that meets the target: a coarse grid, then a fine one about its best. */
function exampleFor(
  { measure, target, tolerance }: OperateQuestion,
  rig: ConverterRig,
  engine: EngineModel,
  converter: Characteristic,
): ConverterSetting | null {
  const capacity = rig.converter.lockUpCapacity ?? 0;
  let best: { setting: ConverterSetting; miss: number } | null = null;
  const tryOut = (throttle: number, turbineRpm: number, lockUp: boolean) => {
    const setting = {
      throttle: snapped(Math.min(1, Math.max(0, throttle)), THROTTLE_STEP),
      turbineRpm: snapped(Math.min(engine.governedRpm, Math.max(0, turbineRpm)), TURBINE_STEP_RPM),
      lockUp,
    };
    const value = measured(measure, { engine, converter }, setting, capacity);
    if (value === null) return;
    const miss = Math.abs(value - target);
    if (!best || miss < best.miss) best = { setting, miss };
  };
  for (const lockUp of capacity > 0 ? [false, true] : [false])
    for (let t = 1; t <= TRIED; t++)
      for (let n = 0; n <= TRIED; n++) tryOut(t / TRIED, (engine.governedRpm * n) / TRIED, lockUp);
  const coarse = (best as { setting: ConverterSetting } | null)?.setting;
  if (!coarse) return null;
  const reach = Math.ceil(engine.governedRpm / TRIED / TURBINE_STEP_RPM);
  for (let t = -4; t <= 4; t++)
    for (let n = -reach; n <= reach; n++)
      tryOut(
        coarse.throttle + t * THROTTLE_STEP,
        coarse.turbineRpm + n * TURBINE_STEP_RPM,
        coarse.lockUp,
      );
  const found = best as { setting: ConverterSetting; miss: number } | null;
  return found && found.miss <= allowedAround(target, tolerance) ? found.setting : null;
}

const snapped = (value: number, step: number): number =>
  Number((Math.round(value / step) * step).toFixed(6));

/** The number that a question reads off. */
export const askedReading = (question: ReadMatchQuestion, rig: ConverterRig): number =>
  readValue(question, engineModel(rig.engine), characteristicOf(rig.converter)!);

function readValue(
  { ask, throttle, turbineRpm }: ReadMatchQuestion,
  engine: EngineModel,
  converter: Characteristic,
): number {
  if (ask === 'coupling-ratio') return converter.couplesAt;
  if (ask === 'stall-speed') return stallRpm(engine, converter, throttle);
  const match = matchEngine(engine, converter, throttle, turbineRpm);
  if (ask === 'heat') return match.heatKw;
  return ask === 'engine-speed' ? match.engineRpm : match.turbineNm;
}

/** Capacity is drawn as the torque taken at one speed over that at stall. */
export function curveAt(curve: Sketched, converter: Characteristic, speedRatio: number): number {
  const point = converter.at(speedRatio);
  const of: Record<Sketched, (p: ConverterPoint) => number> = {
    'torque-ratio': (p) => p.torqueRatio,
    efficiency: (p) => p.efficiency,
    capacity: (p) => p.coefficient / converter.at(0).coefficient,
  };
  return of[curve](point);
}

/** The pair with a change in it; `null` for a stator fault on a table. */
function changedPair(change: StallChange, { engine, converter }: ConverterRig) {
  const changed =
    change.kind === 'engine'
      ? weakened(engine, change.share)
      : change.kind === 'altitude'
        ? atAltitude(engine, change.metres)
        : engine;
  const characteristic = characteristicOf(
    change.kind === 'size' ? resized(converter, change.factor) : converter,
    change.kind === 'stator' ? change.fault : null,
  );
  return characteristic && { engine: engineModel(changed), converter: characteristic };
}

interface Pair {
  readonly engine: EngineModel;
  readonly converter: Characteristic;
}

/** m/s whose time a launch is asked for: 30 km/h. */
export const LAUNCH_TARGET = 30 / 3.6;

/** What is asked, for one pair; `null` where the vehicle does not get there. */
function changedValue(of: Changed, pair: Pair, rig: ConverterRig): number | null {
  if (of === 'stall-speed') return stallRpm(pair.engine, pair.converter);
  const { vehicle, unit } = rig;
  const gears = unit ? forwardRatios(unit) : [];
  if (!vehicle) return null;
  if (of === 'top-speed') {
    const setup = { ...pair, vehicle, gears, throttle: 1 };
    return Math.max(...gears.map((_g, k) => topSpeed(setup, k, 0)));
  }
  const run = { ...pair, throttle: 1, grade: 0, lockUp: 0, until: LAUNCH_TARGET };
  const last = launched(run, vehicle, gears).samples.at(-1)!;
  return last.speed >= LAUNCH_TARGET ? last.time : null;
}

function changeKey(question: PredictChangeQuestion, rig: ConverterRig): ConverterKeyResult {
  const { of, change } = question;
  if (of !== 'stall-speed') {
    if (!rig.vehicle) return refused('vehicle-missing');
    if (!rig.unit || forwardRatios(rig.unit).length === 0) return refused('gears-missing');
  }
  if (!changedPair(change, rig)) return refused('table-without-stator');
  const now = changedNumbers(question, rig);
  return now
    ? found({ kind: 'predict-change', ...now, way: wayOf(now.before, now.after) })
    : refused('target-not-reached');
}

const changesOnce = onceFor<ConverterRig, { before: number; after: number } | null>();

/** What is asked, before and after the change; `null` where it is not reached. */
export const changedNumbers = (question: PredictChangeQuestion, rig: ConverterRig) =>
  changesOnce(rig, JSON.stringify(question), () => {
    const [sound, changed] = [NO_CHANGE, question.change].map((c) => changedPair(c, rig));
    if (!sound || !changed) return null;
    const [before, after] = [sound, changed].map((pair) => changedValue(question.of, pair, rig));
    return typeof before === 'number' && typeof after === 'number' ? { before, after } : null;
  });

const NO_CHANGE: StallChange = { kind: 'engine', share: 1 };

/** A change by less than this share is none that a rev counter shows. */
const SAME_SHARE = 0.01;

const wayOf = (before: number, after: number): Way =>
  Math.abs(after - before) < SAME_SHARE * before ? 'same' : after > before ? 'up' : 'down';

const LAUNCH_SECONDS = 15;
const LAUNCH_STEP = 0.005;

const launched = (
  { throttle, ...rest }: Pair & { throttle: number; grade: number; lockUp: number; until?: number },
  vehicle: Vehicle,
  gears: readonly number[],
): LaunchResult =>
  launch({
    ...rest,
    vehicle,
    gears,
    throttle: [{ at: 0, throttle }],
    schedule: scheduleOf(vehicle),
    fluid: fluidOf(vehicle),
    seconds: LAUNCH_SECONDS,
    step: LAUNCH_STEP,
  });

/** What happens in a launch, each thing once, in order. */
function launchKey(question: LaunchOrderQuestion, rig: ConverterRig): ConverterKeyResult {
  if (!rig.vehicle) return refused('vehicle-missing');
  const events = launchEvents(question, rig);
  if (!events) return refused('gears-missing');
  return events.length < 3 ? refused('too-few-events') : found({ kind: 'launch-order', events });
}

/** Events closer than this happen together: either order is right, s. */
export const TOGETHER = 0.05;

const launchesOnce = onceFor<ConverterRig, readonly TimedEvent[] | null>();

/** The events of a launch in their order; `null` without a vehicle or gears. */
export const launchEvents = (question: LaunchOrderQuestion, rig: ConverterRig) =>
  launchesOnce(rig, JSON.stringify(question), () => {
    const { vehicle, unit, engine, converter } = rig;
    const gears = unit ? forwardRatios(unit) : [];
    if (!vehicle || gears.length === 0) return null;
    const pair = { engine: engineModel(engine), converter: characteristicOf(converter)! };
    const { throttle, grade } = question;
    const lockUp = converter.lockUpCapacity ?? 0;
    const { events } = launched({ ...pair, throttle, grade, lockUp }, vehicle, gears);
    const timed: TimedEvent[] = [];
    for (const { kind, gear, time } of events) {
      const name = kind === 'upshift' ? `upshift-${gear}` : kind;
      if (kind !== 'downshift' && !timed.some((e) => e.name === name)) timed.push({ name, time });
    }
    return timed;
  });
