import { SAME_ANSWER } from '../numerics';
import type { Unit } from '../geartrain';
import type { Fault } from './applyFault';
import { faultSweep, singleFaults, type SweepCase } from './sweep';

/**
 * What a driver meets in each range when one part has failed, against the sound unit: the symptom table, computed from
 * the model. No fault carries its symptom.
 */
export type DriveSymptom = 'right' | 'wrong-ratio' | 'wrong-way' | 'neutral' | 'binds' | 'moves';
export type CoastSymptom = 'right' | 'no-braking' | 'brakes' | 'binds';

export interface SymptomCell {
  readonly range: string;
  readonly drive: DriveSymptom;
  /** ω_in/ω_out; `null` unless it drives. */
  readonly ratio: number | null;
  readonly coast: CoastSymptom;
}

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

/** @throws Error when a fault does not fit the unit */
export function symptomTable(
  unit: Unit,
  faults: readonly Fault[] = singleFaults(unit),
): SymptomTable {
  const cases = faultSweep(unit, [null, ...faults]);
  const perFault = 2 * unit.ranges.length;
  const sound = cases.slice(0, perFault);
  const rows = [null, ...faults].map((fault, k) => ({
    faults: fault ? [fault] : [],
    cells: cellsOf(sound, cases.slice(k * perFault, (k + 1) * perFault)),
  }));
  return { sound: rows[0]!, rows: rows.slice(1) };
}

/** Drive and coast of each range stand side by side in a sweep. */
export function cellsOf(sound: readonly SweepCase[], faulty: readonly SweepCase[]): SymptomCell[] {
  const cells: SymptomCell[] = [];
  for (let k = 0; k < faulty.length; k += 2) {
    const [drive, coast] = [faulty[k]!, faulty[k + 1]!];
    const [soundDrive, soundCoast] = [sound[k]!, sound[k + 1]!];
    cells.push({
      range: drive.range,
      drive: driveSymptom(soundDrive, drive),
      ratio: drive.outcome === 'drives' ? drive.ratio : null,
      coast: coastSymptom(soundCoast, coast),
    });
  }
  return cells;
}

function driveSymptom(sound: SweepCase, now: SweepCase): DriveSymptom {
  if (now.outcome === 'drives') {
    if (sound.outcome !== 'drives') return 'moves';
    if (now.ratio * sound.ratio < 0) return 'wrong-way';
    const same = Math.abs(now.ratio - sound.ratio) <= SAME_ANSWER * Math.abs(sound.ratio) * 100;
    return same ? 'right' : 'wrong-ratio';
  }
  if (now.outcome === sound.outcome) return 'right';
  return now.outcome === 'neutral' ? 'neutral' : 'binds';
}

function coastSymptom(sound: SweepCase, now: SweepCase): CoastSymptom {
  if (now.outcome === sound.outcome) return 'right';
  if (now.outcome === 'drives') return 'brakes';
  return now.outcome === 'neutral' ? 'no-braking' : 'binds';
}

/** A row as one text: two rows that read alike can't be told apart by driving. */
export const signatureOf = ({ cells }: SymptomRow): string =>
  cells
    .map(({ drive, ratio, coast }) =>
      drive === 'wrong-ratio' || drive === 'moves' || drive === 'wrong-way'
        ? `${drive} ${ratio!.toFixed(4)} ${coast}`
        : `${drive} ${coast}`,
    )
    .join('|');

/** Rows in groups that no drive tells apart, the largest first; alone rows stand alone. */
export function lookAlikes({ rows }: Pick<SymptomTable, 'rows'>): SymptomRow[][] {
  const groups = new Map<string, SymptomRow[]>();
  for (const row of rows) {
    const key = signatureOf(row);
    groups.set(key, [...(groups.get(key) ?? []), row]);
  }
  return [...groups.values()].sort((a, b) => b.length - a.length);
}
