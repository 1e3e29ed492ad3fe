import { useMemo, type RefObject } from 'react';
import type { Unit } from '../../../../core/geartrain';
import type { GivingProps } from './editorProps';
import { carriedOver } from './unitEdits';

/** The draft as it is now, and what makes another of it. */
interface Now {
  readonly draft: Unit;
  readonly change: (unit: Unit, field?: string) => unknown;
}

/** For a part that is drawn anew only where the parts of the unit that it shows are others. */
export function useEditing(shown: Unit, latest: RefObject<Now>): GivingProps {
  const unit = useParts(shown);
  return useMemo(
    () => ({
      unit,
      now: () => latest.current.draft,
      onUnit(next, field) {
        const { draft, change } = latest.current;
        change(carriedOver(unit, next, draft), field);
      },
    }),
    [unit, latest],
  );
}

/** The unit of which another name and other notes make no other: so it stays the same object while they are typed. */
export function useParts(unit: Unit): Unit {
  const { id, members, input, output, gearsets, elements, ranges, sleeves } = unit;
  // oxlint-disable-next-line react/exhaustive-deps
  return useMemo(() => unit, [id, members, input, output, gearsets, elements, ranges, sleeves]);
}
