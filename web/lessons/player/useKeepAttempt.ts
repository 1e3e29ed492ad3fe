import { useCallback, useState } from 'react';
import { mergedAttempt, sealed, type Attempt } from '../../../core/lesson';
import { useAppDispatch, useServices } from '../../state/hooks';
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
    return await sealed(attempt, await services.signer());
  } catch {
    const { seal: _outdated, ...bare } = attempt;
    return bare;
  }
}

/** Seals and keeps the record of the attempt that runs; answers that another tab has kept meanwhile stay in it. */
export function useKeepAttempt() {
  const dispatch = useAppDispatch();
  const services = useServices();
  const [unsaved, setUnsaved] = useState<Unsaved | null>(null);
  const keep = useCallback(
    async (attempt: Attempt): Promise<Attempt> => {
      let own = await withSeal(attempt, services);
      try {
        for (let k = 0; k < TRIES; k++) {
          const stored = (await services.documents.readAttempt(own.id))?.attempt ?? null;
          if (stored) own = await withSeal(mergedAttempt(stored, attempt), services);
          const record = { attempt: own, source: 'mine' as const };
          const { outcome } = await dispatch(saveAttempt({ record, base: stored })).unwrap();
          if (outcome === 'unreadable') throw new Error('unreadable');
          if (outcome === 'conflict') continue;
          dispatch(attemptMerged(own));
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
    [dispatch, services],
  );
  return { keep, unsaved };
}
