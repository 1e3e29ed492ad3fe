import { clutchRigOf, type ClutchRig } from '../../../core/lesson';
import { firstClutchRig } from './firstRig';
import { useLessonShelf } from './useLessonShelf';

interface Named {
  readonly clutch?: string;
  readonly pack?: string;
  readonly engine?: string;
  readonly vehicle?: string;
  readonly unit?: string;
}

/** The models that a clutch block names, and those for a new one: what is not named is the first of its kind. */
export function useClutchRig(named: Named): { rig: ClutchRig | null; firstRig: ClutchRig } {
  const shelf = useLessonShelf();
  return { rig: clutchRigOf(shelf, named), firstRig: firstClutchRig(shelf, named) };
}
