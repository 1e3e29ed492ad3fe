import { toText } from '../numerics';
import { solveUnit } from '../geartrain';
import { faultySolution } from './index';
import { SIMPSON } from './tests/rigs';

// Hand-derived beside the symptom tables (symptoms.test.ts): the same faults on the bench, told in the sound unit's parts.
test('a broken unit on the bench keeps its parts', () => {
  const apply = (id: string) => SIMPSON.ranges.find((r) => r.id === id)!.apply;
  expect(faultySolution(SIMPSON, apply('D2'), 'drive', [])).toEqual(
    solveUnit(SIMPSON, apply('D2')),
  );
  const gone = faultySolution(SIMPSON, apply('D1'), 'drive', [
    { target: 'F1', kind: 'will-not-hold' },
  ]);
  expect(gone.outcome).toBe('neutral');
  expect(gone.elements.get('F1')?.state).toBe('open');
  const seized = faultySolution(SIMPSON, apply('D1'), 'coast', [{ target: 'F1', kind: 'seized' }]);
  expect(seized.outcome).toBe('drives');
  const falls = faultySolution(SIMPSON, apply('D3'), 'drive', [
    { target: 'C2', kind: 'will-not-apply' },
  ]);
  expect(toText(falls.ratio!)).toBe('59/24');
  expect(() => faultySolution(SIMPSON, [], 'drive', [{ target: 'X', kind: 'stuck-on' }])).toThrow(
    'unknown-element',
  );
});
