import type { Unit } from '../../../core/geartrain';
import { useAppSelector } from '../../app/hooks';
import { selectUnits } from '../../units/unitsSlice';

/** The units a lesson may be about: those it carries, then the library's. */
export function useLessonUnits() {
  const library = useAppSelector(selectUnits);
  const carried = useAppSelector((state) => state.draft.present?.units ?? NONE);
  const others = library.ids.filter((id) => !carried.some((u) => u.id === id));
  return {
    library,
    units: [...carried, ...others.flatMap((id) => library.byId[id] ?? [])],
  };
}

const NONE: Unit[] = [];
