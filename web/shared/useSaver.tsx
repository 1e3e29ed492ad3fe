import { App, Button } from 'antd';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { useTranslation } from 'react-i18next';
import { useBlocker } from 'react-router';
import { draftSaver, saverState, type Draft, type SaverState } from './draftSaver';

interface Options<T> extends Draft<T> {
  /** What is stored when the screen opens. */
  readonly stored: T;
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

/**
 * Keeps a draft, and also when the screen is left or the page is hidden.
 * What can't be kept is not left behind without a word: the way out asks, and offers it as a file.
 */
export function useSaver<T>({ draft, stored, sound, save, takeAlong }: Options<T>): Saver<T> {
  const [saver] = useState(() => draftSaver(stored));
  const keeping = useSyncExternalStore(saver.subscribe, saver.now);
  useEffect(() => saver.changed({ draft, sound, save }));
  const { clean, saveNow, rebase } = saver;
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
  useAskBeforeLeaving(clean, saveNow, () => takeAlong(saver.draft()));
  return { state: saverState(keeping, draft), reason: keeping.reason, saveNow, rebase };
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
