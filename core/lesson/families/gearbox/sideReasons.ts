import { sleeveWith, type Unit } from '../../../geartrain';
import { complaintsOf, otherSide, type GearComplaint, type WornPart } from '../../../shift';
import type { Asked, Keyed, ThoughtOf } from '../../family';
import { clutchOf, type GearboxClaim } from './claims';
import { complains } from './key';
import type { GearboxAnswer, GearboxRig } from './kinds';
import type { GearboxTypes } from './types';

type Answer = Extract<GearboxAnswer, { kind: 'which-side' }>;

/** So worn is a part when it is named as an example. */
const PLAINLY: Readonly<Record<WornPart, number>> = {
  tips: 0.7,
  ring: 0.05,
  engagement: 0.45,
  clutch: 20,
};

const told = ({ gear: _gear, ...row }: GearComplaint): GearboxClaim => ({
  claim: 'gear-told',
  ...row,
});

/** What one gear would do if another thing were worn. */
function would(unit: Unit, part: WornPart, worn: string | null, of: string): GearboxClaim[] {
  const value = PLAINLY[part];
  return complaintsOf(unit, { part, side: worn, value })
    .filter((g) => g.side === of)
    .map(({ gear: _gear, ...row }) => ({ claim: 'gear-would', part, worn, value, ...row }));
}

/** What leads to a side, or a part, that it is not. */
export function sideThoughts({
  subject: {
    rig: { unit },
  },
  key,
}: Keyed<GearboxTypes, 'which-side'>): ThoughtOf<GearboxTypes, 'which-side'>[] {
  const isRight = (a: Answer) =>
    key.right.some((r) => r.part === a.part && r.side === (a.side ?? null));
  const list: ThoughtOf<GearboxTypes, 'which-side'>[] = [];
  const add = (
    thought: Omit<ThoughtOf<GearboxTypes, 'which-side'>, 'gives'>,
    gives: (a: Answer) => boolean,
  ) => {
    if (!isRight(thought.answer)) list.push({ ...thought, gives: (a) => !isRight(a) && gives(a) });
  };
  const bad = key.told.filter(complains);
  const good = key.told.filter((g) => !complains(g));
  const rowOf = (side: string | undefined) => key.told.filter((g) => g.side === side);
  const count: GearboxClaim = { claim: 'complaining', count: bad.length, all: key.told.length };
  const box = key.right.find((r) => r.side !== null);
  if (!box?.side) {
    const side = key.told[0]!.side;
    add(
      {
        slip: 'blames-one-gear',
        answer: { kind: 'which-side', part: 'ring', side },
        claims: (a) => [
          count,
          ...key.told
            .filter((g) => g.side !== a.side)
            .slice(0, 1)
            .map(told),
        ],
      },
      (a) => a.part !== 'clutch',
    );
    return list;
  }
  const { side, part } = { side: box.side, part: box.part };
  const free = good[0];
  add(
    {
      slip: 'blames-the-clutch',
      answer: { kind: 'which-side', part: 'clutch' },
      claims: () => [
        count,
        ...(free ? [told(free), ...would(unit, 'clutch', null, free.side)] : []),
      ],
    },
    (a) => a.part === 'clutch',
  );
  const beside = otherSide(unit, side);
  const sleeve = sleeveWith(unit, side)?.sleeve.id ?? '';
  if (beside !== null && key.told.some((g) => g.side === beside))
    add(
      {
        slip: 'other-side-of-the-sleeve',
        answer: { kind: 'which-side', part, side: beside },
        claims: () => [
          { claim: 'same-sleeve', side, other: beside, sleeve },
          ...rowOf(side).map(told),
          ...rowOf(beside).map(told),
        ],
      },
      (a) => a.side === beside,
    );
  const elsewhere = good.find((g) => g.side !== beside);
  if (elsewhere)
    add(
      {
        slip: 'another-gear',
        answer: { kind: 'which-side', part, side: elsewhere.side },
        claims: (a) => [...rowOf(a.side).map(told), ...rowOf(side).map(told)],
      },
      (a) => a.side !== undefined && a.side !== side && a.side !== beside,
    );
  const mixedUp = (
    slip: 'grinds-means-tips' | 'refuses-means-ring',
    is: WornPart,
    said: WornPart,
  ) =>
    part === is &&
    add(
      {
        slip,
        answer: { kind: 'which-side', part: said, side },
        claims: () => [...rowOf(side).map(told), ...would(unit, said, side, side)],
      },
      (a) => a.side === side && a.part === said,
    );
  mixedUp('grinds-means-tips', 'ring', 'tips');
  mixedUp('refuses-means-ring', 'tips', 'ring');
  return list;
}

/** What the driver tells: of the gears that complain, and of one that does not. */
export function sideFacts({ key }: Asked<GearboxTypes, 'which-side'>): GearboxClaim[] {
  const bad = key.told.filter(complains);
  const good = key.told.filter((g) => !complains(g));
  return [
    ...bad.slice(0, 2).map(told),
    ...good.slice(0, 1).map(told),
    { claim: 'complaining', count: bad.length, all: key.told.length },
  ];
}

const hangs = (unit: Unit, side: string): GearboxClaim[] => {
  const clutch = clutchOf(unit, side);
  return clutch === null ? [] : [{ claim: 'gear-hangs-on', side, clutch }];
};

export function twoFacts(
  sides: readonly string[],
  clutches: readonly string[],
  { unit }: GearboxRig,
): GearboxClaim[] {
  const facts = [sides, [...sides, ...clutches]].flatMap((apply): GearboxClaim[] =>
    (['bind', 'turn'] as const).map((way) => ({ claim: 'in-at-once', apply, way })),
  );
  return [...facts, ...sides.flatMap((side) => hangs(unit, side))];
}

/** What leads to a bind that is none, or one that is not seen. */
export function twoThoughts({
  question: { sides, clutches },
  subject: { rig },
  key,
}: Keyed<GearboxTypes, 'two-gears'>): ThoughtOf<GearboxTypes, 'two-gears'>[] {
  const claims = () => twoFacts(sides, clutches, rig);
  const { binds, why } = key;
  const kind = 'two-gears' as const;
  const other = why === 'one-shaft' ? 'both-clutches' : 'one-shaft';
  return [
    binds
      ? {
          slip: 'bind-unseen',
          answer: { kind, binds: false, why: 'open-clutch' },
          gives: (a) => !a.binds,
          claims,
        }
      : {
          slip: 'two-gears-always-bind',
          answer: { kind, binds: true, why: 'one-shaft' },
          gives: (a) => a.binds,
          claims,
        },
    {
      slip: 'shafts-mixed-up',
      answer: { kind, binds, why: other },
      gives: (a) => a.binds === binds && a.why !== why,
      claims,
    },
  ];
}
