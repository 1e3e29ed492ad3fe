import type { Shelf } from '../state/modelsSlice';

/** The model with this id, else the first of its shelf. */
export const chosenFrom = <T extends { id: string }>(
  { ids, byId }: Shelf<T>,
  id: string | null,
): T | undefined => (id === null ? undefined : byId[id]) ?? byId[ids[0] ?? ''];
