import { App } from 'antd';
import { useMemo, type ReactNode } from 'react';

interface Message {
  /** Takes the place of the message of this name, where that still stands. */
  readonly key?: string;
  readonly seconds?: number;
  /** A press on it takes it away; not where it offers something that a press beside it would lose. */
  readonly pressed?: 'goes' | 'stays';
}

/** Says something at the top of the screen. @param content given what takes it away, where it asks for that */
type Teller = (content: ReactNode | ((away: () => void) => ReactNode), message?: Message) => void;

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
      (
        content,
        { key = `told-${(told += 1)}`, seconds = SECONDS[type], pressed = 'goes' } = {},
      ) => {
        const away = () => message.destroy(key);
        void message.open({
          key,
          type,
          content: typeof content === 'function' ? content(away) : content,
          duration: seconds,
          onClick: () => pressed === 'goes' && away(),
        });
      };
    return {
      success: teller('success'),
      info: teller('info'),
      warning: teller('warning'),
      error: teller('error'),
    };
  }, [message]);
}
