import { clutchRigOf, type ClutchRig } from '../../../core/lesson';
import { useLessonModels } from './useLessonModels';

interface Named {
  readonly clutch?: string;
  readonly pack?: string;
  readonly engine?: string;
  readonly vehicle?: string;
  readonly unit?: string;
}

/** The models that a clutch block names, and those for a new one: what is not named is the first of its kind. */
export function useClutchRig(named: Named): { rig: ClutchRig | null; firstRig: ClutchRig } {
  const clutches = useLessonModels('fair-sprocket/clutch').models;
  const clutchPacks = useLessonModels('fair-sprocket/clutch-pack').models;
  const engines = useLessonModels('fair-sprocket/engine').models;
  const vehicles = useLessonModels('fair-sprocket/vehicle').models;
  const units = useLessonModels('fair-sprocket/unit').models;
  const or = <T extends { id: string }>(id: string | undefined, list: readonly T[]): T | null =>
    list.find((m) => m.id === id) ?? list[0] ?? null;
  return {
    rig: clutchRigOf({ clutches, clutchPacks, engines, vehicles, units }, named),
    firstRig: {
      clutch: or(named.clutch, clutches),
      pack: or(named.pack, clutchPacks),
      engine: or(named.engine, engines),
      vehicle: or(named.vehicle, vehicles),
      // A clutch stands before gears that are shifted by hand, where there are such.
      unit: or(
        named.unit ?? units.find((u) => u.elements.some((e) => e.kind === 'dog'))?.id,
        units,
      ),
    },
  };
}

/** The models that a block about these names has to bring into the lesson. */
export const modelsNamed = (rig: ClutchRig, question: Readonly<Record<string, unknown>>) =>
  (['clutch', 'pack', 'engine', 'vehicle', 'unit'] as const).flatMap((field) => {
    const model = rig[field];
    return model && question[field] === model.id ? [model] : [];
  });
