import { z } from 'zod';
import { reporter } from './parts';

/** Parts that the schemas of clutches and packs share. */
export const metres = z.number().positive().max(5);

/** Least and most, m. */
export const window = z
  .tuple([z.number().min(0).max(1), z.number().min(0).max(1)])
  .check((context) => {
    const [least, most] = context.value;
    if (least <= most) return;
    reporter(context)([1], 'must-rise', most);
  });

/** A coefficient of friction is never negative. */
export const friction = z.strictObject({
  standing: z.number().min(0.01).max(2),
  sliding: z.number().min(0.01).max(2),
  slope: z.number().min(-0.1).max(0.1),
  fadeFrom: z.number().min(0).max(1000),
  fade: z.number().min(0).max(1),
});
