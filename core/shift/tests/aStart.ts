import { AS_BUILT } from '../../clutch';
import { BOLLARD } from '../../clutch/tests/demo';
import { engineModel, type Engine } from '../../converter';
import { demoFile, demoUnit } from '../../tests/demoFile';
import type { Vehicle } from '../../vehicle';
import { steady, type EngagementSetup } from '../index';

/** What the tests of starts and shifts start with. */
export const petrol = engineModel(demoFile<Engine>('engines/pilot-petrol'));
export const manual = demoUnit('winch-manual');
export const tractor = demoFile<Vehicle>('vehicles/yard-tractor');

/** Standing, first gear in: the pedal comes up within two seconds and the throttle opens. */
export const START: EngagementSetup = {
  engine: petrol,
  clutch: BOLLARD,
  state: AS_BUILT,
  unit: manual,
  apply: ['S1'],
  vehicle: tractor,
  grade: 0,
  pedal: [
    { time: 0, value: 1 },
    { time: 0.3, value: 0.6 },
    { time: 1.5, value: 0.3 },
    { time: 2, value: 0 },
  ],
  throttle: [
    { time: 0, value: 0.1 },
    { time: 0.5, value: 0.45 },
  ],
  brake: steady(0),
  seconds: 3,
  step: 1e-3,
};
