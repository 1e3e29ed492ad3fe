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
export function portFlows(ports: readonly Port[], into: Float64Array): Map<string, number> {
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
  const flows = new Map<string, number>();
  for (const { part, from, to, way } of edges.toReversed()) {
    const through = -rest[to]!;
    rest[from]! -= through;
    flows.set(part, (flows.get(part) ?? 0) + way * through);
  }
  return flows;
}
