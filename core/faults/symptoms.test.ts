import type { Unit } from '../geartrain';
import { asSeen, RAVIGNEAUX, SIMPSON } from './tests/rigs';
import {
  chartReason,
  examine,
  lookAlikes,
  openShop,
  rangesBySplit,
  readingOf,
  rigOfUnit,
  signatureOf,
  sortedBySplit,
  symptomTable,
  type Fault,
} from './index';

const drives = (unit: Unit, target: string, kind: Fault['kind']) =>
  symptomTable(rigOfUnit(unit), [[{ target, kind }]]).rows[0]!.cells.map((c) => c.drive);
const coasts = (unit: Unit, target: string, kind: Fault['kind']) =>
  symptomTable(rigOfUnit(unit), [[{ target, kind }]]).rows[0]!.cells.map((c) => c.coast);

/*
 * Hand-derived, Simpson arrangement with equal sets (common practice, no source; derived here, not copied from output).
 * C1 joins input and front ring, C2 input and sun shell, B1 holds the sun, B2 holds the rear carrier, F1 stops the rear
 * carrier from turning backward. Low: C1 pushes the front ring, the sun is driven backward, the rear carrier wants to go
 * backward and F1 holds it (B2 beside it in L). Second: the sun stands, the rear carrier runs forward. Third: all as one.
 * Reverse: C2 drives the sun, B2 holds the rear carrier.
 *
 *   C1 gone   1 2 3 L neutral, R good            C2 gone   3 falls back to first (F1 still holds), R neutral
 *   B1 gone   2 falls back to first               B2 gone   L drives by F1 but does not brake, R neutral
 *   F1 gone   1 neutral; 2 3 L R good             B1 stuck  1 becomes second; 3 binds (sun held and driven);
 *                                                           L: carrier and sun held, binds; R binds
 */
test('the symptom table of the Simpson arrangement, derived by hand', () => {
  const [ok, no, low, bind] = ['right', 'neutral', 'wrong-ratio', 'binds'] as const;
  expect(drives(SIMPSON, 'C1', 'will-not-apply')).toEqual([no, no, no, no, ok]);
  expect(drives(SIMPSON, 'C2', 'will-not-apply')).toEqual([ok, ok, low, ok, no]);
  expect(drives(SIMPSON, 'B1', 'will-not-apply')).toEqual([ok, low, ok, ok, ok]);
  expect(drives(SIMPSON, 'B2', 'will-not-apply')).toEqual([ok, ok, ok, ok, no]);
  expect(coasts(SIMPSON, 'B2', 'will-not-apply')[3]).toBe('no-braking');
  expect(drives(SIMPSON, 'F1', 'will-not-hold')).toEqual([no, ok, ok, ok, ok]);
  expect(drives(SIMPSON, 'B1', 'stuck-on')).toEqual([low, ok, bind, bind, bind]);
  // Falling back to first: the ratio of first, 2 + ρ with ρ = 33/72.
  const third = symptomTable(rigOfUnit(SIMPSON), [[{ target: 'C2', kind: 'will-not-apply' }]])
    .rows[0]!.cells[2]!;
  expect(third.ratio).toBeCloseTo(2 + 33 / 72, 9);
  // A seized low one-way clutch brakes in first, and binds where its carrier has to turn.
  expect(drives(SIMPSON, 'F1', 'seized')).toEqual([ok, bind, bind, ok, ok]);
  expect(coasts(SIMPSON, 'F1', 'seized')[0]).toBe('brakes');
});

/*
 * Hand-derived, Ravigneaux arrangement without one-way clutches. Ca small sun, Cb large sun, Cc carrier in; Bb holds the
 * large sun, Bc the carrier. Each range needs both of its elements, so whatever is gone leaves its ranges neutral; stuck on,
 * it binds with the two others where three conditions meet two freedoms.
 */
test('the symptom table of the Ravigneaux arrangement, derived by hand', () => {
  const [ok, no, bind] = ['right', 'neutral', 'binds'] as const;
  expect(drives(RAVIGNEAUX, 'Ca', 'will-not-apply')).toEqual([no, no, no, ok, ok]);
  expect(drives(RAVIGNEAUX, 'Cb', 'will-not-apply')).toEqual([ok, ok, no, ok, no]);
  expect(drives(RAVIGNEAUX, 'Cc', 'will-not-apply')).toEqual([ok, ok, ok, no, ok]);
  expect(drives(RAVIGNEAUX, 'Bb', 'will-not-apply')).toEqual([ok, no, ok, no, ok]);
  expect(drives(RAVIGNEAUX, 'Bc', 'will-not-apply')).toEqual([no, ok, ok, ok, no]);
  expect(drives(RAVIGNEAUX, 'Bb', 'stuck-on')).toEqual([bind, ok, bind, ok, bind]);
  expect(drives(RAVIGNEAUX, 'Bc', 'stuck-on')).toEqual([ok, bind, bind, bind, ok]);
  // Three clutches that join the input: already one piece in third, so the third clutch changes nothing there.
  expect(drives(RAVIGNEAUX, 'Cc', 'stuck-on')[2]).toBe('right');
});

// Facts of the trade: by hand a one-way clutch turns one way only; a stripped link is seen.
test('what each look inside reads of each fault', () => {
  const shop = openShop(rigOfUnit(SIMPSON));
  const read = (id: string, target: string, kind: Fault['kind']) => {
    const check = shop.checks.find((c) => c.id === id)!;
    return readingOf(check, examine(shop, [{ target, kind }], [check])).word;
  };
  expect(read('hand F1', 'F1', 'will-not-hold')).toBe('turns-both-ways');
  expect(read('hand F1', 'F1', 'seized')).toBe('locked');
  expect(read('hand F1', 'F1', 'reversed')).toBe('wrong-way-round');
  expect(read('hand F1', 'C1', 'stuck-on')).toBe('holds-one-way');
  expect(read('look P1.sun', 'P1.sun', 'broken')).toBe('stripped');
  expect(read('look P1.sun', 'P2.sun', 'broken')).toBe('whole');
  expect(read('teeth P1', 'P1', 'stripped')).toBe('stripped');
  expect(read('teeth P1', 'P1', 'rough-teeth')).toBe('pitted');
});

test('look-alikes read alike, and no two groups do', () => {
  for (const unit of [SIMPSON, RAVIGNEAUX]) {
    const table = symptomTable(rigOfUnit(unit));
    const groups = lookAlikes(table.rows);
    expect(groups.flat()).toHaveLength(table.rows.length);
    const signatures = groups.map((g) => new Set(g.map(signatureOf)));
    for (const s of signatures) expect(s.size).toBe(1);
    expect(new Set(signatures.map((s) => [...s][0])).size).toBe(groups.length);
  }
});

// Common practice, no source: 3 and R gone, 1 and 2 good: only what is on in 3 and R and in no good range.
test('what the bad ranges have in common, cleared by the good ones', () => {
  const reason = chartReason(SIMPSON, asSeen(['D3', 'R'], ['D1', 'D2', 'L1']));
  expect(reason.left).toEqual(['C2']);
  // The error to avoid: C1 works in all of these bad ranges, but also in a good one.
  const second = chartReason(SIMPSON, asSeen(['D2', 'D3'], ['D1']));
  expect(second.inAllBad).toContain('C1');
  expect(second.cleared).toContain('C1');
  expect(second.left).not.toContain('C1');
  expect(chartReason(SIMPSON, asSeen([], ['D1'])).inAllBad).toEqual([]);
});

// By hand: of four faults, 2 and 2 in a range are 1 bit, 3 and 1 are 0.81, 4 alike are nothing.
test('the range that splits best sorts the Atlas, and what shows nothing comes last', () => {
  const row = (...drives: readonly ('neutral' | 'right')[]) => ({
    cells: drives.map((drive, k) => ({
      range: ['a', 'b', 'c'][k]!,
      drive,
      ratio: null,
      above: null,
      coast: 'right' as const,
      heard: 'quiet' as const,
      goesIn: 'clean' as const,
    })),
  });
  const [no, ok] = ['neutral', 'right'] as const;
  const rows = [row(ok, ok, ok), row(ok, no, ok), row(no, no, ok), row(ok, ok, ok)];
  expect(rangesBySplit(rows)).toEqual(['b', 'a', 'c']);
  const sorted = sortedBySplit([[rows[0]!, rows[3]!], [rows[1]!], [rows[2]!]]);
  expect(sorted.map((g) => g[0]!.cells.map((c) => c.drive))).toEqual([
    [no, no, ok],
    [ok, no, ok],
    [ok, ok, ok],
  ]);
});
