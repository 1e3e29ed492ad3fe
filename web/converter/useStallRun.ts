import { useCallback, useEffect, useRef, useState } from 'react';
import type { StallSample } from '../../core/vehicle';

/** s that the engine needs to run up: a reading before that says nothing. */
const RUN_UP_S = 1.5;

/**
 * Plays a stall test in real time: full throttle until it is let go, or until the samples end.
 * @param onEnd told the last sample that was reached
 */
export function useStallRun(samples: readonly StallSample[], onEnd: (last: StallSample) => void) {
  const [running, setRunning] = useState(false);
  const [now, setNow] = useState<StallSample | null>(null);
  const [ended, setEnded] = useState<StallSample | null>(null);
  const latest = useRef({ samples, onEnd });
  useEffect(() => {
    latest.current = { samples, onEnd };
  });
  const playing = useRef<readonly StallSample[]>([]);
  const reached = useRef<StallSample | null>(null);
  const finish = useCallback(() => {
    setRunning(false);
    setNow(null);
    const last = reached.current;
    if (!last) return;
    setEnded(last);
    latest.current.onEnd(last);
  }, []);
  useEffect(() => {
    if (!running) return;
    playing.current = latest.current.samples;
    const start = performance.now();
    let frame = requestAnimationFrame(function tick(at) {
      const seconds = (at - start) / 1000;
      const list = playing.current;
      const next = list.find((s) => s.time >= seconds) ?? list.at(-1)!;
      reached.current = next;
      setNow(next);
      if (seconds >= list.at(-1)!.time) finish();
      else frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [running, finish]);
  return {
    running,
    now,
    reading: ended?.engineRpm ?? null,
    tooShort: ended !== null && ended.time < RUN_UP_S,
    toggle: () => {
      if (running) finish();
      else {
        reached.current = null;
        setRunning(true);
      }
    },
    clear: () => {
      setEnded(null);
      setNow(null);
      setRunning(false);
    },
  };
}
