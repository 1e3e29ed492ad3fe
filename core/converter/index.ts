export type {
  Characteristic,
  Converter,
  ConverterPoint,
  ConverterRow,
  StatorFault,
  StreamlineModel,
  TableModel,
  Wheel,
} from './converter';
export {
  coefficientOfK,
  coefficientOfPowerNumber,
  kOfCoefficient,
  kPerRootNewtonMetre,
  kPerRootPoundFoot,
  powerNumber,
} from './capacity';
export { airDensityRatio, atAltitude, resized, weakened } from './changes';
export { characteristicOf } from './characteristic';
export {
  bestPower,
  engineModel,
  USUAL_INERTIA,
  type Engine,
  type EngineModel,
  type EngineRow,
  type PartLoad,
} from './engine';
export { fitStreamline, type FitStep } from './fit';
export { labours, matchEngine, stallRpm, type Match } from './match';
export { pairFindings, type PairFinding } from './pairFindings';
export { streamlineCharacteristic, wheelTorques } from './streamline';
export { tableCharacteristic } from './table';
export { usualBlades } from './usualBlades';
