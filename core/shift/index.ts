export { engage } from './engagement';
export { mainClutchOf } from './engagementRig';
export {
  FELT_SWING,
  HOT_FACING_C,
  type EngagementEvent,
  type EngagementEventKind,
  type EngagementResult,
  type EngagementSample,
  type EngagementSetup,
  type EngagementSummary,
} from './engagementSetup';
export { engagementVerdicts, JOLT, LONG_SLIP_S, type EngagementVerdict } from './verdicts';
export { demands, mostTorque, slipWear, type Demand } from './holding';
export { dragTest, roadSlipTest, slipTest, type DragTest, type SlipTest } from './shopTests';
export {
  SWEPT_OF_ENGAGEMENT,
  sweepEngagement,
  sweptSetup,
  type EngagementPoint,
  type EngagementSweep,
  type SweptOfEngagement,
} from './sweep';
export {
  brakeTrace,
  FEET_AT,
  feetTrace,
  START_SECONDS,
  steady,
  traceAt,
  type Trace,
  type TracePoint,
} from './trace';
export {
  train,
  type Rubbing,
  type Spin,
  type Spring,
  type Train,
  type TrainSpec,
  type TrainState,
} from './train';
