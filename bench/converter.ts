import { readFileSync } from 'node:fs';
import {
  characteristicOf,
  engineModel,
  matchEngine,
  type Converter,
  type Engine,
  type StreamlineModel,
} from '../core/converter';
import { torus } from '../core/drawing';
import {
  launch,
  afterDriveline,
  roadLoad,
  turningIn,
  USUAL_FLUID,
  USUAL_SCHEDULE,
  type Vehicle,
} from '../core/vehicle';
import { odexSolver } from '../core/vehicle/tests/odex';
import { compare } from './compare';

const read = <T>(file: string) => JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as T;
const engine = engineModel(read<Engine>('engines/pilot-petrol'));
const vehicle = read<Vehicle>('vehicles/yard-tractor');
const nothing = () => void 0;
/** s. */
const COARSE = 0.02;

/** Matches, what a drag of the brake computes, and launches against a general-purpose solver. */
export function benchConverter(): void {
  for (const file of ['jetty-eleven', 'slipway-table']) {
    const characteristic = characteristicOf(read<Converter>(`converters/${file}`))!;
    let turbine = 0;
    const match = () =>
      void matchEngine(engine, characteristic, 0.8, (turbine = (turbine + 7) % 3000));
    const one = compare('', match, nothing);
    console.log(`one match, ${file}: ${(one.oursNs / 1000).toFixed(1)} µs (20 µs asked)`);
  }
  const converter = read<Converter>('converters/jetty-eleven');
  const characteristic = characteristicOf(converter)!;
  let speed = 0;
  const drag = compare(
    '',
    () => {
      const { point } = matchEngine(engine, characteristic, 0.8, (speed = (speed + 7) % 3000));
      torus(converter.model as StreamlineModel, point);
    },
    nothing,
  );
  console.log(
    `the brake dragged, match and drawing: ${(drag.oursNs / 1e6).toFixed(3)} ms (a frame is 16.7 ms)`,
  );
  benchLaunch(characteristic);
}

/** The whole launch, and one in one gear with a step as exact as a general-purpose solver to 1e-6. */
function benchLaunch(converter: NonNullable<ReturnType<typeof characteristicOf>>): void {
  const common = { engine, converter, vehicle, grade: 0, fluid: USUAL_FLUID, lockUp: 0 };
  const gears = [2.44, 1.44, 1];
  const throttle = [{ at: 0, throttle: 0.8 }];
  const shifting = { ...common, gears, throttle, schedule: USUAL_SCHEDULE };
  const whole = compare(
    '',
    () => void launch({ ...shifting, lockUp: 320, seconds: 15, step: 0.001 }),
    nothing,
  );
  console.log(
    `a launch of 15 s in steps of 1 ms: ${(whole.oursNs / 1e6).toFixed(0)} ms (100 ms asked)`,
  );
  const never = { light: 1e3, full: 1e3, hysteresis: 0.3, kickDown: 1 };
  const inFirst = { ...shifting, gears: [2.44], schedule: never, seconds: 15, step: COARSE };
  const ours = () => void launch(inFirst);
  const turn = turningIn({ vehicle, gears }, 0);
  const solver = odexSolver(2, 1e-6);
  const theirs = () =>
    solver.solve(
      (_t, [omega = 0, v = 0]) => {
        const point = converter.at(Math.min(1, (v * turn) / omega));
        const pump = point.coefficient * omega * omega;
        const force =
          afterDriveline(vehicle, pump * point.torqueRatio * turn) - roadLoad(vehicle, v, 0);
        const stands = v <= 0 && force < 0;
        const nm = engine.torque((omega * 30) / Math.PI, 0.8);
        return [(nm - pump) / engine.inertia, stands ? 0 : force / vehicle.massKg];
      },
      0,
      [(engine.idleRpm * Math.PI) / 30, 0],
      15,
    );
  const apart = launch(inFirst).samples.at(-1)!.speed - theirs().y[1]!;
  const { oursNs, theirsNs, ratio } = compare('', ours, () => void theirs());
  console.log(
    `launch in one gear, with energies, fluid and events, in steps of ${1000 * COARSE} ms, against odex to 1e-6: ` +
      `${ratio.toFixed(1)} times as fast (${(oursNs / 1e6).toFixed(1)} ms against ${(theirsNs / 1e6).toFixed(1)} ms; ` +
      `${Math.abs(apart).toExponential(0)} m/s apart)`,
  );
}
