/** A wide-open port between two passages, by their numbers; below zero for the pan. */
interface Port {
  readonly part: string;
  readonly from: number;
  readonly to: number;
}

/**
 * m³/s through ports that are wide open: what each passage behind them takes, summed from the ends towards the source. Where
 * two ways lead to one passage, the first is taken to carry all of it.
 * @param into m³/s that comes into each passage by all else
 */
export function portFlows(
  ports: readonly Port[],
  into: Float64Array,
): (Port & { readonly flow: number })[] {
  const rest = Float64Array.from(into);
  const used = new Set<number>();
  const reached = new Set<number>();
  const edges: (Port & { readonly way: 1 | -1 })[] = [];
  // A spanning forest, roots first.
  const grow = (line: number): void => {
    reached.add(line);
    ports.forEach((port, k) => {
      if (used.has(k)) return;
      const other = port.from === line ? port.to : port.to === line ? port.from : null;
      if (other === null || other < 0 || reached.has(other)) return;
      used.add(k);
      edges.push({ part: port.part, from: line, to: other, way: port.from === line ? 1 : -1 });
      grow(other);
    });
  };
  for (const { from } of ports) if (from >= 0 && !reached.has(from)) grow(from);
  return edges.toReversed().map(({ part, from, to, way }) => {
    const flow = -rest[to]!;
    rest[from]! -= flow;
    return way > 0 ? { part, from, to, flow } : { part, from: to, to: from, flow: -flow };
  });
}
