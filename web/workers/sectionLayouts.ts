import type { SectionDrawing } from '../../core/drawing';
import type { Unit } from '../../core/geartrain';
import type { Turns } from './turns';

/** Lays sections out and keeps the last ones, so that a unit seen again is there at once. */
export interface SectionLayouts {
  /** The drawing of a unit that was laid out before. */
  readonly known: (unit: Unit) => SectionDrawing | undefined;
  /**
   * @param keep `columns` of the drawing before, when the unit has only been changed
   * @param onFirst told a first drawing at once, unless the best is known
   */
  readonly layOut: (
    unit: Unit,
    keep: readonly string[],
    signal: AbortSignal,
    onFirst: (drawing: SectionDrawing) => void,
  ) => Promise<SectionDrawing>;
}

const MOST_KEPT = 30;

/** What a section depends on: names, notes and ranges move no line. */
export const shapeOf = (unit: Unit): string =>
  JSON.stringify([
    unit.id,
    unit.members.map((m) => m.id),
    unit.input,
    unit.output,
    unit.gearsets,
    unit.elements.map((e) => [e.id, e.kind, e.between]),
  ]);

export function sectionLayouts(layOut: SectionLayouts['layOut'], inTurn: Turns): SectionLayouts {
  const kept = new Map<string, SectionDrawing>();
  return {
    known: (unit) => kept.get(shapeOf(unit)),
    layOut: async (unit, keep, signal, onFirst) => {
      const shape = shapeOf(unit);
      const before = kept.get(shape);
      if (before) return before;
      const drawing = await inTurn(() => layOut(unit, keep, signal, onFirst), signal);
      kept.set(shape, drawing);
      const oldest = kept.keys().next().value;
      if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
      return drawing;
    },
  };
}
