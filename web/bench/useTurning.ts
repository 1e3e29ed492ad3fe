import { useCallback, useEffect, useRef, useState } from 'react';
import { reducedMotion } from '../shared/motion';

/** Real time ÷ drawn time. */
export const SLOWDOWNS = { normal: 40, slow: 400 } as const;

export interface Turning {
  readonly playing: boolean;
  readonly slow: boolean;
  readonly toggle: () => void;
  readonly toggleSlow: () => void;
  /** Stops, and turns the input by an angle in rad. */
  readonly stepBy: (angle: number) => void;
  /** Stops, and sets the input's turn in rad. */
  readonly turnTo: (angle: number) => void;
  /** Called with the input's turn in rad whenever it changes; returns a function that ends it. */
  readonly subscribe: (listener: (inputTurn: number) => void) => () => void;
}

/**
 * Turns the input of a bench. The angle lives outside React: each frame goes straight to the listeners.
 * @param enabled nothing turns while a prediction is open
 */
export function useTurning(inputSpeedRpm: number, enabled: boolean): Turning {
  const [playing, setPlaying] = useState(() => !reducedMotion());
  const [slow, setSlow] = useState(false);
  const turn = useRef(0);
  const listeners = useRef(new Set<(inputTurn: number) => void>());

  const publish = useCallback((angle: number) => {
    turn.current = angle;
    for (const listener of listeners.current) listener(angle);
  }, []);

  useEffect(() => {
    if (!playing || !enabled) return;
    const radPerMs = (inputSpeedRpm * 2 * Math.PI) / 60_000 / SLOWDOWNS[slow ? 'slow' : 'normal'];
    let last: number | null = null;
    let frame = requestAnimationFrame(function tick(now) {
      // A tab that was away does not catch up.
      if (last !== null) publish(turn.current + radPerMs * Math.min(now - last, 100));
      last = now;
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, enabled, slow, inputSpeedRpm, publish]);

  const subscribe = useCallback((listener: (inputTurn: number) => void) => {
    listeners.current.add(listener);
    listener(turn.current);
    return () => {
      listeners.current.delete(listener);
    };
  }, []);
  const turnTo = useCallback(
    (angle: number) => {
      setPlaying(false);
      publish(angle);
    },
    [publish],
  );
  return {
    playing,
    slow,
    toggle: useCallback(() => setPlaying((p) => !p), []),
    toggleSlow: useCallback(() => setSlow((s) => !s), []),
    stepBy: useCallback((angle: number) => turnTo(turn.current + angle), [turnTo]),
    turnTo,
    subscribe,
  };
}
