import { middleOf, nearestToMiddle } from '../clutch';
import type { FaultKind } from '../faults';
import type { TogetherCheck } from './facings';
import type { MeasureId } from './measureSpec';
import type { OwnLimits } from './measureSpec';
import { windowOf } from './measures';
import type { Part, StripPlan } from './parts';
import { RING_SIZES, SHIM_SIZES, WASHER_SIZES } from './sizes';

/** What sort of choice it is: its row of sizes, the check that shows a wrong one, and what comes of no gap left at all. */
interface SelectiveSort {
  /** Thicknesses that can be had, mm. */
  readonly sizes: readonly number[];
  readonly shows: TogetherCheck;
  readonly jams: FaultKind | null;
}
type SizedMeasure = 'end-play-in' | 'pack-clearance' | 'shaft-float';

const SORTS: Readonly<Record<SizedMeasure, SelectiveSort>> = {
  'end-play-in': { sizes: WASHER_SIZES, shows: 'end-play', jams: null },
  // Plates pressed together whatever the piston does.
  'pack-clearance': { sizes: RING_SIZES, shows: 'clearance', jams: 'stuck-on' },
  'shaft-float': { sizes: SHIM_SIZES, shows: 'end-play', jams: 'rough-bearing' },
};

/** A part that is chosen by what was measured: thrust washers by the end play, a pack's ring by its clearance, a shim by
 * the float of its shaft. */
export interface Selective extends SelectiveSort {
  readonly part: string;
  readonly measure: MeasureId;
  /** The part that the measure is taken on. */
  readonly on: string;
  /** The thickness that is in, mm. */
  readonly now: number;
}

/** What is selective in a unit, with the size that is in. */
export function selectivesOf({ parts, thrusts }: StripPlan): Selective[] {
  const byId = new Map(parts.map((p) => [p.id, p]));
  const front = thrusts.find((t) => t.selective);
  const chosen = (part: string, measure: SizedMeasure, on: string): Selective[] =>
    byId.has(on) ? [{ ...SORTS[measure], part, measure, on, now: byId.get(part)?.size ?? 0 }] : [];
  return [
    ...(front ? chosen(front.part, 'end-play-in', 'input-shaft') : []),
    ...parts.flatMap(({ id, kind, of }) => {
      if (kind === 'pack') return chosen(`${of}.ring`, 'pack-clearance', id);
      return kind === 'shim' ? chosen(id, 'shaft-float', `${of}.bearing`) : [];
    }),
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
