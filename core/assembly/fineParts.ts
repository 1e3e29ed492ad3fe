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

const FINE: readonly Fine[] = [
  {
    on: 'pack',
    id: '@end-plate',
    kind: 'end-plate',
    count: 1,
    after: ['@ring', 'retained'],
    before: ['@pack', 'way-out'],
  },
  {
    on: 'pack',
    id: '@cushion',
    kind: 'cushion-plate',
    count: 1,
    after: ['@pack', 'way-out'],
    before: ['@piston', 'way-out'],
  },
  {
    on: 'pack',
    id: '@accumulator',
    kind: 'accumulator',
    count: 1,
    openings: ['below'],
    after: ['valve-body', 'retained'],
  },
  {
    on: 'band',
    id: '@accumulator',
    kind: 'accumulator',
    count: 1,
    openings: ['below'],
    after: ['valve-body', 'retained'],
  },
  {
    on: 'band',
    id: '@strut',
    kind: 'strut',
    count: 1,
    after: ['@anchor', 'retained'],
    before: ['@band', 'band-slack'],
  },
  { on: 'drum', id: '@feed-rings', kind: 'feed-rings', count: 2, after: ['@drum', 'way-out'] },
  {
    on: 'pinions',
    id: '@pins',
    kind: 'pins',
    count: 1,
    after: ['@carrier', 'set-apart'],
    before: ['@pinions', 'retained'],
  },
  { on: 'pinions', id: '@needles', kind: 'needles', count: 1, after: ['@pinions', 'retained'] },
  { on: 'sleeve', id: '@inserts', kind: 'inserts', count: 3, after: ['@sleeve', 'retained'] },
  { on: 'pan', id: 'pan-gasket', kind: 'gasket', count: 1, after: ['pan', 'retained'] },
  {
    on: 'valve-body',
    id: 'thin-bolts',
    kind: 'bolt',
    count: 12,
    after: ['filter', 'pan-first'],
    before: ['valve-body', 'retained'],
  },
  {
    on: 'valve-body',
    id: 'thick-bolts',
    kind: 'bolt',
    count: 4,
    after: ['thin-bolts', 'thin-first'],
    before: ['valve-body', 'retained'],
  },
  {
    on: 'valve-body',
    id: 'body-gaskets',
    kind: 'body-gaskets',
    count: 2,
    after: ['valve-body', 'retained'],
  },
  {
    on: 'valve-body',
    id: 'separator-plate',
    kind: 'separator-plate',
    count: 1,
    after: ['body-gaskets', 'way-out'],
  },
  {
    on: 'valve-body',
    id: 'check-balls',
    kind: 'balls',
    count: 5,
    after: ['separator-plate', 'balls-under-plate'],
  },
  { on: 'pump', id: 'pump-gasket', kind: 'gasket', count: 1, after: ['pump', 'retained'] },
  { on: 'pump', id: 'pump-seals', kind: 'seals', count: 2, after: ['pump', 'retained'] },
  {
    on: 'extension',
    id: 'extension-gasket',
    kind: 'gasket',
    count: 1,
    after: ['extension', 'retained'],
  },
  {
    on: 'extension',
    id: 'extension-seal',
    kind: 'seals',
    count: 1,
    after: ['extension', 'retained'],
  },
];

/** Adds them to the main parts; what had them counted in is one piece less. */
export function fineParts(bill: Bill): void {
  for (const host of bill.all())
    for (const fine of FINE.filter(({ on }) => on === host.kind)) {
      const named = (name: string) => name.replace('@', `${host.of}.`);
      const [first, rule] = fine.after;
      if (!bill.has(named(first))) continue;
      const count = host.kind === 'pinions' ? host.count * fine.count : fine.count;
      const id = bill.part(named(fine.id), fine.kind, fine.openings ?? host.openings, {
        of: host.of,
        count,
        fine: true,
      });
      bill.rule(id, rule, [named(first)]);
      if (fine.before) bill.rule(named(fine.before[0]), fine.before[1], [id]);
      if (fine.kind === 'end-plate') bill.counts(host.id, host.count - 1);
    }
}
