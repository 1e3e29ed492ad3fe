/** Its message is in the reader's own words. */
export class InWords extends Error {}

/** What went wrong, as the browser words it; shown only beside our own explanation. */
export const reasonOf = (error: unknown): string =>
  error instanceof InWords
    ? error.message
    : error instanceof Error
      ? `${error.name}: ${error.message}`
      : String(error);
