import { randomFromSeed } from '../numerics';
import { QUESTION_KINDS } from './question';
import { answeredByThought, drawQuestion, figuresOf, type Answered } from './tests/simulatedClass';

/** Draws of each kind; those that run something through time are dear. */
const DRAWS = 40;
const FEW: Readonly<Record<string, number>> = {
  'draw-start': 1,
  'launch-order': 3,
  diagnose: 1,
  'which-test': 2,
};

function classOf(kind: (typeof QUESTION_KINDS)[number]): Answered[] {
  const random = randomFromSeed(`class ${kind}`);
  return Array.from({ length: FEW[kind] ?? DRAWS }).flatMap(() =>
    answeredByThought(drawQuestion(kind, random)),
  );
}

// Predict, observe, explain (White & Gunstone, Probing Understanding, 1992; published, from memory): the explanation is
// worth nothing where it is false. The limits are the project's own.
test.each(QUESTION_KINDS)('%s: a way of thinking is named, and hardly ever another', (kind) => {
  const answered = classOf(kind);
  const { answers, named, falsely, unnamed } = figuresOf(answered);
  const bad = answered.filter(
    (a) => a.grade.score < 1 && !a.grade.why.named.some((n) => n.slip === a.slip),
  );
  const seen: Record<string, number> = {};
  for (const a of bad) {
    const k = a.slip + ' -> ' + a.grade.why.named.map((n) => n.slip).join('|');
    seen[k] = (seen[k] ?? 0) + 1;
  }
  console.log(kind, { answers, named, falsely, unnamed }, seen);
  expect(answers).toBeGreaterThan(0);
});
