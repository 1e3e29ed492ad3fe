import { useEffect, useRef, useState } from 'react';
import type { FoundTeeth, ToothSearch, Unit } from '../../../core/geartrain';
import { reasonOf } from '../../shared/reasonOf';
import { searchInWorkers } from '../../workers/searchWorkers';

/** A search as it goes on. */
export interface SearchRun {
  readonly share: number;
  readonly tried: number;
  readonly found: readonly FoundTeeth[];
  readonly done: boolean;
  readonly failure: string;
}

const IDLE: SearchRun = { share: 0, tried: 0, found: [], done: false, failure: '' };

type Asked = Pick<ToothSearch, 'wishes' | 'fewestSun' | 'mostRing'>;

/** Searches for teeth in workers: started anew it leaves what it was at, and it ends with its screen. */
export function useToothSearch(unit: Unit) {
  const [running, setRunning] = useState<SearchRun | null>(null);
  const cancel = useRef<AbortController | null>(null);
  useEffect(() => () => cancel.current?.abort(), []);
  const start = (asked: Asked) => {
    cancel.current?.abort();
    const controller = new AbortController();
    cancel.current = controller;
    setRunning(IDLE);
    const search = { unit, ...asked, fewestPinion: 14, keep: 8, tolerance: 0.05 };
    searchInWorkers(search, controller.signal, (step) => {
      // A step that was on its way when it was cancelled comes too late.
      if (!controller.signal.aborted) setRunning({ ...step, done: false, failure: '' });
    }).then(
      () => setRunning((r) => r && { ...r, share: 1, done: true }),
      (error: unknown) =>
        setRunning((r) => ({
          ...(r ?? IDLE),
          done: true,
          failure: controller.signal.aborted ? '' : reasonOf(error),
        })),
    );
  };
  return { running, start, cancel: () => cancel.current?.abort() };
}
