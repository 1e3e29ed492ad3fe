import { randomFromSeed } from '../numerics';
import { expectApproved } from '../tests/approved';
import { keyFor } from './assess';
import { classBook } from './classBook';
import { FAMILIES, familyNamed } from './families/families';
import { posedIn } from './posed';
import { familyOf, QUESTION_KINDS, type QuestionKind } from './question';
import { inLesson } from './tests/askable';
import { drawQuestion, type Drawn } from './tests/drawnQuestions';
import { demoAttempts, lessons } from './tests/records';
import { answeredByThought, broughtForward } from './tests/simulatedClass';

/** Questions that run something through time take long. */
const DEAR: ReadonlySet<QuestionKind> = new Set([
  'draw-start',
  'launch-order',
  'draw-crossing',
  'draw-pressures',
  'bolt-order',
  'set-waiting',
  'diagnose',
  'which-test',
  'whole-job',
]);
const DRAWS = 3;

/** The question as five students would get it. */
const othersOf = ({ question, subject }: Drawn) => {
  const draw = familyNamed(familyOf(question)).vary[question.kind];
  return (
    draw &&
    [1, 2, 3, 4, 5].map((seed) => {
      const other = draw(question as never, subject, randomFromSeed(`other ${seed}`));
      return [{ ...other, prompt: '' }, keyFor(other, subject)];
    })
  );
};

/** What is asked in its place after two wrong answers. */
const smallerOf = ({ question, subject }: Drawn) => {
  const wrong = { score: 0, answer: { kind: 'reaction' as const, elements: [] } };
  const family = familyNamed(familyOf(question));
  const posed = posedIn(family, inLesson(question, subject), question, null, [wrong, wrong]);
  return [posed.step, { ...posed.question, prompt: '' }];
};

test.each(Object.keys(FAMILIES))(
  '%s: keys, and what is said to every way of thinking',
  (family) => {
    const said: Record<string, unknown> = {};
    for (const kind of QUESTION_KINDS) {
      if (familyOf({ kind }) !== family) continue;
      for (let k = 0; k < (DEAR.has(kind) ? 1 : DRAWS); k++) {
        const drawn = drawQuestion(kind, randomFromSeed(`approved ${kind} ${k}`));
        const { question, subject } = drawn;
        said[`${kind} ${k}`] = { ...question, prompt: '' };
        said[`${kind} ${k} key`] = keyFor(question, subject);
        answeredByThought(drawn).forEach(({ slip, answer, grade }, n) => {
          said[`${kind} ${k} ${slip} ${n}`] = { grade, answer };
        });
        said[`${kind} ${k} brought`] = broughtForward(drawn);
        if (k < 2) said[`${kind} ${k} others`] = [othersOf(drawn), smallerOf(drawn)];
      }
    }
    expectApproved(`lesson-${family}`, said);
  },
);

/** So many of a class tell as much as all. */
const MEMBERS = 5;

test('class books of the demo class', () => {
  const said: Record<string, unknown> = {};
  const attempts = demoAttempts();
  for (const lesson of lessons) {
    const own = attempts.filter((a) => a.lesson.id === lesson.id).slice(0, MEMBERS);
    if (own.length === 0) continue;
    for (const [name, part] of Object.entries(classBook(lesson, own)))
      said[`${lesson.id} ${name}`] = part;
  }
  expectApproved('class-books', said);
});
