import { toNumber } from '../../../numerics';
import { solveSet, thirdPort, type GearSetSetup } from '../../../geartrain';
import { formOf, wayOf, type SetClaim } from './claims';

/** What is so of this set as it is run: its ratio in teeth, and what the carrier does. */
export function hereClaims({ set, roles }: Pick<GearSetSetup, 'set' | 'roles'>): SetClaim[] {
  const { ratio } = solveSet(set, roles);
  if (roles.reaction === 'locked') return [{ claim: 'as-one' }];
  if (!ratio) return [{ claim: 'nothing-held' }];
  const size = Math.abs(toNumber(ratio));
  const carrier =
    roles.drives === 'carrier' ? 'drives' : roles.driven === 'carrier' ? 'driven' : 'held';
  return [{ claim: 'carrier', way: carrier }, ...written(set.kind, roles, 'formula', size)];
}

/** The ratio of an arrangement, written in teeth. */
export function written(
  kind: GearSetSetup['set']['kind'],
  roles: GearSetSetup['roles'],
  claim: 'formula' | 'with-plain',
  ratio: number,
): SetClaim[] {
  const form = formOf(kind, roles);
  return form ? [{ claim, form, ratio }] : [];
}

/** 1 where the output goes with the input, −1 where it goes against it. */
export const signOf = ({ set, roles }: GearSetSetup): number => {
  const { ratio } = solveSet(set, roles);
  return ratio && toNumber(ratio) < 0 ? -1 : 1;
};

/** How far, and which way, the output goes for one turn of the input. */
export function turnsForOne({ set, roles }: Pick<GearSetSetup, 'set' | 'roles'>): SetClaim[] {
  const turned = solveSet(set, roles).speeds[roles.driven];
  if (!turned) return [];
  const turns = toNumber(turned);
  return [
    {
      claim: 'turns-for-one',
      part: roles.drives,
      other: roles.driven,
      turns: Math.abs(turns),
      way: wayOf(turns),
    },
  ];
}

/** Which way it goes, and why. */
export function wayClaims(setup: Pick<GearSetSetup, 'set' | 'roles'>): SetClaim[] {
  const { set, roles } = setup;
  if (roles.reaction === 'locked') return [{ claim: 'as-one' }];
  if (roles.reaction === 'free') return [{ claim: 'nothing-held' }];
  const held = thirdPort(roles) === 'carrier';
  return [
    ...(held ? [{ claim: 'meshes' as const, way: set.kind }] : hereClaims(setup).slice(0, 1)),
    ...turnsForOne(setup),
  ];
}
