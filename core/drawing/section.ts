import { CASE, type GearSet, type ShiftElement, type Unit } from '../geartrain';
import { orderGap, type GapOrder } from './sectionGap';
import {
  liveMember,
  portPlaces,
  risersOf,
  runsPast,
  type Planned,
  type Riser,
} from './sectionPlan';
import { labelPlace } from './sectionLabels';
import { searchPlan, type Effort } from './sectionSearch';
import type { SectionDrawing, SectionElement, SectionGear, SectionLine } from './sectionShapes';

/**
 * The section drawing of a unit as plain geometry: upper half, centreline below, case above. Lengths are
 * drawing units, y points down. A member is one connected set of lines; where two members must cross, the
 * horizontal line is bridged.
 */
const UNIT = 26;
const SLOT = 62;
/** Between two risers that nothing stands at. */
const BARE_SLOT = 30;
const PAD = 20;
const EMPTY_GAP = 44;
const COLUMN = 76;
const GEAR = 46;
const MARGIN = 108;
/** Brakes take this much below the case. */
const BRAKE_ROOM = 1.7;

/** @param keep `columns` of the drawing before, when the unit has only been changed */
export function sectionDrawing(
  unit: Unit,
  keep: readonly string[] = [],
  effort: Effort = 'best',
): SectionDrawing {
  const { planned, crossings } = searchPlan(unit, keep, effort);
  const { plan, levels } = planned;
  const height = (levels.top + 2.6) * UNIT;
  const y = (level: number) => height - (level + 0.6) * UNIT;
  const gaps = Array.from({ length: plan.columns.length + 1 }, (_, gap) =>
    orderGap(risersOf(unit, planned, gap), levels),
  );
  const sheet: Draft = { lines: [], gears: [], elements: [] };
  let x = MARGIN;
  gaps.forEach((gap, k) => {
    const width = widthOf(gap);
    drawGap(sheet, gap, planned, { left: x, right: x + width, y });
    x += width;
    const set = plan.columns[k];
    if (!set) return;
    drawColumn(sheet, unit, set, k, planned, x, y);
    x += COLUMN;
  });
  const lane = (member: string) => y(levels.lowLane.get(member)!);
  const input = { x: 0, y: lane(unit.input) };
  const output = { x: x + MARGIN, y: lane(unit.output) };
  line(sheet, unit.input, 0, input.y, MARGIN, input.y);
  line(sheet, unit.output, x, output.y, output.x, output.y);
  const caseY = y(levels.top);
  return {
    lines: sheet.lines,
    gears: sheet.gears,
    elements: sheet.elements.map((e) => ({ ...e, labelY: labelPlace(e, sheet, caseY) })),
    width: x + MARGIN,
    height,
    caseY,
    centreY: y(0),
    input,
    output,
    crossings,
    columns: plan.columns.map((set) => set.id),
  };
}

type DraftElement = Omit<SectionElement, 'labelY'>;

interface Draft {
  lines: SectionLine[];
  gears: SectionGear[];
  elements: DraftElement[];
}

function line(sheet: Draft, member: string, x1: number, y1: number, x2: number, y2: number): void {
  if (x1 !== x2 || y1 !== y2) sheet.lines.push({ member, x1, y1, x2, y2 });
}

/** Where each riser of a gap stands, from its first, and how far the last of what stands at them reaches. */
function standing({ order }: GapOrder): { at: ReadonlyMap<string, number>; reach: number } {
  const at = new Map<string, number>();
  let reach = 0;
  order.forEach((riser, k) => {
    if (k > 0) reach += isBare(order, k) ? BARE_SLOT : SLOT;
    at.set(riser.member, reach);
    reach += Math.max(0, riser.grounded.length - 1) * SLOT;
  });
  return { at, reach };
}

/** Nothing holds this riser or the one to its left, and no clutch's sign stands between: it stands beside the left one of its two. */
function isBare(order: readonly Riser[], k: number): boolean {
  const [left, right] = [order[k - 1]!, order[k]!];
  const earlier = order.slice(0, k - 1).flatMap((r) => r.clutches);
  return (
    left.grounded.length + right.grounded.length === 0 &&
    left.clutches.every((c) => earlier.includes(c))
  );
}

function widthOf(gap: GapOrder): number {
  return gap.order.length === 0 ? EMPTY_GAP : 2 * PAD + standing(gap).reach + 1;
}

interface GapFrame {
  left: number;
  right: number;
  y: (level: number) => number;
}

function drawGap(sheet: Draft, gap: GapOrder, { levels }: Planned, frame: GapFrame): void {
  const { left, right, y } = frame;
  const at = new Map([...standing(gap).at].map(([member, x]) => [member, left + PAD + x]));
  for (const riser of gap.order) {
    const x = at.get(riser.member)!;
    const brakeLevel = levels.top - BRAKE_ROOM;
    const clutchHeights = riser.clutches.map((c) => gap.clutchHeight.get(c.id)!);
    const heights = [...riser.left, ...riser.right, ...clutchHeights];
    const ends = riser.grounded.length > 0 ? [...heights, brakeLevel] : heights;
    const from = Math.min(...ends);
    const to = Math.max(...ends);
    line(sheet, riser.member, x, y(from), x, y(to));
    for (const h of riser.left) line(sheet, riser.member, left, y(h), x, y(h));
    for (const h of riser.right) line(sheet, riser.member, x, y(h), right, y(h));
    riser.grounded.forEach((element, k) => {
      const place = x + k * SLOT;
      if (k > 0) line(sheet, riser.member, place - SLOT, y(brakeLevel), place, y(brakeLevel));
      sheet.elements.push({
        id: element.id,
        kind: element.kind,
        grounded: true,
        x: place,
        y: (y(brakeLevel) + y(levels.top)) / 2,
        firstAtLeft: liveMember(element) === element.between[0],
      });
    });
  }
  for (const clutch of new Set(gap.order.flatMap((r) => r.clutches)))
    drawClutch(sheet, clutch, at, y(gap.clutchHeight.get(clutch.id)!));
}

/** Half the room a clutch's sign takes between its two risers. */
const CLUTCH_HALF = 13;

function drawClutch(
  sheet: Draft,
  clutch: ShiftElement,
  at: ReadonlyMap<string, number>,
  y: number,
): void {
  const [first, second] = clutch.between;
  const [a, b] = [at.get(first)!, at.get(second)!];
  // Always between the left riser and its neighbour, so that no other riser runs through the sign.
  const x = Math.min(a, b) + SLOT / 2;
  const half = a < b ? CLUTCH_HALF : -CLUTCH_HALF;
  line(sheet, first, a, y, x - half, y);
  line(sheet, second, x + half, y, b, y);
  sheet.elements.push({
    id: clutch.id,
    kind: clutch.kind,
    grounded: false,
    x,
    y,
    firstAtLeft: a < b,
  });
}

function drawColumn(
  sheet: Draft,
  unit: Unit,
  set: GearSet,
  column: number,
  planned: Planned,
  left: number,
  y: (level: number) => number,
): void {
  const { plan, spans, levels } = planned;
  const right = left + COLUMN;
  const middle = left + COLUMN / 2;
  gearsOf(sheet, set, planned, middle, y);
  for (const { id } of unit.members) {
    const span = spans.get(id);
    if (!span) continue;
    const port = portPlaces(set, plan.flipped).find((p) => p.member === id);
    const side = plan.side[`${id}@${column}`];
    const across = span[0] <= column && span[1] > column;
    if (across && runsPast(plan, id, column)) {
      const lanes = plan.above.has(`${id}@${column}`) ? levels.highLane : levels.lowLane;
      const height = y(lanes.get(id)!);
      line(sheet, id, left, height, right, height);
    }
    if (!port) continue;
    // A carrier's line runs to the pins in the middle, a gear's to its flank.
    const edge = port.place === 'middle' ? 0 : GEAR / 2;
    const level = (from: 'left' | 'right') => {
      const riser = risersOf(unit, planned, from === 'left' ? column : column + 1).find(
        (r) => r.member === id,
      );
      const heights = (from === 'left' ? riser?.right : riser?.left) ?? [];
      return heights.find((h) => Math.abs(h - levels[port.place]) < 0.5);
    };
    const [atLeft, atRight] = [level('left'), level('right')];
    if (atLeft !== undefined && side !== 'right')
      line(sheet, id, left, y(atLeft), middle - edge, y(atLeft));
    if (atRight !== undefined && side !== 'left')
      line(sheet, id, middle + edge, y(atRight), right, y(atRight));
    if (port.place === 'middle' && atLeft !== undefined && atRight !== undefined)
      line(sheet, id, middle, y(atLeft), middle, y(atRight));
  }
  const fixed = portPlaces(set, plan.flipped).find((p) => p.member === CASE);
  if (fixed) {
    // A port on the case runs out to the nearest ground beside it.
    const height = y(levels[fixed.place]);
    line(sheet, CASE, middle + GEAR / 2, height, right - 12, height);
  }
}

function gearsOf(
  sheet: Draft,
  set: GearSet,
  { plan, levels }: Planned,
  middle: number,
  y: (level: number) => number,
): void {
  const box = (
    port: SectionGear['port'],
    member: string | null,
    level: number,
    half: number,
    teeth: number | null,
  ) =>
    sheet.gears.push({
      set: set.id,
      port,
      member,
      x: middle - GEAR / 2,
      y: y(level + half),
      width: GEAR,
      height: 2 * half * UNIT,
      teeth,
    });
  if (set.kind === 'mesh') {
    const turned = plan.flipped.has(set.id);
    box('first', set.first, turned ? levels.high - 0.1 : levels.low + 0.1, 1.85, set.teeth.first);
    box(
      'second',
      set.second,
      turned ? levels.low + 0.1 : levels.high - 0.1,
      1.85,
      set.teeth.second,
    );
    return;
  }
  box('sun', set.sun, levels.low, 0.72, set.teeth.sun);
  box('ring', set.ring, levels.high, 0.72, set.teeth.ring);
  if (set.kind === 'single-pinion')
    box('pinion', null, levels.middle, 1.15, set.teeth.pinion ?? null);
  else {
    box('pinion', null, levels.middle - 0.6, 0.56, set.teeth.inner ?? null);
    box('pinion', null, levels.middle + 0.6, 0.56, set.teeth.outer ?? null);
  }
}
