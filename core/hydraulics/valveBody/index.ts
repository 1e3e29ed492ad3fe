export {
  BOLT_YIELD,
  boltStress,
  clampOf,
  groupsOf,
  HAND_TIGHT,
  SWUNG,
  THREADS,
  turned,
} from './turning';
export type { BodyBolt, BoltJob, BoltPlan, Thread, Turn, Turned, ValveBody } from './turning';
export { bodyOf, type BodySetting, type LaidBody } from './layout';
