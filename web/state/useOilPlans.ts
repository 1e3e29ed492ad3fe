import { useMemo } from 'react';
import type { Unit } from '../../core/geartrain';
import type { HydraulicPlan } from '../../core/hydraulics';
import { useAppSelector } from './hooks';
import { onShelf, selectModels } from './modelsSlice';

/** Oil plans of the library that feed a unit. */
export function useOilPlans(unit: Unit | undefined): HydraulicPlan[] {
  const shelf = useAppSelector(selectModels('fair-sprocket/hydraulics'));
  return useMemo(() => onShelf(shelf).filter((p) => p.unit === unit?.id), [shelf, unit]);
}
