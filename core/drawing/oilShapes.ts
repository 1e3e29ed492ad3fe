import type { HydraulicKind } from '../hydraulics';

export interface OilBox {
  readonly id: string;
  readonly kind: HydraulicKind;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly ports: readonly OilPort[];
}

export interface OilPort {
  readonly line: string;
  readonly x: number;
  readonly side: 'top' | 'bottom';
}

/** A passage as straight pieces, and where its pressure can be written. */
export interface OilPipe {
  readonly id: string;
  readonly pieces: readonly (readonly [number, number, number, number])[];
  /** Where it meets its parts. */
  readonly ends: readonly { readonly part: string; readonly x: number; readonly y: number }[];
  readonly label: { readonly x: number; readonly y: number };
}
