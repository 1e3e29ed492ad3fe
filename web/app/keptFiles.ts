import { versionWaits } from './newVersion';

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

/** A tab that stays open for days hears of a new build, too. */
const ASK_AGAIN_MS = 3_600_000;

/** @throws Error when this browser refuses, or not all could be fetched */
async function keepByWorker(): Promise<void> {
  const { Workbox } = await import('workbox-window');
  const worker = new Workbox('/sw.js');
  worker.addEventListener('waiting', () => versionWaits(worker));
  let asked = Date.now();
  document.addEventListener('visibilitychange', () => {
    if (document.hidden || Date.now() - asked < ASK_AGAIN_MS) return;
    asked = Date.now();
    // No server, no new build.
    worker.update().catch(() => undefined);
  });
  await worker.register({ immediate: true });
  await navigator.serviceWorker.ready;
  performance.mark(KEPT_MARK);
}

/**
 * Where the browser allows it (this machine, or TLS) a service worker keeps all files and starts the application without its
 * server; on a shop's plain network they are fetched, so that what is open goes on.
 */
async function keep(): Promise<void> {
  const worker = import.meta.env.PROD && isSecureContext ? navigator.serviceWorker : undefined;
  // What a worker keeps already must hear of new builds.
  if (savesData(navigator as NetworkSaying) && !worker?.controller) return;
  if (worker) await keepByWorker().catch(keepFiles);
  else await keepFiles();
}

export const keepFilesWhenIdle = (): void => {
  setTimeout(() => void keep(), FIRST_PAUSE_MS);
};
