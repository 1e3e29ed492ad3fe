import {
  createContext,
  useCallback,
  useContext,
  useState,
  type Dispatch,
  type SetStateAction,
} from 'react';
import { useLocation } from 'react-router';

/**
 * What was begun and not yet committed outlives a reload of its tab: typed predictions, open panels, work at a desk. It goes
 * with the tab, and a visit that is no reload starts afresh.
 */
const PREFIX = 'fair-sprocket-kept:';

/** Lets go of what an earlier visit left, unless this is the same page again. */
export function beginVisit(): void {
  const [entry] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  if (entry?.type !== 'navigate') return;
  ignoringRefusal(() => {
    for (const key of Object.keys(sessionStorage))
      if (key.startsWith(PREFIX)) sessionStorage.removeItem(key);
  });
}

export function keep(name: string, value: unknown): void {
  ignoringRefusal(() => sessionStorage.setItem(PREFIX + name, JSON.stringify(value)));
}

/** @returns what was kept, if it has the shape of `like`; otherwise `like` */
export function keptAs<T>(name: string, like: T): T {
  return (
    ignoringRefusal(() => {
      const text = sessionStorage.getItem(PREFIX + name);
      const value: unknown = text === null ? null : JSON.parse(text);
      return value !== null && sameShape(like, value) ? (value as T) : null;
    }) ?? like
  );
}

/** A convenience: a browser that refuses it takes nothing else away. */
function ignoringRefusal<T>(task: () => T): T | null {
  try {
    return task();
  } catch {
    return null;
  }
}

/** Nothing is known of what stands in the place of `null`, or in an empty list or table. */
export function sameShape(like: unknown, value: unknown): boolean {
  if (like === null || like === undefined) return true;
  if (Array.isArray(like))
    return Array.isArray(value) && (like.length === 0 || value.every((v) => sameShape(like[0], v)));
  if (typeof like !== 'object') return typeof value === typeof like || value === null;
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const [wanted, found] = [like, value] as Record<string, unknown>[];
  return Object.keys(wanted!).every((key) => sameShape(wanted![key], found![key]));
}

/** What the names below it belong to, such as one question of one attempt; otherwise the address. */
export const KeptScope = createContext('');

/** State that outlives a reload. @param name unique within its scope */
export function useKept<T>(name: string, initial: T | (() => T)): [T, Dispatch<SetStateAction<T>>] {
  const scope = useContext(KeptScope);
  const { pathname } = useLocation();
  const key = `${scope || pathname} ${name}`;
  const [value, setValue] = useState<T>(() =>
    keptAs(key, initial instanceof Function ? initial() : initial),
  );
  const change = useCallback(
    (next: SetStateAction<T>) =>
      setValue((now) => {
        const changed = next instanceof Function ? next(now) : next;
        keep(key, changed);
        return changed;
      }),
    [key],
  );
  return [value, change];
}
