import type { ShiftElement } from '../geartrain';

/** What a section drawing is made of: plain data, in drawing units, y down. */
export interface SectionLine {
  readonly member: string;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

export interface SectionGear {
  readonly set: string;
  /** `pinion` stands on the carrier's pins. */
  readonly port: 'sun' | 'ring' | 'pinion' | 'first' | 'second';
  /** The member it belongs to; `null` for pinions, which belong to the carrier's pins. */
  readonly member: string | null;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly teeth: number | null;
}

export interface SectionElement {
  readonly id: string;
  readonly kind: ShiftElement['kind'];
  readonly grounded: boolean;
  /** Middle of its sign. */
  readonly x: number;
  readonly y: number;
  /** A clutch's first member stands at its left. */
  readonly firstAtLeft: boolean;
  /** Baseline of its id, where no line runs through it. */
  readonly labelY: number;
}

export interface SectionDrawing {
  readonly width: number;
  readonly height: number;
  readonly caseY: number;
  readonly centreY: number;
  readonly lines: readonly SectionLine[];
  readonly gears: readonly SectionGear[];
  readonly elements: readonly SectionElement[];
  readonly input: { readonly x: number; readonly y: number };
  readonly output: { readonly x: number; readonly y: number };
  readonly crossings: number;
  /** Ids of the gear sets from left to right. */
  readonly columns: readonly string[];
}
