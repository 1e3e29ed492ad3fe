import { isGrounded, liveMember } from '../drawing/sectionPlan';
import { CASE, portsOf, type ShiftElement, type Unit } from '../geartrain';
import { axisOf, type Axis } from './axis';
import type { Bill } from './bill';
import { packInDrum, packParts } from './packs';
import type { PartKind, Place } from './parts';
import { thrustsBetween } from './thrusts';
import { wayOut, type Piece } from './wayOut';

/** Heights of the section that a shaft takes up. */
const SHAFT_OUTER = 2;

/** A unit with planetary sets as it grows: what stands on its axis, and what carries each web. */
interface Stack {
  readonly bill: Bill;
  readonly unit: Unit;
  readonly axis: Axis;
  readonly pieces: Piece[];
  /** Parts at a member's web in a gap, by `MEMBER@GAP`. */
  readonly carriers: Map<string, string[]>;
  /** The gap before which a support stands, where there is one. */
  readonly support: number | null;
}

const put = (
  { pieces }: Stack,
  id: string,
  member: string | null,
  ...places: readonly Place[]
): void => void pieces.push({ id, member, places });
const inCase = ({ axis }: Stack, at: number): Place => ({
  at,
  inner: axis.caseFrom,
  outer: axis.top,
});

/**
 * What stands on the axis of a unit with planetary sets: drums, hubs and shells by the webs of the section, gears by their
 * sets, packs, bands and one-way clutches by their elements; and what lies inside of these.
 * @param madeFor what an element was made to hold, N·m
 */
export function stackParts(bill: Bill, unit: Unit, madeFor: (element: string) => number): void {
  const axis = axisOf(unit);
  const support = supportGap(unit, axis);
  const stack: Stack = { bill, unit, axis, pieces: [], carriers: new Map(), support };
  endParts(stack);
  drums(stack);
  shells(stack);
  gears(stack);
  for (const element of unit.elements) elementParts(stack, element, madeFor(element.id));
  const rearFrom = support ?? axis.columns.length;
  wayOut(bill, stack.pieces, rearFrom);
  thrustsBetween(bill, stack.pieces, rearFrom);
  rearSet(stack);
  bill.stands(Object.fromEntries(stack.pieces.map((p) => [p.id, p.places])));
}

/** The gap of the first element held by the case that lies between two sets: a support carries it. */
function supportGap(unit: Unit, axis: Axis): number | null {
  const gaps = unit.elements
    .filter((e) => isGrounded(e) && e.kind !== 'band' && e.kind !== 'dog')
    .map((e) => axis.gapOf(e.id))
    .filter((gap) => gap > 0 && gap < axis.columns.length);
  return gaps.length > 0 ? Math.min(...gaps) : null;
}

/** Input shaft, the ring on the output shaft, and the support with what holds it. */
function endParts(stack: Stack): void {
  const { bill, unit, axis, support } = stack;
  bill.part('input-shaft', 'shaft', ['front'], { of: unit.input });
  put(stack, 'input-shaft', unit.input, { at: 0, inner: 0, outer: SHAFT_OUTER });
  bill.part('output-ring', 'snap-ring', ['rear']);
  bill.rule('output-ring', 'rear-open', ['extension']);
  bill.rule('output-shaft', 'output-ring', ['output-ring']);
  if (support === null) return;
  bill.part('support-bolt', 'bolt', ['below']);
  bill.part('support-ring', 'snap-ring', ['front']);
  bill.part('support', 'support', ['front']);
  bill.rule('support-bolt', 'pan-first', ['valve-body']);
  bill.rule('support', 'support-bolt', ['support-bolt', 'support-ring']);
  const at = support - 0.1;
  put(stack, 'support-ring', null, inCase(stack, at - 0.05));
  put(stack, 'support', CASE, { at, inner: SHAFT_OUTER, outer: axis.top });
}

/** A clutch to the case is a brake, whatever it is called. */
const worksAs = (element: ShiftElement): ShiftElement['kind'] =>
  element.kind === 'clutch' && isGrounded(element) ? 'brake' : element.kind;

/** A clutch's drum is its first member's web, its hub the other's; the one that is closed to the front comes first. */
function drums(stack: Stack): void {
  const { bill, unit, axis, carriers } = stack;
  for (const element of unit.elements) {
    if (worksAs(element) !== 'clutch') continue;
    const { id, between } = element;
    const gap = axis.gapOf(id);
    const parts = (['drum', 'hub'] as const).flatMap((name, k) => {
      const member = between[k]!;
      const place = axis.web(member, gap);
      if (!place) return [];
      const part = bill.part(`${id}.${name}`, name, ['front'], { of: id });
      put(stack, part, member, place);
      const key = `${member}@${gap}`;
      carriers.set(key, [...(carriers.get(key) ?? []), part]);
      return [{ part, at: place.at }];
    });
    const [outer, inner] = parts.sort((a, b) => a.at - b.at);
    if (outer && inner) bill.rule(inner.part, 'way-out', [outer.part]);
  }
}

/** A web that no clutch stands on is a shell of its member's. */
function shells(stack: Stack): void {
  const { bill, unit, axis, carriers } = stack;
  for (const { id: member } of unit.members) {
    if (member === unit.input || member === unit.output) continue;
    const bare = axis.gapsOf(member).filter((gap) => !carriers.has(`${member}@${gap}`));
    bare.forEach((gap, k) => {
      const name = `${member}.shell${k === 0 ? '' : k + 1}`;
      const id = bill.part(name, 'shell', ['front'], { of: member });
      put(stack, id, member, axis.web(member, gap)!);
      carriers.set(`${member}@${gap}`, [id]);
    });
  }
}

/** The part that is a member's gear at a port, named after the first set that has it there: sets may share one. */
function gearOf({ axis }: Stack, member: string, port: string): string | null {
  const owner = axis.columns.find((set) =>
    portsOf(set).some((p) => p.port === port && p.member === member),
  );
  return owner ? `${owner.id}.${port}` : null;
}

const GEAR_KINDS: Readonly<Record<string, PartKind>> = {
  sun: 'sun',
  carrier: 'carrier',
  ring: 'ring',
  first: 'gear',
  second: 'gear',
};

/** Gears and carriers, and the pinions in them; a member at the same port of two sets is one part that goes through both. */
function gears(stack: Stack): void {
  const { bill, axis } = stack;
  const ports = axis.columns.flatMap((set) => portsOf(set).map((p) => ({ set, ...p })));
  const ids = new Set(ports.map(({ member, port }) => gearOf(stack, member, port)!));
  for (const id of ids) {
    const own = ports.filter(({ member, port }) => gearOf(stack, member, port) === id);
    const [{ set, port, member }] = own as [(typeof own)[number]];
    bill.part(id, GEAR_KINDS[port]!, ['front'], { of: set.id });
    put(stack, id, member, ...own.map((p) => axis.gear(p.set, p.member)));
  }
  for (const set of axis.columns) {
    if (set.kind === 'mesh') continue;
    const of = set.id;
    const count = (set.pinions ?? 3) * (set.kind === 'double-pinion' ? 2 : 1);
    bill.part(`${of}.pinions`, 'pinions', ['front'], { of, count });
    bill.part(`${of}.washers`, 'washers', ['front'], { of, count: 2 * count });
    bill.rule(`${of}.pinions`, 'set-apart', [gearOf(stack, set.carrier, 'carrier')!]);
    bill.rule(`${of}.washers`, 'retained', [`${of}.pinions`]);
  }
}

/** What an element is made of beside its drum, where it stands, and in what order it comes apart. */
function elementParts(stack: Stack, element: ShiftElement, madeFor: number): void {
  const { bill, axis, carriers, support } = stack;
  const { id, between } = element;
  const gap = axis.gapOf(id);
  const held = isGrounded(element);
  const member = held ? liveMember(element) : between[0];
  const web = axis.web(member, gap);
  const at = web?.at ?? gap;
  const own = { of: id };
  switch (worksAs(element)) {
    case 'clutch':
      packInDrum(bill, id, madeFor);
      return;
    case 'brake':
      packParts(bill, id, ['front'], madeFor, 2);
      // Its ring lies before its plates, and both in the case.
      put(stack, `${id}.ring`, null, inCase(stack, at - 0.02));
      put(stack, `${id}.pack`, null, inCase(stack, at - 0.01));
      if (gap === support) bill.rule(`${id}.spring`, 'in-the-drum', ['support']);
      return;
    case 'band':
      bill.part(`${id}.anchor`, 'anchor', ['side'], own);
      bill.part(`${id}.servo-ring`, 'servo-ring', ['side'], own);
      bill.part(`${id}.servo`, 'servo', ['side'], own);
      bill.part(`${id}.band`, 'band', ['front'], own);
      bill.rule(`${id}.servo`, 'servo-ring', [`${id}.servo-ring`]);
      bill.rule(`${id}.band`, 'band-slack', [`${id}.anchor`]);
      bill.rule(`${id}.band`, 'servo-first', [`${id}.servo`]);
      put(stack, `${id}.band`, null, inCase(stack, at));
      for (const drum of carriers.get(`${member}@${gap}`) ?? [])
        bill.rule(drum, 'band-slack', [`${id}.band`]);
      return;
    case 'one-way':
      bill.part(`${id}.race`, 'race', ['front'], { of: id, count: 2 });
      bill.part(`${id}.cage`, 'cage', ['front'], own);
      bill.rule(`${id}.cage`, 'in-the-drum', [`${id}.race`]);
      if (web) put(stack, `${id}.race`, null, { ...web, at: at - 0.005 });
      return;
    case 'dog': {
      const part = held
        ? bill.part(`${id}.pawl`, 'pawl', ['rear'], own)
        : bill.part(`${id}.sleeve`, 'sleeve', ['rear'], own);
      bill.rule(part, 'rear-open', ['extension', 'output-shaft']);
    }
  }
}

/** A ring holds what the output shaft carries in the last set: it comes off before that slides. */
function rearSet(stack: Stack): void {
  const { bill, unit, axis } = stack;
  const rear = axis.columns.findLast((set) => portsOf(set).some((p) => p.member === unit.output));
  if (!rear) return;
  for (const { port, member } of portsOf(rear)) {
    const part = member === unit.output ? gearOf(stack, member, port) : null;
    if (part) bill.rule(part, 'output-ring', ['output-ring']);
  }
}
