export {
  appliedWithFaults,
  FAULT_KINDS,
  FAULTS_OF,
  portTargets,
  withFaults,
  type ElementFault,
  type Fault,
  type FaultKind,
  type FaultProblem,
  type FaultResult,
} from './applyFault';
export { faultSweep, LOADS, singleFaults, type SweepCase } from './sweep';
export {
  lookAlikes,
  signatureOf,
  symptomTable,
  type CoastSymptom,
  type DriveSymptom,
  type SymptomCell,
  type SymptomRow,
  type SymptomTable,
} from './symptoms';
export { checksOf, readingOf, type Check, type CheckKind } from './checks';
export { cheapestPlan, cheapestSplit, type TestPlan } from './testPlan';
export {
  chartReason,
  faultKey,
  nextChecks,
  oddReadings,
  READING_ERROR,
  suspects,
  USUAL_PRIORS,
  type ChartReason,
  type NextCheck,
  type Reading,
  type Suspect,
} from './diagnosis';
