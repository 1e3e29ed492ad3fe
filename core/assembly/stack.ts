import type { PlanetaryUnitSet, ShiftElement, Unit } from '../geartrain';
import { isGroundedElement, overlaps, type Axis } from './axis';
import type { Bill } from './bill';
import { frictionsFor } from './loads';
import type { Opening, Place } from './parts';

/** One thing that leaves along the axis: a drum, a gear, what lies in the case round them. */
interface Piece {
  readonly id: string;
  readonly places: readonly Place[];
}

/** Heights that a shaft, and the plates and rings that lie in the case, take up. */
const SHAFT_OUTER = 2;

/**
 * What stands on the axis of a unit with planetary sets: drums, hubs and shells by the webs of the section, gears by their
 * sets, packs, bands and one-way clutches by their elements; and what lies inside of these.
 * @returns where each of them stands
 */
export function stackParts(
  bill: Bill,
  unit: Unit,
  axis: Axis,
  loads: ReadonlyMap<string, number>,
): Readonly<Record<string, readonly Place[]>> {
  const inCase = (at: number): Place => ({ at, inner: axis.caseFrom, outer: axis.top });
  const pieces: Piece[] = [];
  const put = (id: string, ...places: readonly Place[]) => pieces.push({ id, places });
  const sets = axis.columns.filter((g): g is PlanetaryUnitSet => g.kind !== 'mesh');

  bill.part('input-shaft', 'shaft', ['front'], { of: unit.input });
  put('input-shaft', { at: 0, inner: 0, outer: SHAFT_OUTER });
  bill.part('output-ring', 'snap-ring', ['rear']);
  bill.rule('output-ring', 'rear-open', ['extension']);
  bill.rule('output-shaft', 'output-ring', ['output-ring']);

  const support = supportGap(unit, axis);
  if (support !== null) {
    bill.part('support-bolt', 'bolt', ['below']);
    bill.part('support-ring', 'snap-ring', ['front']);
    bill.part('support', 'support', ['front']);
    bill.rule('support-bolt', 'pan-first', ['valve-body']);
    bill.rule('support', 'support-bolt', ['support-bolt', 'support-ring']);
    const at = support - 0.1;
    put('support-ring', inCase(at - 0.05));
    put('support', { at, inner: SHAFT_OUTER, outer: axis.top });
  }

  // Drums, hubs and shells: one for each web; a web that no clutch stands on is a shell of its member's.
  const carriers = new Map<string, string[]>();
  for (const element of unit.elements)
    if (element.kind === 'clutch')
      for (const [k, name] of (['drum', 'hub'] as const).entries()) {
        const member = element.between[k]!;
        const gap = axis.gapOf(element.id);
        const place = axis.web(member, gap);
        if (!place) continue;
        const id = bill.part(`${element.id}.${name}`, name, ['front'], { of: element.id });
        put(id, place);
        const key = `${member}@${gap}`;
        carriers.set(key, [...(carriers.get(key) ?? []), id]);
      }
  for (const { id: member } of unit.members) {
    if (member === unit.input || member === unit.output) continue;
    const bare = axis.gapsOf(member).filter((gap) => !carriers.has(`${member}@${gap}`));
    bare.forEach((gap, k) => {
      const id = bill.part(`${member}.shell${k === 0 ? '' : k + 1}`, 'shell', ['front'], {
        of: member,
      });
      put(id, axis.web(member, gap)!);
      carriers.set(`${member}@${gap}`, [id]);
    });
  }

  // A hub stands in its drum: the one that is closed to the front comes first.
  for (const { id, kind, between } of unit.elements) {
    const [drum, hub] = between.map((member) => axis.web(member, axis.gapOf(id))?.at ?? 0);
    const [outer, inner] = drum! < hub! ? ['drum', 'hub'] : ['hub', 'drum'];
    if (kind === 'clutch') bill.rule(`${id}.${inner}`, 'in-the-drum', [`${id}.${outer}`]);
  }

  gearPieces(bill, sets, axis, put);

  for (const element of unit.elements) {
    const gap = axis.gapOf(element.id);
    const member = element.between.find((m) => axis.web(m, gap)) ?? element.between[0];
    const web = axis.web(member, gap);
    elementParts(bill, element, loads.get(element.id) ?? 0);
    const at = web?.at ?? gap;
    const { id, kind } = element;
    if (kind === 'brake') {
      // Its ring lies before its plates, and both in the case.
      put(`${id}.ring`, inCase(at - 0.02));
      put(`${id}.pack`, inCase(at - 0.01));
    } else if (kind === 'band') {
      put(`${id}.band`, inCase(at));
      for (const drum of carriers.get(`${member}@${gap}`) ?? [])
        bill.rule(drum, 'band-slack', [`${id}.band`]);
    } else if (kind === 'one-way' && web) {
      put(`${id}.race`, { at: at - 0.005, inner: web.inner, outer: web.outer });
    }
    const inSupport = support !== null && isGroundedElement(element) && gap === support;
    if (inSupport && kind === 'brake')
      bill.rule(`${id}.spring`, 'in-the-drum', ['support', `${id}.pack`]);
  }
  wayOut(bill, pieces, { support, last: axis.columns.length });
  rearSet(bill, unit, sets);
  return Object.fromEntries(pieces.map((p) => [p.id, p.places]));
}

/** The gap of the first element held by the case that lies between two sets: a support carries it. */
function supportGap(unit: Unit, axis: Axis): number | null {
  const gaps = unit.elements
    .filter((e) => isGroundedElement(e) && (e.kind === 'brake' || e.kind === 'one-way'))
    .map((e) => axis.gapOf(e.id))
    .filter((gap) => gap > 0 && gap < axis.columns.length);
  return gaps.length > 0 ? Math.min(...gaps) : null;
}

/** Gears and carriers; a member at the same port of two sets is one part that goes through both. */
function gearPieces(
  bill: Bill,
  sets: readonly PlanetaryUnitSet[],
  axis: Axis,
  put: (id: string, ...places: readonly Place[]) => void,
): void {
  for (const port of ['sun', 'carrier', 'ring'] as const) {
    const members = [...new Set(sets.map((set) => set[port]))];
    for (const member of members) {
      const shared = sets.filter((set) => set[port] === member);
      const [first] = shared;
      const id = bill.part(`${first!.id}.${port}`, port, ['front'], { of: first!.id });
      put(id, ...shared.map((set) => axis.gear(set, member)));
    }
  }
  for (const set of sets) {
    const carrier = sets.find((s) => s.carrier === set.carrier)!;
    const rows = set.kind === 'double-pinion' ? 2 : 1;
    const count = (set.pinions ?? 3) * rows;
    const of = set.id;
    const pinions = bill.part(`${of}.pinions`, 'pinions', ['front'], { of, count });
    const washers = bill.part(`${of}.washers`, 'washers', ['front'], { of, count: 2 * count });
    bill.rule(pinions, 'set-apart', [`${carrier.id}.carrier`]);
    bill.rule(washers, 'washers-held', [pinions]);
  }
}

/** What lies in a drum, or in the case: each held by what is taken out before it. */
export function packParts(
  bill: Bill,
  id: string,
  openings: readonly Opening[],
  frictions: number,
  seals: number,
): void {
  const own = { of: id };
  bill.part(`${id}.ring`, 'snap-ring', openings, own);
  // As many steels as frictions, and the end plate.
  bill.part(`${id}.pack`, 'pack', openings, { of: id, count: 2 * frictions + 1 });
  bill.part(`${id}.spring`, 'spring', openings, own);
  bill.part(`${id}.piston`, 'piston', openings, own);
  bill.part(`${id}.seals`, 'seals', openings, { of: id, count: seals });
  bill.rule(`${id}.pack`, 'retained', [`${id}.ring`]);
  bill.rule(`${id}.spring`, 'spring-press', [`${id}.pack`]);
  bill.rule(`${id}.piston`, 'spring-press', [`${id}.spring`]);
  bill.rule(`${id}.seals`, 'retained', [`${id}.piston`]);
}

/** What an element is made of beside its drum, and in what order that comes apart. */
function elementParts(bill: Bill, { id, kind }: ShiftElement, load: number): void {
  const own = { of: id };
  const frictions = frictionsFor(load);
  switch (kind) {
    case 'clutch':
      packParts(bill, id, ['front'], frictions, 4);
      bill.rule(`${id}.ring`, 'in-the-drum', [`${id}.drum`]);
      return;
    case 'brake':
      packParts(bill, id, ['front'], frictions, 2);
      return;
    case 'band':
      bill.part(`${id}.anchor`, 'anchor', ['side'], own);
      bill.part(`${id}.servo-ring`, 'snap-ring', ['side'], own);
      bill.part(`${id}.servo`, 'servo', ['side'], own);
      bill.part(`${id}.band`, 'band', ['front'], own);
      bill.rule(`${id}.servo`, 'servo-ring', [`${id}.servo-ring`]);
      bill.rule(`${id}.band`, 'band-slack', [`${id}.anchor`]);
      bill.rule(`${id}.band`, 'servo-first', [`${id}.servo`]);
      return;
    case 'one-way':
      bill.part(`${id}.race`, 'race', ['front'], { of: id, count: 2 });
      bill.part(`${id}.cage`, 'cage', ['front'], own);
      bill.rule(`${id}.cage`, 'washers-held', [`${id}.race`]);
      return;
    case 'dog':
      bill.part(`${id}.sleeve`, 'sleeve', ['rear'], own);
      bill.rule(`${id}.sleeve`, 'rear-open', ['extension', 'output-shaft']);
  }
}

/** What stands in the way of each piece, to the front and, behind the last support, to the rear. */
function wayOut(
  bill: Bill,
  pieces: readonly Piece[],
  { support, last }: { support: number | null; last: number },
): void {
  const first = (p: Piece) => Math.min(...p.places.map((q) => q.at));
  const end = (p: Piece) => Math.max(...p.places.map((q) => q.at));
  const barring = new Map(
    pieces.map((a) => [
      a,
      new Set(
        pieces.filter((b) => a !== b && a.places.some((p) => b.places.some((q) => overlaps(p, q)))),
      ),
    ]),
  );
  const bars = (a: Piece, b: Piece) => barring.get(a)!.has(b);
  const rearFrom = support ?? last;
  for (const piece of pieces) {
    const before = pieces.filter((p) => first(p) < first(piece) && bars(p, piece));
    const behind = pieces.filter((p) => end(p) > end(piece) && bars(p, piece));
    const front = nearest(before, bars, first);
    // By the rear only what lies behind the last support, or behind the last set.
    if (first(piece) < rearFrom) {
      bill.rule(piece.id, 'pump-before-drums', ['pump']);
      bill.rule(piece.id, 'way-out', front);
      continue;
    }
    const rear = nearest(behind, bars, (p) => -end(p));
    bill.opens(piece.id, ['front', 'rear']);
    bill.rule(piece.id, 'way-out', [], pairs(['pump', ...front], ['output-shaft', ...rear]));
  }
}

/** Those that no other of them stands between: with these gone the way is clear. */
function nearest(
  list: readonly Piece[],
  bars: (a: Piece, b: Piece) => boolean,
  along: (p: Piece) => number,
): string[] {
  // The nearest first, since it bars most of the others.
  const sorted = list.map((piece) => ({ piece, at: along(piece) })).sort((a, b) => b.at - a.at);
  return sorted
    .filter(({ piece, at }) => !sorted.some((b) => b.at > at && bars(piece, b.piece)))
    .map(({ piece }) => piece.id);
}

/** All of the one or all of the other, as lists of which one each must have left. */
const pairs = (one: readonly string[], other: readonly string[]): string[][] =>
  one.flatMap((a) => other.map((b) => (a === b ? [a] : [a, b])));

/** A ring holds what the output shaft carries: it comes off before these slide. */
function rearSet(bill: Bill, unit: Unit, sets: readonly PlanetaryUnitSet[]): void {
  const rear = sets.findLast((set) => [set.carrier, set.ring, set.sun].includes(unit.output));
  if (!rear) return;
  for (const port of ['sun', 'carrier', 'ring'] as const)
    if (rear[port] === unit.output) {
      const owner = sets.find((set) => set[port] === unit.output)!;
      bill.rule(`${owner.id}.${port}`, 'output-ring', ['output-ring']);
    }
}
