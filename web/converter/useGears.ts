import { useAppSelector } from '../state/hooks';
import { onShelf, selectUnits } from '../state/modelsSlice';
import { useUnitFigures } from '../state/useUnitAnswers';

const NONE: readonly number[] = [];

/** The unit behind the converter, and the ratios of its forward gears. */
export function useGears(unitId: string | null) {
  const shelf = useAppSelector(selectUnits);
  const units = onShelf(shelf);
  const unit = (unitId === null ? undefined : shelf.byId[unitId]) ?? units[0];
  const gears = useUnitFigures(unit ?? null)?.ratios ?? NONE;
  return { units, unit, gears };
}
