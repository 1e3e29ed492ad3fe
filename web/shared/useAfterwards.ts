import { startTransition, useEffect, useState } from 'react';

/**
 * Whether what can follow may be drawn: at once where there is little of it; where there is much, when the rest of the screen
 * stands, so that neither holds up a press.
 */
export function useAfterwards(much: boolean): boolean {
  const [now, setNow] = useState(!much);
  useEffect(() => {
    if (!now) startTransition(() => setNow(true));
  }, [now]);
  return now;
}
