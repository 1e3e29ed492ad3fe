/** The ends of a slider and how far one press of a key goes. */
export interface Track {
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

/** How many steps a long press of Page up or Page down takes. */
const PAGE = 10;

/** A value on the track's own marks, without the dust of adding tenths. */
function onTrack(value: number, { min, max, step }: Track): number {
  const marked = min + Math.round((value - min) / step) * step;
  return Number(Math.min(max, Math.max(min, marked)).toPrecision(12));
}

/**
 * Where a slider goes by a key, as the ARIA practices for sliders have it: arrows by a step, page keys by ten,
 * Home and End to the ends.
 * @returns the value, or `null` for a key that moves no slider
 */
export function keyedValue(key: string, value: number, track: Track): number | null {
  const by = (steps: number) => onTrack(value + steps * track.step, track);
  switch (key) {
    case 'ArrowRight':
    case 'ArrowUp':
      return by(1);
    case 'ArrowLeft':
    case 'ArrowDown':
      return by(-1);
    case 'PageUp':
      return by(PAGE);
    case 'PageDown':
      return by(-PAGE);
    case 'Home':
      return track.min;
    case 'End':
      return track.max;
    default:
      return null;
  }
}
