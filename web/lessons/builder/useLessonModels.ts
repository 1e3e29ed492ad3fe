import type { Documents, ModelKind } from '../../../core/formats';
import { LIST_OF } from '../../../core/lesson';
import { useAppSelector } from '../../state/hooks';
import { onShelf, selectModels, type Shelf } from '../../state/modelsSlice';

/** The models of a kind that a lesson may be about: those it carries, then the library's. */
export function useLessonModels<K extends ModelKind>(kind: K) {
  const library = useAppSelector(selectModels(kind)) as Shelf<Documents[K]>;
  const carried = useAppSelector(
    (state) => (state.draft.present?.[LIST_OF[kind]] ?? NONE) as unknown as Documents[K][],
  );
  const others = onShelf(library).filter((m) => !carried.some((c) => c.id === m.id));
  return { library, models: [...carried, ...others] };
}

const NONE: never[] = [];
