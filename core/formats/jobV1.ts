import { z } from 'zod';
import { DAMAGES, MEASURE_IDS, PART_KINDS, SCHOOL_WAYS, STATIONS } from '../assembly';
import { MOST_HIDDEN } from './limits';
import { machineModels } from './machineModels';
import { id, markdown, name } from './parts';

/** Schema of `fair-sprocket/job`, version 1. The type is `assembly/job.ts`. */
const partId = z.string().min(1).max(161);
const money = z.number().min(0).max(1e6);
const reading = z.number().min(0).max(1e4);

export const jobV1 = z.strictObject({
  format: z.literal('fair-sprocket/job'),
  version: z.literal(1),
  id,
  name,
  notes: z.exactOptional(markdown),
  complaint: markdown,
  ...machineModels,
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
  demands: z.exactOptional(
    z.strictObject({
      parts: z.enum(['main', 'all']),
      labels: z.enum(['kept', 'lost']),
      visitor: z.boolean(),
      help: z.boolean(),
      minutes: z.number().min(1).max(10_000).nullable(),
    }),
  ),
  school: z.strictObject({
    bearings: z.enum(SCHOOL_WAYS.bearings),
    tier: z.literal(SCHOOL_WAYS.tier),
    cushion: z.enum(SCHOOL_WAYS.cushion),
    rings: z.exactOptional(z.enum(SCHOOL_WAYS.rings)),
    rear: z.exactOptional(z.enum(SCHOOL_WAYS.rear)),
    disc: z.exactOptional(z.enum(SCHOOL_WAYS.disc)),
    supply: z.exactOptional(z.enum(SCHOOL_WAYS.supply)),
    levers: z.exactOptional(z.enum(SCHOOL_WAYS.levers)),
    stack: z.exactOptional(z.enum(SCHOOL_WAYS.stack)),
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
