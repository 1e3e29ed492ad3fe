import type { ClutchPack } from './clutchPack';

/** What can befall a wet pack, each as a change of the pack itself; what comes of it is computed. */
export const PACK_FAULTS = ['worn-linings', 'glazed', 'seal-leaks', 'plate-left-out'] as const;
export type PackFault = (typeof PACK_FAULTS)[number];

/** Share of the lining that is gone, of the friction that glazing leaves, of the pressure behind a leaking seal (memory). */
const LINING_GONE = 0.7;
const GLAZED_SHARE = 0.5;
const LEAKING_SHARE = 0.5;

export function withPackFault(pack: ClutchPack, fault: PackFault): ClutchPack {
  switch (fault) {
    case 'worn-linings':
      return {
        ...pack,
        stack: pack.stack.map((p) =>
          p.kind === 'friction'
            ? { ...p, thickness: p.thickness - 2 * LINING_GONE * pack.lining }
            : p,
        ),
      };
    case 'glazed': {
      const { friction } = pack.faces;
      const standing = GLAZED_SHARE * friction.standing;
      const sliding = GLAZED_SHARE * friction.sliding;
      return { ...pack, faces: { ...pack.faces, friction: { ...friction, standing, sliding } } };
    }
    case 'seal-leaks':
      return { ...pack, pressure: LEAKING_SHARE * pack.pressure };
    case 'plate-left-out': {
      const at = pack.stack.findIndex((p) => p.kind === 'friction');
      return { ...pack, stack: pack.stack.filter((_p, k) => k !== at) };
    }
  }
}
