import { App, Button } from 'antd';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useBlocker } from 'react-router';

/** waiting: a moment from now · stopped: something must be decided first, and nothing is saved until then */
export type SaverState = 'saved' | 'waiting' | 'saving' | 'failed' | 'stopped';

interface Options<T> {
  readonly draft: T;
  /** What is stored when the screen opens. */
  readonly stored: T;
  /** The draft can be kept as it is. */
  readonly sound: boolean;
  /** @returns false where something must be decided first @throws where it could not be kept */
  readonly save: (draft: T, base: T) => Promise<boolean>;
  /** Hands the draft out as a file: for one who leaves while it can't be kept. */
  readonly takeAlong: (draft: T) => void;
}

export interface Saver<T> {
  readonly state: SaverState;
  /** What the browser said when a save failed. */
  readonly reason: string;
  /** Saves at once. @returns whether nothing is left unsaved */
  readonly saveNow: () => Promise<boolean>;
  /** Something else is stored now: what is kept from here on is compared with it. */
  readonly rebase: (stored: T) => void;
}

/** A pause in the typing saves; who never pauses is saved for all that. */
export const PAUSE_MS = 700;
export const LONGEST_MS = 2000;

/** How long until the next save. @param since when the first change that is not kept was made, ms */
export const waitFor = (now: number, since: number): number =>
  Math.max(0, Math.min(PAUSE_MS, since + LONGEST_MS - now));

/**
 * Keeps a draft: a moment after the last change, at the latest two seconds after the first, and when the screen is left
 * or the page is hidden.
 * What can't be kept is not left behind without a word: the way out asks, and offers it as a file.
 */
export function useSaver<T>({ draft, stored, sound, save, takeAlong }: Options<T>): Saver<T> {
  const base = useRef(stored);
  const latest = useRef({ draft, sound, save });
  const running = useRef<Promise<boolean> | null>(null);
  const since = useRef<number | null>(null);
  /** The draft that could not be kept: it is tried again when it changes, or when the user says so. */
  const refused = useRef<T | null>(null);
  const [kept, setKept] = useState(stored);
  const [state, setState] = useState<'idle' | 'saving' | 'failed' | 'stopped'>('idle');
  const [reason, setReason] = useState('');
  useEffect(() => {
    latest.current = { draft, sound, save };
  });
  const clean = useCallback(() => latest.current.draft === base.current, []);

  const saveNow = useCallback((): Promise<boolean> => {
    const run = async () => {
      let tried: T | null = null;
      try {
        while (!clean() && latest.current.sound) {
          const { draft: now, save: keep } = latest.current;
          tried = now;
          setState('saving');
          if (!(await keep(now, base.current))) {
            setState('stopped');
            return false;
          }
          base.current = now;
          since.current = null;
          setKept(now);
        }
        setState('idle');
        return clean();
      } catch (error) {
        refused.current = tried;
        since.current = null;
        setReason(error instanceof Error ? `${error.name}: ${error.message}` : String(error));
        setState('failed');
        return false;
      }
    };
    if (running.current) return running.current;
    const own = run();
    running.current = own;
    void own.finally(() => {
      if (running.current === own) running.current = null;
    });
    return own;
  }, [clean]);

  useEffect(() => {
    if (draft === base.current || draft === refused.current || !sound || state === 'stopped')
      return;
    since.current ??= Date.now();
    const timer = setTimeout(() => void saveNow(), waitFor(Date.now(), since.current));
    return () => clearTimeout(timer);
  }, [draft, sound, saveNow, state]);
  useEffect(() => () => void saveNow(), [saveNow]);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (!clean()) event.preventDefault();
    };
    // A phone that goes to another application asks nothing, and may never come back to this page.
    const put = () => {
      if (document.visibilityState === 'hidden') void saveNow();
    };
    window.addEventListener('beforeunload', warn);
    document.addEventListener('visibilitychange', put);
    return () => {
      window.removeEventListener('beforeunload', warn);
      document.removeEventListener('visibilitychange', put);
    };
  }, [clean, saveNow]);
  useAskBeforeLeaving(clean, saveNow, () => takeAlong(latest.current.draft));

  const rebase = useCallback((now: T) => {
    base.current = now;
    refused.current = null;
    since.current = null;
    setKept(now);
    setReason('');
    setState('idle');
  }, []);
  const shown: SaverState =
    state === 'idle' ? (draft === kept ? 'saved' : 'waiting') : draft === kept ? 'saved' : state;
  return { state: shown, reason, saveNow, rebase };
}

/** The way out by a link: what is not kept is saved first; where that fails, it asks. */
function useAskBeforeLeaving(
  clean: () => boolean,
  saveNow: () => Promise<boolean>,
  takeAlong: () => void,
): void {
  const { t } = useTranslation();
  const { modal } = App.useApp();
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) =>
      currentLocation.pathname !== nextLocation.pathname && !clean(),
  );
  const asked = useRef(false);
  useEffect(() => {
    if (blocker.state !== 'blocked') asked.current = false;
    if (blocker.state !== 'blocked' || asked.current) return;
    asked.current = true;
    const done = (go: boolean) => {
      if (go) blocker.proceed();
      else blocker.reset();
    };
    void saveNow().then((kept) => {
      if (kept) return done(true);
      const dialog = modal.confirm({
        title: t('leaving.title'),
        content: t('leaving.detail'),
        closable: true,
        onCancel: () => done(false),
        footer: (
          <div className="row" style={{ justifyContent: 'flex-end', marginTop: 16 }}>
            <Button
              onClick={() => {
                dialog.destroy();
                done(true);
              }}
            >
              {t('leaving.without')}
            </Button>
            <Button onClick={takeAlong}>{t('leaving.file')}</Button>
            <Button
              type="primary"
              onClick={() => {
                dialog.destroy();
                done(false);
              }}
            >
              {t('leaving.stay')}
            </Button>
          </div>
        ),
      });
    });
  }, [blocker, saveNow, takeAlong, modal, t]);
}
