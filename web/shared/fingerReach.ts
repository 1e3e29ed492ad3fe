import type { MouseEvent, PointerEvent } from 'react';
import { FINGERTIP } from './fingertip';

/** How far a finger may come down beside a part of a drawing, px. */
const REACH = FINGERTIP / 2;

interface Point {
  readonly clientX: number;
  readonly clientY: number;
}

/**
 * For an `svg` whose parts are smaller than a fingertip, or lie closer than it is wide: a finger that comes down beside every one
 * of them means the nearest. A mouse means what it points at.
 */
export const fingerReach = {
  onClick: (event: MouseEvent<SVGSVGElement>) => {
    const part = meant(event, 'button');
    part?.dispatchEvent(new globalThis.MouseEvent('click', { bubbles: true }));
  },
  onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
    const { pointerId, pointerType, clientX, clientY } = event;
    const init = { bubbles: true, pointerId, pointerType, clientX, clientY };
    meant(event, 'slider')?.dispatchEvent(new globalThis.PointerEvent('pointerdown', init));
  },
};

/** `null` where it came down on a part, where none is near, or where it is no finger. */
function meant(event: MouseEvent<SVGSVGElement>, role: 'button' | 'slider'): Element | null {
  const hit = (event.target as Element).closest('[role="button"], [role="slider"]');
  if (hit && hit !== event.currentTarget) return null;
  if (!matchMedia('(pointer: coarse)').matches) return null;
  const parts = [...event.currentTarget.querySelectorAll('[role="button"], [role="slider"]')];
  const far = parts.map((part) => distance(part, event));
  const least = Math.min(...far);
  const nearest = parts[far.indexOf(least)];
  return nearest && least <= REACH && nearest.matches(`[role="${role}"]`) ? nearest : null;
}

/** To the nearest of the shapes that a part is drawn with, px. */
function distance(part: Element, { clientX, clientY }: Point): number {
  const shapes = part.tagName === 'g' ? [...part.children] : [part];
  const to = shapes.map((shape) => {
    const { left, right, top, bottom } = shape.getBoundingClientRect();
    const beside = Math.max(left - clientX, 0, clientX - right);
    return Math.hypot(beside, Math.max(top - clientY, 0, clientY - bottom));
  });
  return Math.min(...to);
}
