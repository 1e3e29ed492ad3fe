import { partsOf } from '../../../hydraulics';
import { weighed, type OilClaim } from './claims';
import type { OilAnswer, OilRig } from './kinds';
import { drivenUp, gearsFor, standUp, wayBack } from './runs';
import type { KeyedOf, Thoughts } from './types';

/** Why oil comes where it does, and where spools stand. */

const sameSet = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((x) => b.includes(x));

export const comes = (part: string, element: string, way: 'through' | 'past'): OilClaim => ({
  claim: 'oil-comes',
  part,
  element,
  way,
});

export function traceThoughts({
  question,
  subject: { rig },
  key,
}: KeyedOf<'trace-oil'>): Thoughts<'trace-oil'> {
  const { element } = question;
  const valves = rig.plan.parts
    .filter((p) => p.kind === 'shift-valve' || p.kind === 'manual-valve' || p.kind === 'shuttle')
    .map((p) => p.id);
  const passed = valves.filter((id) => key.parts.includes(id));
  const out: Thoughts<'trace-oil'> = [];
  if (passed.length > 0)
    out.push({
      slip: 'valves-left-out',
      answer: { kind: 'trace-oil', parts: key.parts.filter((p) => !valves.includes(p)) },
      gives: (a) =>
        passed.every((id) => !a.parts.includes(id)) &&
        key.parts.every((p) => valves.includes(p) || a.parts.includes(p)),
      claims: () => passed.map((id) => comes(id, element, 'through')),
    });
  // The passage that the ball shuts: what stands behind it on the other side.
  const shut = rig.plan.parts
    .filter(
      (p) => p.kind === 'shift-valve' && !key.parts.includes(p.id) && leadsTo(rig, p.id, element),
    )
    .map((p) => p.id);
  if (shut.length > 0)
    out.push({
      slip: 'both-sides-of-the-ball',
      answer: { kind: 'trace-oil', parts: [...key.parts, ...shut] },
      gives: (a) =>
        key.parts.every((p) => a.parts.includes(p)) && shut.some((p) => a.parts.includes(p)),
      claims: (a) => shut.filter((p) => a.parts.includes(p)).map((p) => comes(p, element, 'past')),
    });
  return out;
}

/** Whether a valve could feed an element in another gear. */
function leadsTo({ plan }: OilRig, valve: string, element: string): boolean {
  const shift = partsOf(plan, 'shift-valve').find((v) => v.id === valve);
  if (!shift) return false;
  const { passages } = wayBack(plan, element);
  return [...shift.up, ...shift.down].some((w) => passages.has(w.to));
}

export function spoolThoughts({
  question,
  subject: { rig },
  key,
}: KeyedOf<'spool-places'>): Thoughts<'spool-places'> {
  const valves = partsOf(rig.plan, 'shift-valve').map((v) => v.id);
  const weighs = (a: OilAnswer & { kind: 'spool-places' }) =>
    valves
      .filter((id) => a.up.includes(id) !== key.up.includes(id))
      .flatMap((id) => weighed(rig, question, id) ?? []);
  const as = (slip: Thoughts<'spool-places'>[number]['slip'], up: readonly string[]) =>
    sameSet(up, key.up)
      ? []
      : [
          {
            slip,
            answer: { kind: 'spool-places' as const, up: [...up] },
            gives: (a: OilAnswer & { kind: 'spool-places' }) => sameSet(a.up, up),
            claims: weighs,
          },
        ];
  const light = drivenUp(rig, { ...question, throttle: 0 }).state;
  return [
    ...as('throttle-left-out', standUp(rig, light)),
    ...as('lever-clicks-are-gears', question.lever === gearsFor(rig).mainLever ? valves : []),
  ];
}
