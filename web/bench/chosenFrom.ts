import type { Shelf } from '../state/modelsSlice';

/** The model that an address names, and no other; where it names none, the one with this id, else the first of its shelf. */
export const askedFrom = <T extends { id: string }>(
  shelf: Shelf<T>,
  asked: string | undefined,
  id: string | null,
): T | undefined => (asked === undefined ? chosenFrom(shelf, id) : shelf.byId[asked]);

/** The model with this id, else the first of its shelf. */
export const chosenFrom = <T extends { id: string }>(
  { ids, byId }: Shelf<T>,
  id: string | null,
): T | undefined => (id === null ? undefined : byId[id]) ?? byId[ids[0] ?? ''];
