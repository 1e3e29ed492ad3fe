import { startTransition, useEffect, useState, type ComponentType } from 'react';
import { Loading, PartMissing, type Missing } from './PartMissing';

const answers = async (): Promise<boolean> => {
  try {
    return (await fetch('/healthz', { cache: 'no-store' })).ok;
  } catch {
    return false;
  }
};

let coming = 0;

/** The page says how many of its parts are on their way: who looks at a screen knows when it is whole. @returns ends it */
function comes(): () => void {
  const tell = (change: 1 | -1) => {
    coming += change;
    document.documentElement.toggleAttribute('data-parts-coming', coming > 0);
  };
  tell(1);
  return () => tell(-1);
}

interface Options<P> {
  /** It is all of a screen. */
  readonly whole?: boolean;
  /** What stands in its place until it is here. */
  readonly meanwhile?: ComponentType<P>;
  /** What stands in its place does as well where it can't be fetched. */
  readonly quiet?: boolean;
}

/** A part, and how to have it fetched before it is shown: where that fails, it is fetched again when it is. */
export type LazyPart<P> = ComponentType<P> & { readonly ahead: () => void };

/**
 * A part of the application that is fetched when it is first shown. Where that fails it says so in its place, and is tried
 * again there: all else on the screen stays as it is.
 */
export function lazyPart<P extends object>(
  load: () => Promise<ComponentType<P>>,
  { whole = false, meanwhile: Meanwhile = Loading, quiet = false }: Options<P> = {},
): LazyPart<P> {
  let known: ComponentType<P> | null = null;
  let asked: Promise<ComponentType<P>> | null = null;
  const ask = (): Promise<ComponentType<P>> => {
    asked ??= load()
      .then((part) => (known = part))
      .finally(() => (asked = null));
    return asked;
  };
  return Object.assign(Part, { ahead: () => void ask().catch(() => undefined) });

  function Part(props: P) {
    const [Loaded, setLoaded] = useState(() => known);
    const [missing, setMissing] = useState<Missing | null>(null);
    const [tries, setTries] = useState(0);
    const again = () => setTries((n) => n + 1);
    useEffect(() => {
      if (known) return;
      let left = false;
      const fetched = async () => {
        try {
          await ask();
          // In slices: a press is answered before a large screen is drawn.
          if (!left) startTransition(() => setLoaded(() => known));
        } catch (error) {
          const kind = (await answers()) ? 'newer' : 'gone';
          if (!left)
            setMissing({ kind, reason: error instanceof Error ? error.message : String(error) });
        }
      };
      void fetched();
      return () => {
        left = true;
      };
    }, [tries]);
    const waits = !Loaded && !missing;
    useEffect(() => (waits ? comes() : undefined), [waits]);
    if (Loaded) return <Loaded {...props} />;
    if (missing && !quiet) return <PartMissing {...missing} whole={whole} onAgain={again} />;
    return <Meanwhile {...props} />;
  }
}
