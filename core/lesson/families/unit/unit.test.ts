import { marked } from '../../tests/marked';
import type { Unit } from '../../../geartrain';
import { toText } from '../../../numerics';
import { simpson } from '../../../geartrain/tests/textbookUnits';
import {
  assess,
  cellKey,
  classBook,
  kindsOf,
  newUnitQuestion,
  unitKey,
  type Lesson,
  type RowOutcomeQuestion,
  type UnitAnswer,
  type UnitQuestion,
} from '../..';

const unit: Unit = {
  ...simpson(33, 75),
  id: 'three',
  ranges: [
    { id: 'D1', lever: 'D', gear: '1', apply: ['C1'] },
    { id: 'D2', lever: 'D', gear: '2', apply: ['C1', 'B1'] },
    { id: 'D3', lever: 'D', gear: '3', apply: ['C1', 'C2'] },
    { id: 'L1', lever: '1', gear: '1', apply: ['C1', 'B2'] },
    { id: 'R', lever: 'R', gear: 'R', apply: ['C2', 'B2'] },
    { id: 'N', lever: 'N', gear: 'N', apply: [] },
  ],
};
const ask = (over: object, kind: UnitQuestion['kind']): UnitQuestion => ({
  ...newUnitQuestion(kind, unit),
  ...over,
});

const mark = (question: UnitQuestion, answer: UnitAnswer) => {
  const result = assess(question, { kind: 'unit', unit }, answer);
  if (!result.ok) throw new Error(result.fault);
  const { score, misconception } = marked(result.grade);
  return [score, misconception];
};

test('every kind of question has a key on a new unit, and a missing range is a fault', () => {
  for (const kind of kindsOf('unit')) {
    const key = unitKey(newUnitQuestion(kind, unit), unit);
    expect([kind, key.ok]).toEqual([kind, true]);
  }
  expect(unitKey(ask({ range: 'ZZ' }, 'trace-path'), unit)).toEqual({
    ok: false,
    fault: 'range-missing',
  });
  expect(unitKey(ask({ range: 'N' }, 'trace-path'), unit)).toEqual({
    ok: false,
    fault: 'range-does-not-drive',
  });
  expect(unitKey(ask({ range: 'D3' }, 'reaction'), unit)).toEqual({
    ok: false,
    fault: 'nothing-holds',
  });
  expect(unitKey(ask({ ranges: [] }, 'fill-chart'), unit)).toEqual({
    ok: false,
    fault: 'nothing-to-fill',
  });
  expect(unitKey(ask({ apply: ['Q'] }, 'row-outcome'), unit)).toEqual({
    ok: false,
    fault: 'element-missing',
  });
});

// Published: 1 + Ns/Nr in second (SAE paper 810102; memory for the page).
test('what a row does: outcome, ratio and direction count apart', () => {
  const second = ask({ apply: ['C1', 'B1'] }, 'row-outcome') as RowOutcomeQuestion;
  const key = unitKey(second, unit);
  if (!key.ok || key.key.kind !== 'row-outcome') throw new Error('expected a key');
  expect(toText(key.key.ratio!)).toBe('36/25');
  const drives = { kind: 'row-outcome', outcome: 'drives' } as const;
  expect(mark(second, { ...drives, ratio: 1.44, direction: 'same' })).toEqual([1, null]);
  expect(mark(second, { ...drives, ratio: 1 / 1.44, direction: 'same' })).toEqual([
    2 / 3,
    'upside-down',
  ]);
  expect(mark(second, { ...drives, ratio: 1.44, direction: 'opposite' })).toEqual([
    2 / 3,
    'wrong-sign',
  ]);
  // Published: −Nr/Ns in reverse (the same paper): −75/33, the other way round.
  const reverse = ask({ apply: ['C2', 'B2'] }, 'row-outcome');
  const back = { ...drives, ratio: 75 / 33 };
  expect(mark(reverse, { ...back, direction: 'opposite' })).toEqual([1, null]);
  expect(mark(reverse, { ...back, direction: 'same' })).toEqual([2 / 3, 'wrong-sign']);
  const first = ask({ apply: ['C1'] }, 'row-outcome');
  expect(mark(first, { kind: 'row-outcome', outcome: 'neutral' })).toEqual([0, 'one-way-ignored']);
  const coast = ask({ apply: ['C1'], load: 'coast' }, 'row-outcome');
  expect(mark(coast, { ...drives, ratio: 2.44, direction: 'same' })).toEqual([0, 'one-way-brakes']);
  const bind = ask({ apply: ['C1', 'B1', 'B2'] }, 'row-outcome');
  expect(mark(bind, { ...drives, ratio: 2, direction: 'same' })).toEqual([0, 'held-fast-unseen']);
  expect(mark(bind, { kind: 'row-outcome', outcome: 'tied-up' })).toEqual([1, null]);
});

test('the chart is judged by what its rows do, not by how they are written', () => {
  const question = ask({ ranges: ['D1', 'D2', 'D3', 'R'] }, 'fill-chart');
  const filled = (rows: Record<string, string[]>): UnitAnswer => ({
    kind: 'fill-chart',
    on: Object.entries(rows).flatMap(([range, ids]) => ids.map((id) => cellKey(range, id))),
  });
  const right = { D1: ['C1'], D2: ['C1', 'B1'], D3: ['C1', 'C2'], R: ['C2', 'B2'] };
  expect(mark(question, filled(right))).toEqual([1, null]);
  // The low brake beside the one-way clutch gives the same ratio, but also engine braking.
  expect(mark(question, filled({ ...right, D1: ['C1', 'B2'] }))).toEqual([3 / 4, 'another-range']);
  expect(mark(question, filled({ ...right, D2: [] }))).toEqual([3 / 4, 'nothing-applied']);
  expect(mark(question, filled({ ...right, R: ['C2', 'B2', 'B1'] }))).toEqual([
    3 / 4,
    'held-fast-unseen',
  ]);
  expect(mark(question, filled({ D1: ['C1'], D2: ['B1'], D3: ['C1'], R: ['C2'] }))).toEqual([
    1 / 4,
    'one-element-a-gear',
  ]);
});

// Common practice, no source: in second the band holds the sun shell, so power goes by the front set alone.
test('any real way of the power counts; held and idle members give the misconception away', () => {
  const question = ask({ range: 'D2' }, 'trace-path');
  const trace = (...members: string[]) => mark(question, { kind: 'trace-path', members });
  expect(trace('in', 'r1', 'out')).toEqual([1, null]);
  expect(trace('in', 's', 'out')).toEqual([2 / 3, 'path-through-held']);
  expect(trace('in', 'r1', 'c2', 'out')).toEqual([2 / 3, 'path-through-idle']);
  expect(trace('out', 'r1', 'in')).toEqual([0, 'path-backward']);
  const low = ask({ range: 'D1' }, 'trace-path');
  const both = [
    ['in', 'r1', 'out'],
    ['in', 'r1', 's', 'out'],
  ];
  for (const members of both) expect(mark(low, { kind: 'trace-path', members })).toEqual([1, null]);
});

test('who holds, and who lets go on coast', () => {
  const reaction = (range: string, ...elements: string[]) =>
    mark(ask({ range }, 'reaction'), { kind: 'reaction', elements });
  expect(reaction('D1', 'F1')).toEqual([1, null]);
  expect(reaction('D1', 'C1')).toEqual([0, 'applied-not-holding']);
  expect(reaction('D2', 'F1')).toEqual([0, 'runs-over-not-holding']);
  // Published (statics): of two that hold one member, no balance tells how much each bears; any of them will do.
  for (const some of [['B2', 'F1'], ['B2'], ['F1']])
    expect(reaction('L1', ...some)).toEqual([1, null]);
  expect(reaction('L1', 'B2', 'C1')).toEqual([0, 'applied-not-holding']);
  const coast = (range: string, braking: boolean, letsGo?: string) =>
    mark(ask({ range }, 'drive-or-coast'), {
      kind: 'drive-or-coast',
      braking,
      ...(letsGo ? { letsGo } : {}),
    });
  expect(coast('D1', false, 'F1')).toEqual([1, null]);
  expect(coast('D1', true)).toEqual([0, 'one-way-brakes']);
  expect(coast('D1', false)).toEqual([1 / 2, null]);
  expect(coast('L1', true)).toEqual([1, null]);
});

test('the class book grades answers about a unit from the unit that the lesson carries', () => {
  const lesson: Lesson = {
    format: 'fair-sprocket/lesson',
    version: 1,
    id: 'l',
    title: '',
    summary: '',
    units: [unit],
    steps: [
      {
        id: 's',
        title: '',
        blocks: [{ id: 'q', kind: 'question', question: ask({ range: 'D1' }, 'reaction') }],
      },
    ],
  };
  const answer = {
    question: 'q',
    round: 0,
    answer: { kind: 'reaction' as const, elements: ['C1'] },
    confidence: 'certain' as const,
    at: '2026-03-01T08:00:00Z',
    score: 1,
  };
  const book = classBook(lesson, [
    {
      format: 'fair-sprocket/attempt',
      version: 1,
      id: 'a',
      student: 'Runa',
      lesson: { id: 'l', title: '', hash: '0'.repeat(64) },
      startedAt: answer.at,
      answers: [answer],
    },
  ]);
  expect(book.rows[0]!.cells[0]).toMatchObject({
    score: 0,
    differs: true,
    why: { named: [{ slip: 'applied-not-holding' }] },
  });
  expect(assess(ask({ range: 'D1' }, 'reaction'), null, answer.answer)).toEqual({
    ok: false,
    fault: 'unit-missing',
  });
});
