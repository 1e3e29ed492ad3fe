import { startTransition, useEffect, useRef, useState, type RefObject } from 'react';

/** Part of a long list: drawn only while it is near what can be seen, so that the list costs what is seen of it. */
export interface Near<T extends HTMLElement> {
  readonly ref: RefObject<T | null>;
  readonly near: boolean;
  /** px that it took when it was last drawn; a guess before. */
  readonly height: number;
}

const AROUND = '200px';

/** So many parts come into view in one frame: all at once would hold up a press. */
const IN_A_FRAME = 2;
const waiting: (() => void)[] = [];

function inTurn(show: () => void): void {
  waiting.push(show);
  if (waiting.length === 1) requestAnimationFrame(showNext);
}

function showNext(): void {
  const now = waiting.splice(0, IN_A_FRAME);
  startTransition(() => now.forEach((show) => show()));
  if (waiting.length > 0) requestAnimationFrame(showNext);
}

/** @param long the list is so long that it matters; where not, everything is drawn @param guess px */
export function useNear<T extends HTMLElement>(long: boolean, guess: number): Near<T> {
  const ref = useRef<T>(null);
  const [seen, setSeen] = useState({ near: false, height: guess });
  useEffect(() => {
    const element = ref.current;
    if (!long || !element) return;
    const watch = new IntersectionObserver(
      ([entry]) => {
        if (!entry) return;
        const { isIntersecting: near, boundingClientRect } = entry;
        inTurn(() =>
          setSeen((was) => ({ near, height: was.near ? boundingClientRect.height : was.height })),
        );
      },
      { rootMargin: AROUND, scrollMargin: AROUND },
    );
    watch.observe(element);
    return () => watch.disconnect();
  }, [long]);
  return { ref, near: !long || seen.near, height: seen.height };
}
