import { createContext } from 'react';
import type { AttemptAnswer } from '../../../core/lesson';
import type { Next } from './NextButton';

/** While a class answers together: a commit goes to the room, and what comes of it is not shown before the reveal. */
export interface RoomTurn {
  /** What this student has sent in this vote. */
  readonly sent: AttemptAnswer | null;
  readonly commit: (entry: AttemptAnswer) => void;
  /** Why it was not taken; empty while nothing is wrong. */
  readonly trouble: string;
}

/** At the projector a whole class calls out: what is said is written onto the board, and nobody asks how sure it is or why. */
export const OnWallContext = createContext(false);

/** In a room the instructor goes on. */
export const NO_NEXT: Next = { title: '', go: () => undefined, hidden: true };

/** `null` outside a room, and once the answer is shown. */
export const RoomTurnContext = createContext<RoomTurn | null>(null);
