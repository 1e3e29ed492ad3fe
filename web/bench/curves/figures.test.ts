import { testNumbers, testWords } from '../../tests/words';
import { figuresOf, headOf, lineOf, type Measured } from './figures';

interface Row {
  readonly seconds: number;
  /** N·m */
  readonly torque: number;
}

const rows: Row[] = [0, 1, 2, 3, 4].map((k) => ({ seconds: k, torque: 100 * k }));
const time: Measured<Row> = { title: 'Time, s', of: (r) => r.seconds, places: 1 };
const torque: Measured<Row> = { title: 'Torque', of: (r) => r.torque, quantity: 'torque' };

test('an axis, a curve and a column of what is measured are in one unit, and say which', async () => {
  const t = await testWords();
  // 100 N·m are 73.756 lbf·ft (NIST SP 811, B.8; published).
  for (const [system, unit, shown] of [
    ['si', 'N·m', 100],
    ['inch-pound', 'lbf·ft', 73.756],
  ] as const) {
    const numbers = testNumbers(t, system);
    expect(headOf(numbers, torque)).toBe(`Torque, ${unit}`);
    const [, point] = lineOf(numbers, rows, time, torque);
    expect(point!.x).toBe(1);
    expect(point!.y).toBeCloseTo(shown, 2);
    const { titles, rows: cells } = figuresOf(numbers, rows, [time, torque]);
    expect(titles).toEqual(['Time, s', `Torque, ${unit}`]);
    expect(cells[1]).toEqual(['1.0', shown === 100 ? '100' : '73.8']);
    const own = { ...torque, places: { si: 0, 'inch-pound': 3 } };
    expect(figuresOf(numbers, rows, [own]).rows[1]).toEqual([shown === 100 ? '100' : '73.756']);
    expect(numbers.fixed(100, 'torque', own.places)).toBe(
      shown === 100 ? '100 N·m' : '73.756 lbf·ft',
    );
  }
});

test('a table may hold only each so-manieth row, and words beside numbers', async () => {
  const numbers = testNumbers(await testWords(), 'si');
  const worded = { title: 'Row', text: (r: Row, k: number) => `${k}: ${r.seconds}` };
  expect(figuresOf(numbers, rows, [worded, { ...torque, places: 0 }], 2)).toEqual({
    titles: ['Row', 'Torque, N·m'],
    rows: [
      ['0: 0', '0'],
      ['1: 2', '200'],
      ['2: 4', '400'],
    ],
  });
});
