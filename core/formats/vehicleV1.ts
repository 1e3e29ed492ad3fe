import { z } from 'zod';
import { id, markdown, name, reporter } from './parts';

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
  driveline: z.exactOptional(z.number().min(0.5).max(1)),
  schedule: z.exactOptional(
    z
      .strictObject({
        light: z.number().min(0).max(1),
        full: z.number().min(0).max(1),
        hysteresis: z.number().min(0.05).max(0.8),
        kickDown: z.number().min(0.5).max(1),
      })
      .check((context) => {
        const { light, full } = context.value;
        if (full >= light) return;
        reporter(context)(['full'], 'full-above-light', full);
      }),
  ),
  fluid: z.exactOptional(
    z.strictObject({
      massKg: z.number().min(0.1).max(1000),
      coolerWK: z.number().min(0).max(1e5),
      coolantC: z.number().min(-40).max(130),
    }),
  ),
});
