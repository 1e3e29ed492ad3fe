import { createContext } from 'react';

/** Why a student thinks so, as it is being written. */
export interface OwnWords {
  readonly words: string;
  readonly onWords: (words: string) => void;
}

/** Set where the question on the stage also asks why. */
export const AskedWhy = createContext<OwnWords | null>(null);
