import type { ComponentType } from 'react';
import type { FamilyName } from '../../../core/lesson';
import { lazyPart } from '../../shared/lazyPart';
import type { AskedProps } from '../player/Posed';

/** How each family is asked; each loads when it is first met. */
export const STAGES: { readonly [F in FamilyName]: ComponentType<AskedProps> } = {
  'gear-set': lazyPart(async () => (await import('./gear-set/Stage')).GearSetStage),
  unit: lazyPart(async () => (await import('./unit/Stage')).UnitStage),
  converter: lazyPart(async () => (await import('./converter/Stage')).ConverterStage),
  clutch: lazyPart(async () => (await import('./clutch/Stage')).ClutchStage),
  gearbox: lazyPart(async () => (await import('./gearbox/Stage')).GearboxStage),
  oil: lazyPart(async () => (await import('./oil/Stage')).OilStage),
  'strip-down': lazyPart(async () => (await import('./strip-down/Stage')).StripStage),
  own: lazyPart(async () => (await import('./own/Stage')).OwnStage),
  fault: lazyPart(async () => (await import('./fault/Stage')).FaultStage),
};
