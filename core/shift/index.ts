export { engage } from './engagement';
export { repeatStarts, type RepeatedStart } from './repeatedStarts';
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
export {
  handOver,
  shiftQuality,
  type HandOver,
  type HandOverResult,
  type HandOverSample,
  type HandOverSummary,
  type ShiftQuality,
} from './handOver';
export { demands, mostTorque, slipWear, torqueAsked, type Demand } from './holding';
export {
  goesIn,
  SIDE_AS_NEW,
  sideAsMeasured,
  type SideMeasures,
  jumpsOutAbove,
  jumpsOutOnCoastAbove,
  SLEEVE_AS_BUILT,
  type GoesIn,
  type SleeveState,
} from './sleeve';
export {
  brakesMustHold,
  dragTest,
  roadSlipTest,
  slipTest,
  type DragTest,
  type SlipTest,
} from './shopTests';
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
export {
  crossing,
  CROSSING_ENGINE,
  crossingPairs,
  crossingQuality,
  meeting,
  RAMP_LIMITS,
  synchronizingTime,
  USUAL_CROSSING,
  wayOf,
  type Crossing,
  type CrossingPair,
  type CrossingResult,
  type Meeting,
  type Ramp,
  type Ramps,
} from './dualClutch';
export {
  blockingSafety,
  blocksUntil,
  coneTorque,
  pointsTorque,
  USUAL_RING,
  type BlockerRing,
} from './blocking';
export { creep, type Creep, type CreepResult } from './creep';
export {
  complaintsOf,
  couldBeWorn,
  forwardSides,
  FULL_LOAD_NM,
  otherSide,
  WORN_LIMITS,
  WORN_PARTS,
  type GearComplaint,
  type Worn,
  type WornPart,
} from './complaints';
export {
  bestWaiting,
  drivePreselected,
  gearsInOrder,
  SAME_LOSS,
  SPEED_MARKS,
  WAITING_MARKS,
  USUAL_CHANGES,
  USUAL_SPEEDS,
  USUAL_RULE,
  type ChangesAt,
  type Drive,
  type DriveResult,
  type GearChange,
  type WaitingRule,
} from './preselect';
