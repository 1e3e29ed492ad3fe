import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { mergedAttempt, type Attempt, type AttemptAnswer, type Lesson } from '../../../core/lesson';

/** One student's way through one lesson. What is revealed follows from the answers, so it is not stored. */
export interface PlayerState {
  /** Preview: an instructor tries the lesson; nothing is recorded. */
  mode: 'learn' | 'preview';
  attempt: Attempt | null;
  /** The lesson as it was when the attempt was begun: it does not change under a student's hands. */
  lesson: Lesson | null;
  /** Rounds of practice begun, by question; 0 is the first try. */
  rounds: Record<string, number>;
  stepId: string | null;
}

const initialState: PlayerState = {
  mode: 'learn',
  attempt: null,
  lesson: null,
  rounds: {},
  stepId: null,
};

/** The last round of each question that was answered. */
function roundsOf(attempt: Attempt, known: Readonly<Record<string, number>> = {}) {
  const rounds: Record<string, number> = { ...known };
  for (const { question, round } of attempt.answers)
    rounds[question] = Math.max(rounds[question] ?? 0, round);
  return rounds;
}

const slice = createSlice({
  name: 'player',
  initialState,
  reducers: {
    attemptStarted: (
      _state,
      action: PayloadAction<{
        mode: PlayerState['mode'];
        attempt: Attempt;
        lesson: Lesson;
        stepId: string | null;
      }>,
    ): PlayerState => ({ ...action.payload, rounds: roundsOf(action.payload.attempt) }),
    /** What is stored of this attempt, with another tab's answers in it. */
    attemptMerged: (state, action: PayloadAction<Attempt>) => {
      if (state.attempt?.id !== action.payload.id) return;
      state.attempt = mergedAttempt(action.payload, state.attempt);
      state.rounds = roundsOf(state.attempt, state.rounds);
    },
    attemptLeft: () => initialState,
    stepShown: (state, action: PayloadAction<string>) => {
      state.stepId = action.payload;
    },
    predictionCommitted: (state, action: PayloadAction<AttemptAnswer>) => {
      const { attempt } = state;
      const { question, round } = action.payload;
      const taken = attempt?.answers.some((a) => a.question === question && a.round === round);
      if (attempt && !taken) attempt.answers.push(action.payload);
    },
    roundBegun: (state, action: PayloadAction<string>) => {
      state.rounds[action.payload] = (state.rounds[action.payload] ?? 0) + 1;
    },
    attemptFinished: (state, action: PayloadAction<string>) => {
      if (state.attempt) state.attempt.finishedAt = action.payload;
    },
  },
});

export const {
  attemptStarted,
  attemptMerged,
  attemptLeft,
  stepShown,
  predictionCommitted,
  roundBegun,
  attemptFinished,
} = slice.actions;
export const playerReducer = slice.reducer;

/** Id of the last tag of a lesson: the student's own record. */
export const RECORD = 'record';

interface WithPlayer {
  player: PlayerState;
}
export const selectPlayer = (state: WithPlayer): PlayerState => state.player;

/** The answer given in the round that a question is in now, if it is committed. */
export const answerNow = (player: PlayerState, questionId: string): AttemptAnswer | undefined =>
  player.attempt?.answers.find(
    (a) => a.question === questionId && a.round === (player.rounds[questionId] ?? 0),
  );

declare module '../../state/rootState' {
  interface RootState {
    player: ReturnType<typeof playerReducer>;
  }
}
