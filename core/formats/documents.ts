import type { z } from 'zod';
import type { Job } from '../assembly';
import type { Clutch, ClutchPack } from '../clutch';
import type { Converter, Engine } from '../converter';
import type { FaultCase } from '../faults';
import type { Unit } from '../geartrain';
import type { HydraulicPlan } from '../hydraulics';
import type { Vehicle } from '../vehicle';
import type { Attempt, Lesson } from '../lesson';
import type { PackManifest } from './packV1';

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
