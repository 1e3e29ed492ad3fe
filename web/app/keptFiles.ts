/**
 * Every file of the application is fetched once into the browser's own store, so that all of it works when the server is
 * gone. They are only fetched: a screen is read and run when it is opened.
 */
export const KEPT_FILES = 'kept-files';

/** Told as a performance mark when all that could be fetched is here. */
export const KEPT_MARK = 'files kept';

const FIRST_PAUSE_MS = 1500;

/** The build writes the list into the page, most needed first; a development server writes none. */
export const keptFiles = (page: Pick<Document, 'getElementById'>): string[] =>
  JSON.parse(page.getElementById(KEPT_FILES)?.textContent ?? '[]') as string[];

/** One after the other. What can't be fetched now is fetched when it is needed. */
export async function fetchAll(
  files: readonly string[],
  fetchOne: (file: string) => Promise<Response>,
): Promise<void> {
  for (const file of files)
    await fetchOne(file)
      .then((answer) => answer.arrayBuffer())
      .catch(() => undefined);
}

export function keepFilesWhenIdle(): void {
  setTimeout(() => {
    void fetchAll(keptFiles(document), (file) => fetch(file, { priority: 'low' })).then(() =>
      performance.mark(KEPT_MARK),
    );
  }, FIRST_PAUSE_MS);
}
