import { middleOf, nearestToMiddle } from '../clutch';
import { type MeasureId } from './measureTable';
import { type OwnLimits } from './measures';
import { windowOf } from './measures';
import type { Part, StripPlan } from './parts';
import { RING_SIZES, SHIM_SIZES, WASHER_SIZES } from './sizes';

/** A part that is chosen by what was measured: thrust washers by the end play, a pack's ring by its clearance, a shim by
 * the float of its shaft. */
export interface Selective {
  readonly part: string;
  readonly measure: MeasureId;
  /** The part that the measure is taken on. */
  readonly on: string;
  /** Thicknesses that can be had, mm, and the one that is in. */
  readonly sizes: readonly number[];
  readonly now: number;
}

/** What is selective in a unit, with the size that is in. */
export function selectivesOf({ parts, thrusts }: StripPlan): Selective[] {
  const shaft = parts.find((p) => p.id === 'input-shaft');
  const front = thrusts.find((t) => t.selective);
  const sizeOf = (id: string) => parts.find((p) => p.id === id)?.size ?? 0;
  return [
    ...(shaft && front
      ? [
          {
            part: front.part,
            measure: 'end-play-in' as const,
            on: shaft.id,
            sizes: WASHER_SIZES,
            now: sizeOf(front.part),
          },
        ]
      : []),
    ...parts
      .filter((p) => p.kind === 'pack')
      .map((p) => ({
        part: `${p.of}.ring`,
        measure: 'pack-clearance' as const,
        on: p.id,
        sizes: RING_SIZES,
        now: sizeOf(`${p.of}.ring`),
      })),
    ...parts
      .filter((p) => p.kind === 'shim')
      .map((p) => ({
        part: p.id,
        measure: 'shaft-float' as const,
        on: `${p.of}.bearing`,
        sizes: SHIM_SIZES,
        now: sizeOf(p.id),
      })),
  ];
}

/** The gap with another size in: a thicker part leaves less of it. */
export const gapWith = (gap: number, { now }: Selective, size: number): number => gap + now - size;

/** The size whose gap lies nearest to the middle of its window, the tighter of two; `null` where no window is known. */
export function bestSize(
  selective: Selective,
  gap: number,
  on: Part,
  limits: OwnLimits = {},
): number | null {
  const { least, most } = windowOf(selective.measure, on, limits);
  if (least === null || most === null) return null;
  const choices = selective.sizes.map((thickness) => ({
    thickness,
    clearance: gapWith(gap, selective, thickness),
  }));
  return nearestToMiddle(choices, middleOf([least, most]))?.thickness ?? null;
}
