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
export { coefficientOfK, kOfCoefficient, kPerRootNewtonMetre, kPerRootPoundFoot } from './capacity';
export { characteristicOf } from './characteristic';
export { engineModel, type Engine, type EngineModel, type EngineRow } from './engine';
export { couplingPoint, matchEngine, stallRpm, type Match } from './match';
export { streamlineCharacteristic, wheelTorques } from './streamline';
export { tableCharacteristic } from './table';
