import {
  assess,
  type Answer,
  type AssessResult,
  type AttemptAnswer,
  type Confidence,
  type QuestionBlock,
  type Subject,
} from '../../../core/lesson';
import { useAppDispatch, useAppSelector, useServices } from '../../app/hooks';
import { predictionCommitted, selectPlayer } from './playerSlice';
import { useKeepAttempt } from './useKeepAttempt';

/** Grades a prediction, puts it on the record and saves the record. */
export function useCommit(block: QuestionBlock, subject: Subject, round: number) {
  const dispatch = useAppDispatch();
  const services = useServices();
  const player = useAppSelector(selectPlayer);
  const { keep, unsaved } = useKeepAttempt();
  /** @param graded where grading takes a worker */
  const commit = (
    answer: Answer,
    confidence: Confidence,
    graded: AssessResult = assess(block.question, subject, answer),
  ) => {
    if (!graded.ok || !player.attempt) return;
    const { score, misconception } = graded.grade;
    const entry: AttemptAnswer = {
      question: block.id,
      round,
      ...(subject.kind === 'set' ? { setup: subject.setup } : {}),
      answer,
      confidence,
      at: services.now(),
      score,
      ...(misconception ? { misconception } : {}),
    };
    dispatch(predictionCommitted(entry));
    if (player.mode !== 'learn') return;
    void keep({ ...player.attempt, answers: [...player.attempt.answers, entry] });
  };
  return { commit, unsaved };
}
