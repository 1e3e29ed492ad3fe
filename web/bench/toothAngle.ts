import type { GearSetSetup } from '../../core/geartrain';

/** Angle of one tooth of the input; a carrier has none, so it moves by one of the ring's. */
export function toothAngle(setup: GearSetSetup): number {
  const { drives } = setup.roles;
  return (2 * Math.PI) / setup.set.teeth[drives === 'carrier' ? 'ring' : drives];
}
