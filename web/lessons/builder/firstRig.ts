import { rigOf, type ClutchRig, type ConverterRig } from '../../../core/lesson';
import type { LessonShelf } from './useLessonShelf';

interface Named {
  readonly converter?: string;
  readonly clutch?: string;
  readonly pack?: string;
  readonly engine?: string;
  readonly vehicle?: string;
  readonly unit?: string;
}

/** The model of this id, or the first of its kind. */
const orFirst = <T extends { id: string }>(id: string | undefined, list: readonly T[]): T | null =>
  list.find((m) => m.id === id) ?? list[0] ?? null;

/** A converter's rig for something new: what is not named is the first of its kind. */
export const firstConverterRig = (shelf: LessonShelf, named: Named): ConverterRig | null =>
  rigOf(shelf, {
    converter: orFirst(named.converter, shelf.converters)?.id ?? '',
    engine: orFirst(named.engine, shelf.engines)?.id ?? '',
    vehicle: orFirst(named.vehicle, shelf.vehicles)?.id ?? '',
    unit: orFirst(named.unit, shelf.units)?.id ?? '',
  });

/** A clutch's rig for something new; a clutch stands before gears that are shifted by hand, where there are such. */
export const firstClutchRig = (shelf: LessonShelf, named: Named): ClutchRig => ({
  clutch: orFirst(named.clutch, shelf.clutches),
  pack: orFirst(named.pack, shelf.clutchPacks),
  engine: orFirst(named.engine, shelf.engines),
  vehicle: orFirst(named.vehicle, shelf.vehicles),
  unit: orFirst(
    named.unit ?? shelf.units.find((u) => u.elements.some((e) => e.kind === 'dog'))?.id,
    shelf.units,
  ),
});

/** The models that a block about these names has to bring into the lesson. */
export const modelsNamed = (rig: ClutchRig, question: Readonly<Record<string, unknown>>) =>
  (['clutch', 'pack', 'engine', 'vehicle', 'unit'] as const).flatMap((field) => {
    const model = rig[field];
    return model && question[field] === model.id ? [model] : [];
  });
