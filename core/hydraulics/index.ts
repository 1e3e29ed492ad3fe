export {
  isSpool,
  PAN,
  partsOf,
  withPart,
  type Accumulator,
  type Control,
  type Feed,
  type Governor,
  type HydraulicKind,
  type HydraulicPart,
  type HydraulicPlan,
  type Land,
  type Line,
  type LockUpClutch,
  type LockUpValve,
  type ManualValve,
  type PartOf,
  type Piston,
  type Pump,
  type Regulator,
  type ShiftValve,
  type Shuttle,
  type Spool,
  type ThrottleBy,
  type ThrottleValve,
  type Way,
} from './plan';
export { exchanged, type Exchange } from './exchange';
export { linesOf, waysOf } from './partTable';
export {
  flipsAt,
  governorPressure,
  governorSpeed,
  leakAt,
  orificeFlow,
  throttlePressure,
  WARM_C,
  type OilRunning,
} from './laws';
export { OIL_SOUND, type OilCondition, type WornPlan } from './condition';
export {
  circuitOf,
  gearStood,
  spoolsIn,
  type Circuit,
  type OilState,
  type Passing,
  type Spools,
} from './circuit';
export { balance, OPEN, workspace, type NetworkPart } from './network';
export { planFor, untimedPlan } from './generate';
export {
  fillTime,
  linePressure,
  OIL_AS_BUILT,
  oilModelOf,
  pistonShare,
  wornPlan,
  type Leaking,
  type OilModel,
  type OilWear,
} from './oilModel';
export { TIMED_AT, USUAL_ENGINE, USUAL_PRESSURES, type PlanWishes } from './wishes';
export { commandedRange, gearsOf, type Gears } from './gears';
export { upshiftOf, LOOKED_AT_RPM, type UpshiftAsked } from './upshift';
export {
  changesNothing,
  complaintOf,
  momentOf,
  SHIFT_MOMENTS,
  type Complaint,
  type ShiftMoment,
} from './complaint';
export { oiled, shiftsByOil } from './paths';
export { TIMED_RPM } from './timing';
export {
  drivingLever,
  gearByMap,
  gearByValves,
  MAP_THROTTLES,
  pointAt,
  shiftMap,
  type MapSetting,
  type ShiftLine,
  type ShiftPoint,
} from './shiftMap';
export {
  draggedDown,
  lockedByValves,
  lockedHolds,
  lockUpLine,
  oilMap,
  type LockUpLine,
  type OilMap,
} from './lockUp';
export {
  pressureTable,
  toldApart,
  type PressureCondition,
  type PressureTable,
} from './pressureTable';
export { COUNTED_WEAR } from './wear';
export { setAs, withShiftSet, SHIFT_SCHOOLS, type ShiftSchool } from './schools';
export { fill, FILL_STEP, type Filled, type FilledElement } from './filling';
export {
  drawnAt,
  holdsTrace,
  learnedFrom,
  shiftDrawn,
  shiftInTime,
  withNothingLearned,
  type OilShift,
  type OilShiftResult,
  type PressureDrawing,
} from './shiftInTime';
export {
  faultsOn,
  planFaultProblem,
  withPlanFaults,
  type PlanFault,
  type PlanFaultProblem,
} from './planFaults';
export { PLAN_FAULT_KINDS, PLAN_FAULTS, type PlanFaultKind } from './planFaultTable';
export { planFindings, type PlanFinding, type PlanFindingKind } from './planFindings';
export { bodyOf, type BodySetting, type LaidBody } from './valveBody/layout';
export {
  BOLT_YIELD,
  handTight,
  SWUNG,
  turned,
  type BodyBolt,
  type BoltJob,
  type BoltPlan,
  type Turn,
  type Turned,
} from './valveBody/turning';
