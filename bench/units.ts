import { SVD, Matrix } from 'ml-matrix';
import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import {
  appliedWithFaults,
  faultPairs,
  rigOfUnit,
  singleFaults,
  symptomTable,
  UNIT_FAULT_KINDS,
  withFaults,
  type Fault,
} from '../core/faults';
import {
  combinations,
  elementTerms,
  gearSetTerms,
  searchTeeth,
  type Unit,
} from '../core/geartrain';
import { compare } from './compare';

/** Whole units: outcomes under faults, every combination, tooth search. */

/** Eight elements, eight ranges: a simple set in front of a two-sun arrangement. */
const EIGHT: Unit = {
  format: 'fair-sprocket/unit',
  version: 1,
  id: 'eight',
  name: 'Eight elements',
  members: ['in', 'out', 'slow', 's0', 'a', 'b', 'c'].map((id) => ({ id, name: id })),
  input: 'in',
  output: 'out',
  gearsets: [
    set('P0', 'single-pinion', 's0', 'slow', 'in', 36, 72),
    set('P1', 'double-pinion', 'a', 'c', 'out', 30, 78),
    set('P2', 'single-pinion', 'b', 'c', 'out', 36, 78),
  ],
  elements: [
    element('C1', 'clutch', 'slow', 'a'),
    element('C2', 'clutch', 'in', 'c'),
    element('C3', 'clutch', 'slow', 'b'),
    element('C4', 'clutch', 'in', 's0'),
    element('B0', 'brake', 's0', 'case'),
    element('B1', 'brake', 'b', 'case'),
    element('B2', 'brake', 'c', 'case'),
    element('F1', 'one-way', 'c', 'case'),
  ],
  ranges: [
    ['R', ['B0', 'C3', 'B2']],
    ['1', ['B0', 'C1']],
    ['2', ['B0', 'C1', 'B1']],
    ['3', ['B0', 'C1', 'C3']],
    ['4', ['B0', 'C1', 'C2']],
    ['5', ['B0', 'C2', 'C3']],
    ['6', ['C2', 'B1']],
    ['L', ['B0', 'C1', 'B2']],
  ].map(([id, apply]) => ({
    id: id as string,
    lever: 'D',
    gear: id as string,
    apply: apply as string[],
  })),
};

function set(
  id: string,
  kind: 'single-pinion' | 'double-pinion',
  sun: string,
  carrier: string,
  ring: string,
  teeth: number,
  ringTeeth: number,
): Unit['gearsets'][number] {
  return { id, kind, sun, carrier, ring, teeth: { sun: teeth, ring: ringTeeth }, pinions: 3 };
}

function element(
  id: string,
  kind: Unit['elements'][number]['kind'],
  a: string,
  b: string,
): Unit['elements'][number] {
  return { id, name: id, kind, between: [a, b] };
}

/** Outcome and torques of one set of rows by the library's singular values: rank, null space, pseudo-inverse. */
function librarySolve(rows: number[][], members: readonly string[], unit: Unit): number {
  const a = new Matrix(rows);
  const svd = new SVD(a, { autoTranspose: true });
  const v = svd.rightSingularVectors;
  const [input, output] = [members.indexOf(unit.input), members.indexOf(unit.output)];
  let checksum = svd.rank;
  if (svd.rank === members.length - 1) checksum += v.get(input, svd.rank) - v.get(output, svd.rank);
  // Torques: Aᵀ·λ = −T.
  const statics = new Matrix([...rows, members.map((_m, k) => (k === output ? 1 : 0))]).transpose();
  const right = Matrix.columnVector(members.map((_m, k) => (k === input ? -1 : 0)));
  return checksum + new SVD(statics, { autoTranspose: true }).solve(right).get(0, 0);
}

/** Every single fault that changes the unit's constraints. */
const unitFaults = (unit: Unit): Fault[][] =>
  singleFaults(rigOfUnit(unit))
    .filter((f) => (UNIT_FAULT_KINDS as readonly string[]).includes(f.kind))
    .map((f) => [f]);

/** The sweep with the library: every case builds its rows and is solved, for each choice of holding one-ways. */
function librarySweep(unit: Unit): number {
  let checksum = 0;
  for (const faults of [[], ...unitFaults(unit)]) {
    const faulty = withFaults(unit, faults);
    if (!faulty.ok) throw new Error(faulty.problem);
    const members = faulty.unit.members.map((m) => m.id);
    const rowOf = (terms: ReturnType<typeof elementTerms>) =>
      members.map((id) => terms.reduce((s, t) => s + (t.member === id ? t.coefficient : 0), 0));
    const sets = faulty.unit.gearsets.map((g) => rowOf(gearSetTerms(g)));
    const oneWays = faulty.unit.elements.filter((e) => e.kind === 'one-way');
    for (const range of unit.ranges) {
      const on = appliedWithFaults(range.apply, faulty);
      const fixed = faulty.unit.elements.filter((e) => on.includes(e.id));
      for (let load = 0; load < 2; load++)
        for (let held = 0; held < 2 ** oneWays.length; held++) {
          const ties = [...fixed, ...oneWays.filter((_o, k) => held & (1 << k))];
          const rows = [...sets, ...ties.map((e) => rowOf(elementTerms(e)))];
          checksum += librarySolve(rows, members, faulty.unit);
        }
    }
  }
  return checksum;
}

export async function benchUnits(): Promise<void> {
  const rig = rigOfUnit(EIGHT);
  const faults = unitFaults(EIGHT);
  const cases = 2 * EIGHT.ranges.length * (faults.length + 1);
  const sweep = compare(
    'all ranges × all faults of constraints × drive and coast',
    () => void symptomTable(rig, faults),
    () => void librarySweep(EIGHT),
  );
  console.log(
    `${sweep.name} (${cases} cases), against ml-matrix SVD: ${sweep.ratio.toFixed(0)} times as fast ` +
      `(${(sweep.oursNs / 1e6).toFixed(2)} ms against ${(sweep.theirsNs / 1e6).toFixed(0)} ms; a frame is 16.7 ms)`,
  );
  const controlled = {
    ...EIGHT,
    elements: EIGHT.elements.map((e) =>
      e.kind === 'one-way' ? { ...e, kind: 'brake' as const } : e,
    ),
  };
  const alone = (work: () => void) => compare('', work, () => void 0).oursNs / 1e6;
  const pairs = faultPairs(singleFaults(rig));
  console.log(
    `symptom table of all ${singleFaults(rig).length} single faults: ` +
      `${alone(() => void symptomTable(rig)).toFixed(2)} ms (50 ms asked); of all ${pairs.length} pairs: ` +
      `${alone(() => void symptomTable(rig, pairs)).toFixed(0)} ms (2 s asked)`,
  );
  const all = compare(
    '',
    () => void combinations(controlled),
    () => void 0,
  );
  console.log(
    `${combinations(controlled).length} combinations classified: ${(all.oursNs / 1e6).toFixed(2)} ms (two frames are 33.3 ms)`,
  );
  const one = await searchRate(1);
  const two = await searchRate(2);
  console.log(
    `tooth search: ${(one / 1000).toFixed(0)} thousand candidates a second on one worker, ` +
      `${(two / 1000).toFixed(0)} on two (${(two / one).toFixed(2)} times)`,
  );
}

/** Candidates a second over all workers, each with its part of the search for two seconds. */
async function searchRate(workers: number): Promise<number> {
  const started = await Promise.all(
    Array.from({ length: workers }, async (_, index) => {
      const worker = new Worker(new URL('./searchWorker.mjs', import.meta.url), {
        workerData: { index, of: workers },
      });
      await once(worker, 'message');
      return worker;
    }),
  );
  const rates = await Promise.all(
    started.map(async (worker) => {
      worker.postMessage('go');
      return (await once(worker, 'message'))[0] as number;
    }),
  );
  return rates.reduce((sum, rate) => sum + rate, 0);
}

/** Runs one part for a while; candidates a second. */
export function searchFor(part: { index: number; of: number }, ms: number): number {
  const start = performance.now();
  let tried = 0;
  // Second needs all three sets, so that nothing is settled before the last is filled.
  const wishes = [{ range: '2', ratio: 2.19 }];
  const search = { unit: EIGHT, wishes, fewestSun: 18, mostRing: 120, fewestPinion: 12 };
  for (const step of searchTeeth({ ...search, keep: 500, tolerance: 0.5 }, part)) {
    tried = step.tried;
    if (performance.now() - start > ms) break;
  }
  return (1000 * tried) / (performance.now() - start);
}
