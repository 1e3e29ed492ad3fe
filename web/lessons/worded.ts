/** An answer, or a key, in words. */
export interface Worded {
  /** The number or choice itself. */
  readonly main: string;
  /** Direction, exact fraction and the like. */
  readonly detail: string;
}

export const plain = (main: string, detail = ''): Worded => ({ main, detail });

/** All of it in one line. */
export const inOneLine = ({ main, detail }: Worded): string =>
  [main, detail].filter(Boolean).join(', ');

/** Why an answer is right or wrong, with the model's own numbers in it. */
export interface Reason {
  readonly title: string;
  /** Its facts, each a sentence. */
  readonly facts: readonly string[];
}
