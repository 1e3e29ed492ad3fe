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

/** One after the other. What can't be fetched now is fetched when it is needed. @returns whether all came */
export async function fetchAll(
  files: readonly string[],
  fetchOne: (file: string) => Promise<Response>,
): Promise<boolean> {
  let all = true;
  for (const file of files)
    try {
      const answer = await fetchOne(file);
      await answer.arrayBuffer();
      all &&= answer.ok;
    } catch {
      all = false;
    }
  return all;
}

type Notes = Pick<Storage, 'getItem' | 'setItem'>;

const NOTED = 'fair-sprocket-files';
const DAY_MS = 86_400_000;

/** These very files were fetched today: the browser has them, and a visit need not ask for each again. */
export const wereFetched = (files: readonly string[], notes: Notes, now: number): boolean =>
  notes.getItem(NOTED) === note(files, now);

export const noteFetched = (files: readonly string[], notes: Notes, now: number): void =>
  notes.setItem(NOTED, note(files, now));

const note = (files: readonly string[], now: number): string =>
  [Math.floor(now / DAY_MS), ...files].join('\n');

async function keepFiles(): Promise<void> {
  const files = keptFiles(document);
  // A browser that refuses its notes fetches at each visit.
  const attempt = <T>(task: () => T) => {
    try {
      return task();
    } catch {
      return undefined;
    }
  };
  if (!attempt(() => wereFetched(files, localStorage, Date.now()))) {
    const all = await fetchAll(files, (file) => fetch(file, { priority: 'low' }));
    if (all) attempt(() => noteFetched(files, localStorage, Date.now()));
  }
  performance.mark(KEPT_MARK);
}

/** What a browser says of its network, where it says anything. */
interface NetworkSaying {
  readonly connection?: { readonly saveData?: boolean };
}

/** Whoever asked the browser to save data pays for it: only what is opened is fetched. */
export const savesData = ({ connection }: NetworkSaying): boolean => connection?.saveData === true;

export function keepFilesWhenIdle(): void {
  if (!savesData(navigator as NetworkSaying)) setTimeout(() => void keepFiles(), FIRST_PAUSE_MS);
}
