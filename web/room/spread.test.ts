import type { AttemptAnswer, Lesson } from '../../core/lesson';
import type { Commit } from '../../core/room';
import { barsOf, entriesOf, gradedCommit, type GradedCommit } from './spread';
import { demoFile } from '../../core/tests/demoFile';

const lesson = demoFile<Lesson>('lessons/hold-one-drive-one');
const asked = lesson.steps
  .flatMap((s) => s.blocks)
  .flatMap((b) => (b.kind === 'question' ? [b] : []))[0]!;
const commit = (student: string, value: number, vote: 1 | 2 = 1): Commit => ({
  student,
  vote,
  entry: {
    question: asked.id,
    round: 0,
    answer: { kind: 'number', value, direction: 'same' },
    confidence: 'certain',
    at: '2030-01-01T08:00:00.000Z',
    // What a device says of itself.
    score: 1,
    misconception: 'made-up',
  },
});
const graded = (c: Commit) => gradedCommit(lesson, asked.question, `Student ${c.student}`, c);
const saying = (g: GradedCommit) => String((g.commit.entry.answer as { value: number }).value);

// Ring 70, sun 30, ring held: 1 + 70/30 (Willis 1841; published, from memory).
test('a commit is graded from the model, whatever its device says', () => {
  expect(graded(commit('a', 10 / 3))).toMatchObject({ score: 1, slip: null });
  expect(graded(commit('a', 70 / 30))).toMatchObject({ score: 0.5, slip: 'forgot-one-plus' });
  const odd: AttemptAnswer = { ...commit('a', 1).entry, answer: { kind: 'choice', choice: 'x' } };
  expect(graded({ ...commit('a', 1), entry: odd })).toMatchObject({ score: null });
});

test('records are first votes, graded anew; one who missed the first has the second', () => {
  const all = [commit('a', 70 / 30), commit('a', 10 / 3, 2), commit('b', 10 / 3, 2)].map(graded);
  const [entry] = entriesOf(all, 'a');
  expect(entry).toMatchObject({ score: 0.5, misconception: 'forgot-one-plus' });
  expect(entriesOf(all, 'a')).toHaveLength(1);
  expect(entriesOf(all, 'b')).toMatchObject([{ score: 1 }]);
  expect(entriesOf(all, 'b')[0]).not.toHaveProperty('misconception');
});

test('the spread: the most usual first, both votes beside each other, and what is right never left out', () => {
  const wrong = Array.from({ length: 9 }, (_, k) => [
    commit(`w${k}`, 4 + k),
    commit(`x${k}`, 4 + k),
  ]);
  const bars = barsOf([...wrong.flat(), commit('r', 10 / 3, 2)].map(graded), saying);
  expect(bars).toHaveLength(7);
  expect(bars.at(-1)).toMatchObject({ right: true, counts: [0, 1] });
  expect(bars[0]!.counts).toEqual([2, 0]);
});
