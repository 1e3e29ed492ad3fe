/** What went wrong, as the browser words it; shown only beside our own explanation. */
export const reasonOf = (error: unknown): string =>
  error instanceof Error ? `${error.name}: ${error.message}` : String(error);
