import type { z } from 'zod';
import type { Job } from '../assembly';
import type { Clutch, ClutchPack } from '../clutch';
import type { Converter, Engine } from '../converter';
import type { FaultCase } from '../faults';
import type { Unit } from '../geartrain';
import type { HydraulicPlan } from '../hydraulics';
import type { Vehicle } from '../vehicle';
import type { Attempt, Lesson } from '../lesson';
import { attemptV1, setAsideUnread } from './attemptV1';
import { clutchPackV1 } from './clutchPackV1';
import { clutchV1 } from './clutchV1';
import { converterV1 } from './converterV1';
import { engineV1 } from './engineV1';
import { faultCaseV1 } from './faultCaseV1';
import { hydraulicsV1 } from './hydraulicsV1';
import { jobV1 } from './jobV1';
import { lessonV1 } from './lessonV1';
import { packV1, type PackManifest } from './packV1';
import { unitV1 } from './unitV1';
import { vehicleV1 } from './vehicleV1';

/**
 * Every kind of document: its newest version, the schema of that version, and the steps that bring older
 * versions up to it. Migrations are named, numbered, pure and run forwards only.
 */
export interface Documents {
  'fair-sprocket/lesson': Lesson;
  'fair-sprocket/attempt': Attempt;
  'fair-sprocket/unit': Unit;
  'fair-sprocket/converter': Converter;
  'fair-sprocket/engine': Engine;
  'fair-sprocket/vehicle': Vehicle;
  'fair-sprocket/clutch': Clutch;
  'fair-sprocket/clutch-pack': ClutchPack;
  'fair-sprocket/hydraulics': HydraulicPlan;
  'fair-sprocket/fault-case': FaultCase;
  'fair-sprocket/job': Job;
  'fair-sprocket/pack': PackManifest;
}
export type DocumentKind = keyof Documents;

export interface Migration {
  /** Turns a document of this version into the next. */
  readonly from: number;
  readonly name: string;
  readonly up: (document: Record<string, unknown>) => Record<string, unknown>;
}

export interface KindDefinition<T> {
  readonly version: number;
  readonly schema: z.ZodType<T>;
  readonly migrations: readonly Migration[];
  /** What can be opened without the parts that are wrong, at these paths; `null` where it can't. */
  readonly without?: (
    document: Record<string, unknown>,
    paths: readonly (readonly PropertyKey[])[],
  ) => Record<string, unknown> | null;
}

export type KindTable = { readonly [K in DocumentKind]: KindDefinition<Documents[K]> };

export const KINDS: KindTable = {
  'fair-sprocket/lesson': { version: 1, schema: lessonV1, migrations: [] },
  'fair-sprocket/attempt': {
    version: 1,
    schema: attemptV1,
    migrations: [],
    without: setAsideUnread,
  },
  'fair-sprocket/unit': { version: 1, schema: unitV1, migrations: [] },
  'fair-sprocket/converter': { version: 1, schema: converterV1, migrations: [] },
  'fair-sprocket/engine': { version: 1, schema: engineV1, migrations: [] },
  'fair-sprocket/vehicle': { version: 1, schema: vehicleV1, migrations: [] },
  'fair-sprocket/clutch': { version: 1, schema: clutchV1, migrations: [] },
  'fair-sprocket/clutch-pack': { version: 1, schema: clutchPackV1, migrations: [] },
  'fair-sprocket/hydraulics': { version: 1, schema: hydraulicsV1, migrations: [] },
  'fair-sprocket/fault-case': { version: 1, schema: faultCaseV1, migrations: [] },
  'fair-sprocket/job': { version: 1, schema: jobV1, migrations: [] },
  'fair-sprocket/pack': { version: 1, schema: packV1, migrations: [] },
};
