import { z } from 'zod';
import { FAULT_KINDS } from '../faults';
import { MOST_CAUSES } from './limits';
import { machineModels } from './machineModels';
import { id, markdown, name, reporter } from './parts';

/** Schema of `fair-sprocket/fault-case`, version 1. The type is `faults/faultCase.ts`. */
const coupling = z.strictObject({
  pilotNm: z.number().positive().max(1000),
  rampAngle: z.number().min(0.05).max(1.2),
  ballRadius: z.number().min(0.005).max(1),
  returnForce: z.number().min(0).max(1e5),
  packFaces: z.number().int().min(1).max(100),
  friction: z.number().min(0.01).max(1),
  packRadius: z.number().min(0.005).max(1),
  dragNm: z.number().min(0).max(500),
  coilOhm: z.number().min(0.1).max(1000),
  stackNew: z.number().min(0.005).max(0.5),
  stackWorn: z.number().min(0.005).max(0.5),
  rampTravel: z.number().min(1e-4).max(0.05),
});

/** What can be wrong with one part. */
export const faultV1 = z.strictObject({
  target: z.string().min(1).max(161),
  kind: z.enum(FAULT_KINDS),
  severity: z.exactOptional(z.number().min(0).max(100)),
});

export const faultCaseV1 = z
  .strictObject({
    format: z.literal('fair-sprocket/fault-case'),
    version: z.literal(1),
    id,
    name,
    notes: z.exactOptional(markdown),
    complaint: markdown,
    ...machineModels,
    coupling: z.exactOptional(coupling),
    cause: z.array(faultV1).max(MOST_CAUSES),
    minutes: z.number().min(0).max(100_000),
    limitMinutes: z.exactOptional(z.number().min(1).max(100_000)),
    priors: z.exactOptional(z.partialRecord(z.enum(FAULT_KINDS), z.number().min(0).max(1000))),
  })
  .check((context) => {
    const { coupling: c } = context.value;
    if (c && c.stackWorn >= c.stackNew)
      reporter(context)(['coupling', 'stackWorn'], 'worn-over-new', c.stackWorn);
  });
