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
