import { z } from 'zod';
import { linesOf, PAN } from '../hydraulics';
import { MOST_ELEMENTS, MOST_LINES, MOST_OIL_PARTS, MOST_RANGES } from './limits';
import { id, markdown, name, refuseDuplicates, reporter } from './parts';

/**
 * Schema of `fair-sprocket/hydraulics`, version 1. The type is `hydraulics/plan.ts`. An opening of 0 and a spring without force
 * are let through: they are findings, told beside the plan.
 */
const ownId = z
  .string()
  .max(120)
  .regex(/^[A-Za-z0-9][A-Za-z0-9._-]*$/);
const line = ownId;
const area = z.number().min(0).max(1);
const force = z.number().min(0).max(1e6);
const pressure = z.number().min(0).max(1e9);
const opening = z.number().min(0).max(1e-2);
const share = z.number().min(0).max(1);
const rpm = z.number().min(0).max(1e5);
const land = z.strictObject({ line, area });
const way = z.strictObject({ from: line, to: line });
const ways = z.array(way).max(MOST_LINES);
const named = { id: ownId, name };
const spool = {
  governor: z.strictObject({ line, area: z.number().positive().max(1) }),
  throttle: land,
  kick: z.exactOptional(land),
  difference: land,
  spring: force,
  springRise: force,
  up: ways,
  down: ways,
};
const speeds = z.tuple([rpm, rpm]);
const weight = z.strictObject({
  mass: z.number().min(0).max(100),
  radius: z.number().min(0).max(10),
});

const throttleBy = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('cable'),
    rest: pressure,
    rise: pressure,
    slack: z.number().min(-1).max(1),
  }),
  z.strictObject({
    kind: z.literal('modulator'),
    spring: force,
    diaphragm: area,
    land: z.number().positive().max(1),
  }),
  z.strictObject({
    kind: z.literal('solenoid'),
    points: z.tuple([pressure, pressure, pressure, pressure]),
  }),
]);

const part = z.discriminatedUnion('kind', [
  z.strictObject({
    ...named,
    kind: z.literal('pump'),
    to: line,
    volume: z.number().min(0).max(0.1),
    slip: share,
    leak: opening,
    suction: z.number().min(0).max(10),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('regulator'),
    line,
    area: z.number().positive().max(1),
    spring: force,
    boosts: z.array(land).max(8),
    orifice: opening,
  }),
  z.strictObject({
    ...named,
    kind: z.literal('relief'),
    line,
    opensAt: pressure,
    orifice: opening,
  }),
  z.strictObject({
    ...named,
    kind: z.literal('manual-valve'),
    from: line,
    places: z
      .array(z.strictObject({ lever: name, opens: z.array(line).max(MOST_LINES) }))
      .max(MOST_RANGES),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('throttle-valve'),
    from: line,
    to: line,
    by: throttleBy,
  }),
  z.strictObject({
    ...named,
    kind: z.literal('governor'),
    from: line,
    to: line,
    area: z.number().positive().max(1),
    heavy: weight,
    light: weight,
    spring: force,
  }),
  z.strictObject({
    ...named,
    kind: z.literal('shift-valve'),
    gear: z.int().min(1).max(MOST_RANGES),
    ...spool,
  }),
  z.strictObject({ ...named, kind: z.literal('lock-up-valve'), ...spool }),
  z.strictObject({
    ...named,
    kind: z.literal('lock-up-clutch'),
    release: line,
    apply: line,
    area: z.number().positive().max(1),
    torquePerForce: z.number().min(0).max(1e3),
    gap: opening,
  }),
  z.strictObject({ ...named, kind: z.literal('kick-down-valve'), ...way.shape, opensAt: share }),
  z.strictObject({
    ...named,
    kind: z.literal('solenoid'),
    ...way.shape,
    rests: z.enum(['open', 'closed']),
    ohm: z.number().min(0).max(1e4),
    orifice: opening,
    opensIn: z.array(id).max(MOST_RANGES),
    above: z.exactOptional(z.strictObject({ on: speeds, off: speeds })),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('control'),
    shifts: z
      .array(
        z.strictObject({
          gear: z.int().min(1).max(MOST_RANGES),
          up: speeds,
          down: speeds,
        }),
      )
      .max(MOST_RANGES),
    kickDown: share,
    learned: z
      .array(z.strictObject({ element: id, seconds: z.number().min(0).max(10) }))
      .max(MOST_ELEMENTS),
  }),
  z.strictObject({ ...named, kind: z.literal('feed'), ...way.shape, in: opening, out: opening }),
  z.strictObject({ ...named, kind: z.literal('shuttle'), first: line, second: line, to: line }),
  z.strictObject({
    ...named,
    kind: z.literal('piston'),
    line,
    element: id,
    area: z.number().positive().max(1),
    travel: z.number().min(0).max(0.5),
    cushion: z.number().min(0).max(0.5),
    returnForce: force,
    torquePerForce: z.number().min(0).max(1e3),
    leak: opening,
    steel: z.number().positive().max(1e3),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('accumulator'),
    line,
    area: z.number().positive().max(1),
    travel: z.number().min(0).max(1),
    spring: z.number().min(-1e6).max(1e6),
    springEnd: z.number().min(-1e6).max(1e6),
    back: z.exactOptional(land),
  }),
  z.strictObject({ ...named, kind: z.literal('restriction'), ...way.shape, orifice: opening }),
  z.strictObject({ ...named, kind: z.literal('pressure-switch'), line, trips: pressure }),
]);

export const hydraulicsV1 = z
  .strictObject({
    format: z.literal('fair-sprocket/hydraulics'),
    version: z.literal(1),
    id,
    name,
    notes: z.exactOptional(markdown),
    unit: id,
    lines: z.array(z.strictObject({ id: ownId, name })).max(MOST_LINES),
    parts: z.array(part).max(MOST_OIL_PARTS),
  })
  .check((context) => {
    const plan = context.value;
    const report = reporter(context);
    for (const list of ['lines', 'parts'] as const)
      refuseDuplicates<{ id: string }>(plan[list], (item) => item.id, [list], context);
    const known = new Set([PAN, ...plan.lines.map((l) => l.id)]);
    plan.lines.forEach((l, k) => {
      if (l.id === PAN) report(['lines', k, 'id'], 'pan-is-predefined', PAN);
    });
    plan.parts.forEach((p, k) => {
      for (const at of new Set(linesOf(p)))
        if (!known.has(at)) report(['parts', k], 'unknown-line', at);
    });
  });
