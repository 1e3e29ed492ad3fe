import { z } from 'zod';
import { id, markdown, name } from './parts';

/** Schema of `fair-sprocket/vehicle`, version 1. The type is `vehicle/vehicle.ts`. */
export const vehicleV1 = z.strictObject({
  format: z.literal('fair-sprocket/vehicle'),
  version: z.literal(1),
  id,
  name,
  notes: z.exactOptional(markdown),
  massKg: z.number().positive().max(1e6),
  tyreRadiusM: z.number().min(0.05).max(3),
  finalDrive: z.number().min(0.1).max(50),
  dragAreaM2: z.number().min(0).max(50),
  rolling: z.number().min(0).max(1),
});
