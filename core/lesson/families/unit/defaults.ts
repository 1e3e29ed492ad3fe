import { solveUnit, type Unit } from '../../../geartrain';
import type { UnitQuestion } from './kinds';

/** A question about a unit, asking of its first range that drives. */
export function newUnitQuestion(kind: UnitQuestion['kind'], unit: Unit): UnitQuestion {
  const base = { prompt: '', unit: unit.id };
  const driving = unit.ranges.filter((r) => solveUnit(unit, r.apply).outcome === 'drives');
  const range = (driving[0] ?? unit.ranges[0])?.id ?? '';
  switch (kind) {
    case 'fill-chart':
      return { ...base, kind, ranges: driving.map((r) => r.id), given: [] };
    case 'row-outcome':
      return {
        ...base,
        kind,
        apply: driving[0]?.apply ?? [],
        load: 'drive',
        tolerance: { kind: 'percent', value: 2 },
      };
    case 'trace-path':
    case 'reaction':
    case 'drive-or-coast':
      return { ...base, kind, range };
  }
}
