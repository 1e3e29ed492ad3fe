import { z } from 'zod';
import { MOST_TABLE_ROWS, MOST_TORQUE_NM } from './limits';
import { id, markdown, name, reporter } from './parts';

/** Schema of `fair-sprocket/converter`, version 1. The type is `converter/converter.ts`. */
const angle = z.number().gt(-85).lt(85);
const wheel = z.strictObject({
  exitRadius: z.number().min(0.01).max(1),
  exitAngle: angle,
  inletAngle: angle,
});

const model = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('table'),
    rows: z
      .array(
        z.strictObject({
          speedRatio: z.number().min(0).max(1),
          torqueRatio: z.number().min(0).max(6),
          capacity: z.number().positive().max(1e5),
        }),
      )
      .min(2)
      .max(MOST_TABLE_ROWS),
  }),
  z.strictObject({
    kind: z.literal('streamline'),
    pump: wheel,
    turbine: wheel,
    stator: wheel,
    area: z.number().positive().max(1),
    density: z.number().min(500).max(1500),
    shock: z.number().min(0).max(3),
    friction: z.number().min(0).max(3),
  }),
]);

export const converterV1 = z
  .strictObject({
    format: z.literal('fair-sprocket/converter'),
    version: z.literal(1),
    id,
    name,
    notes: z.exactOptional(markdown),
    model,
    lockUpCapacity: z.exactOptional(z.number().positive().max(MOST_TORQUE_NM)),
    diameter: z.exactOptional(z.number().min(0.05).max(3)),
  })
  .check((context) => {
    const { model: stated } = context.value;
    if (stated.kind !== 'table') return;
    const told = reporter(context);
    const report = (row: number, field: string, code: string, value: number) =>
      told(['model', 'rows', row, field], code, value);
    stated.rows.forEach((row, k) => {
      const before = stated.rows[k - 1];
      if (k === 0 && row.speedRatio !== 0)
        report(0, 'speedRatio', 'starts-at-stall', row.speedRatio);
      if (before && row.speedRatio <= before.speedRatio)
        report(k, 'speedRatio', 'must-rise', row.speedRatio);
      if (k === 0 && row.torqueRatio < 1)
        report(0, 'torqueRatio', 'stall-multiplies', row.torqueRatio);
      if (row.speedRatio * row.torqueRatio > 1)
        report(k, 'torqueRatio', 'more-out-than-in', row.torqueRatio);
    });
  });
