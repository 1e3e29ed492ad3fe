import { rigOf } from '../../../core/lesson';
import { useLessonModels } from './useLessonModels';

interface Named {
  readonly converter?: string;
  readonly engine?: string;
  readonly vehicle?: string;
  readonly unit?: string;
}

/** The models that a converter block names, and those for a new one: what is not named is the first of its kind. */
export function useRig(named: Named) {
  const converters = useLessonModels('fair-sprocket/converter').models;
  const engines = useLessonModels('fair-sprocket/engine').models;
  const vehicles = useLessonModels('fair-sprocket/vehicle').models;
  const units = useLessonModels('fair-sprocket/unit').models;
  const all = { converters, engines, vehicles, units };
  const or = (id: string | undefined, list: readonly { id: string }[]) =>
    list.some((m) => m.id === id) ? id! : (list[0]?.id ?? '');
  return {
    rig: rigOf(all, { ...named, converter: named.converter ?? '', engine: named.engine ?? '' }),
    firstRig: rigOf(all, {
      converter: or(named.converter, converters),
      engine: or(named.engine, engines),
      vehicle: or(named.vehicle, vehicles),
      unit: or(named.unit, units),
    }),
  };
}
