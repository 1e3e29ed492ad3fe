import { App } from 'antd';
import { useMemo } from 'react';

/** How long each kind stands, seconds; pointed at, longer. What went wrong has more to read. */
const SECONDS = { success: 3, warning: 8, error: 8 } as const;
type Kind = keyof typeof SECONDS;

/** Messages at the top of the screen. A press on one takes it away: what lies under it is in reach again. */
export function useTell(): Readonly<Record<Kind, (text: string) => void>> {
  const { message } = App.useApp();
  return useMemo(() => {
    const teller = (type: Kind) => (content: string) => {
      const away = message.open({
        type,
        content,
        duration: SECONDS[type],
        onClick: () => away(),
      });
    };
    return { success: teller('success'), warning: teller('warning'), error: teller('error') };
  }, [message]);
}
