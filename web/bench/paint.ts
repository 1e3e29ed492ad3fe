import type { Role } from '../../core/geartrain';

/** How a part is painted: the four roles, told by colour, line and hatching. */
export type Paint = 'drives' | 'driven' | 'held' | 'idle';

export const paintOf = (role: Role | null): Paint => {
  if (role === 'locked') return 'drives';
  return role === null || role === 'free' ? 'idle' : role;
};
