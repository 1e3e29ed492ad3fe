import type { Unit } from '../../../../core/geartrain';

/** What every part of the editor gets: the document, and a way to the next one. */
export interface EditorProps {
  readonly unit: Unit;
  /** `field` names what is being typed, so that its keystrokes undo together. */
  readonly onUnit: (unit: Unit, field?: string) => void;
}
