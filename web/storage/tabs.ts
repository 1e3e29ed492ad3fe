import type { ModelKind } from '../../core/formats';

/** Word between tabs of this application on the same machine. */
export type TabMessage =
  | { readonly type: 'lesson-saved'; readonly id: string; readonly revision: number }
  | { readonly type: 'attempt-saved'; readonly id: string }
  | { readonly type: 'model-saved'; readonly kind: ModelKind; readonly id: string };

export interface Tabs {
  post(message: TabMessage): void;
  /** @returns a function that stops listening */
  listen(handler: (message: TabMessage) => void): () => void;
}

export function browserTabs(): Tabs {
  if (typeof BroadcastChannel === 'undefined')
    return { post: () => undefined, listen: () => () => undefined };
  const channel = new BroadcastChannel('fair-sprocket');
  return {
    post: (message) => channel.postMessage(message),
    listen: (handler) => {
      const receive = (event: MessageEvent<TabMessage>) => handler(event.data);
      channel.addEventListener('message', receive);
      return () => channel.removeEventListener('message', receive);
    },
  };
}
