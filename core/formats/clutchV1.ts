import { z } from 'zod';
import { friction, metres, window } from './frictionSchema';
import { id, markdown, name, reporter } from './parts';

/** Schema of `fair-sprocket/clutch`, version 1. The type is `clutch/clutch.ts`. */
const force = z.number().min(0).max(1e6);
const rate = z.number().min(0).max(1e9);
const ratio = z.number().min(0.2).max(60);

const disc = z.strictObject({
  outerRadius: metres,
  innerRadius: metres,
  discs: z.number().int().min(1).max(3),
  friction,
  theory: z.enum(['uniform-wear', 'uniform-pressure']),
  newThickness: metres,
  wornThickness: metres,
  aboveRivets: metres,
  cushion: z.strictObject({ travel: metres, load: force.positive() }),
  damper: z.strictObject({ stiffness: rate.positive(), friction: force }),
  inertia: z.number().positive().max(1e3),
});

const spring = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('diaphragm'),
    spring: z.strictObject({
      outerDiameter: metres,
      innerDiameter: metres,
      thickness: metres,
      coneHeight: metres,
    }),
    plateRadius: metres,
    pivotRadius: metres,
    fingerRadius: metres,
    installed: metres,
    fingerStiffness: rate.positive(),
  }),
  z.strictObject({
    kind: z.literal('levers'),
    springs: z.number().int().min(1).max(60),
    rate: rate.positive(),
    preload: force.positive(),
    levers: z.union([z.literal(3), z.literal(4)]),
    leverRatio: ratio,
    plateRadius: metres,
  }),
]);

const drive = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('cable'), ratio, stiffness: rate.positive() }),
  z.strictObject({
    kind: z.literal('hydraulic'),
    selfAdjusting: z.exactOptional(z.boolean()),
    ratio,
    masterBore: metres,
    slaveBore: metres,
    give: z.number().min(0).max(1e-9),
    rodPlay: z.number().min(0).max(0.05),
  }),
]);

export const clutchV1 = z
  .strictObject({
    format: z.literal('fair-sprocket/clutch'),
    version: z.literal(1),
    id,
    name,
    notes: z.exactOptional(markdown),
    disc,
    cover: z.strictObject({
      spring,
      straps: z.strictObject({ rate, preload: force }),
      heatCapacity: z.number().positive().max(1e7),
      cooling: z.number().min(0).max(1e5),
    }),
    linkage: z.strictObject({
      drive,
      pedalTravel: metres,
      pedalArm: metres,
      forkRatio: ratio,
      forkPlay: z.number().min(0).max(0.2),
      returnForce: force,
      overCentre: z.exactOptional(
        z.strictObject({ rate, freeLength: metres, anchor: metres, arm: metres, centre: metres }),
      ),
    }),
    limits: z.strictObject({
      pedalPlay: window,
      releasedGap: metres,
      fingerHeight: metres,
      centre: z.exactOptional(window),
    }),
  })
  .check((context) => {
    const { disc: d, cover } = context.value;
    const report = reporter(context);
    if (d.innerRadius >= d.outerRadius)
      report(['disc', 'innerRadius'], 'inner-over-outer', d.innerRadius);
    if (d.wornThickness >= d.newThickness)
      report(['disc', 'wornThickness'], 'worn-over-new', d.wornThickness);
    if (cover.spring.kind !== 'diaphragm') return;
    const { spring: s, plateRadius, pivotRadius, fingerRadius } = cover.spring;
    const at = ['cover', 'spring'];
    if (s.innerDiameter >= s.outerDiameter)
      report([...at, 'spring', 'innerDiameter'], 'inner-over-outer', s.innerDiameter);
    if (s.coneHeight > 2 * Math.SQRT2 * s.thickness)
      report([...at, 'spring', 'coneHeight'], 'spring-inverts', s.coneHeight);
    if (pivotRadius >= plateRadius) report([...at, 'pivotRadius'], 'radii-order', pivotRadius);
    if (fingerRadius >= pivotRadius) report([...at, 'fingerRadius'], 'radii-order', fingerRadius);
  });
