export {
  PAN,
  partsOf,
  type Accumulator,
  type Control,
  type Feed,
  type Governor,
  type HydraulicKind,
  type HydraulicPart,
  type HydraulicPlan,
  type Land,
  type Line,
  type ManualValve,
  type PartOf,
  type Piston,
  type Pump,
  type Regulator,
  type ShiftValve,
  type Shuttle,
  type ThrottleBy,
  type ThrottleValve,
  type Way,
} from './plan';
export { linesOf, waysOf } from './partTable';
export {
  flipsAt,
  governorPressure,
  governorSpeed,
  intakeVacuum,
  leakAt,
  orificeFlow,
  throttlePressure,
  type OilRunning,
} from './laws';
export { OIL_SOUND, type OilCondition } from './condition';
export { circuitOf, type Circuit, type OilState, type Passing, type Spools } from './circuit';
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
export { gearsOf, type Gears } from './gears';
export { oiled, shiftsByOil } from './paths';
export { atGear, TIMED_RPM } from './timing';
export {
  drivingLever,
  gearByMap,
  gearByValves,
  MAP_THROTTLES,
  pointAt,
  shiftMap,
  spoolsIn,
  type MapSetting,
  type ShiftLine,
  type ShiftPoint,
} from './shiftMap';
export { fill, FILL_STEP, type Filled, type FilledElement } from './filling';
export {
  holdsTrace,
  learnedFrom,
  shiftInTime,
  withNothingLearned,
  type OilShift,
  type OilShiftResult,
} from './shiftInTime';
export {
  faultsOn,
  PLAN_FAULT_KINDS,
  PLAN_FAULTS,
  planFaultProblem,
  withPlanFaults,
  type PlanFault,
  type PlanFaultKind,
  type PlanFaultProblem,
  type WornPlan,
} from './planFaults';
export { planFindings, type PlanFinding, type PlanFindingKind } from './planFindings';
