import { z } from 'zod';
import { id, name } from './parts';

/** Schema of a pack's `manifest.json`: `fair-sprocket/pack`, version 1. */
export const packV1 = z.strictObject({
  format: z.literal('fair-sprocket/pack'),
  version: z.literal(1),
  lesson: z.strictObject({ id, title: name }),
  /** Every other file in the pack, by path. */
  files: z.array(z.string().max(200)).max(1000),
});

export type PackManifest = z.infer<typeof packV1>;
