import {
  alongTheRow,
  boltsAs,
  bodyFor,
  goesAlong,
  hangsOnThin,
  orderKeeps,
  shopOrder,
  springsPush,
  strainedAt,
  strongFirst,
  type BoltOrder,
} from './bolts';
import type { OilClaim } from './claims';
import type { OilSlip } from './slips';
import type { KeyedOf, Thoughts } from './types';

/** What an order of bolts comes to, and why. */

type Asked = Pick<KeyedOf<'bolt-order'>, 'question' | 'subject'>;

export const boltsComeTo = (
  { question, subject: { rig } }: Asked,
  { order, inTurns }: BoltOrder,
  way: 'turned' | 'could' | 'in-turns',
): OilClaim => ({
  claim: 'bolts-come-to',
  order: [...order],
  inTurns,
  way,
  ...boltsAs(rig, question, { order, inTurns }),
});

/** What pushes the body off all the while. */
export const pushedOff = ({ question, subject: { rig } }: Asked): OilClaim => ({
  claim: 'springs-push',
  count: bodyFor(rig, question).pushes.length,
  force: springsPush(rig, question),
});

function bends({ question, subject: { rig } }: Asked, { order, inTurns }: BoltOrder): OilClaim[] {
  const at = strainedAt(rig, question, { order, inTurns });
  return at.strain >= 1 ? [{ claim: 'bolt-bends', order: [...order], inTurns, ...at }] : [];
}

interface Way {
  readonly slip: OilSlip;
  readonly order: BoltOrder;
  readonly is: (order: BoltOrder) => boolean;
  /** What else is so. */
  readonly more: (order: BoltOrder) => OilClaim[];
}

export function boltThoughts(asked: KeyedOf<'bolt-order'>): Thoughts<'bolt-order'> {
  const {
    question,
    subject: { rig },
  } = asked;
  const fails = (order: BoltOrder) => !orderKeeps(rig, question, order);
  const inTurns = (o: BoltOrder): BoltOrder => ({ order: o.order, inTurns: true });
  const along = (o: BoltOrder) => goesAlong(rig, question, o);
  const thin = (o: BoltOrder) => !along(o) && hangsOnThin(rig, question, o);
  const ways: Way[] = [
    {
      slip: 'along-the-row',
      order: alongTheRow(rig, question),
      is: along,
      more: (o) => bends(asked, o),
    },
    {
      slip: 'springs-left-to-thin',
      order: strongFirst(rig, question),
      is: (o) => thin(o) && fails(inTurns(o)),
      more: (o) => bends(asked, o),
    },
    {
      slip: 'each-at-once',
      order: {
        ...(question.job === 'off' ? shopOrder : strongFirst)(rig, question),
        inTurns: false,
      },
      // The same order, in turns, would have done.
      is: (o) => !o.inTurns && !along(o) && !fails(inTurns(o)),
      more: (o) => [...bends(asked, o), boltsComeTo(asked, inTurns(o), 'in-turns')],
    },
  ];
  return ways
    .filter(({ order, is }) => fails(order) && is(order))
    .map(({ slip, order, is, more }) => ({
      slip,
      answer: { kind: 'bolt-order' as const, order: [...order.order], inTurns: order.inTurns },
      gives: (a) => fails(a) && is(a),
      claims: (a) => [pushedOff(asked), boltsComeTo(asked, a, 'turned'), ...more(a)],
    }));
}
