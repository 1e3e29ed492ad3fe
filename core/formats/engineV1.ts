import { z } from 'zod';
import { MOST_PART_LOADS, MOST_SPEED_RPM, MOST_TABLE_ROWS, MOST_TORQUE_NM } from './limits';
import { id, markdown, name, reporter } from './parts';

/** Schema of `fair-sprocket/engine`, version 1. The type is `converter/engine.ts`. */
const speed = z.number().positive().max(MOST_SPEED_RPM);
const rows = z
  .array(z.strictObject({ speedRpm: speed, torqueNm: z.number().min(0).max(MOST_TORQUE_NM) }))
  .min(2)
  .max(MOST_TABLE_ROWS);
/** With the throttle nearly closed an engine drags: its curve may lie below zero. */
const partRows = z
  .array(
    z.strictObject({
      speedRpm: speed,
      torqueNm: z.number().min(-MOST_TORQUE_NM).max(MOST_TORQUE_NM),
    }),
  )
  .min(2)
  .max(MOST_TABLE_ROWS);

export const engineV1 = z
  .strictObject({
    format: z.literal('fair-sprocket/engine'),
    version: z.literal(1),
    id,
    name,
    notes: z.exactOptional(markdown),
    rows,
    partLoad: z.exactOptional(
      z
        .array(z.strictObject({ throttle: z.number().gt(0).lt(1), rows: partRows }))
        .max(MOST_PART_LOADS),
    ),
    idleRpm: speed,
    governedRpm: speed,
    drag: z.number().min(0).max(1),
    inertia: z.exactOptional(z.number().positive().max(1e4)),
  })
  .check((context) => {
    const { rows: full, partLoad = [], idleRpm, governedRpm } = context.value;
    const report = reporter(context);
    const rising = (list: readonly { speedRpm: number }[], path: PropertyKey[]) =>
      list.forEach((row, k) => {
        const before = list[k - 1];
        if (before && row.speedRpm <= before.speedRpm)
          report([...path, k, 'speedRpm'], 'must-rise', row.speedRpm);
      });
    rising(full, ['rows']);
    partLoad.forEach(({ throttle, rows: part }, k) => {
      const before = partLoad[k - 1];
      if (before && throttle <= before.throttle)
        report(['partLoad', k, 'throttle'], 'must-rise', throttle);
      rising(part, ['partLoad', k, 'rows']);
    });
    if (governedRpm <= idleRpm) report(['governedRpm'], 'above-idle', governedRpm);
  });
