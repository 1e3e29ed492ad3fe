import { randomFromSeed } from '../numerics';

/** Thicknesses of a row of parts that are chosen by size, mm, from the thinnest up (from memory; a maker has their own). */
type Row = readonly number[];
const row = (from: number, step: number, count: number): Row =>
  Array.from({ length: count }, (_, k) => Math.round((from + k * step) * 100) / 100);

export const WASHER_SIZES = row(1.2, 0.15, 9);
export const SHIM_SIZES = row(0.3, 0.05, 9);
export const RING_SIZES = row(1.4, 0.2, 8);

/** The size that lies in one place of a unit: always the same, and never one of the two at either end of its row. */
export function sizeIn(sizes: Row, unit: string, part: string): number {
  return randomFromSeed(`size ${unit} ${part}`).pick(sizes.slice(2, -2));
}
