import type { Job } from '../assembly';
import type { Clutch, ClutchPack } from '../clutch';
import type { Converter, Engine } from '../converter';
import type { FaultCase } from '../faults';
import type { Unit } from '../geartrain';
import type { HydraulicPlan } from '../hydraulics';
import type { Vehicle } from '../vehicle';
import type { ClutchRig } from './families/clutch/kinds';
import type { ConverterRig } from './families/converter/kinds';
import type { GearboxRig } from './families/gearbox/kinds';
import type { OilRig } from './families/oil/kinds';
import type { Block, Lesson } from './lesson';

/**
 * The models a lesson carries. A block names them by id; the lesson keeps each as it was when it was chosen, so that
 * it can't change behind a class's back.
 */
export type Carried =
  | Unit
  | Converter
  | Engine
  | Vehicle
  | Clutch
  | ClutchPack
  | HydraulicPlan
  | FaultCase
  | Job;
export type CarriedList =
  | 'units'
  | 'converters'
  | 'engines'
  | 'vehicles'
  | 'clutches'
  | 'clutchPacks'
  | 'hydraulics'
  | 'cases'
  | 'jobs';

export const LIST_OF: Readonly<Record<Carried['format'], CarriedList>> = {
  'fair-sprocket/unit': 'units',
  'fair-sprocket/converter': 'converters',
  'fair-sprocket/engine': 'engines',
  'fair-sprocket/vehicle': 'vehicles',
  'fair-sprocket/clutch': 'clutches',
  'fair-sprocket/clutch-pack': 'clutchPacks',
  'fair-sprocket/hydraulics': 'hydraulics',
  'fair-sprocket/fault-case': 'cases',
  'fair-sprocket/job': 'jobs',
};
export const CARRIED_LISTS: readonly CarriedList[] = Object.values(LIST_OF);

const REFERENCES = [
  'unit',
  'converter',
  'engine',
  'vehicle',
  'clutch',
  'pack',
  'hydraulics',
  'case',
  'job',
] as const;
const LIST_OF_REFERENCE = {
  unit: 'units',
  converter: 'converters',
  engine: 'engines',
  vehicle: 'vehicles',
  clutch: 'clutches',
  pack: 'clutchPacks',
  hydraulics: 'hydraulics',
  case: 'cases',
  job: 'jobs',
} as const satisfies Record<(typeof REFERENCES)[number], CarriedList>;

/** What a block is about, by list and id. */
export function referencesOf(block: Block): { readonly list: CarriedList; readonly id: string }[] {
  const named: Partial<Record<string, unknown>> =
    block.kind === 'question' ? { ...block.question } : { ...block };
  return REFERENCES.flatMap((field) => {
    const id = named[field];
    return typeof id === 'string' && id !== '' ? [{ list: LIST_OF_REFERENCE[field], id }] : [];
  });
}

const sameModel = (a: Carried, b: Carried): boolean => a.format === b.format && a.id === b.id;

/** The lesson with these models in it, and without those that no block is about. */
export function carrying(lesson: Lesson, models: readonly Carried[]): Lesson {
  const used = lesson.steps.flatMap((step) => step.blocks.flatMap(referencesOf));
  const before = CARRIED_LISTS.flatMap((list): Carried[] => lesson[list] ?? []);
  const all = [...before.filter((m) => !models.some((n) => sameModel(m, n))), ...models].filter(
    (m) => used.some((u) => u.list === LIST_OF[m.format] && u.id === m.id),
  );
  const next: Lesson = { ...lesson };
  for (const list of CARRIED_LISTS) delete next[list];
  for (const model of all) {
    const list = LIST_OF[model.format];
    next[list] = [...(next[list] ?? []), model] as never;
  }
  return next;
}

type Library = Pick<Lesson, CarriedList>;

const pick = <T extends { id: string }>(list: readonly T[] | undefined, id: string | undefined) =>
  list?.find((m) => m.id === id) ?? null;

/** What a converter question or bench is about; `null` when the lesson lacks the converter or the engine. */
export function rigOf(
  lesson: Library,
  named: { converter: string; engine: string; vehicle?: string; unit?: string },
): ConverterRig | null {
  const converter = pick(lesson.converters, named.converter);
  const engine = pick(lesson.engines, named.engine);
  return (
    converter &&
    engine && {
      converter,
      engine,
      vehicle: pick(lesson.vehicles, named.vehicle),
      unit: pick(lesson.units, named.unit),
    }
  );
}

/** What a clutch question or bench is about; `null` when the lesson lacks the clutch, or the pack, that it names. */
export function clutchRigOf(
  lesson: Library,
  named: { clutch?: string; pack?: string; engine?: string; vehicle?: string; unit?: string },
): ClutchRig | null {
  const clutch = pick(lesson.clutches, named.clutch);
  const pack = pick(lesson.clutchPacks, named.pack);
  if (!clutch && !pack) return null;
  return {
    clutch,
    pack,
    engine: pick(lesson.engines, named.engine),
    vehicle: pick(lesson.vehicles, named.vehicle),
    unit: pick(lesson.units, named.unit),
  };
}

/** What a question about a gearbox is about; `null` when the lesson lacks the unit. */
export function gearboxRigOf(
  lesson: Library,
  named: { unit: string; vehicle?: string; engine?: string },
): GearboxRig | null {
  const unit = pick(lesson.units, named.unit);
  return (
    unit && {
      unit,
      vehicle: pick(lesson.vehicles, named.vehicle),
      engine: pick(lesson.engines, named.engine),
    }
  );
}

/** What a question about oil is about; `null` when the lesson lacks the plan or its unit. */
export function oilRigOf(
  lesson: Library,
  named: { hydraulics: string; unit: string; vehicle?: string },
): OilRig | null {
  const plan = pick(lesson.hydraulics, named.hydraulics);
  const unit = pick(lesson.units, named.unit);
  return plan && unit && { plan, unit, vehicle: pick(lesson.vehicles, named.vehicle) };
}

/** The case that a question is about, as the lesson carries it. */
export const caseOf = (lesson: Library, named: { case: string }): FaultCase | null =>
  pick(lesson.cases, named.case);

/** The job that a question is about, as the lesson carries it. */
export const jobOf = (lesson: Library, named: { job: string }): Job | null =>
  pick(lesson.jobs, named.job);
