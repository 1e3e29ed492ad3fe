import type { Bill } from './bill';
import type { Opening, OrderRule, PartKind } from './parts';

/**
 * What lies small beside the main parts: each hangs on one of them, wherever a unit has that. `@` is the element or gear set
 * of the part it hangs on; a name without it is the unit's own (common practice, no source; the maker's manual decides).
 */
interface Fine {
  readonly on: PartKind;
  readonly id: string;
  readonly kind: PartKind;
  readonly count: number;
  /** Ways out of its own; those of what it hangs on where nothing is said. */
  readonly openings?: readonly Opening[];
  /** What leaves before it. */
  readonly after: readonly [part: string, rule: OrderRule];
  /** What it stands before. */
  readonly before?: readonly [part: string, rule: OrderRule];
}

type Step = Fine['after'];
const fine = (
  on: PartKind,
  [id, kind, count]: readonly [string, PartKind, number],
  after: Step,
  more: Pick<Fine, 'before' | 'openings'> = {},
): Fine => ({ on, id, kind, count, after, ...more });

const FINE: readonly Fine[] = [
  fine('pack', ['@end-plate', 'end-plate', 1], ['@ring', 'retained'], {
    before: ['@pack', 'way-out'],
  }),
  fine('pack', ['@cushion', 'cushion-plate', 1], ['@pack', 'way-out'], {
    before: ['@piston', 'way-out'],
  }),
  fine('pack', ['@accumulator', 'accumulator', 1], ['valve-body', 'retained'], {
    openings: ['below'],
  }),
  fine('band', ['@accumulator', 'accumulator', 1], ['valve-body', 'retained'], {
    openings: ['below'],
  }),
  fine('band', ['@strut', 'strut', 1], ['@anchor', 'retained'], {
    before: ['@band', 'band-slack'],
  }),
  fine('drum', ['@feed-rings', 'feed-rings', 2], ['@drum', 'way-out']),
  fine('pinions', ['@pins', 'pins', 1], ['@carrier', 'set-apart'], {
    before: ['@pinions', 'retained'],
  }),
  fine('pinions', ['@needles', 'needles', 1], ['@pinions', 'retained']),
  fine('sleeve', ['@inserts', 'inserts', 3], ['@sleeve', 'retained']),
  fine('pan', ['pan-gasket', 'gasket', 1], ['pan', 'retained']),
  fine('valve-body', ['thin-bolts', 'bolt', 12], ['filter', 'pan-first'], {
    before: ['valve-body', 'retained'],
  }),
  fine('valve-body', ['thick-bolts', 'bolt', 4], ['thin-bolts', 'thin-first'], {
    before: ['valve-body', 'retained'],
  }),
  fine('valve-body', ['body-gaskets', 'body-gaskets', 2], ['valve-body', 'retained']),
  fine('valve-body', ['separator-plate', 'separator-plate', 1], ['body-gaskets', 'way-out']),
  fine('valve-body', ['check-balls', 'balls', 5], ['separator-plate', 'balls-under-plate']),
  fine('pump', ['pump-gasket', 'gasket', 1], ['pump', 'retained']),
  fine('pump', ['pump-seals', 'seals', 2], ['pump', 'retained']),
  fine('extension', ['extension-gasket', 'gasket', 1], ['extension', 'retained']),
  fine('extension', ['extension-seal', 'seals', 1], ['extension', 'retained']),
];

/** Adds them to the main parts; what had them counted in is one piece less. */
export function fineParts(bill: Bill): void {
  for (const host of bill.all())
    for (const row of FINE.filter(({ on }) => on === host.kind)) {
      const named = (name: string) => name.replace('@', `${host.of}.`);
      const [first, rule] = row.after;
      if (!bill.has(named(first))) continue;
      const count = host.kind === 'pinions' ? host.count * row.count : row.count;
      const id = bill.part(named(row.id), row.kind, row.openings ?? host.openings, {
        of: host.of,
        count,
        fine: true,
      });
      bill.rule(id, rule, [named(first)]);
      if (row.before) bill.rule(named(row.before[0]), row.before[1], [id]);
      if (row.kind === 'end-plate') bill.counts(host.id, host.count - 1);
    }
}
