import { useEffect, useRef, type RefObject } from 'react';

const NARROW = '(max-width: 1100px)';

/** Where one column holds all, what was chosen is brought into view. @param chosen brings it when it changes */
export function useShownWhenNarrow(chosen: string | null): RefObject<HTMLElement | null> {
  const shown = useRef<HTMLElement>(null);
  const before = useRef(chosen);
  useEffect(() => {
    if (chosen === before.current) return;
    before.current = chosen;
    if (chosen !== null && matchMedia(NARROW).matches)
      shown.current?.scrollIntoView({ block: 'start' });
  }, [chosen]);
  return shown;
}
