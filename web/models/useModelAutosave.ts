import { useCallback, useEffect, useRef, useState } from 'react';
import type { Model } from '../../core/formats';
import { useAppDispatch } from '../app/hooks';
import { saveModel } from './modelsSlice';

export type ModelSaveState = 'saved' | 'waiting' | 'unsound' | 'failed';

const PAUSE_MS = 700;

/**
 * Saves the draft a moment after the last change, as long as it can be opened again. A save that would
 * overwrite another tab's stops and hands the draft over.
 * @param sound the draft satisfies the file format
 */
export function useModelAutosave(
  draft: Model,
  sound: boolean,
  onConflict: (mine: Model, stored: Model) => void,
) {
  const dispatch = useAppDispatch();
  const [saved, setSaved] = useState(draft);
  const [reason, setReason] = useState('');
  const busy = useRef(false);
  const latest = useRef({ draft, sound, saved, onConflict });
  useEffect(() => {
    latest.current = { draft, sound, saved, onConflict };
  });

  const save = useCallback(async () => {
    const now = latest.current;
    if (busy.current || !now.sound || now.draft === now.saved) return;
    busy.current = true;
    try {
      const result = await dispatch(saveModel({ model: now.draft, base: now.saved })).unwrap();
      if (result.outcome === 'conflict') now.onConflict(now.draft, result.model);
      else setSaved(now.draft);
      setReason('');
    } catch (error) {
      setReason(String(error));
    } finally {
      busy.current = false;
    }
  }, [dispatch]);

  useEffect(() => {
    if (draft === saved || !sound) return;
    const timer = setTimeout(() => void save(), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [draft, saved, sound, save]);
  useEffect(() => () => void save(), [save]);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (latest.current.draft !== latest.current.saved) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, []);

  const state: ModelSaveState =
    reason !== '' ? 'failed' : draft === saved ? 'saved' : sound ? 'waiting' : 'unsound';
  return { state, reason, saveNow: () => void save() };
}
