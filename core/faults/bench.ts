import type { Driving } from './driving';
import type { StartRanges } from './checks';
import type { Rig } from './rig';

/** Where checks are made: the rig, how it drives, and what was worked out before from the same figures. */
export interface Bench {
  readonly rig: Rig;
  readonly driving: Driving | null;
  readonly starts: StartRanges;
  /** The value made for this key before, or made now. */
  readonly keep: <T>(key: string, make: () => T) => T;
  /** The same for what follows from one object alone, such as the state of a clutch that many machines share. */
  readonly keepFor: <T>(of: object, key: string, make: () => T) => T;
}

export interface UnitBench extends Bench {
  readonly driving: Driving;
}

/** A bench without anything worked out yet. */
export function benchOf(rig: Rig, driving: Driving | null, starts: StartRanges): Bench {
  const kept = new Map<string, unknown>();
  const keptFor = new WeakMap<object, Map<string, unknown>>();
  const from = <T>(map: Map<string, unknown>, key: string, make: () => T): T => {
    if (!map.has(key)) map.set(key, make());
    return map.get(key) as T;
  };
  return {
    rig,
    driving,
    starts,
    keep: (key, make) => from(kept, key, make),
    keepFor(of, key, make) {
      if (!keptFor.has(of)) keptFor.set(of, new Map());
      return from(keptFor.get(of)!, key, make);
    },
  };
}
