import type { KeyboardEvent } from 'react';

/** Enter and space act on a part of a drawing as a click does. */
function pressKey(event: KeyboardEvent, act: () => void): void {
  if (event.key !== 'Enter' && event.key !== ' ') return;
  event.preventDefault();
  act();
}

/** What makes a part of a drawing a button; a picture where it can't be worked. */
export const pressable = (act: (() => void) | undefined, pressed: boolean) =>
  act
    ? {
        role: 'button',
        tabIndex: 0,
        'aria-pressed': pressed,
        onClick: act,
        onKeyDown: (event: KeyboardEvent) => pressKey(event, act),
      }
    : { role: 'img' };
