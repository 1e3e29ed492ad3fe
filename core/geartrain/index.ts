export {
  CASE,
  isDualClutch,
  portsOf,
  ringOwner,
  type DoublePinionSet,
  type DoublePinionTeeth,
  type ElementKind,
  type GearPair,
  type GearSet,
  type PlanetaryUnitSet,
  type Member,
  type Range,
  type ShiftElement,
  type SleeveGroup,
  type SinglePinionSet,
  type SinglePinionTeeth,
  type Unit,
} from './unit';
export { elementTerms, gearSetTerms, type Term } from './constraints';
export {
  solveUnit,
  type ElementResult,
  type ElementState,
  type Outcome,
  type Solution,
} from './solve';
export type { Load } from './oneWays';
export { powerFlow, powerSteps, type PortPower, type PowerFlow } from './powerFlow';
export { unitPinionSpeeds, type PinionName, type UnitPinion } from './pinionSpeeds';
export {
  efficiency,
  MESH_EFFICIENCY,
  type EfficiencyResult,
  type MeshEfficiency,
} from './efficiency';
export {
  maskOf,
  MOST_MASKED,
  oneWaysOf,
  outcomeTable,
  type Motion,
  type OneWays,
  type OutcomeTable,
  type Settled,
} from './outcomeTable';
export {
  combinations,
  MOST_COMBINED,
  ratioGroups,
  type Combination,
  combined,
  type Combined,
  type RatioGroup,
} from './combinations';
export { derivation, type DerivationStep, type SpeedTerm } from './derivation';
export { ratioFormula, teethNamed, type RatioFormula } from './ratioFormula';
export {
  binds,
  gearAt,
  isSleeveSide,
  loosePairs,
  placeOf,
  sleeveClashes,
  sleevesOf,
  sleeveWith,
  withSleeveAt,
  type LoosePair,
  type Side,
  type SleeveClash,
  type SleevePlace,
} from './sleeves';
export { unitFindings, type UnitFinding, type UnitFindingCode } from './unitFindings';
export {
  searchTeeth,
  withTeeth,
  type FoundTeeth,
  type SearchStep,
  type ToothSearch,
  type ToothWish,
} from './toothSearch';
export { chartRows, forwardRatios, holdersOf, spreadOf, type ChartRow } from './applyChart';
export { memberRoles, type MemberRole } from './memberRoles';
export { compileTrain, solveSpeeds, type CompiledTrain } from './fastSpeeds';
export {
  ARRANGEMENTS,
  effectOf,
  PORTS,
  REACTIONS,
  readSet,
  roleOf,
  sameArrangement,
  shownSpeeds,
  solveSet,
  thirdPort,
  toothRatio,
  unitOfSet,
  withRole,
  type Effect,
  type GearSetSetup,
  type PlanetarySet,
  type Port,
  type Reaction,
  type Role,
  type Roles,
  type SetReading,
  type SetSolution,
} from './oneSet';
export {
  checkTeeth,
  DEFAULT_PINIONS,
  FEWEST_TEETH,
  MOST_PINIONS,
  MOST_TEETH,
  pairGeometry,
  tipGap,
  type PairGeometry,
  type ToothCode,
  type ToothFinding,
} from './toothConditions';
export { workedSteps, type MathToken, type StepCode, type WorkedStep } from './workedSteps';
export {
  ADDENDUM,
  BACKLASH,
  baseRadius,
  DEDENDUM,
  externalTooth,
  flankAngle,
  gearOutline,
  internalTooth,
  pitchRadius,
  pitchThickness,
  polar,
  PRESSURE_ANGLE,
  type Point,
  type ToothForm,
} from './involute';
export {
  drawnPinions,
  externalMesh,
  internalMesh,
  layOutSet,
  poseSet,
  type Placed,
  type Seat,
  type SetLayout,
  type SetPose,
} from './meshing';
export { LEAST_INERTIA, memberInertias } from './inertia';
