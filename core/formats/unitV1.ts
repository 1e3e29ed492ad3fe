import { z } from 'zod';
import { CASE, isSleeveSide, portsOf, type Unit } from '../geartrain';
import { doublePinionTeeth, pairToothCount, pinionCount, singlePinionTeeth } from './gearSetSchema';
import { MOST_ELEMENTS, MOST_MEMBERS, MOST_ONE_WAYS, MOST_RANGES } from './limits';
import { id, markdown, name, refuseDuplicates, reporter } from './parts';

/** Schema of `fair-sprocket/unit`, version 1. The type is `geartrain/unit.ts`. */
const ports = { id, sun: id, carrier: id, ring: id, pinions: pinionCount };

const gearset = z.discriminatedUnion('kind', [
  z.strictObject({ ...ports, kind: z.literal('single-pinion'), teeth: singlePinionTeeth }),
  z.strictObject({ ...ports, kind: z.literal('double-pinion'), teeth: doublePinionTeeth }),
  z.strictObject({
    id,
    kind: z.literal('mesh'),
    first: id,
    second: id,
    teeth: z.strictObject({ first: pairToothCount, second: pairToothCount }),
    internal: z.exactOptional(z.boolean()),
  }),
]);

export const unitV1 = z
  .strictObject({
    format: z.literal('fair-sprocket/unit'),
    version: z.literal(1),
    id,
    name,
    notes: z.exactOptional(markdown),
    members: z
      .array(z.strictObject({ id, name, inertia: z.exactOptional(z.number().positive().max(1e6)) }))
      .min(2)
      .max(MOST_MEMBERS),
    input: id,
    output: id,
    gearsets: z.array(gearset).max(MOST_MEMBERS),
    elements: z
      .array(
        z.strictObject({
          id,
          name,
          kind: z.enum(['clutch', 'dog', 'brake', 'band', 'one-way']),
          between: z.tuple([id, id]),
        }),
      )
      .max(MOST_ELEMENTS),
    ranges: z
      .array(z.strictObject({ id, lever: name, gear: name, apply: z.array(id).max(MOST_ELEMENTS) }))
      .max(MOST_RANGES),
    sleeves: z.exactOptional(
      z
        .array(
          z.strictObject({
            id,
            hub: id,
            sides: z.tuple([id.nullable(), id.nullable()]),
            interlock: z.exactOptional(id),
          }),
        )
        .max(MOST_ELEMENTS),
    ),
  })
  .check((context) => {
    const unit = context.value;
    for (const part of ['members', 'gearsets', 'elements', 'ranges'] as const)
      refuseDuplicates<{ id: string }>(unit[part], (item) => item.id, [part], context);
    const report = reporter(context);
    const known = new Set([CASE, ...unit.members.map((m) => m.id)]);
    const memberAt = (path: PropertyKey[], member: string) => {
      if (!known.has(member)) report(path, 'unknown-member', member);
    };
    if (unit.members.some((m) => m.id === CASE)) report(['members'], 'case-is-predefined', CASE);
    for (const end of ['input', 'output'] as const)
      if (unit[end] === CASE) report([end], 'case-never-turns', CASE);
      else memberAt([end], unit[end]);
    if (unit.input === unit.output) report(['output'], 'same-part', unit.output);
    unit.gearsets.forEach((set, k) => {
      for (const { port, member } of portsOf(set)) memberAt(['gearsets', k, port], member);
    });
    unit.elements.forEach((element, k) => {
      element.between.forEach((member, side) => memberAt(['elements', k, 'between', side], member));
      if (element.between[0] === element.between[1])
        report(['elements', k, 'between'], 'same-part', element.between[0]);
    });
    const oneWays = unit.elements.filter((e) => e.kind === 'one-way').length;
    if (oneWays > MOST_ONE_WAYS) report(['elements'], 'one-ways-too-many', String(oneWays));
    refuseDuplicates(unit.sleeves ?? [], (s) => s.id, ['sleeves'], context);
    checkSleeves(unit, report);
    unit.ranges.forEach((range, k) =>
      range.apply.forEach((element, i) => {
        const at = ['ranges', k, 'apply', i];
        const found = unit.elements.find((e) => e.id === element);
        if (!found) report(at, 'unknown-element', element);
        else if (found.kind === 'one-way') report(at, 'one-way-listed', element);
      }),
    );
  });

/** Each side is a dog clutch of its own, and the hub is at one end of both. */
function checkSleeves({ sleeves = [], elements }: Unit, report: ReturnType<typeof reporter>): void {
  const taken = new Set<string>();
  sleeves.forEach(({ id: sleeve, hub, sides }, k) => {
    if (sides.every((side) => side === null)) report(['sleeves', k, 'sides'], 'no-side', sleeve);
    sides.forEach((side, n) => {
      if (side === null) return;
      const at = ['sleeves', k, 'sides', n];
      const found = elements.find((e) => e.id === side);
      if (!found) report(at, 'unknown-element', side);
      else if (!isSleeveSide(found)) report(at, 'no-sleeve', side);
      else if (!found.between.includes(hub)) report(['sleeves', k, 'hub'], 'hub-elsewhere', hub);
      if (taken.has(side)) report(at, 'side-twice', side);
      taken.add(side);
    });
  });
}
