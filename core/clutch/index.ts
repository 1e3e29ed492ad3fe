export { bandTorque } from './band';
export {
  discSpringLoad,
  humpAndDip,
  snapsThrough,
  springConstant,
  type DiscSpring,
} from './discSpring';
export { frictionAt, frictionTorque, meanRadius, type Friction, type WearTheory } from './facing';
export {
  adjustsItself,
  leverRatio,
  pedalToFork,
  type CableLink,
  type Clutch,
  type Cover,
  type DiaphragmCover,
  type Disc,
  type HydraulicLink,
  type LeverCover,
  type Limits,
  type Linkage,
  type OverCentreSpring,
} from './clutch';
export {
  AS_BUILT,
  BEARINGS,
  CLUTCH_FAULTS,
  faultFits,
  withClutchFault,
  worn,
  type BearingId,
  type ClutchFault,
  type ClutchState,
} from './condition';
export { clampLoad, coverLoads, diaphragmLoad, type CoverLoads } from './cover';
export {
  atPedal,
  bitePoint,
  forkPlayNow,
  overCentreHelp,
  releaseCurve,
  springyTravel,
  type ReleaseCurve,
  type ReleasePoint,
} from './release';
export { dragTorque, frictionNow, holdingTorque, radiusOf, torqueAt } from './capacity';
export { clutchFindings, clutchWorks, type ClutchFinding } from './findings';
export {
  adjusted,
  adjustmentsOf,
  linkageVerdicts,
  orderWorks,
  readLinkage,
  type Adjustment,
  type LinkageReading,
  type LinkageVerdict,
} from './adjust';
export {
  bearingRuns,
  inputRunsDown,
  inputShaftRpm,
  NOISE_TESTS,
  separatingTests,
  type BearingRun,
  type NoiseTest,
  type PedalPlace,
} from './noise';
export {
  applyTravel,
  bestSelective,
  endPlateNeeded,
  equallyGood,
  gaugeReading,
  grooveLoad,
  MEASURED,
  measuredIn,
  measuringDecides,
  middleOf,
  nearestToMiddle,
  packClearance,
  packRadius,
  packTorque,
  pistonForce,
  rubbingFaces,
  selectiveChoices,
  selectiveNow,
  stackHeight,
  torqueUnder,
  withSelective,
  type ClutchPack,
  type Measured,
  type PackRotation,
  type Plate,
  type PlateKind,
  type SelectiveChoice,
} from './clutchPack';
export { BROKEN_PACK, packFindings, type PackFinding } from './packFindings';
export {
  annulusForce,
  appliedForce,
  letsGoUpTo,
  releasedForce,
  turningOilForce,
} from './centrifugal';
export { PACK_FAULTS, packFaultsOf, withPackFault, type PackFault } from './packFaults';
export {
  packHeat,
  steadyEngagement,
  type HeatInput,
  type PackHeat,
  type PlateHeat,
} from './packHeat';
export {
  compareUpgrades,
  dutyHeat,
  judgePack,
  LINING_LIMIT_C,
  upgraded,
  UPGRADE_LIMITS,
  UPGRADES,
  type Duty,
  type Upgrade,
  type UpgradeLimit,
  type UpgradeResult,
} from './upgrade';
export {
  ironAfter,
  ironCooled,
  SKIN_SHARE,
  USUAL_AIR_C,
  type Iron,
  type IronTemperature,
} from './ironHeat';
export {
  coilReading,
  COUPLING_AS_BUILT,
  couplingStack,
  couplingTorque,
  flangeDrag,
  looseStart,
  tightCircle,
  USUAL_COUPLING,
  type Coupling,
  type CouplingState,
  type LooseStart,
  type TightCircle,
} from './ballRamp';
