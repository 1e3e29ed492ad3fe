import { randomFromSeed } from '../numerics';
import { expectApproved } from '../tests/approved';
import { keyFor } from './assess';
import { FAMILIES } from './families/families';
import { familyOf, QUESTION_KINDS, type QuestionKind } from './question';
import { drawQuestion } from './tests/drawnQuestions';
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
const DRAWS = 4;

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
      }
    }
    expectApproved(`lesson-${family}`, said);
  },
);
