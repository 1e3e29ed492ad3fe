import type { Of, Keyed, ThoughtOf } from '../../family';
import { NumberThoughts } from '../../numberClaims';
import { shareOf, type ConverterClaim } from './claims';
import { TOGETHER } from './key';
import { WAYS, type ConverterAnswer, type PredictChangeQuestion, type Way } from './kinds';
import type { ConverterSlip } from './slips';
import type { ConverterTypes } from './types';

/** What a wrong word on a change comes of. */
export function changeThoughts({
  question,
  key,
}: Keyed<ConverterTypes, 'predict-change'>): ThoughtOf<ConverterTypes, 'predict-change'>[] {
  const { of, tolerance } = question;
  const { before, after, way } = key;
  const changes: ConverterClaim = { claim: 'changes', of, before, after };
  const valueFor = (w: Way) =>
    w === way ? after : w === 'same' ? before : w === 'up' ? before * 1.1 : before * 0.9;
  const ways: ThoughtOf<ConverterTypes, 'predict-change'>[] = WAYS.filter((w) => w !== way).map(
    (wrong) => ({
      slip: wrongWay(question, way, wrong),
      answer: { kind: 'predict-change', way: wrong, value: valueFor(wrong) },
      gives: (a) => a.way === wrong,
      claims: () => [changes],
    }),
  );
  const numbers = new NumberThoughts<
    Of<ConverterAnswer, 'predict-change'>,
    ConverterSlip,
    ConverterClaim
  >({
    right: after,
    tolerance,
    answer: (value) => ({ kind: 'predict-change', way, value }),
    valueOf: (a) => (a.way === way ? a.value : undefined),
    facts: [changes],
  });
  const share = shareOf(question);
  if (share !== null)
    for (const value of [before * share, before / share])
      if (Math.sign(value - before) === Math.sign(after - before))
        numbers.add('in-proportion', value, (given) => [{ claim: 'proportion', of, share, given }]);
  numbers.add('change-changes-nothing', before);
  return [...ways, ...numbers.withArithmetic()];
}

/** What is thought by a student who says that it goes this way, where it goes another. */
function wrongWay({ of, change }: PredictChangeQuestion, right: Way, wrong: Way): ConverterSlip {
  const spared = wrong === 'same' ? 'change-changes-nothing' : 'expects-a-change';
  if (change.kind === 'stator') {
    const seized = change.fault === 'seized';
    if (of === 'stall-speed')
      return seized
        ? right === 'same'
          ? 'seized-shows-at-stall'
          : spared
        : wrong === 'up'
          ? 'slipping-stator-stalls-higher'
          : spared;
    if (of === 'top-speed')
      return seized && right === 'down' && wrong === 'same' ? 'seized-spares-top-speed' : spared;
    return !seized && right === 'up' ? 'launches-without-stator' : spared;
  }
  if (right === 'same' || wrong === 'same') return spared;
  if (change.kind === 'size') return 'size-the-wrong-way';
  return of === 'stall-speed' && right === 'down' && wrong === 'up'
    ? 'weak-engine-stalls-higher'
    : spared;
}

/** Orders of two events that tell a way of thinking. */
const ORDERS: readonly (readonly [ConverterSlip, first: string, later: string])[] = [
  ['stator-lets-go-at-once', 'moves', 'stator-lets-go'],
  ['pulls-most-when-coupled', 'pulls-most', 'stator-lets-go'],
  ['locks-while-it-multiplies', 'stator-lets-go', 'lock-up'],
];

/** Orders of a launch that ways of thinking lead to. */
export function orderThoughts({
  key,
}: Keyed<ConverterTypes, 'launch-order'>): ThoughtOf<ConverterTypes, 'launch-order'>[] {
  const right = key.events.map((e) => e.name);
  const at = (name: string) => key.events.find((e) => e.name === name);
  return ORDERS.flatMap(([slip, first, later]) => {
    const [a, b] = [at(first), at(later)];
    if (!a || !b || b.time <= a.time + TOGETHER) return [];
    const without = right.filter((n) => n !== later);
    const order = [...without];
    order.splice(without.indexOf(first), 0, later);
    return [
      {
        slip,
        answer: { kind: 'launch-order', order },
        gives: ({ order: given }) => {
          const [i, k] = [given.indexOf(first), given.indexOf(later)];
          // What stands before all else is one way of thinking, not two.
          const moves = given.indexOf('moves');
          return i >= 0 && k >= 0 && k < i && (first === 'moves' || moves < 0 || moves < k);
        },
        claims: () => [{ claim: 'first', event: first, time: a.time, later, laterTime: b.time }],
      } satisfies ThoughtOf<ConverterTypes, 'launch-order'>,
    ];
  });
}
