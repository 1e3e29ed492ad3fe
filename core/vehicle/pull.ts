import { RPM_TO_RAD } from '../quantities';
import { bestPower, matchEngine, type Characteristic, type EngineModel } from '../converter';
import { findRoot } from '../numerics';
import { turningIn, type Driveline } from './schedule';
import { afterDriveline, roadLoad, type Vehicle } from './vehicle';

/**
 * Pull at the wheels over road speed, gear by gear, with the engine and the converter matched at every point (any
 * text on vehicle dynamics). Where two gears pull alike is where a change costs nothing.
 */
export interface PullPoint {
  /** m/s. */
  readonly speed: number;
  /** N. */
  readonly force: number;
  readonly engineRpm: number;
  /** What the engine gives over the best it could. */
  readonly powerShare: number;
}

interface Pulling extends Driveline {
  readonly engine: EngineModel;
  readonly converter: Characteristic;
  readonly vehicle: Vehicle;
  readonly throttle: number;
}

function matchAt(setup: Pulling, gear: number, speed: number) {
  const turn = turningIn(setup, gear);
  const { engine, converter, throttle } = setup;
  const match = matchEngine(engine, converter, throttle, (speed * turn) / RPM_TO_RAD);
  // A turbine that runs ahead of the engine brakes: it pulls nothing.
  return { match, force: Math.max(0, afterDriveline(setup.vehicle, match.turbineNm * turn)) };
}

function pointAt(setup: Pulling, gear: number, speed: number, bestWatts: number): PullPoint {
  const { match, force } = matchAt(setup, gear, speed);
  const watts = match.engineNm * match.engineRpm * RPM_TO_RAD;
  return {
    speed,
    force,
    engineRpm: match.engineRpm,
    powerShare: Math.max(0, watts) / bestWatts,
  };
}

export const pullAt = (setup: Pulling, gear: number, speed: number): PullPoint =>
  pointAt(setup, gear, speed, bestPower(setup.engine).watts);

const governedSpeed = (setup: Pulling, gear: number): number =>
  (setup.engine.governedRpm * RPM_TO_RAD) / turningIn(setup, gear);

/** A curve for every gear, to the speed at which the engine is governed. */
export function pullCurves(setup: Pulling, points: number): PullPoint[][] {
  const best = bestPower(setup.engine).watts;
  return setup.gears.map((_g, gear) => {
    const top = governedSpeed(setup, gear);
    return Array.from({ length: points + 1 }, (_, k) =>
      pointAt(setup, gear, (top * k) / points, best),
    );
  });
}

/**
 * Road speed at which this gear and the next pull alike, m/s; where the next never pulls more, the end of this
 * gear's range.
 */
export function bestChange(setup: Pulling, gear: number): number {
  const top = governedSpeed(setup, gear);
  const gain = (v: number) => matchAt(setup, gear, v).force - matchAt(setup, gear + 1, v).force;
  const { x, why } = findRoot(gain, top * 0.1, top, 1e-3);
  return why === 'found' ? x : top;
}

/** Just past the governed speed the engine still gives a little. */
const PAST_GOVERNED = 1.03;

/** The highest road speed that this gear still holds on this grade, m/s; 0 where it does not move off. */
export function topSpeed(setup: Pulling, gear: number, grade: number): number {
  const top = PAST_GOVERNED * governedSpeed(setup, gear);
  const spare = (v: number) => matchAt(setup, gear, v).force - roadLoad(setup.vehicle, v, grade);
  if (spare(0) <= 0) return 0;
  if (spare(top) >= 0) return top;
  return findRoot(spare, 0, top, 1e-3).x;
}
