import { useLayoutEffect, useRef, type RefObject } from 'react';

/**
 * The value as of the last finished drawing, for handlers of a part that is drawn later (`useDeferredValue`):
 * what such a part was given may be a press behind, and acting on that would lose the press between.
 */
export function useLatest<T>(value: T): RefObject<T> {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}
