import type { KeyboardEvent } from 'react';

/** Enter and space act on a part of a drawing as a click does. */
export function pressKey(event: KeyboardEvent, act: () => void): void {
  if (event.key !== 'Enter' && event.key !== ' ') return;
  event.preventDefault();
  act();
}
