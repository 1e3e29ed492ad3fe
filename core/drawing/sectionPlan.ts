import { CASE, type GearSet, type ShiftElement, type Unit } from '../geartrain';

/**
 * Where everything goes in a section drawing of a unit (derived here). Gear sets are columns; between and
 * beside them are gaps. In a gap each member present has one riser; it meets a column at a port of its own,
 * or passes it below (shaft in hollow shaft) or above (drum). Clutches stand in a gap between two risers,
 * brakes run up to the case. A plan is the order of columns, the gap of each element, and below or above
 * for each pass; a deterministic search takes the plan with the fewest crossings, then the shortest.
 */
export interface SectionPlan {
  /** Gear sets from left to right. */
  readonly columns: readonly GearSet[];
  /** Gap of each element, by id; gap k stands left of column k. */
  readonly gapOf: Readonly<Record<string, number>>;
  /** Members that pass a column above it, as `MEMBER@COLUMN`; others pass below. */
  readonly above: ReadonlySet<string>;
  /**
   * Ports met from one side only, as `MEMBER@COLUMN`: a member that goes on past such a column runs below or
   * above it (an output shaft under a carrier that is splined to it). Other ports open to both sides.
   */
  readonly side: Readonly<Record<string, 'left' | 'right'>>;
  /** Gear pairs drawn with their second gear below. */
  readonly flipped: ReadonlySet<string>;
}

/** A plan with what follows from it at once. */
export interface Planned {
  readonly plan: SectionPlan;
  readonly spans: ReadonlyMap<string, readonly [number, number]>;
  readonly levels: Levels;
}

/** Heights in a section, from the centreline (0) up. */
export interface Levels {
  /** Lane of each member that passes below or starts at a shaft end. */
  readonly lowLane: ReadonlyMap<string, number>;
  readonly highLane: ReadonlyMap<string, number>;
  readonly low: number;
  readonly middle: number;
  readonly high: number;
  readonly top: number;
}

export interface Riser {
  readonly member: string;
  /** Heights at which it leaves to the left and to the right. */
  readonly left: readonly number[];
  readonly right: readonly number[];
  readonly grounded: readonly ShiftElement[];
  readonly clutches: readonly ShiftElement[];
}

export type PortPlace = 'low' | 'middle' | 'high';

/** The members at a column's ports and how high each stands. */
export function portPlaces(
  set: GearSet,
  flipped: ReadonlySet<string>,
): { member: string; place: PortPlace }[] {
  if (set.kind === 'mesh') {
    const [low, high] = flipped.has(set.id) ? [set.second, set.first] : [set.first, set.second];
    return [
      { member: low, place: 'low' },
      { member: high, place: 'high' },
    ];
  }
  return [
    { member: set.sun, place: 'low' },
    { member: set.carrier, place: 'middle' },
    { member: set.ring, place: 'high' },
  ];
}

/** Gear pairs to turn over, so that a shaft stays on one height where it can: the input's below. */
export function flippedPairs(unit: Unit): Set<string> {
  const place = new Map<string, 'low' | 'high'>([[unit.input, 'low']]);
  const flipped = new Set<string>();
  for (const set of unit.gearsets) {
    if (set.kind !== 'mesh') continue;
    const [first, second] = [place.get(set.first), place.get(set.second)];
    const turn = first === 'high' || (first === undefined && second === 'low');
    if (turn) flipped.add(set.id);
    if (first === undefined) place.set(set.first, turn ? 'high' : 'low');
    if (second === undefined) place.set(set.second, turn ? 'low' : 'high');
  }
  return flipped;
}

export const isGrounded = (element: ShiftElement): boolean => element.between.includes(CASE);

/** The member of an element that is not the case. */
export const liveMember = (element: ShiftElement): string =>
  element.between[0] === CASE ? element.between[1] : element.between[0];

/** First and last gap in which each member is present. */
function extents(unit: Unit, plan: SectionPlan): Map<string, [number, number]> {
  const spans = new Map<string, number[]>();
  const need = (member: string, gap: number) => {
    if (member === CASE) return;
    const list = spans.get(member) ?? [];
    list.push(gap);
    spans.set(member, list);
  };
  need(unit.input, 0);
  need(unit.output, plan.columns.length);
  for (const element of unit.elements)
    for (const member of element.between) need(member, plan.gapOf[element.id] ?? 0);
  const result = new Map<string, [number, number]>();
  for (const { id } of unit.members) {
    const gaps = spans.get(id) ?? [];
    const open: number[] = [];
    plan.columns.forEach((set, c) => {
      if (!portPlaces(set, plan.flipped).some((p) => p.member === id)) return;
      const side = plan.side[`${id}@${c}`];
      if (side) gaps.push(side === 'left' ? c : c + 1);
      else open.push(c);
    });
    const only = open[0];
    if (gaps.length === 0 && only !== undefined) gaps.push(open.length > 1 ? only + 1 : only);
    if (gaps.length === 0) continue;
    // An open port is met from whichever side is nearer.
    let [from, to] = [Math.min(...gaps), Math.max(...gaps)];
    for (const c of open) {
      if (c + 1 < from) from = c + 1;
      if (c > to) to = c;
    }
    result.set(id, [from, to]);
  }
  return result;
}

/** A member that spans a column and has no port there that opens to both sides. */
export const runsPast = (plan: SectionPlan, member: string, column: number): boolean =>
  plan.side[`${member}@${column}`] !== undefined ||
  !portPlaces(plan.columns[column]!, plan.flipped).some((p) => p.member === member);

/** Columns that a member runs past below or above. */
function passes(unit: Unit, plan: SectionPlan, spans: Planned['spans']) {
  return unit.members.flatMap(({ id }) => {
    const span = spans.get(id);
    if (!span) return [];
    const columns: number[] = [];
    for (let c = span[0]; c < span[1]; c++) if (runsPast(plan, id, c)) columns.push(c);
    return columns.map((column) => ({ member: id, column }));
  });
}

export function planned(unit: Unit, plan: SectionPlan): Planned {
  const spans = extents(unit, plan);
  return { plan, spans, levels: levelsOf(unit, plan, spans) };
}

function levelsOf(unit: Unit, plan: SectionPlan, spans: Planned['spans']): Levels {
  const low = new Set<string>([unit.input, unit.output]);
  const high = new Set<string>();
  for (const { member, column } of passes(unit, plan, spans))
    (plan.above.has(`${member}@${column}`) ? high : low).add(member);
  // The input and the output shaft lie lowest; they may share a lane where they never meet.
  const others = [...low].filter((m) => m !== unit.input && m !== unit.output);
  const meet = (spans.get(unit.input)?.[1] ?? 0) >= (spans.get(unit.output)?.[0] ?? 0);
  const lowLane = new Map<string, number>([
    [unit.input, 1],
    [unit.output, meet ? 2 : 1],
  ]);
  others.forEach((member, k) => lowLane.set(member, (meet ? 3 : 2) + k));
  const base = Math.max(...lowLane.values()) + 2;
  const highLane = new Map([...high].map((member, k) => [member, base + 6 + k]));
  return {
    lowLane,
    highLane,
    low: base,
    middle: base + 2,
    high: base + 4,
    top: base + 7 + high.size,
  };
}

/** Ports of neighbouring columns lie this much apart in height, so that no two members share a line. */
const STAGGER = 0.15;

/** The risers of one gap. */
export function risersOf(unit: Unit, { plan, spans, levels }: Planned, gap: number): Riser[] {
  const lane = (member: string, column: number): number | undefined =>
    plan.above.has(`${member}@${column}`)
      ? levels.highLane.get(member)
      : levels.lowLane.get(member);
  /** Place of the member's port at a column, seen from one side. */
  const portAt = (member: string, column: number, from: 'left' | 'right') => {
    const set = plan.columns[column];
    const side = plan.side[`${member}@${column}`];
    if (!set || (side && side !== from)) return undefined;
    return portPlaces(set, plan.flipped).find((p) => p.member === member)?.place;
  };
  return unit.members.flatMap(({ id }) => {
    const span = spans.get(id);
    if (!span || gap < span[0] || gap > span[1]) return [];
    const [leftPort, rightPort] = [portAt(id, gap - 1, 'right'), portAt(id, gap, 'left')];
    const straight = leftPort !== undefined && leftPort === rightPort;
    const left: number[] = [];
    const right: number[] = [];
    if (leftPort) left.push(levels[leftPort] - (straight ? 0 : STAGGER));
    if (gap > span[0] && runsPast(plan, id, gap - 1)) left.push(lane(id, gap - 1)!);
    if (rightPort) right.push(levels[rightPort] + (straight ? 0 : STAGGER));
    if (gap < span[1] && runsPast(plan, id, gap)) right.push(lane(id, gap)!);
    if (id === unit.input && gap === 0) left.push(levels.lowLane.get(id)!);
    if (id === unit.output && gap === plan.columns.length) right.push(levels.lowLane.get(id)!);
    const here = unit.elements.filter((e) => plan.gapOf[e.id] === gap && e.between.includes(id));
    return [
      {
        member: id,
        left,
        right,
        grounded: here.filter(isGrounded),
        clutches: here.filter((e) => !isGrounded(e)),
      },
    ];
  });
}
