import { z } from 'zod';
import { MEASURED } from '../clutch';
import { friction, metres, window } from './frictionSchema';
import { MOST_PLATES } from './limits';
import { id, markdown, name, refuseDuplicates, reporter } from './parts';

/** Schema of `fair-sprocket/clutch-pack`, version 1. The type is `clutch/clutchPack.ts`. */
const plateThickness = z.number().min(1e-4).max(0.1);

export const clutchPackV1 = z
  .strictObject({
    format: z.literal('fair-sprocket/clutch-pack'),
    version: z.literal(1),
    id,
    name,
    notes: z.exactOptional(markdown),
    piston: z.strictObject({
      outerRadius: metres,
      innerRadius: z.number().min(0).max(5),
      returnForce: z.number().min(0).max(1e6),
    }),
    pressure: z.number().min(0).max(1e8),
    faces: z.strictObject({
      outerRadius: metres,
      innerRadius: metres,
      friction,
      theory: z.enum(['uniform-wear', 'uniform-pressure']),
    }),
    lining: z.number().min(5e-5).max(0.02),
    stack: z
      .array(
        z.strictObject({
          id,
          kind: z.enum(['cushion', 'steel', 'friction', 'end-plate']),
          thickness: plateThickness,
          wave: z.exactOptional(z.number().min(0).max(0.02)),
        }),
      )
      .min(1)
      .max(MOST_PLATES),
    depth: metres,
    ring: z.strictObject({
      diameter: metres,
      thickness: plateThickness,
      grooveDepth: z.number().min(1e-4).max(0.05),
      bears: z.exactOptional(z.number().min(0.05).max(1)),
    }),
    selective: z.strictObject({
      part: z.enum(['end-plate', 'ring']),
      thicknesses: z.array(plateThickness).max(MOST_PLATES),
    }),
    clearance: window,
    measured: z.exactOptional(z.enum(MEASURED)),
    rotation: z.exactOptional(
      z.strictObject({
        feedRadius: z.number().min(0).max(5),
        balance: z.exactOptional(
          z.strictObject({
            outerRadius: metres,
            innerRadius: z.number().min(0).max(5),
            fillRadius: z.number().min(0).max(5),
          }),
        ),
        bleedBall: z.exactOptional(z.boolean()),
        mostRpm: z.number().positive().max(30_000),
      }),
    ),
  })
  .check((context) => {
    const pack = context.value;
    refuseDuplicates(pack.stack, (p) => p.id, ['stack'], context);
    const report = reporter(context);
    for (const part of ['piston', 'faces'] as const)
      if (pack[part].innerRadius >= pack[part].outerRadius)
        report([part, 'innerRadius'], 'inner-over-outer', pack[part].innerRadius);
    const { rotation } = pack;
    if (rotation && rotation.feedRadius > pack.piston.outerRadius)
      report(['rotation', 'feedRadius'], 'inner-over-outer', rotation.feedRadius);
    if (rotation?.balance && rotation.balance.innerRadius >= rotation.balance.outerRadius)
      report(
        ['rotation', 'balance', 'innerRadius'],
        'inner-over-outer',
        rotation.balance.innerRadius,
      );
    pack.stack.forEach((p, k) => {
      if (p.kind === 'friction' && 2 * pack.lining >= p.thickness)
        report(['stack', k, 'thickness'], 'lining-over-plate', p.thickness);
    });
    pack.selective.thicknesses.forEach((v, k) => {
      const before = pack.selective.thicknesses[k - 1];
      if (before !== undefined && v <= before)
        report(['selective', 'thicknesses', k], 'must-rise', v);
    });
  });
