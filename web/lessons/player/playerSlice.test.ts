import { record } from '../../../core/lesson/tests/records';
import {
  defaultSetup,
  newLesson,
  newStep,
  type Attempt,
  type AttemptAnswer,
} from '../../../core/lesson';
import {
  answerNow,
  attemptFinished,
  attemptLeft,
  attemptMerged,
  attemptStarted,
  playerReducer,
  predictionCommitted,
  roundBegun,
  stepShown,
} from './playerSlice';

const lesson = newLesson('l', 'L', newStep('s', 'S'));
const attempt = record(lesson, [], { id: 'a' });
const answer = (round: number, value = 1): AttemptAnswer => ({
  question: 'q',
  round,
  setup: defaultSetup(),
  answer: { kind: 'number', value },
  confidence: 'guess',
  at: '2030-01-01T08:00:00Z',
  score: 0,
});
const start = (a: Attempt = attempt) =>
  playerReducer(undefined, attemptStarted({ mode: 'learn', attempt: a, lesson, stepId: 's' }));

test('a committed prediction stands: a second one in the same round changes nothing', () => {
  let state = playerReducer(start(), predictionCommitted(answer(0, 1)));
  state = playerReducer(state, predictionCommitted(answer(0, 2)));
  expect(state.attempt?.answers.map((a) => a.answer)).toEqual([{ kind: 'number', value: 1 }]);
  expect(answerNow(state, 'q')?.round).toBe(0);
});

test('a new round opens the question again and keeps the first answer', () => {
  let state = playerReducer(start(), predictionCommitted(answer(0)));
  state = playerReducer(state, roundBegun('q'));
  expect(answerNow(state, 'q')).toBeUndefined();
  state = playerReducer(state, predictionCommitted(answer(1)));
  expect(state.attempt?.answers.map((a) => a.round)).toEqual([0, 1]);
});

test('an attempt is taken up where it was left', () => {
  const state = start({ ...attempt, answers: [answer(0), answer(1)] });
  expect(state.rounds).toEqual({ q: 1 });
  expect(answerNow(state, 'q')?.round).toBe(1);
});

test('steps, finishing and leaving', () => {
  let state = playerReducer(start(), stepShown('next'));
  expect(state.stepId).toBe('next');
  state = playerReducer(state, attemptFinished('2030-01-01T09:00:00Z'));
  expect(state.attempt?.finishedAt).toBe('2030-01-01T09:00:00Z');
  expect(playerReducer(state, attemptLeft()).attempt).toBeNull();
});

test('another tab’s answers come in: a question that it answered is not open here any more', () => {
  let state = playerReducer(start(), predictionCommitted({ ...answer(0, 5), question: 'own' }));
  state = playerReducer(
    state,
    attemptMerged({ ...attempt, answers: [answer(0, 1), answer(1, 2)] }),
  );
  expect(answerNow(state, 'q')?.answer).toEqual({ kind: 'number', value: 2 });
  expect(state.attempt?.answers.map((a) => a.question)).toEqual(['q', 'q', 'own']);
  // That of somebody else is not taken in.
  expect(playerReducer(state, attemptMerged({ ...attempt, id: 'b' }))).toEqual(state);
});
