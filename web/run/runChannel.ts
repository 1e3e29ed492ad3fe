import { useEffect, useMemo, useRef } from 'react';

/** An answer that the class has called out, and how many hands it has. */
export interface Called {
  readonly text: string;
  readonly hands: number;
}

/** What the wall shows now: told to the window with the notes. */
export interface OnWall {
  readonly slide: number;
  readonly called: readonly Called[];
  readonly revealed: boolean;
  readonly counts: boolean;
  readonly blank: boolean;
  readonly pointer: boolean;
}

export const RUN_KEYS = ['next', 'back', 'reveal', 'counts', 'pointer', 'blank'] as const;
export type RunKey = (typeof RUN_KEYS)[number];

/** Keys of the keyboard, and of a hand-held presenter, which sends page keys. */
export const KEYS_OF: Readonly<Record<RunKey, readonly string[]>> = {
  next: ['n', 'PageDown'],
  back: ['b', 'PageUp'],
  reveal: ['r'],
  counts: ['c'],
  pointer: ['p'],
  blank: ['.'],
};

export type RunMessage =
  | { readonly kind: 'wall'; readonly wall: OnWall }
  | { readonly kind: 'pressed'; readonly key: RunKey }
  | { readonly kind: 'who' };

const isRunMessage = (data: unknown): data is RunMessage =>
  typeof data === 'object' && data !== null && 'kind' in data;

/** Wall and notes of one lesson, in two windows of one browser. @returns how to say something to the other */
export function useRunChannel(
  lesson: string,
  onMessage: (message: RunMessage, say: (message: RunMessage) => void) => void,
): (message: RunMessage) => void {
  const channel = useRef<BroadcastChannel | null>(null);
  const latest = useRef(onMessage);
  useEffect(() => {
    latest.current = onMessage;
  });
  useEffect(() => {
    const own = new BroadcastChannel(`run ${lesson}`);
    own.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
      if (isRunMessage(data)) latest.current(data, (answer) => own.postMessage(answer));
    });
    channel.current = own;
    return () => {
      own.close();
      channel.current = null;
    };
  }, [lesson]);
  return useMemo(() => (message) => channel.current?.postMessage(message), []);
}
