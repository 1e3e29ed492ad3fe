import type { ClutchPack, PackRotation } from './clutchPack';

/** What can befall a wet pack, each as a change of the pack itself; what comes of it is computed. */
export const PACK_FAULTS = [
  'worn-linings',
  'glazed',
  'seal-leaks',
  'plate-left-out',
  'ball-shut',
  'ball-open',
  'balance-empty',
] as const;
export type PackFault = (typeof PACK_FAULTS)[number];

/** The faults that this pack can have: it must have the part. */
export const packFaultsOf = ({ rotation }: ClutchPack): PackFault[] =>
  PACK_FAULTS.filter((fault) => {
    if (fault === 'balance-empty') return rotation?.balance !== undefined;
    if (fault === 'ball-shut' || fault === 'ball-open') return rotation?.bleedBall === true;
    return true;
  });

/** Share of the lining that is gone, of the friction that glazing leaves, of the pressure behind a leaking seal (memory). */
const LINING_GONE = 0.7;
const GLAZED_SHARE = 0.5;
const LEAKING_SHARE = 0.5;
const OPEN_BALL_SHARE = 0.75;

const withRotation = (
  pack: ClutchPack,
  change: (rotation: PackRotation) => PackRotation,
): ClutchPack => (pack.rotation ? { ...pack, rotation: change(pack.rotation) } : pack);

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
    case 'ball-shut':
      return withRotation(pack, ({ bleedBall, ...rest }) => rest);
    case 'ball-open':
      return { ...pack, pressure: OPEN_BALL_SHARE * pack.pressure };
    case 'balance-empty':
      return withRotation(pack, ({ balance, ...rest }) => rest);
    case 'seal-leaks':
      return { ...pack, pressure: LEAKING_SHARE * pack.pressure };
    case 'plate-left-out': {
      const at = pack.stack.findIndex((p) => p.kind === 'friction');
      return { ...pack, stack: pack.stack.filter((_p, k) => k !== at) };
    }
  }
}
