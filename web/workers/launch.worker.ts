import { expose } from 'comlink';
import { characteristicOf, engineModel } from '../../core/converter';
import { launch } from '../../core/vehicle';
import type { LaunchRequest, LaunchWorker } from './protocol';

const SECONDS = 15;
const STEP = 0.001;
/** Engine, pump and flexplate of this size, kg·m². */
const ENGINE_INERTIA = 0.25;
/** Gears are changed at this share of the governed speed. */
const SHIFT_SHARE = 0.85;

const worker: LaunchWorker = {
  launch: ({ engine, converter, fault, ...request }: LaunchRequest) => {
    const model = engineModel(engine);
    const characteristic = characteristicOf(converter, fault);
    if (!characteristic) throw new Error('launch: a table does not tell of a broken stator');
    return launch({
      ...request,
      engine: model,
      converter: characteristic,
      engineInertia: ENGINE_INERTIA,
      shiftRpm: SHIFT_SHARE * model.governedRpm,
      seconds: SECONDS,
      step: STEP,
    });
  },
};
expose(worker);
