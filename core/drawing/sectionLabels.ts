import type { SectionElement, SectionGear, SectionLine } from './sectionShapes';

/** Where the ids of elements stand in a section, and the room that signs take. */
export interface Box {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

type Unlabelled = Omit<SectionElement, 'labelY'>;

interface Drawn {
  readonly lines: readonly SectionLine[];
  readonly gears: readonly SectionGear[];
  readonly elements: readonly Unlabelled[];
}

const LABEL_HALF = 15;
const LABEL_HEIGHT = 14;

/** Where an id is read: on its baseline, as wide as two letters and a number. */
export const labelBox = ({ x, labelY }: Pick<SectionElement, 'x' | 'labelY'>): Box => ({
  x1: x - LABEL_HALF,
  y1: labelY - LABEL_HEIGHT,
  x2: x + LABEL_HALF,
  y2: labelY + 1,
});

/** Above the sign; below it where a line or another sign is in the way above and none below. */
export function labelPlace(element: Unlabelled, sheet: Drawn, caseY: number): number {
  if (element.grounded) return caseY - 13;
  const places = [element.y - 20, element.y + 31, element.y - 27, element.y + 40];
  const blocked = (labelY: number) => {
    const box = labelBox({ x: element.x, labelY });
    return (
      sheet.lines.filter((l) => meetsBox(l, box)).length +
      sheet.elements.filter((e) => e !== element && overlapping(signBox(e, caseY), box)).length +
      sheet.gears.filter((g) => overlapping(gearBox(g), box)).length
    );
  };
  return places.reduce((best, place) => (blocked(place) < blocked(best) ? place : best));
}

/** The room a sign itself takes. */
export const signBox = (
  { x, y, grounded }: Pick<SectionElement, 'x' | 'y' | 'grounded'>,
  caseY: number,
): Box =>
  grounded
    ? { x1: x - 14, y1: caseY - 28, x2: x + 14, y2: 2 * y - caseY }
    : { x1: x - 13, y1: y - 14, x2: x + 13, y2: y + 14 };

const gearBox = ({ x, y, width, height }: SectionGear): Box => ({
  x1: x,
  y1: y,
  x2: x + width,
  y2: y + height,
});

export const overlapping = (a: Box, b: Box): boolean =>
  a.x1 < b.x2 && b.x1 < a.x2 && a.y1 < b.y2 && b.y1 < a.y2;

const meetsBox = (l: SectionLine, box: Box): boolean =>
  overlapping(
    {
      x1: Math.min(l.x1, l.x2) - 2,
      y1: Math.min(l.y1, l.y2) - 2,
      x2: Math.max(l.x1, l.x2) + 2,
      y2: Math.max(l.y1, l.y2) + 2,
    },
    box,
  );
