import type { Job } from '../../../core/assembly';
import type { Clutch, ClutchPack } from '../../../core/clutch';
import type { Converter, Engine } from '../../../core/converter';
import type { FaultCase } from '../../../core/faults';
import type { Unit } from '../../../core/geartrain';
import type { HydraulicPlan } from '../../../core/hydraulics';
import type { Vehicle } from '../../../core/vehicle';
import { useLessonModels } from './useLessonModels';

/** Every model that the lesson may be about, by kind: those it carries, then the library's. */
export interface LessonShelf {
  readonly units: Unit[];
  readonly converters: Converter[];
  readonly engines: Engine[];
  readonly vehicles: Vehicle[];
  readonly clutches: Clutch[];
  readonly clutchPacks: ClutchPack[];
  readonly hydraulics: HydraulicPlan[];
  readonly cases: FaultCase[];
  readonly jobs: Job[];
}

export const useLessonShelf = (): LessonShelf => ({
  units: useLessonModels('fair-sprocket/unit').models,
  converters: useLessonModels('fair-sprocket/converter').models,
  engines: useLessonModels('fair-sprocket/engine').models,
  vehicles: useLessonModels('fair-sprocket/vehicle').models,
  clutches: useLessonModels('fair-sprocket/clutch').models,
  clutchPacks: useLessonModels('fair-sprocket/clutch-pack').models,
  hydraulics: useLessonModels('fair-sprocket/hydraulics').models,
  cases: useLessonModels('fair-sprocket/fault-case').models,
  jobs: useLessonModels('fair-sprocket/job').models,
});
