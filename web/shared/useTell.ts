import { App } from 'antd';
import { useMemo, type ReactNode } from 'react';

interface Message {
  /** Takes the place of the message of this name, where that still stands. */
  readonly key?: string;
  readonly seconds?: number;
}

/** Says something at the top of the screen. */
type Teller = (content: ReactNode, message?: Message) => void;

/** How long each kind stands, seconds; pointed at, longer. What went wrong has more to read. */
const SECONDS = { success: 3, info: 3, warning: 8, error: 8 } as const;
type Kind = keyof typeof SECONDS;

let told = 0;

/** Messages at the top of the screen. A press on one takes it away: what lies under it is in reach again. */
export function useTell(): Readonly<Record<Kind, Teller>> {
  const { message } = App.useApp();
  return useMemo(() => {
    const teller =
      (type: Kind): Teller =>
      (content, { key = `told-${(told += 1)}`, seconds = SECONDS[type] } = {}) =>
        void message.open({
          key,
          type,
          content,
          duration: seconds,
          onClick: () => message.destroy(key),
        });
    return {
      success: teller('success'),
      info: teller('info'),
      warning: teller('warning'),
      error: teller('error'),
    };
  }, [message]);
}
