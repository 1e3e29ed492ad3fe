import { logOf } from './engagementLog';
import { rigUp } from './engagementRig';
import type { EngagementResult, EngagementSetup } from './engagementSetup';

/**
 * A dry clutch engaging on a real drivetrain: engine, clutch with its damper, the gears of a unit in one range, shafts
 * that twist, vehicle, road and brakes, stepped by `train.ts`. The pedal moves the plate by the clutch's own release
 * curve; friction goes with slip and temperature; the iron behind the facing warms as a skin and a mass.
 *
 * Derived here. Range: steps up to 1 ms where a damper or shaft rings (accuracy; no step is unstable).
 */
const SAMPLE_EVERY = 0.01;

/** @throws Error when the step or duration is not above zero, or an element is not the unit's */
export function engage(setup: EngagementSetup): EngagementResult {
  const { step, seconds } = setup;
  if (!(step > 0) || !(seconds > 0)) throw new Error('engage: expected a step and a duration');
  const rig = rigUp(setup);
  const { machine, state } = rig;
  const steps = Math.round(seconds / step);
  const every = Math.max(1, Math.round(SAMPLE_EVERY / step));
  const log = logOf(setup, rig);
  const start = machine.energy(state);
  const energy = { work: 0, clutch: 0, elements: 0, damped: 0 };
  let why: EngagementResult['why'] = 'done';
  let taken = 0;
  log.sample(0, 0);
  for (let k = 0; k < steps; k++) {
    const time = k * step;
    rig.prepare(time);
    if (!machine.step(state, rig.torques, rig.capacities)) {
      why = 'unstable';
      break;
    }
    taken++;
    energy.work += state.work.outside;
    energy.damped += state.work.damped;
    energy.clutch += state.heats[0]!;
    for (let e = 1; e < state.heats.length; e++) energy.elements += state.heats[e]!;
    rig.after();
    log.step(time + step);
    if ((k + 1) % every === 0 || k === steps - 1) log.sample(time + step, energy.clutch);
  }
  const end = machine.energy(state);
  return {
    samples: log.samples,
    events: log.events,
    summary: log.summary(energy.clutch),
    energy: {
      ...energy,
      kinetic: end.kinetic - start.kinetic,
      sprung: end.sprung - start.sprung,
    },
    iron: rig.now.iron,
    steps: taken,
    why,
  };
}
