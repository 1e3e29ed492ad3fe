export {
  appliedWithFaults,
  FAULT_KINDS,
  withFaults,
  type ElementFault,
  type Fault,
  type FaultKind,
  type FaultProblem,
  type FaultResult,
} from './applyFault';
