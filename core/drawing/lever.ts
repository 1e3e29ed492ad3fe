import { PORTS, type PlanetarySet, type Port, type SetSolution } from '../geartrain';
import { toNumber } from '../numerics';

/**
 * The lever diagram of one set (published: Benford & Leising, SAE paper 810102). Sun and ring are the ends
 * 0 and 1; the carrier divides them so that sun–carrier : carrier–ring = Nr : Ns. In a double-pinion set
 * the carrier lies outside, beyond the ring. A speed is drawn across; all points lie on one straight line.
 */
export interface LeverPoint {
  readonly port: Port;
  /** Place along the lever, scaled to 0…1 over all three points. */
  readonly place: number;
  /** ω/ω_in; `null` when it floats. */
  readonly speed: number | null;
}

export function leverOf(set: PlanetarySet, speeds: SetSolution['speeds']): LeverPoint[] {
  const { sun, ring } = set.teeth;
  const carrier = set.kind === 'single-pinion' ? ring / (sun + ring) : ring / (ring - sun);
  const raw: Record<Port, number> = { sun: 0, ring: 1, carrier };
  const most = Math.max(1, carrier);
  return PORTS.map((port) => {
    const speed = speeds[port];
    return { port, place: raw[port] / most, speed: speed && toNumber(speed) };
  }).sort((a, b) => a.place - b.place);
}
