import { useCallback, useEffect, useRef, useState } from 'react';
import type { Socket } from 'socket.io-client';
import type { HostAction, RoomEntrance } from '../../core/formats';
import type { AttemptAnswer } from '../../core/lesson';
import type { Vote } from '../../core/room';
import { newSocket } from './wire';

/** connecting: not in yet · in · lost: it comes back by itself · out: taken out, or refused */
export type Link = 'connecting' | 'in' | 'lost' | 'out';

export interface Answer {
  readonly ok: boolean;
  readonly why?: string;
}
interface Entered<T> extends Answer {
  readonly key?: string;
  readonly room?: T;
  readonly view?: T;
}

/** So long an acknowledgement may take, ms. */
const PATIENCE_MS = 8000;

export interface RoomLink<T> {
  readonly link: Link;
  readonly now: T | null;
  /** Why one is out. */
  readonly why: string;
  readonly act: (action: HostAction) => Promise<Answer>;
  readonly commit: (vote: Vote, entry: AttemptAnswer) => Promise<Answer>;
}

/**
 * A place in a room, kept through losing the network.
 * @param entrance `null`: not yet; it must stay the same object
 * @param onKey told the key that a name was given
 */
export function useRoomSocket<T>(
  entrance: RoomEntrance | null,
  onKey?: (key: string) => void,
): RoomLink<T> {
  const [link, setLink] = useState<Link>('connecting');
  const [now, setNow] = useState<T | null>(null);
  const [why, setWhy] = useState('');
  const socket = useRef<Socket | null>(null);
  const keyed = useRef(onKey);
  useEffect(() => {
    keyed.current = onKey;
  }, [onKey]);
  useEffect(() => {
    if (!entrance) return undefined;
    let over = false;
    let enterAs = entrance;
    const out = (reason: string) => {
      setWhy(reason);
      setLink('out');
      socket.current?.disconnect();
    };
    const begin = async () => {
      const own = await newSocket();
      if (over) return;
      socket.current = own;
      own.on('connect', () => {
        void own
          .timeout(PATIENCE_MS)
          .emitWithAck('enter', enterAs)
          .then((answer: Entered<T>) => {
            if (over) return;
            if (!answer.ok) {
              out(answer.why ?? '');
              return;
            }
            // The next time it comes in as who it is.
            if (answer.key !== undefined) {
              enterAs = { code: entrance.code, student: answer.key };
              keyed.current?.(answer.key);
            }
            setNow(answer.room ?? answer.view ?? null);
            setLink('in');
          })
          .catch(() => own.disconnect().connect());
      });
      own.on('disconnect', () => setLink((l) => (l === 'out' ? l : 'lost')));
      own.on('room', (room: T | null) => (room === null ? out('removed') : setNow(room)));
      own.connect();
    };
    void begin();
    return () => {
      over = true;
      socket.current?.disconnect();
      socket.current = null;
    };
  }, [entrance]);
  const ask = useCallback(async (event: string, message: unknown): Promise<Answer> => {
    const own = socket.current;
    if (!own?.connected) return { ok: false, why: 'no-link' };
    return own
      .timeout(PATIENCE_MS)
      .emitWithAck(event, message)
      .catch(() => ({ ok: false, why: 'no-link' })) as Promise<Answer>;
  }, []);
  const act = useCallback((action: HostAction) => ask('act', action), [ask]);
  const commit = useCallback(
    (vote: Vote, entry: AttemptAnswer) => ask('commit', { vote, entry }),
    [ask],
  );
  return { link, now, why, act, commit };
}
