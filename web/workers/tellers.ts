import { expose, proxy, transferHandlers, type ProxyMarked } from 'comlink';

/** Makes a function that a worker can call. */
export type Tell = <A extends unknown[]>(
  listener: (...given: A) => void,
) => ((...given: A) => void) & ProxyMarked;

export interface Tellers {
  readonly tell: Tell;
  /** Lets go of all of them. */
  readonly close: () => void;
}

const ports = new WeakMap<object, MessagePort>();

// The port of a function stays open until the other side says that it is done with it; a worker that was ended never says so.
const usual = transferHandlers.get('proxy');
if (usual)
  transferHandlers.set('proxy', {
    ...usual,
    serialize(listener: object) {
      const { port1, port2 } = new MessageChannel();
      expose(listener, port1);
      ports.set(listener, port1);
      return [port2, [port2]];
    },
  });

/** The functions that one worker may call, for as long as it works. */
export function tellers(): Tellers {
  const told: object[] = [];
  return {
    tell(listener) {
      const own = proxy((...given: Parameters<typeof listener>) => listener(...given));
      told.push(own);
      return own;
    },
    close() {
      for (const own of told) ports.get(own)?.close();
    },
  };
}
