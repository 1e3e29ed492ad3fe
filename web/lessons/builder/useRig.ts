import { rigOf } from '../../../core/lesson';
import { firstConverterRig } from './firstRig';
import { useLessonShelf } from './useLessonShelf';

interface Named {
  readonly converter?: string;
  readonly engine?: string;
  readonly vehicle?: string;
  readonly unit?: string;
}

/** The models that a converter block names, and those for a new one: what is not named is the first of its kind. */
export function useRig(named: Named) {
  const shelf = useLessonShelf();
  return {
    rig: rigOf(shelf, { ...named, converter: named.converter ?? '', engine: named.engine ?? '' }),
    firstRig: firstConverterRig(shelf, named),
  };
}
