import type { Unit } from '../geartrain';
import { DRIVE_SYMPTOMS, drivingOf, type Driving, type SymptomCell } from './driving';
import type { Fault } from './fault';
import { machineOf, SOUND_MACHINE } from './machine';
import { BARE_RIG, singleFaults, type Rig } from './rig';

/**
 * What a driver meets in each range when something has failed, against the sound machine: the symptom table, computed
 * from the model. No fault carries its symptom.
 */
export interface SymptomRow {
  /** One fault, or two at once; none for the sound unit. */
  readonly faults: readonly Fault[];
  /** In the order of the unit's ranges. */
  readonly cells: readonly SymptomCell[];
}

export interface SymptomTable {
  readonly sound: SymptomRow;
  readonly rows: readonly SymptomRow[];
}

/** A unit by itself, to be asked what its faults look like. */
export const rigOfUnit = (unit: Unit): Rig => ({ ...BARE_RIG, unit });

export const symptomRow = (driving: Driving, rig: Rig, faults: readonly Fault[]): SymptomRow => ({
  faults,
  cells: driving.cells(faults.length === 0 ? SOUND_MACHINE : machineOf(rig, faults)),
});

/**
 * @param faults what each row has; every single fault when left out
 * @throws Error when a fault does not fit the rig
 */
export function symptomTable(
  rig: Rig,
  faults: readonly (readonly Fault[])[] = singleFaults(rig).map((f) => [f]),
): SymptomTable {
  const driving = drivingOf(rig);
  return {
    sound: symptomRow(driving, rig, []),
    rows: faults.map((row) => symptomRow(driving, rig, row)),
  };
}

/** Every pair of faults that do not sit in one place, as far as they go together. */
export function faultPairs(faults: readonly Fault[]): Fault[][] {
  return faults.flatMap((a, k) =>
    faults.slice(k + 1).flatMap((b) => (a.target === b.target ? [] : [[a, b]])),
  );
}

const cellSignature = ({ drive, ratio, above, coast, heard, goesIn }: SymptomCell): string => {
  const turned = drive === 'wrong-ratio' || drive === 'moves' || drive === 'wrong-way';
  const figure = turned ? ratio!.toFixed(4) : above !== null ? above.toFixed(2) : '';
  return `${drive} ${figure} ${coast} ${heard} ${goesIn}`;
};

/** A row as one text: two rows that read alike can't be told apart by driving. */
export const signatureOf = ({ cells }: Pick<SymptomRow, 'cells'>): string =>
  cells.map(cellSignature).join('|');

/** Rows in groups that no drive tells apart, the largest first; alone rows stand alone. */
export function lookAlikes<Row extends { readonly cells: readonly SymptomCell[] }>(
  rows: readonly Row[],
): Row[][] {
  const groups = new Map<string, Row[]>();
  for (const row of rows) {
    const key = signatureOf(row);
    groups.set(key, [...(groups.get(key) ?? []), row]);
  }
  return [...groups.values()].sort((a, b) => b.length - a.length);
}

/**
 * Ranges by how well driving them splits these rows: by the entropy of what is met there, the best first. Rows that stand
 * sorted by them stand beside what they are told from last.
 */
export function rangesBySplit(rows: readonly Pick<SymptomRow, 'cells'>[]): string[] {
  const bits = (place: number): number => {
    const counts = new Map<string, number>();
    for (const { cells } of rows) {
      const seen = cellSignature(cells[place]!);
      counts.set(seen, (counts.get(seen) ?? 0) + 1);
    }
    return [...counts.values()].reduce(
      (sum, n) => sum - (n / rows.length) * Math.log2(n / rows.length),
      0,
    );
  };
  return (rows[0]?.cells ?? [])
    .map(({ range }, place) => ({ range, place, bits: bits(place) }))
    .sort((a, b) => b.bits - a.bits || a.place - b.place)
    .map(({ range }) => range);
}

/** Groups of look-alikes in the order of what is met in the ranges that split best; faults that show nothing come last. */
export function sortedBySplit<Row extends Pick<SymptomRow, 'cells'>>(
  groups: readonly (readonly Row[])[],
): (readonly Row[])[] {
  const order = rangesBySplit(groups.flat());
  const rank = (cell: SymptomCell): number =>
    cell.drive === 'right' ? DRIVE_SYMPTOMS.length : DRIVE_SYMPTOMS.indexOf(cell.drive);
  const at = (group: readonly Row[], range: string) =>
    rank(group[0]!.cells.find((c) => c.range === range)!);
  return [...groups].sort((a, b) => {
    for (const range of order) {
      const difference = at(a, range) - at(b, range);
      if (difference !== 0) return difference;
    }
    return b.length - a.length;
  });
}
