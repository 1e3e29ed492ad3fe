import { useEffect, useState } from 'react';

/** Words beyond those of the first screen: of every other screen, of benches and their lessons, of stripping down, of teaching. */
export const WORD_PARTS = ['rest', 'bench', 'strip', 'teach'] as const;
export type WordPart = (typeof WORD_PARTS)[number];

type Load = (...parts: readonly WordPart[]) => Promise<void>;

let load: Load = () => Promise.resolve();
/** Said once, by what knows where the words are. */
export const provideWords = (by: Load): void => void (load = by);

/** Whether a part is here; asks for it where it is wanted. What could not be fetched is asked for again after a while. */
export function useWords(part: WordPart, wanted: boolean): boolean {
  const [here, setHere] = useState(false);
  useEffect(() => {
    if (!wanted || here) return;
    let [gone, timer] = [false, 0];
    const ask = (): void => {
      load(part).then(
        () => {
          if (!gone) setHere(true);
        },
        () => {
          if (!gone) timer = window.setTimeout(ask, AGAIN_MS);
        },
      );
    };
    ask();
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [part, wanted, here]);
  return here || !wanted;
}
const AGAIN_MS = 2000;
