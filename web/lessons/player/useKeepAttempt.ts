import { useCallback, useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { mergedAttempt, type Attempt } from '../../../core/lesson';
import { useAppDispatch, useServices } from '../../state/hooks';
import { writtenOrNot } from '../../state/written';
import { reasonOf } from '../../shared/reasonOf';
import type { Services } from '../../state/services';
import { saveAttempt } from '../../state/attemptsSlice';
import { attemptMerged } from './playerSlice';
import type { Unsaved } from './UnsavedNotice';

/** Another tab may save in between; this often it is tried again. */
const TRIES = 5;

/** Without a key, where storage is refused, the record stays without a seal: one made before would no longer fit. */
async function withSeal(attempt: Attempt, services: Services): Promise<Attempt> {
  try {
    return await services.seal(attempt);
  } catch {
    const { seal: _outdated, ...bare } = attempt;
    return bare;
  }
}

/** Seals and keeps the record of the attempt that runs; answers that another tab has kept meanwhile stay in it. */
export function useKeepAttempt() {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const services = useServices();
  const [unsaved, setUnsaved] = useState<Unsaved | null>(null);
  const keep = useCallback(
    async (attempt: Attempt): Promise<Attempt> => {
      const text = JSON.stringify(attempt);
      services.waiting.begun(attempt.id, text);
      let own = await withSeal(attempt, services);
      try {
        for (let k = 0; k < TRIES; k++) {
          const stored = (await services.documents.readAttempt(own.id))?.attempt ?? null;
          if (stored) own = await withSeal(mergedAttempt(stored, attempt), services);
          const record = { attempt: own, source: 'mine' as const };
          const saving = dispatch(saveAttempt({ record, base: stored }));
          const { outcome } = writtenOrNot(t, await saving.unwrap());
          if (outcome === 'conflict') continue;
          dispatch(attemptMerged(own));
          services.waiting.done(attempt.id, text);
          setUnsaved(null);
          return own;
        }
        throw new Error('conflict');
      } catch (error) {
        const reason = typeof error === 'string' ? error : reasonOf(error);
        setUnsaved({ attempt: own, reason });
        return own;
      }
    },
    [dispatch, services, t],
  );
  return { keep, unsaved };
}

/** An attempt as it was put down by this application; `null` for anything else. */
function attemptIn(text: string): Attempt | null {
  try {
    const value = JSON.parse(text) as Partial<Attempt> | null;
    return typeof value?.id === 'string' && Array.isArray(value.answers)
      ? (value as Attempt)
      : null;
  } catch {
    return null;
  }
}

/** Keeps what a page that went had not kept yet. @returns what still can't be kept */
export function useKeepWaiting(): Unsaved | null {
  const { keep, unsaved } = useKeepAttempt();
  const { waiting } = useServices();
  useEffect(() => {
    for (const text of waiting.all()) {
      const attempt = attemptIn(text);
      if (attempt) void keep(attempt);
    }
  }, [keep, waiting]);
  return unsaved;
}
