import { useContext, useMemo } from 'react';
import {
  asksWhy,
  graderIn,
  type Answer,
  type AnswerOf,
  type AnyFault,
  type AnyTypes,
  type Assessment,
  type AttemptAnswer,
  type Confidence,
  type Family,
  type FamilyName,
  type KeyOf,
  type KeyResult,
  type QuestionBlock,
  type QuestionOf,
  type SubjectOf,
  type TypesOf,
} from '../../../core/lesson';
import { useAppDispatch, useAppSelector, useServices } from '../../state/hooks';
import { answerNow, predictionCommitted, roundBegun, selectPlayer } from './playerSlice';
import type { OwnWords } from './ownWords';
import { useKept } from '../../shared/kept';
import type { Unsaved } from './UnsavedNotice';
import { RoomTurnContext } from './roomTurn';
import { useKeepAttempt } from './useKeepAttempt';

export type AskedBlock<F extends FamilyName> = QuestionBlock & {
  question: QuestionOf<F>;
  /** Which numbers were drawn for this student, where some were. */
  drawn?: string;
};

/** One question on the stage, whatever its family: its key, what was committed, and how to commit. */
export interface Asked<F extends FamilyName> {
  readonly question: QuestionOf<F>;
  readonly subject: SubjectOf<F>;
  /** `null` while it is computed elsewhere. */
  readonly key: KeyResult<KeyOf<F>, AnyFault> | null;
  readonly committed: AttemptAnswer | undefined;
  /** How what was committed compares with the key; `null` while the key is not there. */
  readonly graded: Assessment | null;
  /** What was committed. */
  readonly given: AnswerOf<F> | undefined;
  /** Puts a prediction on the record and saves the record. @param graded where grading takes a worker */
  readonly commit: (answer: AnswerOf<F>, confidence: Confidence, graded?: Assessment) => void;
  readonly unsaved: Unsaved | null;
  /** Why, in the student's own words, while they are asked for; `null` where they are not. */
  readonly why: OwnWords | null;
  /** Begins the next round. */
  readonly again: () => void;
}

/**
 * @param family the row of the question's family: the screen loads no other
 * @param elsewhere the key from a worker, where it takes long; `null` while it is not there
 */
export function useAsked<F extends FamilyName>(
  family: Family<TypesOf[F]>,
  block: AskedBlock<F>,
  subject: SubjectOf<F>,
  round: number,
  elsewhere?: KeyResult<KeyOf<F>, AnyFault> | null,
): Asked<F> {
  const dispatch = useAppDispatch();
  const services = useServices();
  const player = useAppSelector(selectPlayer);
  const { keep, unsaved } = useKeepAttempt();
  const room = useContext(RoomTurnContext);
  const { question, id } = block;
  const own = useMemo(
    () => (elsewhere === undefined ? family.key(question, subject) : null),
    [elsewhere, family, question, subject],
  );
  const key = elsewhere === undefined ? own : elsewhere;
  const grader = useMemo(
    () => key && graderIn(family as unknown as Family<AnyTypes>, question, subject, key),
    [family, question, subject, key],
  );
  const grade = (answer: Answer) => (grader?.ok ? grader.grade(answer) : null);
  const committed = answerNow(player, id);
  // To grade a start takes a run: once, and not with every turn of the drawing.
  const graded = useMemo(
    () => (committed && grader?.ok ? grader.grade(committed.answer) : null),
    [committed, grader],
  );
  const [words, onWords] = useKept('useAsked words', '');
  const wordsAsked = asksWhy(block, round);
  return {
    question,
    subject,
    key,
    committed,
    graded,
    given: committed?.answer,
    unsaved,
    why: wordsAsked ? { words, onWords } : null,
    again: () => void dispatch(roundBegun(id)),
    commit(answer, confidence, assessment) {
      const own = assessment ?? grade(answer);
      if (!own || !player.attempt) return;
      const { score, why } = own;
      const [slip, other] = why.named;
      const entry: AttemptAnswer = {
        question: id,
        round,
        ...(subject.kind === 'gear-set' ? { setup: subject.setup } : {}),
        ...(block.drawn === undefined ? {} : { drawn: block.drawn }),
        answer,
        confidence,
        ...(wordsAsked ? { words: words.trim() } : {}),
        at: services.now(),
        score,
        ...(slip && !other ? { misconception: slip.slip } : {}),
      };
      if (room) {
        room.commit(entry);
        return;
      }
      dispatch(predictionCommitted(entry));
      if (player.mode !== 'learn') return;
      void keep({ ...player.attempt, answers: [...player.attempt.answers, entry] });
    },
  };
}
