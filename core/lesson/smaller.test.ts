import { randomFromSeed } from '../numerics';
import { keyFor } from './assess';
import { familyNamed, type Subject } from './families/families';
import type { Round } from './family';
import type { Lesson } from './lesson';
import { posedIn } from './posed';
import {
  familyOf,
  QUESTION_KINDS,
  type Answer,
  type Question,
  type QuestionKind,
} from './question';
import { inLesson } from './tests/askable';
import { drawQuestion } from './tests/drawnQuestions';

type Kind<K extends QuestionKind> = Extract<Question, { kind: K }>;
interface Asked<K extends QuestionKind> {
  readonly question: Kind<K>;
  readonly subject: Subject;
  readonly lesson: Lesson;
}

/** A question of this kind that can be asked and is like this. */
function ask<K extends QuestionKind>(
  kind: K,
  like: (q: Kind<K>) => boolean = () => true,
): Asked<K> {
  for (let k = 0; k < 400; k++) {
    const { question, subject } = drawQuestion(kind, randomFromSeed(`smaller ${kind} ${k}`));
    if (like(question as Kind<K>) && keyFor(question, subject).ok)
      return { question: question as Kind<K>, subject, lesson: inLesson(question, subject) };
  }
  throw new Error(`no such question of kind ${kind}`);
}

const NONE: Answer = { kind: 'reaction', elements: [] };
const wrong = (answer: Answer = NONE): Round<Answer> => ({ score: 0, answer });
const right: Round<Answer> = { score: 1, answer: NONE };

/** What is asked after these rounds, as it stands. */
function after(
  { lesson, question }: Pick<Asked<QuestionKind>, 'lesson' | 'question'>,
  before: Round<Answer>[],
) {
  const posed = posedIn(familyNamed(familyOf(question)), lesson, question, null, before);
  return { ...posed, kind: posed.question.kind };
}
const step = (asked: Pick<Asked<QuestionKind>, 'lesson' | 'question'>, answer?: Answer) => {
  const { step: is, question } = after(asked, [wrong(answer), wrong(answer)]);
  return is ? question : null;
};

/** Kinds for which two wrong answers running lead to a smaller question, for some question of the kind. */
const SMALLER: Partial<Record<QuestionKind, QuestionKind>> = {
  number: 'number',
  'fill-chart': 'fill-chart',
  'trace-path': 'reaction',
  'drive-or-coast': 'reaction',
  'row-outcome': 'reaction',
  'set-free-play': 'adjust-order',
  'upgrade-limit': 'upgrade-limit',
  'read-match': 'read-match',
  'predict-change': 'read-match',
  'sketch-curve': 'read-match',
  'symptom-row': 'symptom-row',
};

test.each(QUESTION_KINDS)(
  '%s: what is missing is asked by itself, can be asked, and leads back',
  (kind) => {
    const met = new Set<QuestionKind | null>();
    for (let k = 0; k < (kind in SMALLER ? 10 : 4); k++) {
      const { question, subject } = drawQuestion(kind, randomFromSeed(`${kind} ${k}`));
      if (!keyFor(question, subject).ok) continue;
      const asked = { question, lesson: inLesson(question, subject) };
      const empty: Answer = kind === 'fill-chart' ? { kind, on: [] } : NONE;
      const smaller = step(asked, empty);
      met.add(smaller && smaller.kind);
      if (!smaller) continue;
      expect(smaller.prompt).toBe('');
      const posed = after(asked, [wrong(empty), wrong(empty)]);
      expect([k, posed.subject && keyFor(posed.question, posed.subject).ok]).toEqual([k, true]);
      // One wrong is not enough, nor are two with a right one between; after the step the whole is asked again.
      for (const rounds of [
        [],
        [wrong(empty), right],
        [wrong(empty), wrong(empty), right],
        [wrong(empty), wrong(empty), wrong(empty)],
      ])
        expect(after(asked, rounds)).toMatchObject({ step: false, question });
      expect(
        after(asked, [wrong(empty), wrong(empty), right, wrong(empty), wrong(empty)]).step,
      ).toBe(true);
    }
    expect([...met].filter((m) => m !== null).includes(SMALLER[kind]!)).toBe(kind in SMALLER);
  },
);

test('of a speed or a torque the ratio is asked; of a ratio what the arrangement is good for at all', () => {
  const speed = ask('number', (q) => q.ask === 'output-speed');
  expect(step(speed)).toMatchObject({
    kind: 'number',
    ask: 'ratio',
    direction: true,
    setup: speed.question.setup,
  });
  const ratio = ask('number', (q) => q.ask === 'ratio');
  expect(step(ratio)).toMatchObject({ kind: 'choice', ask: 'effect', goal: 'largest-reduction' });
});

test('a wrong ratio that one other arrangement gives: what would make it right is asked at once', () => {
  // By hand, ring 80, sun 20, ring held, sun in: 1 + 80/20 = 5. Somebody who says 4 has the carrier held.
  const asked = ask('number', (q) => q.ask === 'ratio');
  const setup = {
    ...asked.question.setup,
    set: { kind: 'single-pinion' as const, teeth: { sun: 20, pinion: 30, ring: 80 }, pinions: 4 },
    roles: { drives: 'sun', driven: 'carrier', reaction: 'held' } as const,
  };
  const question = { ...asked.question, setup };
  const one = (value: number) =>
    after({ lesson: asked.lesson, question }, [wrong({ kind: 'number', value })]);
  expect(one(4)).toMatchObject({
    step: true,
    question: { kind: 'choice', ask: 'right-for', answered: 'sun-ring', setup },
  });
  // The right size and the wrong way, or a size that no arrangement gives: nothing else is meant.
  expect(one(5).step).toBe(false);
  expect(one(7.7).step).toBe(false);
  // A speed of 4 rev/min is the ratio of nothing.
  const speed = { ...question, ask: 'output-speed' as const };
  const four = [wrong({ kind: 'number', value: 4 })];
  expect(after({ lesson: asked.lesson, question: speed }, four).step).toBe(false);
  // Read so roughly, both 5 and 4 are meant.
  const rough = {
    ...question,
    setup: { ...setup, roles: { drives: 'ring', driven: 'carrier', reaction: 'held' } as const },
    tolerance: { kind: 'percent' as const, value: 40 },
  };
  const said = [wrong({ kind: 'number', value: 4.5 })];
  expect(after({ lesson: asked.lesson, question: rough }, said).step).toBe(false);
});

test('of a chart the first row that is wrong, with what was given in it', () => {
  const asked = ask('fill-chart', (q) => q.ranges.length > 2);
  const unit = asked.lesson.units![0]!;
  const on = asked.question.ranges.flatMap((id) =>
    unit.ranges.find((r) => r.id === id)!.apply.map((e) => `${id} ${e}`),
  );
  const [, second, third] = asked.question.ranges as [string, string, string];
  const of = (id: string) => on.find((cell) => cell.startsWith(`${id} `))!;
  const question = { ...asked.question, given: [of(second), of(third)] };
  // The second and the third row each lack one.
  const answer = {
    kind: 'fill-chart' as const,
    on: on.filter((c) => c !== of(second) && c !== of(third)),
  };
  expect(step({ lesson: asked.lesson, question }, answer)).toMatchObject({
    kind: 'fill-chart',
    ranges: [second],
    given: [of(second)],
  });
  expect(step({ lesson: asked.lesson, question }, { kind: 'fill-chart', on })).toBeNull();
  const oneRow = { ...question, ranges: [second], given: [] };
  expect(
    step({ lesson: asked.lesson, question: oneRow }, { kind: 'fill-chart', on: [] }),
  ).toBeNull();
});

test('of a row of symptoms its first range; of one range nothing smaller', () => {
  const asked = ask('symptom-row', (q) => q.ranges.length > 1);
  expect(step(asked)).toMatchObject({ ranges: asked.question.ranges.slice(0, 1) });
  const { lesson, question } = asked;
  expect(
    step({ lesson, question: { ...question, ranges: question.ranges.slice(0, 1) } }),
  ).toBeNull();
});

test('of what an upgraded pack carries, what gives first; of that nothing smaller', () => {
  const asked = ask('upgrade-limit', (q) => q.ask === 'carried');
  expect(step(asked)).toMatchObject({ ...asked.question, prompt: '', ask: 'limit' });
  expect(step(ask('upgrade-limit', (q) => q.ask === 'limit'))).toBeNull();
});
