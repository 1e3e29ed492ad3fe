import { engineModel, type Engine } from '../../core/converter';
import { LOOKED_AT_RPM, type PlanWishes } from '../../core/hydraulics';
import { mostTorque } from '../../core/shift';

/** N·m and kg·m² where there is no engine. */
const NO_ENGINE = { inputNm: 200, inputInertia: 0.2 };
/** N·m with which a shift is looked at at least: less moves nothing. */
const LEAST_NM = 5;

/** What pushes a shift at this pedal, and what turns with it. */
export function enginePush(engine: Engine | undefined, throttle: number) {
  if (!engine) return NO_ENGINE;
  const model = engineModel(engine);
  return {
    inputNm: Math.max(LEAST_NM, model.torque(LOOKED_AT_RPM, throttle)),
    inputInertia: model.inertia,
  };
}

/** What a plan is sized for by its engine. */
export function engineWishes(engine: Engine | undefined): PlanWishes {
  if (!engine) return {};
  const model = engineModel(engine);
  return {
    inputNm: mostTorque(model, 1),
    idleRpm: model.idleRpm,
    governedRpm: model.governedRpm,
  };
}
