export {
  appliedWithFaults,
  FAULTS_OF,
  portTargets,
  withFaults,
  type FaultProblem,
  type FaultResult,
} from './applyFault';
export {
  agrees,
  borneOutBy,
  likelihood,
  readingClass,
  READING_ERROR,
  tolerance,
  type Answer,
  type Reading,
} from './answer';
export {
  byFault,
  examine,
  fittingPairs,
  readingOf,
  singleCandidates,
  singleCandidatesCount,
  tellsApart,
  type Candidate,
} from './candidates';
export {
  complaintOf,
  DIFFICULTIES,
  drawCase,
  hasSymptom,
  ticketOf,
  type Difficulty,
  type DrawnCase,
} from './cases';
export {
  changedRanges,
  chartReason,
  worksIn,
  type ChangedRanges,
  type ChartReason,
} from './chartReason';
export {
  afterChecks,
  ARRIVES,
  priceAlone,
  priceFrom,
  reach,
  setMinutes,
  type MachineState,
  type Move,
  type Needs,
  type Reached,
  type Step,
} from './shopState';
export { HAZARDS, type Hazard } from './hazards';
export {
  CHECK_SPECS,
  checksOf,
  driverChecks,
  hazardsOf,
  shiftsOf,
  startRanges,
  type Check,
  type CheckKind,
  type CheckSpec,
} from './checks';
export {
  bitsOf,
  nextChecks,
  oddReadings,
  suspects,
  type NextCheck,
  type Priors,
  type Suspect,
} from './diagnosis';
export {
  DRIVE_SYMPTOMS,
  drivingOf,
  type CoastSymptom,
  type DriveSymptom,
  type Driving,
  type Heard,
  type SymptomCell,
} from './driving';
export {
  FAULT_KINDS,
  FAULT_SPECS,
  isPart,
  faultKey,
  levelsOf,
  REMEDIES,
  severityOf,
  UNIT_FAULT_KINDS,
  type ElementFault,
  type Fault,
  type FaultKind,
  type FaultSite,
  type FaultSpec,
  type Remedy,
  type SeverityUnit,
  type UnitFaultKind,
} from './fault';
export {
  conclude,
  expertPath,
  remedyOf,
  sameUntilStripped,
  settledBy,
  type Conclusion,
  type ExpertPath,
  type ExpertStep,
} from './expert';
export {
  gradeDiagnosis,
  SCORE_PARTS,
  type CauseVerdict,
  type DeskCase,
  type DeskEntry,
  type Diagnosis,
  type DiagnosisGrade,
  type ScorePart,
} from './gradeDiagnosis';
export {
  drawnCase,
  type Draw,
  type LaidCase,
  caseProblems,
  causeOf,
  priorsOf,
  modelsIn,
  rigOfCase,
  rigOfModels,
  type MachineModels,
  type CaseFault,
  type CaseProblem,
  type FaultCase,
} from './faultCase';
export { faultySolution } from './faultySolution';
export { machineOf, SOUND_MACHINE, type Machine } from './machine';
export {
  BARE_RIG,
  oilElements,
  rigFaultProblem,
  rigKind,
  singleFaults,
  sleeveSides,
  type Rig,
  type RigFaultProblem,
  type RigKind,
} from './rig';
export { openShop, roadAnswer, type Shop } from './shop';
export {
  faultPairs,
  lookAlikes,
  rangesBySplit,
  rigOfUnit,
  signatureOf,
  sortedBySplit,
  symptomRow,
  symptomTable,
  type SymptomRow,
  type SymptomTable,
} from './symptoms';
export { cheapestPlan, cheapestSplit, type TestPlan } from './testPlan';
