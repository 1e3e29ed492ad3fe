import type { Workbox } from 'workbox-window';

/** A new build waits beside this one until somebody asks for it. */
let waiting: Workbox | null = null;
const listeners = new Set<() => void>();

export function versionWaits(of: Workbox): void {
  waiting = of;
  for (const listener of listeners) listener();
}

export const listenForVersion = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

export const isVersionWaiting = (): boolean => waiting !== null;

/** The new build takes over; this page is loaded again by it, others when they are opened next. */
export function takeNewVersion(): void {
  waiting?.addEventListener('controlling', () => location.reload());
  waiting?.messageSkipWaiting();
}
