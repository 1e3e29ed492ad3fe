import { expose } from 'comlink';
import { characteristicOf, engineModel, fitStreamline } from '../../core/converter';
import { gearByValves, lockedByValves } from '../../core/hydraulics';
import { launch, sweepLaunch, fluidOf, scheduleOf } from '../../core/vehicle';
import type { ConverterWorker, LaunchRequest } from './protocol';

const STEP = 0.001;
/** A sweep runs many launches: each a little coarser. */
const SWEEP_STEP = 0.002;

const common = ({
  converter,
  vehicle,
  lockUp,
  gears,
  throttle,
  grade,
  seconds,
  map,
}: LaunchRequest) => ({
  vehicle,
  gears,
  throttle,
  grade,
  seconds,
  schedule: scheduleOf(vehicle),
  fluid: fluidOf(vehicle),
  lockUp: lockUp ? (converter.lockUpCapacity ?? 0) : 0,
  ...(map ? { valves: gearByValves(map.shifts, vehicle, gears.length) } : {}),
  ...(map?.lockUp ? { locks: lockedByValves(map.lockUp, vehicle) } : {}),
});

const worker: ConverterWorker = {
  launch(request) {
    const characteristic = characteristicOf(request.converter, request.fault);
    if (!characteristic) throw new Error('launch: a table does not tell of a broken stator');
    return launch({
      ...common(request),
      engine: engineModel(request.engine),
      converter: characteristic,
      step: STEP,
    });
  },
  async sweep({ request, ...range }, onPoint) {
    const { engine, converter } = request;
    const setup = { ...common(request), ...range, engine, converter, step: SWEEP_STEP };
    for (const point of sweepLaunch(setup)) await onPoint(point);
  },
  async fit(table, start, onStep) {
    for (const step of fitStreamline(table, start)) await onStep(step);
  },
};
expose(worker);
