import { mainClutchOf } from '../shift';
import {
  maskOf,
  oneWaysOf,
  outcomeTable,
  type Load,
  type OutcomeTable,
  type Range,
  type Settled,
  type Unit,
} from '../geartrain';
import { withFaults } from './applyFault';
import { faultKey } from './fault';
import type { Machine } from './machine';
import { oilElements, type Rig } from './rig';

/**
 * What a range of a faulty unit does, fast. Faults of elements only switch rows of the unit's matrix on and off, so they
 * all share one table of outcomes; broken links and stripped teeth have tables of their own, kept as they come up.
 */
export interface Outcomes {
  /** The dry clutch's own element, where the rig has one in the unit. */
  readonly main: string | undefined;
  /** What a range applies, the dry clutch with it. */
  readonly applyOf: (range: Range) => string[];
  readonly maskFor: (ids: readonly string[]) => number;
  /** @param gone elements that never take hold, beside those of the machine */
  readonly settled: (machine: Machine, range: Range, load: Load, gone?: number) => Settled;
}

/** @throws Error when the unit is too large to tabulate */
export function outcomesOf(rig: Rig, unit: Unit): Outcomes {
  const tables = new Map<string, OutcomeTable>();
  const main = rig.clutch ? mainClutchOf(unit)?.id : undefined;
  const oiled = oilElements(rig);
  const bits = new Map(unit.elements.map((e) => [e.id, maskOf(unit, [e.id])]));
  const maskFor = (ids: readonly string[]) => ids.reduce((m, id) => m | (bits.get(id) ?? 0), 0);
  const oneWays = oneWaysOf(unit).all;
  const applyOf = (range: Range): string[] => (main ? [...range.apply, main] : range.apply);

  function tableOf({ structure }: Machine): OutcomeTable {
    const key = faultKey(structure);
    let table = tables.get(key);
    if (!table) {
      const changed = withFaults(unit, structure);
      if (!changed.ok) throw new Error(`outcomesOf: ${changed.problem}: ${changed.target}`);
      tables.set(key, (table = outcomeTable(changed.unit)));
    }
    return table;
  }

  /** Elements without a lining left; all of them when no pump turns. */
  const bareMask = ({ lining, oil }: Machine): number =>
    maskFor(oil.pumpDriven ? [...lining].flatMap(([id, left]) => (left <= 0 ? [id] : [])) : oiled);

  return {
    main,
    applyOf,
    maskFor,
    settled(machine, range, load, gone = 0) {
      const never = maskFor(machine.never) | bareMask(machine) | gone;
      const always = maskFor(machine.always) & ~never;
      const applied = (maskFor(applyOf(range)) | always) & ~never;
      return tableOf(machine).settle(applied, load, {
        all: oneWays & ~never & ~always,
        reversed: maskFor(machine.reversed) & ~never,
      });
    },
  };
}
