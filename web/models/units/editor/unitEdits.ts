import {
  CASE,
  isSleeveSide,
  portsOf,
  type ElementKind,
  type GearSet,
  type Member,
  type Range,
  type ShiftElement,
  type SleeveGroup,
  type Unit,
} from '../../../../core/geartrain';
import { rangeId } from '../../../../core/formats';

/** Changes of a unit's parts as plain functions from one document to the next. */

/** The first of `stem1`, `stem2`, … that is not taken. */
export function freeId(stem: string, taken: readonly { id: string }[]): string {
  for (let n = 1; ; n++) if (!taken.some((t) => t.id === `${stem}${n}`)) return `${stem}${n}`;
}

export const addMember = (unit: Unit, name: string): { unit: Unit; id: string } => {
  const id = freeId('m', unit.members);
  return { unit: { ...unit, members: [...unit.members, { id, name }] }, id };
};

/** What ties a member: ids of gear sets and elements, and the unit's ends. */
export const tiesOf = (unit: Unit, member: string): string[] => [
  ...unit.gearsets.filter((g) => portsOf(g).some((p) => p.member === member)).map((g) => g.id),
  ...unit.elements.filter((e) => e.between.includes(member)).map((e) => e.id),
];

export const removeMember = (unit: Unit, member: string): Unit => ({
  ...unit,
  members: unit.members.filter((m) => m.id !== member),
});

export const changeMember = (unit: Unit, member: Member): Unit => ({
  ...unit,
  members: unit.members.map((m) => (m.id === member.id ? member : m)),
});

const FIRST_TEETH = {
  'single-pinion': { sun: 30, pinion: 20, ring: 70 },
  'double-pinion': { sun: 30, inner: 18, outer: 18, ring: 78 },
  mesh: { first: 20, second: 40 },
} as const;

/** A gear set with members of its own at every port. */
export function addGearSet(
  unit: Unit,
  kind: GearSet['kind'],
  nameOf: (port: string, set: string) => string,
): Unit {
  const id = freeId(kind === 'mesh' ? 'G' : 'P', unit.gearsets);
  const ports = kind === 'mesh' ? ['first', 'second'] : ['sun', 'carrier', 'ring'];
  let next = unit;
  const at: Record<string, string> = {};
  for (const port of ports) {
    const added = addMember(next, nameOf(port, id));
    next = added.unit;
    at[port] = added.id;
  }
  const set = {
    id,
    kind,
    ...at,
    teeth: { ...FIRST_TEETH[kind] },
    ...(kind === 'single-pinion' ? { pinions: 4 } : kind === 'double-pinion' ? { pinions: 3 } : {}),
  } as unknown as GearSet;
  return { ...next, gearsets: [...next.gearsets, set] };
}

export const changeGearSet = (unit: Unit, index: number, set: GearSet): Unit => ({
  ...unit,
  gearsets: unit.gearsets.with(index, set),
});

/** Takes a gear set out, with the members that nothing else ties. */
export function removeGearSet(unit: Unit, index: number): Unit {
  const gone = unit.gearsets[index]!;
  const left = { ...unit, gearsets: unit.gearsets.filter((_g, k) => k !== index) };
  const loose = portsOf(gone)
    .map((p) => p.member)
    .filter((m) => m !== left.input && m !== left.output && tiesOf(left, m).length === 0);
  return loose.reduce(removeMember, left);
}

const STEMS: Readonly<Record<ElementKind, string>> = {
  clutch: 'C',
  dog: 'D',
  brake: 'B',
  band: 'B',
  'one-way': 'F',
};

export const isGrounded = (kind: ElementKind): boolean => kind === 'brake' || kind === 'band';

export function addElement(unit: Unit, kind: ElementKind, name: string): Unit {
  const id = freeId(STEMS[kind], unit.elements);
  const [a, b] = [unit.members[0]!.id, unit.members[1]!.id];
  const between: [string, string] = isGrounded(kind) || kind === 'one-way' ? [b, CASE] : [a, b];
  return { ...unit, elements: [...unit.elements, { id, name, kind, between }] };
}

/** A brake or band always works against the case; what becomes a clutch leaves it. */
export function withKind(unit: Unit, element: ShiftElement, kind: ElementKind): ShiftElement {
  const [a, b] = element.between;
  const live = a === CASE ? b : a;
  if (isGrounded(kind)) return { ...element, kind, between: [live, CASE] };
  if (kind === 'one-way' || (a !== CASE && b !== CASE)) return { ...element, kind };
  const other = unit.members.find((m) => m.id !== live)?.id ?? live;
  return { ...element, kind, between: [live, other] };
}

/** The element changed, in the chart too when its id is another or it is one that is never listed. */
export function changeElement(unit: Unit, index: number, element: ShiftElement): Unit {
  const before = unit.elements[index]!;
  const ranges = unit.ranges.map((range) => ({
    ...range,
    apply: range.apply
      .filter((id) => id !== before.id || element.kind !== 'one-way')
      .map((id) => (id === before.id ? element.id : id)),
  }));
  const next = { ...unit, elements: unit.elements.with(index, element), ranges };
  const side = isSleeveSide(element) ? element.id : null;
  return withSides(next, (id) => (id === before.id ? side : id));
}

/** Every sleeve with its sides named anew; one that is left without any goes. */
function withSides(unit: Unit, named: (id: string) => string | null): Unit {
  const { sleeves, ...rest } = unit;
  const left = (sleeves ?? []).flatMap((sleeve) => {
    const [a, b] = sleeve.sides.map((id) => id && named(id));
    return a || b ? [{ ...sleeve, sides: [a ?? null, b ?? null] as SleeveGroup['sides'] }] : [];
  });
  return left.length > 0 ? { ...rest, sleeves: left } : rest;
}

/** Dog clutches that could be the other side of an element's sleeve: those that lock to the same shaft. */
export const sleeveMates = ({ elements }: Unit, { id, between }: ShiftElement): ShiftElement[] =>
  elements.filter(
    (e) => e.id !== id && isSleeveSide(e) && e.between.some((m) => between.includes(m)),
  );

/** Both on one sleeve, or, without another, this one on none that is told of. */
export function shareSleeve(unit: Unit, element: ShiftElement, mate: ShiftElement | null): Unit {
  const apart = withSides(unit, (id) => (id === element.id || id === mate?.id ? null : id));
  if (!mate) return apart;
  const hub = element.between.find((m) => mate.between.includes(m)) ?? element.between[1];
  const sleeves = apart.sleeves ?? [];
  const sides: SleeveGroup['sides'] = [element.id, mate.id];
  return { ...apart, sleeves: [...sleeves, { id: freeId('H', sleeves), hub, sides }] };
}

/** Sleeves of one interlock are kept apart; without a name, nothing keeps this one. */
export const changeInterlock = (unit: Unit, sleeve: string, interlock: string): Unit => ({
  ...unit,
  sleeves: (unit.sleeves ?? []).map((s) => {
    if (s.id !== sleeve) return s;
    const { interlock: _before, ...rest } = s;
    return interlock === '' ? rest : { ...rest, interlock };
  }),
});

export function removeElement(unit: Unit, index: number): Unit {
  const { id } = unit.elements[index]!;
  const left = {
    ...unit,
    elements: unit.elements.filter((_e, k) => k !== index),
    ranges: unit.ranges.map((r) => ({ ...r, apply: r.apply.filter((a) => a !== id) })),
  };
  return withSides(left, (side) => (side === id ? null : side));
}

/** One more gear in the lever place that has most, after the last of them. */
export function addRange(unit: Unit): Unit {
  const count = (lever: string) => unit.ranges.filter((r) => r.lever === lever).length;
  const lever = unit.ranges.reduce(
    (best, r) => (count(r.lever) > count(best) ? r.lever : best),
    unit.ranges[0]?.lever ?? 'D',
  );
  const gear = String(count(lever) + 1);
  const id = rangeId(lever, gear, (taken) => unit.ranges.some((r) => r.id === taken));
  const at = unit.ranges.findLastIndex((r) => r.lever === lever) + 1;
  return { ...unit, ranges: unit.ranges.toSpliced(at, 0, { id, lever, gear, apply: [] }) };
}

export const changeRange = (unit: Unit, range: Range): Unit => ({
  ...unit,
  ranges: unit.ranges.map((r) => (r.id === range.id ? range : r)),
});

export const removeRange = (unit: Unit, id: string): Unit => ({
  ...unit,
  ranges: unit.ranges.filter((r) => r.id !== id),
});

/** The range one place up. */
export function raiseRange(unit: Unit, id: string): Unit {
  const at = unit.ranges.findIndex((r) => r.id === id);
  if (at < 1) return unit;
  const ranges = unit.ranges.with(at - 1, unit.ranges[at]!).with(at, unit.ranges[at - 1]!);
  return { ...unit, ranges };
}

/** One set, sun in, carrier out, ring on a brake: the least that drives. */
export function newUnit(id: string, words: (key: string) => string): Unit {
  return {
    format: 'fair-sprocket/unit',
    version: 1,
    id,
    name: words('name'),
    members: [
      { id: 'in', name: words('input') },
      { id: 'out', name: words('output') },
      { id: 'ring', name: words('ring') },
    ],
    input: 'in',
    output: 'out',
    gearsets: [
      {
        id: 'P1',
        kind: 'single-pinion',
        sun: 'in',
        carrier: 'out',
        ring: 'ring',
        teeth: { ...FIRST_TEETH['single-pinion'] },
        pinions: 4,
      },
    ],
    elements: [{ id: 'B1', name: words('brake'), kind: 'brake', between: ['ring', CASE] }],
    ranges: [
      { id: 'D1', lever: 'D', gear: '1', apply: ['B1'] },
      { id: 'N', lever: 'N', gear: 'N', apply: [] },
    ],
  };
}

/**
 * An edit of a unit as it was shown, carried over onto the unit as it is now: what is shown may be a keystroke behind.
 * @param next the shown unit, edited
 */
export function carriedOver(shown: Unit, next: Unit, now: Unit): Unit {
  const keys = new Set([...Object.keys(shown), ...Object.keys(next)]) as Set<keyof Unit>;
  const result = { ...now };
  for (const key of keys)
    if (!(key in next)) delete result[key];
    else if (next[key] !== shown[key]) Object.assign(result, { [key]: next[key] });
  return result;
}
