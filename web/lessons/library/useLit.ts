import { useEffect, useRef, useState } from 'react';

/** What has come in since the shelf was opened: the last of it, to be scrolled to and lit. */
export function useLit(ids: readonly string[], ready: boolean): string | null {
  const known = useRef<ReadonlySet<string> | null>(null);
  const [lit, setLit] = useState<string | null>(null);
  useEffect(() => {
    if (!ready) return;
    const fresh = known.current ? ids.filter((id) => !known.current!.has(id)) : [];
    known.current = new Set(ids);
    const last = fresh.at(-1);
    if (last !== undefined) setLit(last);
  }, [ids, ready]);
  return lit;
}
