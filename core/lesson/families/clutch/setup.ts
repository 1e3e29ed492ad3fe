import type { Clutch, ClutchState } from '../../../clutch';

/** A linkage out of adjustment in every way it can be: what an apprentice is given to put right. */
export function misadjusted({ linkage, limits }: Clutch, state: ClutchState): ClutchState {
  const span = limits.centre ? limits.centre[1] - limits.centre[0] : 0;
  return {
    ...state,
    forkRod: state.forkRod - 0.7 * linkage.forkPlay,
    ...(linkage.overCentre ? { turnbuckle: 1.2 * span } : {}),
    ...(linkage.drive.kind === 'hydraulic'
      ? {
          air:
            0.25 *
            (linkage.pedalTravel / linkage.drive.ratio) *
            (Math.PI / 4) *
            linkage.drive.masterBore ** 2,
        }
      : {}),
  };
}
