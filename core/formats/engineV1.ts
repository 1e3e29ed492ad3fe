import { z } from 'zod';
import { MOST_SPEED_RPM, MOST_TABLE_ROWS, MOST_TORQUE_NM } from './limits';
import { id, markdown, name } from './parts';

/** Schema of `fair-sprocket/engine`, version 1. The type is `converter/engine.ts`. */
const speed = z.number().positive().max(MOST_SPEED_RPM);

export const engineV1 = z
  .strictObject({
    format: z.literal('fair-sprocket/engine'),
    version: z.literal(1),
    id,
    name,
    notes: z.exactOptional(markdown),
    rows: z
      .array(z.strictObject({ speedRpm: speed, torqueNm: z.number().min(0).max(MOST_TORQUE_NM) }))
      .min(2)
      .max(MOST_TABLE_ROWS),
    idleRpm: speed,
    governedRpm: speed,
    drag: z.number().min(0).max(1),
  })
  .check((context) => {
    const { rows, idleRpm, governedRpm } = context.value;
    const report = (path: PropertyKey[], code: string, value: number) =>
      context.issues.push({
        code: 'custom',
        path,
        params: { code, id: String(value) },
        input: value,
        message: `${code}: ${value}`,
      });
    rows.forEach((row, k) => {
      const before = rows[k - 1];
      if (before && row.speedRpm <= before.speedRpm)
        report(['rows', k, 'speedRpm'], 'must-rise', row.speedRpm);
    });
    if (governedRpm <= idleRpm) report(['governedRpm'], 'above-idle', governedRpm);
  });
