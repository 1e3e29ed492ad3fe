import { stringify } from 'safe-stable-stringify';
import { fingerprint, randomFromSeed } from '../numerics';
import type { AnyTypes, Subject } from './families/families';
import { subjectFor } from './families/subjects';
import type { Family, Round } from './family';
import type { Lesson } from './lesson';
import type { Answer, Question } from './question';
import { seedText, type VariantSeed } from './seed';

/** A question as one student gets it in one round, and what it is about. */
export interface PosedQuestion {
  readonly question: Question;
  /** `null` when the lesson does not carry it. */
  readonly subject: Subject | null;
  /** It is asked in the place of a larger one. */
  readonly step: boolean;
  /** Tells what was drawn; `null` where nothing was. */
  readonly drawn: string | null;
}

/** So many draws for one that can be asked; then the question stays as it stands. */
const MOST_DRAWS = 60;
/** So many wrong commits of one question, and the next round asks the step that is missing by itself. */
const WRONG_BEFORE = 2;

type Row = Pick<Family<AnyTypes>, 'key' | 'vary' | 'dear' | 'smaller'>;

/** Every student gets numbers of their own, from the first try on. */
export const isVaried = (question: Question): boolean =>
  'vary' in question && question.vary === true;

/**
 * Every student's own numbers, where a question varies or is asked again: the same for the same seed.
 * @param seed `null`: as the question itself stands
 * @param before the rounds before this one, in their order
 */
export function posedIn(
  family: Row,
  lesson: Lesson,
  question: Question,
  seed: VariantSeed | null,
  before: readonly Round<Answer>[] = [],
): PosedQuestion {
  const step = stepIn(family, lesson, question, before);
  const drawn = variedIn(family, lesson, step ?? question, seed);
  return {
    question: drawn,
    subject: subjectFor(lesson, drawn),
    step: step !== null,
    drawn: drawn === (step ?? question) ? null : fingerprint(stringify(drawn)),
  };
}

/** Whether its draws may be tried out, one after the other. */
export const triedOut = ({ vary, dear }: Pick<Row, 'vary' | 'dear'>, { kind }: Question): boolean =>
  vary[kind] !== null && !dear.includes(kind);

/** Whether asking again brings other numbers. */
export const varies = ({ vary }: Pick<Row, 'vary'>, { kind }: Question): boolean =>
  vary[kind] !== null;

function variedIn(
  family: Row,
  lesson: Lesson,
  question: Question,
  seed: VariantSeed | null,
): Question {
  const draw = family.vary[question.kind];
  const asked = seed && (seed.round > 0 || isVaried(question));
  const subject = asked && draw ? subjectFor(lesson, question) : null;
  if (!seed || !draw || !subject) return question;
  const random = randomFromSeed(seedText(seed));
  const dear = family.dear.includes(question.kind);
  const before = JSON.stringify({ ...question, prompt: '' });
  for (let tries = 0; tries < MOST_DRAWS; tries++) {
    const drawn = draw(question as never, subject, random);
    const about = subjectFor(lesson, drawn);
    if (JSON.stringify({ ...drawn, prompt: '' }) === before) continue;
    if (about && (dear || family.key(drawn, about).ok)) return drawn;
  }
  return question;
}

/** The smaller question that a round asks in the place of this one: it counts neither way, and leads back. */
function stepIn(
  { smaller }: Row,
  lesson: Lesson,
  question: Question,
  before: readonly Round<Answer>[],
): Question | null {
  const subject = smaller && before.length > 0 ? subjectFor(lesson, question) : null;
  if (!smaller || !subject) return null;
  let wrong = 0;
  let next: Question | null = null;
  for (const round of before) {
    const wasStep: boolean = next !== null;
    if (wrong === WRONG_BEFORE) wrong = 0;
    next = null;
    if (wasStep) continue;
    wrong = round.score < 1 ? wrong + 1 : 0;
    if (wrong === WRONG_BEFORE) next = smaller.twice(question, subject, round);
    else if (wrong > 0) next = smaller.once?.(question, round) ?? null;
  }
  return next;
}
