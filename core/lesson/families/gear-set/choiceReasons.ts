import { toNumber } from '../../../numerics';
import { PORTS, solveSet, thirdPort, type GearSetSetup, type Port } from '../../../geartrain';
import type { Keyed, Of, ThoughtOf } from '../../family';
import { heldRoles, type SetClaim } from './claims';
import { HELD_ARRANGEMENTS, type SetKey } from './key';
import { arrangementKey } from './kinds';
import type { SetSlip } from './slips';
import type { GearSetTypes } from './types';
import { wayClaims } from './setFacts';

/** What each wrong choice of an effect, a way, a part or an arrangement comes of. */
export function choiceThoughts(
  about: Keyed<GearSetTypes, 'choice'>,
): ThoughtOf<GearSetTypes, 'choice'>[] {
  const { question, subject, key } = about;
  const { setup } = subject;
  return key.options
    .filter((o) => !key.right.includes(o))
    .flatMap((choice) => {
      const answer = { kind: 'choice' as const, choice };
      const named = {
        effect: () => effectSlips(setup, key.right[0]!, choice),
        direction: () => directionSlips(setup, key.right[0]!, choice),
        fastest: () => fastestSlips(setup, key.right, choice),
        arrangement: () => arrangementSlips(about, choice),
        'right-for': () => rightForSlips(about, choice),
      }[question.ask]();
      return named.map(({ slip, claims }) => ({ slip, answer, claims: () => claims }));
    });
}

interface Choice {
  readonly slip: SetSlip;
  readonly claims: readonly SetClaim[];
}

function effectSlips(setup: GearSetSetup, right: string, choice: string): Choice[] {
  const claims = wayClaims(setup);
  const slip = effectSlip(setup, right, choice);
  return slip ? [{ slip, claims }] : [];
}

function effectSlip({ set, roles }: GearSetSetup, right: string, choice: string): SetSlip | null {
  if (roles.reaction === 'locked')
    return choice === 'neutral' ? 'locked-is-neutral' : 'locked-still-geared';
  if (right === 'neutral') return 'free-drives';
  if (choice === 'neutral') return 'held-stops-all';
  const [wasBack, isBack] = [choice, right].map((e) => e.startsWith('reverse'));
  if (isBack && !wasBack) return 'held-carrier-forward';
  if (wasBack && !isBack) return 'expects-reverse';
  if (
    roles.drives === 'ring' &&
    roles.driven === 'carrier' &&
    set.kind === 'single-pinion' &&
    choice === 'overdrive'
  )
    return 'ring-in-overdrive';
  return choice.endsWith('direct') ? null : 'upside-down';
}

function directionSlips(setup: GearSetSetup, right: string, choice: string): Choice[] {
  const claims = wayClaims(setup);
  const held = setup.roles.reaction === 'held';
  if (choice === 'none') return [{ slip: held ? 'held-stops-all' : 'locked-is-neutral', claims }];
  if (right === 'opposite') return [{ slip: 'held-carrier-forward', claims }];
  return right === 'same' ? [{ slip: 'expects-reverse', claims }] : [];
}

/** For one turn in, so many turns of each part. */
export function partSpeeds({ set, roles }: GearSetSetup): SetClaim[] {
  const { speeds } = solveSet(set, roles);
  if (PORTS.some((p) => speeds[p] === null)) return [];
  const [sun, carrier, ring] = PORTS.map((p) => Math.abs(toNumber(speeds[p]!))) as [
    number,
    number,
    number,
  ];
  return [{ claim: 'part-speeds', sun, carrier, ring }];
}

function fastestSlips(setup: GearSetSetup, right: readonly string[], choice: string): Choice[] {
  const { roles } = setup;
  const claims = partSpeeds(setup);
  if (right.includes('all-same'))
    return [{ slip: 'locked-still-geared', claims: [{ claim: 'as-one' }] }];
  if (choice === 'all-same') return [];
  if (roles.reaction === 'held' && choice === thirdPort(roles))
    return [{ slip: 'held-part-turns', claims }];
  return [{ slip: 'upside-down', claims }];
}

/** What an arrangement of this set gives. */
export const gives = (setup: GearSetSetup, drives: Port, driven: Port): SetClaim[] => {
  const { ratio, effect } = solveSet(setup.set, heldRoles(drives, driven));
  const third = thirdPort({ drives, driven });
  return ratio
    ? [
        {
          claim: 'gives',
          part: drives,
          other: driven,
          third,
          ratio: Math.abs(toNumber(ratio)),
          effect,
        },
      ]
    : [];
};

/** The arrangement with this key. */
export const arrangementNamed = (key: string) =>
  HELD_ARRANGEMENTS.find((r) => arrangementKey(r) === key);

type ChoiceKey = Of<SetKey, 'choice'>;

/** The arrangement that was chosen and the one that is right, and what each gives. */
function bothArrangements(setup: GearSetSetup, { right }: ChoiceKey, choice: string) {
  const chosen = arrangementNamed(choice);
  const wanted = arrangementNamed(right[0]!);
  if (!chosen || !wanted) return null;
  const claims = [chosen, wanted].flatMap(({ drives, driven }) => gives(setup, drives, driven));
  return { chosen, wanted, claims };
}

function arrangementSlips(
  { question, subject: { setup }, key }: Keyed<GearSetTypes, 'choice'>,
  choice: string,
): Choice[] {
  const both = bothArrangements(setup, key, choice);
  if (!both) return [];
  const { chosen, wanted, claims } = both;
  const { effect } = solveSet(setup.set, chosen);
  const target = solveSet(setup.set, wanted).effect;
  const swapped = key.right.includes(`${chosen.driven}-${chosen.drives}`);
  const ringIn = question.goal === 'strongest-overdrive' && choice === 'ring-carrier';
  const slip: SetSlip = swapped
    ? 'drives-and-driven-swapped'
    : ringIn && setup.set.kind === 'single-pinion'
      ? 'ring-in-overdrive'
      : effect === target
        ? 'not-the-strongest'
        : effect.startsWith('reverse') !== target.startsWith('reverse')
          ? 'held-part-confused'
          : target.endsWith('overdrive')
            ? 'reduction-for-overdrive'
            : 'overdrive-for-reduction';
  return [{ slip, claims }];
}

function rightForSlips(
  { subject: { setup }, key }: Keyed<GearSetTypes, 'choice'>,
  choice: string,
): Choice[] {
  const both = bothArrangements(setup, key, choice);
  if (!both) return [];
  const { chosen, wanted, claims } = both;
  const asked = setup.roles.reaction === 'held' && choice === arrangementKey(setup.roles);
  const swapped = chosen.drives === wanted.driven && chosen.driven === wanted.drives;
  const slip = asked ? 'answer-kept' : swapped ? 'drives-and-driven-swapped' : 'held-part-confused';
  return [{ slip, claims }];
}

/** What each wrong giving of roles comes of. */
export function rolesThoughts({
  subject: { setup },
  key,
}: Keyed<GearSetTypes, 'roles'>): ThoughtOf<GearSetTypes, 'roles'>[] {
  const right = key.right[0]!;
  return HELD_ARRANGEMENTS.filter(
    (r) => !key.right.some((k) => k.drives === r.drives && k.driven === r.driven),
  ).map(({ drives, driven }) => {
    const held = thirdPort({ drives, driven });
    return {
      slip: held === right.held ? 'drives-and-driven-swapped' : 'held-part-confused',
      answer: { kind: 'roles', drives, driven, held },
      claims: () => [...gives(setup, drives, driven), ...gives(setup, right.drives, right.driven)],
    };
  });
}
