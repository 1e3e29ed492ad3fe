import { z } from 'zod';
import { DAMAGES, MEASURE_IDS, PART_KINDS, STATIONS } from '../assembly';
import { clutchV1 } from './clutchV1';
import { converterV1 } from './converterV1';
import { engineV1 } from './engineV1';
import { id, markdown, name } from './parts';
import { unitV1 } from './unitV1';
import { vehicleV1 } from './vehicleV1';

/** Schema of `fair-sprocket/job`, version 1. The type is `assembly/job.ts`. */
const partId = z.string().min(1).max(161);
const money = z.number().min(0).max(1e6);
const reading = z.number().min(0).max(1e4);
export const MOST_HIDDEN = 40;

export const jobV1 = z.strictObject({
  format: z.literal('fair-sprocket/job'),
  version: z.literal(1),
  id,
  name,
  notes: z.exactOptional(markdown),
  complaint: markdown,
  unit: z.exactOptional(unitV1),
  clutch: z.exactOptional(clutchV1),
  engine: z.exactOptional(engineV1),
  converter: z.exactOptional(converterV1),
  vehicle: z.exactOptional(vehicleV1),
  seed: z.string().min(1).max(80),
  hidden: z
    .array(
      z.strictObject({
        part: partId,
        damage: z.enum(DAMAGES),
        because: z.exactOptional(partId),
      }),
    )
    .max(MOST_HIDDEN),
  school: z.strictObject({
    bearings: z.enum(['replace', 'reuse']),
    tier: z.union([z.literal(1), z.literal(2), z.literal(3)]),
    cushion: z.enum(['pressed', 'free', 'left-out']),
  }),
  prices: z.strictObject({
    rate: money,
    day: money,
    daysLost: z.number().min(0).max(1000),
    parts: z.partialRecord(z.enum(PART_KINDS), money),
  }),
  limits: z.partialRecord(
    z.enum(MEASURE_IDS),
    z.strictObject({ least: z.exactOptional(reading), most: z.exactOptional(reading) }),
  ),
  stations: z.array(z.enum(STATIONS)).max(STATIONS.length),
});
