import {
  isSpool,
  linesOf,
  PAN,
  type HydraulicKind,
  type HydraulicPart,
  type HydraulicPlan,
} from '../hydraulics';
import { routed, type Wire } from './oilChannels';
import type { OilBox, OilPipe, OilPort } from './oilShapes';

/**
 * A hydraulic plan laid out from its document alone: pump at the bottom, elements on top, oil upward between them. Parts stand in
 * rows by their kind and in the order of the document, so that one which is added at the end moves none of the others
 * sideways; passages run in channels between the rows.
 */
export interface OilLayout {
  readonly width: number;
  readonly height: number;
  readonly parts: readonly OilBox[];
  readonly lines: readonly OilPipe[];
}

/** Rows from the top; parts that follow each other in a chain take more of them. */
const ROW: Readonly<Record<HydraulicKind, number | null>> = {
  piston: 0,
  accumulator: 0,
  feed: 1,
  solenoid: 2,
  shuttle: 2,
  'lock-up-clutch': 0,
  'shift-valve': 3,
  'lock-up-valve': 3,
  'pressure-switch': 4,
  'manual-valve': 4,
  governor: 4,
  'kick-down-valve': 4,
  'throttle-valve': 4,
  pump: 5,
  regulator: 5,
  relief: 5,
  restriction: 5,
  control: null,
};
const SIZE: Readonly<Record<HydraulicKind, readonly [number, number]>> = {
  piston: [80, 44],
  accumulator: [36, 44],
  feed: [44, 18],
  solenoid: [96, 34],
  shuttle: [52, 20],
  'lock-up-clutch': [132, 44],
  'shift-valve': [150, 42],
  'lock-up-valve': [150, 42],
  'pressure-switch': [60, 30],
  'manual-valve': [200, 40],
  governor: [96, 40],
  'kick-down-valve': [116, 40],
  'throttle-valve': [108, 40],
  pump: [84, 44],
  regulator: [136, 44],
  relief: [94, 40],
  restriction: [96, 40],
  control: [0, 0],
};
const GAP = 16;
const MARGIN = 14;
/** Between neighbouring ports of one side. */
const PORT_EVERY = 16;
const EDGE = 10;

interface Standing {
  readonly part: HydraulicPart;
  readonly row: number;
  x: number;
  readonly width: number;
  readonly height: number;
}

export function oilLayout(plan: HydraulicPlan): OilLayout {
  const rows = rowsOf(plan);
  const standing = rows.flatMap((parts, row) => parts.map((part) => boxOf(part, row)));
  const byId = new Map(standing.map((s) => [s.part.id, s]));
  placeColumns(plan, byId);
  rows.forEach((parts) => apart(parts.map((p) => byId.get(p.id)!)));
  const width = Math.max(0, ...standing.map((s) => s.x + s.width)) + MARGIN;
  const heights = rows.map((parts) => Math.max(0, ...parts.map((p) => byId.get(p.id)!.height)));
  const ports = clearOfEachOther(
    standing,
    new Map(standing.map((s) => [s.part.id, portsOf(s, standing)])),
  );
  const wires = plan.lines.map(({ id }): Wire => ({
    id,
    ports: standing.flatMap((s) =>
      ports
        .get(s.part.id)!
        .filter((p) => p.line === id)
        .map((p) => ({
          part: s.part.id,
          x: p.x,
          channel: p.side === 'top' ? s.row : s.row + 1,
          side: p.side,
          inset: (heights[s.row]! - s.height) / 2,
        })),
    ),
  }));
  const blocks = rows.map((parts) =>
    parts.map((p): readonly [number, number] => {
      const { x, width: across } = byId.get(p.id)!;
      return [x, x + across];
    }),
  );
  const { pipes, tops, height } = routed(wires, blocks, heights, width);
  return {
    width,
    height,
    parts: standing.map((s) => ({
      id: s.part.id,
      kind: s.part.kind,
      x: s.x,
      y: tops[s.row]! + (heights[s.row]! - s.height) / 2,
      width: s.width,
      height: s.height,
      ports: ports.get(s.part.id)!,
    })),
    lines: pipes,
  };
}

const boxOf = (part: HydraulicPart, row: number): Standing => {
  const [width, height] = SIZE[part.kind];
  const ports = Math.max(1, linesOf(part).filter((l) => l !== PAN).length);
  const needed = isSpool(part) || part.kind === 'manual-valve' ? 2 * EDGE + PORT_EVERY * ports : 0;
  return { part, row, x: 0, width: Math.max(width, needed), height };
};

/** Parts row by row; shuttles in a chain stand above each other. */
function rowsOf(plan: HydraulicPlan): HydraulicPart[][] {
  const makers = new Map(
    plan.parts.flatMap((p) =>
      p.kind === 'shuttle' || p.kind === 'solenoid' ? [[p.to, p] as const] : [],
    ),
  );
  const depthOf = (part: HydraulicPart, seen: readonly string[] = []): number => {
    if (part.kind !== 'shuttle' && part.kind !== 'solenoid') return 0;
    if (seen.includes(part.id)) return 0;
    const before = (part.kind === 'shuttle' ? [part.first, part.second] : [part.from]).flatMap(
      (l) => makers.get(l) ?? [],
    );
    return 1 + Math.max(0, ...before.map((p) => depthOf(p, [...seen, part.id])));
  };
  const deepest = Math.max(1, ...plan.parts.map((p) => depthOf(p)));
  const rows: HydraulicPart[][] = Array.from({ length: 5 + deepest }, () => []);
  for (const part of plan.parts) {
    const row = ROW[part.kind];
    if (row === null) continue;
    // The last of a chain is the nearest to its feed.
    const at = row < 2 ? row : row === 2 ? 2 + deepest - depthOf(part) : row + deepest - 1;
    rows[at]!.push(part);
  }
  return rows;
}

/** Every element is a column: piston, accumulator beside it, feed and what feeds that below. The rest in a row of its own. */
function placeColumns(plan: HydraulicPlan, byId: ReadonlyMap<string, Standing>): void {
  const feeding = new Map<string, number>();
  let x = MARGIN;
  for (const part of plan.parts) {
    if (part.kind !== 'piston') continue;
    const piston = byId.get(part.id)!;
    piston.x = x;
    const middle = x + piston.width / 2;
    feeding.set(part.line, middle);
    x += piston.width + 4;
    for (const other of plan.parts) {
      if (other.kind !== 'accumulator' || other.line !== part.line) continue;
      const box = byId.get(other.id)!;
      box.x = x;
      x += box.width + 4;
    }
    x += GAP;
  }
  for (const part of plan.parts) {
    if (part.kind !== 'lock-up-clutch') continue;
    const clutch = byId.get(part.id)!;
    clutch.x = x;
    // What gives its valve the signal stands below it.
    for (const valve of plan.parts)
      if (valve.kind === 'lock-up-valve') feeding.set(valve.governor.line, x + clutch.width / 2);
    x += clutch.width + GAP;
  }
  const columns = x;
  // Downward from the piston, each over what feeds it.
  for (let again = true; again;) {
    again = false;
    for (const part of plan.parts) {
      if (part.kind !== 'feed' && part.kind !== 'shuttle' && part.kind !== 'solenoid') continue;
      const at = feeding.get(part.to);
      const box = byId.get(part.id)!;
      if (at === undefined || box.x > 0) continue;
      box.x = Math.max(MARGIN, at - box.width / 2);
      const from = part.kind === 'shuttle' ? [part.first, part.second] : [part.from];
      for (const l of from) if (!feeding.has(l)) feeding.set(l, at);
      again = true;
    }
  }
  // Valves and supply: left to right in the order of the document, spread under the columns.
  for (const kinds of SPREAD) {
    const boxes = plan.parts.filter((p) => kinds.includes(p.kind)).map((p) => byId.get(p.id)!);
    const taken = boxes.reduce((sum, b) => sum + b.width, 0);
    const gap = Math.max(
      GAP,
      Math.min(MOST_GAP, (columns - MARGIN - taken) / Math.max(1, boxes.length)),
    );
    let at = MARGIN;
    for (const box of boxes) {
      box.x = at;
      at += box.width + gap;
    }
  }
}
const MOST_GAP = 70;
const SPREAD: readonly (readonly HydraulicKind[])[] = [
  ['shift-valve', 'lock-up-valve'],
  ['manual-valve', 'governor', 'kick-down-valve', 'throttle-valve', 'pressure-switch'],
  ['pump', 'regulator', 'relief', 'restriction'],
];

/** Boxes of one row moved to the right until none lies on another. */
function apart(boxes: readonly Standing[]): void {
  let end = MARGIN;
  for (const box of boxes.toSorted((a, b) => a.x - b.x)) {
    box.x = Math.round(Math.max(box.x, end));
    end = box.x + box.width + 4;
  }
}

/** Where passages meet a part: on the side that their other ends are on. */
function portsOf(at: Standing, all: readonly Standing[]): OilPort[] {
  const lines = [...new Set(linesOf(at.part))].filter((l) => l !== PAN);
  const sideOf = (line: string): OilPort['side'] => {
    const others = all.filter((s) => s !== at && linesOf(s.part).includes(line));
    const above = others.filter((s) => s.row < at.row).length;
    const below = others.filter((s) => s.row > at.row).length;
    if (above === 0 && below === 0) return at.row === 0 ? 'bottom' : 'top';
    if (above > 0 && below > 0) return outlets(at.part).includes(line) ? 'top' : 'bottom';
    return above > 0 ? 'top' : 'bottom';
  };
  const sided = lines.map((line) => ({ line, side: sideOf(line) }));
  return (['top', 'bottom'] as const).flatMap((side) => {
    const here = sided.filter((s) => s.side === side);
    const every = Math.min(PORT_EVERY * 2, (at.width - 2 * EDGE) / Math.max(1, here.length - 1));
    const first = at.x + at.width / 2 - (every * (here.length - 1)) / 2;
    return here.map((s, k) => ({ ...s, x: Math.round(first + every * k) }));
  });
}

/** Upper ports of a row moved a little until none stands under a lower port of another passage: both would lie on each other. */
function clearOfEachOther(
  standing: readonly Standing[],
  ports: Map<string, OilPort[]>,
): Map<string, OilPort[]> {
  const all = (row: number, side: OilPort['side']) =>
    standing
      .filter((s) => s.row === row)
      .flatMap((s) => ports.get(s.part.id)!.filter((p) => p.side === side));
  for (const at of standing) {
    const above = all(at.row - 1, 'bottom');
    const mine = ports.get(at.part.id)!;
    mine.forEach((port, k) => {
      if (port.side !== 'top') return;
      const clear = (x: number) =>
        x >= at.x + 3 &&
        x <= at.x + at.width - 3 &&
        above.every((p) => p.line === port.line || Math.abs(p.x - x) >= CLEAR) &&
        mine.every((p, n) => n === k || p.side !== 'top' || Math.abs(p.x - x) >= CLEAR);
      const x = NUDGES.map((by) => port.x + by).find(clear);
      if (x !== undefined) mine[k] = { ...port, x };
    });
  }
  return ports;
}
const CLEAR = 8;
const NUDGES = [0, 2, -2, 4, -4, 6, -6, 8, -8, 10, -10, 12, -12, 14, -14];

const outlets = (part: HydraulicPart): string[] => {
  if (isSpool(part)) return [...part.up, ...part.down].map((w) => w.to);
  if (part.kind === 'manual-valve') return part.places.flatMap((p) => p.opens);
  return 'to' in part ? [part.to] : [];
};
