import { randomFromSeed } from '../numerics';
import { inLesson } from './tests/askable';
import { drawQuestion } from './tests/drawnQuestions';
import { FAMILIES, familyNamed } from './families/families';
import { classBook } from './classBook';
import { keyFor, posedFor } from './assess';
import type { Lesson } from './lesson';
import { posedIn, varies } from './posed';
import { familyOf, kindsOf, QUESTION_KINDS, type Question, type QuestionKind } from './question';

const STAY: readonly QuestionKind[] = ['own-choice', 'own-number', 'own-order'];
const VARYING = QUESTION_KINDS.filter((kind) => !STAY.includes(kind));

/** A question that can be asked, in a lesson that carries what it is about. */
function askable(kind: QuestionKind): { lesson: Lesson; question: Question } {
  for (let k = 0; k < 200; k++) {
    const drawn = drawQuestion(kind, randomFromSeed(`${kind} ${k}`));
    if (!keyFor(drawn.question, drawn.subject).ok) continue;
    const question = { ...drawn.question, prompt: 'As I word it', vary: true };
    return { lesson: inLesson(question, drawn.subject), question };
  }
  throw new Error(`no question of kind ${kind} can be asked`);
}

const seed = (student: string, round = 0) => ({ student, lessonId: 'l', questionId: 'q', round });

// A family's table of kinds takes its key for one of the same name, or of the other thing that a kind can ask.
const ALSO: { readonly [K in QuestionKind]?: string } = {
  'will-it-hold': 'slips-first',
  'upgrade-limit': 'carried',
};

test.each(QUESTION_KINDS)('%s: its key is of its kind', (kind) => {
  for (let k = 0; k < 6; k++) {
    const { question, subject } = drawQuestion(kind, randomFromSeed(`key of ${kind} ${k}`));
    const result = keyFor(question, subject);
    if (result.ok) expect([kind, ALSO[kind]]).toContain(result.key.kind);
  }
});

test('every kind varies but those that have nothing to vary', () => {
  for (const kind of QUESTION_KINDS)
    expect([kind, varies(familyNamed(familyOf({ kind })), { kind } as Question)]).toEqual([
      kind,
      !STAY.includes(kind),
    ]);
});

test.each(VARYING)(
  '%s: each student their own, askable, the same seed the same numbers',
  (kind) => {
    const { lesson, question } = askable(kind);
    const drawn = new Set<string>();
    for (let k = 0; k < 6; k++) {
      const posed = posedFor(lesson, question, seed(`Student ${k}`));
      expect(posed.question.kind).toBe(kind);
      expect(posed.step).toBe(false);
      expect(posed.subject && keyFor(posed.question, posed.subject).ok).toBe(true);
      expect(posedFor(lesson, question, seed(` student ${k}`)).question).toEqual(posed.question);
      drawn.add(JSON.stringify(posed.question));
    }
    expect(drawn.size).toBeGreaterThan(1);
    // As it stands for one who builds it; asked again, it is another.
    expect(posedFor(lesson, question, null).question).toEqual(question);
    const plain = { ...question, vary: false };
    expect(posedFor(lesson, plain, seed('Ina')).question).toEqual(plain);
    const { vary: _once, ...again } = posedFor(lesson, plain, seed('Ina', 1))
      .question as Question & {
      vary?: boolean;
    };
    const { vary: _stood, ...stood } = plain;
    expect(again).not.toEqual(stood);
  },
);

test('words that an instructor wrote of a row are not put over another row', () => {
  for (const kind of VARYING) {
    const { lesson, question } = askable(kind);
    const { prompt } = posedFor(lesson, question, seed('Ina')).question;
    expect([kind, prompt]).toEqual([kind, familyOf(question) === 'gear-set' ? 'As I word it' : '']);
  }
});

test('a question stays as it is where no draw of it can be asked', () => {
  const { lesson, question } = askable('number');
  const family = {
    ...FAMILIES['gear-set'],
    key: () => ({ ok: false, fault: 'no-output' }) as const,
  };
  expect(posedIn(family as never, lesson, question, seed('Ina')).question).toBe(question);
});

test('an answer to other numbers than are drawn for the student is set aside, not counted', () => {
  const { lesson, question } = askable('reaction');
  const posed = posedFor(lesson, question, seed('Ina'));
  expect(posed.drawn).toMatch(/^[0-9a-f]{8}$/);
  expect(posedFor(lesson, question, null).drawn).toBeNull();
  const cell = (drawn: string) =>
    classBook(lesson, [
      {
        format: 'fair-sprocket/attempt',
        version: 1,
        id: 'a',
        student: 'Ina',
        lesson: { id: lesson.id, title: lesson.title, hash: '0'.repeat(64) },
        startedAt: '2030-01-01T08:00:00Z',
        answers: [
          {
            question: 'q',
            round: 0,
            drawn,
            answer: { kind: 'reaction', elements: [] },
            confidence: 'guess',
            at: '2030-01-01T08:00:00Z',
            score: 1,
          },
        ],
      },
    ]).rows[0]!.cells[0]!;
  expect(cell(posed.drawn!)).toMatchObject({ setAside: null, question: posed.question });
  expect(cell('00000000')).toMatchObject({ setAside: 'other-question', score: null });
});

test('a unit that has no ranges and no elements yet leaves nothing to draw, and breaks nothing', () => {
  for (const kind of kindsOf('unit')) {
    const { lesson, question } = askable(kind);
    const units = lesson.units!.map((u) => ({ ...u, ranges: [], elements: [] }));
    const posed = posedFor({ ...lesson, units }, question, seed('Ina'));
    expect(posed.question.kind).toBe(kind);
  }
});
