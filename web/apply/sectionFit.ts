import type { SectionDrawing } from '../../core/drawing';
import { fittedScale, LEAST } from '../shared/leastLetters';
import type { Size } from '../shared/useElementSize';

/** Smaller than this share of its size a section's words can't be read; a wider unit scrolls instead. */
export const READABLE = 0.64;
/** Over the case stand the names of what holds to it. */
const ABOVE_CASE = 34;
/** Letters larger than this would run into one another, in the drawing's own length. */
const MOST_LETTERS = 26;

/** What of a drawing is shown, in its own length. */
export function sectionBox({ width, height, caseY }: SectionDrawing): Size & { top: number } {
  const top = caseY - ABOVE_CASE;
  return { top, width, height: height - top };
}

/**
 * Whether a section as large as it can be read is wider than its place, and its smallest letters where all of it is shown.
 * @param place px
 * @param readable share of its size at which its words can be read
 */
export function sectionFit(
  drawing: SectionDrawing,
  place: Size,
  readable: number,
): { wider: boolean; least: number } {
  const box = sectionBox(drawing);
  // Where its place is low it is drawn smaller: `SectionView`.
  const drawn = Math.min(box.width * readable, (place.height * box.width) / box.height);
  const least = Math.min(MOST_LETTERS, LEAST / fittedScale(place, box));
  return { wider: place.width > 0 && drawn > place.width + 1, least: Math.round(10 * least) / 10 };
}
