import type { Passing } from '../hydraulics';
import type { OilLayout } from './oilPlan';
import type { OilPipe } from './oilShapes';

/** A straight piece of a passage with what flows along it, m³/s from its first end to the other. */
export interface FlowingPiece {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly flow: number;
}

/**
 * What flows along every piece of every passage: known at the ports, and between them by what each junction passes on. Where
 * passages close a ring, one of its pieces is taken to be still.
 */
export function oilFlows(
  layout: OilLayout,
  passing: readonly Passing[],
): ReadonlyMap<string, readonly FlowingPiece[]> {
  return new Map(layout.lines.map((pipe) => [pipe.id, alongPipe(pipe, layout, passing)]));
}

function alongPipe(pipe: OilPipe, layout: OilLayout, passing: readonly Passing[]): FlowingPiece[] {
  const edges = splitAtJunctions(pipe);
  const key = ([x, y]: readonly [number, number]) => `${x} ${y}`;
  const into = new Map<string, number>();
  for (const box of layout.parts)
    for (const port of box.ports) {
      if (port.line !== pipe.id) continue;
      const end = pipe.ends.find((e) => e.part === box.id);
      if (!end) continue;
      const flow = passing.reduce((sum, p) => {
        if (p.part !== box.id || p.from === p.to) return sum;
        return sum + (p.to === pipe.id ? p.flow : p.from === pipe.id ? -p.flow : 0);
      }, 0);
      const at = key([end.x, end.y]);
      into.set(at, (into.get(at) ?? 0) + flow);
    }
  const degree = new Map<string, number>();
  for (const e of edges)
    for (const end of [e.from, e.to]) degree.set(key(end), (degree.get(key(end)) ?? 0) + 1);
  const left = new Set(edges);
  const flows = new Map<(typeof edges)[number], number>();
  for (let again = true; again;) {
    again = false;
    for (const e of left) {
      const leaf =
        degree.get(key(e.from)) === 1 ? e.from : degree.get(key(e.to)) === 1 ? e.to : null;
      if (!leaf) continue;
      const other = leaf === e.from ? e.to : e.from;
      const gives = into.get(key(leaf)) ?? 0;
      flows.set(e, leaf === e.from ? gives : -gives);
      into.set(key(other), (into.get(key(other)) ?? 0) + gives);
      for (const end of [e.from, e.to]) degree.set(key(end), degree.get(key(end))! - 1);
      left.delete(e);
      again = true;
    }
  }
  return edges.map((e) => ({ ...e, flow: flows.get(e) ?? 0 }));
}

/** Pieces cut where others meet them. */
function splitAtJunctions({ pieces }: OilPipe) {
  const points = pieces.flatMap(([x1, y1, x2, y2]): [number, number][] => [
    [x1, y1],
    [x2, y2],
  ]);
  return pieces.flatMap(([x1, y1, x2, y2]) => {
    const on = points.filter(
      ([x, y]) =>
        (y1 === y2 && y === y1 && x >= Math.min(x1, x2) && x <= Math.max(x1, x2)) ||
        (x1 === x2 && x === x1 && y >= Math.min(y1, y2) && y <= Math.max(y1, y2)),
    );
    const along = [...new Map(on.map((p) => [`${p[0]} ${p[1]}`, p])).values()].toSorted(
      (a, b) => a[0] - b[0] || a[1] - b[1],
    );
    return along.slice(1).map((to, k) => ({ from: along[k]!, to }));
  });
}
