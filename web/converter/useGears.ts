import { useMemo } from 'react';
import { forwardRatios } from '../../core/geartrain';
import { useAppSelector } from '../app/hooks';
import { onShelf, selectUnits } from '../models/modelsSlice';

/** The unit behind the converter, and the ratios of its forward gears. */
export function useGears(unitId: string | null) {
  const shelf = useAppSelector(selectUnits);
  const units = onShelf(shelf);
  const unit = (unitId === null ? undefined : shelf.byId[unitId]) ?? units[0];
  const gears = useMemo(() => (unit ? forwardRatios(unit) : []), [unit]);
  return { units, unit, gears };
}
