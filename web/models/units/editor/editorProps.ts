import type { Unit } from '../../../../core/geartrain';

/** What every part of the editor gets: the document, and a way to the next one. */
export interface EditorProps {
  /** As it is shown: what has just been typed elsewhere, its name among it, may not be in it yet. */
  readonly unit: Unit;
  /** An edit of the unit as it is shown. `field` names what is being typed, so that its keystrokes undo together. */
  readonly onUnit: (unit: Unit, field?: string) => void;
}

/** For a part that gives the document away, too. */
export interface GivingProps extends EditorProps {
  /** The document as it is now. */
  readonly now: () => Unit;
}
