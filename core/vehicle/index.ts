export {
  dipstick,
  FLUID_BURNS_C,
  FLUID_COLOURS,
  fluidLook,
  fluidVerdict,
  levelVerdict,
  type Dipstick,
  type FluidColour,
  type FluidLook,
  type FluidVerdict,
} from './fluidCheck';
export {
  launch,
  type LaunchEvent,
  type LaunchEventKind,
  type LaunchResult,
  type LaunchSample,
  type LaunchSetup,
  type ThrottleStep,
} from './launch';
export { bestChange, pullAt, pullCurves, topSpeed, type PullPoint } from './pull';
export {
  gearAsked,
  shiftSpeeds,
  turningIn,
  USUAL_SCHEDULE,
  type Driveline,
  type Shifting,
  type ShiftSchedule,
  type ShiftSpeeds,
} from './schedule';
export {
  LONGEST_STALL_S,
  readingOf,
  STALL_CONDITIONS,
  stallBand,
  stallConditions,
  stallReading,
  stallSuspects,
  stallTest,
  stallVerdict,
  type StallBand,
  type StallCondition,
  type StallRig,
  type StallSample,
  type StallSuspect,
  type StallVerdict,
} from './stallTest';
export { SWEPT, sweepLaunch, type Swept, type SweepPoint, type SweepSetup } from './sweep';
export {
  fluidOf,
  GRAVITY,
  roadLoad,
  afterDriveline,
  drivelineDrag,
  drivelineOf,
  scheduleOf,
  USUAL_FLUID,
  type FluidLoop,
  type Vehicle,
} from './vehicle';
