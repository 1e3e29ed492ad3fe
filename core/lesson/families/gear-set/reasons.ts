import { sameNumber, toNumber } from '../../../numerics';
import { PORTS, solveSet, thirdPort, type GearSetSetup, type Port } from '../../../geartrain';
import type { Asked, Reasons } from '../../family';
import type { Thought } from '../../learners';
import { arithmeticSlips } from '../../numberClaims';
import { within, type Direction } from '../../questionParts';
import {
  askedValue,
  FORMS,
  formOf,
  heldRoles,
  numberFrom,
  pinionForms,
  pinionTeeth,
  setClaimHolds,
  shownValue,
  wayOf,
  type Form,
  type SetClaim,
  type Shown,
} from './claims';
import { HELD_ARRANGEMENTS } from './key';
import { arrangementKey, type NumberQuestion, type SetAnswer } from './kinds';
import type { SetSlip } from './slips';
import type { GearSetTypes } from './types';

type About<K> = Omit<Asked<GearSetTypes, K>, 'answer'>;
type ThoughtAs<K> = Thought<Extract<SetAnswer, { kind: K }>, SetSlip, SetClaim>;

/** A ratio that a student believes in, by its size, and what is so instead. */
interface Belief {
  readonly slip: SetSlip;
  readonly ratio: number;
  readonly claims: readonly SetClaim[];
  readonly weight?: number;
}

/** The ratio's sizes that ways of thinking about the teeth lead to. */
function believedRatios({ set, roles }: GearSetSetup): Belief[] {
  const solved = solveSet(set, roles).ratio;
  if (!solved || roles.reaction !== 'held') return [];
  const right = Math.abs(toNumber(solved));
  const { sun, ring } = set.teeth;
  const value = (form: Form) => Math.abs(FORMS[form](sun, ring));
  const here = hereClaims({ set, roles });
  const list: Belief[] = [{ slip: 'upside-down', ratio: 1 / right, claims: here }];
  if (set.kind === 'double-pinion') {
    const plain = { kind: 'single-pinion', teeth: { sun, ring } } as const;
    const size = Math.abs(toNumber(solveSet(plain, roles).ratio!));
    list.push({
      slip: 'single-pinion-formula',
      ratio: size,
      claims: [...written(plain.kind, roles, 'with-plain', size), ...here],
    });
  }
  const counted: readonly Form[] = ['1 + R/S', '1 + S/R', '1/(1 + R/S)', '1/(1 + S/R)'];
  if (thirdPort(roles) === 'carrier')
    list.push(
      ...counted.map((form, k) => ({
        slip: 'added-one' as const,
        ratio: value(form),
        claims: [...otherArrangement(set, value(form), form), ...here],
        weight: k < 2 ? 1 : 0.4,
      })),
    );
  else
    list.push(
      ...(['R/S', 'S/R'] as const).map((form) => ({
        slip: 'forgot-one-plus' as const,
        ratio: value(form),
        claims: [...otherArrangement(set, value(form), form), ...here],
      })),
      ...otherQuotients({ set, roles }, right).map((form) => ({
        slip: 'other-quotient' as const,
        ratio: value(form),
        claims: [...otherArrangement(set, value(form), form), ...here],
        weight: 0.8,
      })),
    );
  return [...list, ...withPinions({ set, roles }, here)];
}

/** What is so of this set as it is run: its ratio in teeth, and what the carrier does. */
function hereClaims({ set, roles }: Pick<GearSetSetup, 'set' | 'roles'>): SetClaim[] {
  const { ratio } = solveSet(set, roles);
  if (roles.reaction === 'locked') return [{ claim: 'as-one' }];
  if (!ratio) return [{ claim: 'nothing-held' }];
  const size = Math.abs(toNumber(ratio));
  const carrier =
    roles.drives === 'carrier' ? 'drives' : roles.driven === 'carrier' ? 'driven' : 'held';
  return [{ claim: 'carrier', way: carrier }, ...written(set.kind, roles, 'formula', size)];
}

/** The ratio of an arrangement, written in teeth. */
function written(
  kind: GearSetSetup['set']['kind'],
  roles: GearSetSetup['roles'],
  claim: 'formula' | 'with-plain',
  ratio: number,
): SetClaim[] {
  const form = formOf(kind, roles);
  return form ? [{ claim, form, ratio }] : [];
}

/** With the teeth of the other gear on top: S/R for R/S, turned over or not. */
function otherQuotients(
  { set, roles }: Pick<GearSetSetup, 'set' | 'roles'>,
  right: number,
): Form[] {
  const { sun, ring } = set.teeth;
  const sets: readonly Form[] =
    set.kind === 'single-pinion'
      ? ['1 + R/S', '1 + S/R', '1/(1 + R/S)', '1/(1 + S/R)']
      : ['R/S − 1', '1 − S/R', '1/(R/S − 1)', '1/(1 − S/R)'];
  const own = Math.abs(toNumber(solveSet(set, roles).ratio!));
  return sets.filter((f) => {
    const size = Math.abs(FORMS[f](sun, ring));
    return !sameNumber(size, own) && !sameNumber(size, 1 / right);
  });
}

/** In which arrangement of this set that would be right. */
function otherArrangement(set: GearSetSetup['set'], ratio: number, form: Form): SetClaim[] {
  const other = HELD_ARRANGEMENTS.find((r) => formOf(set.kind, r) === form);
  return other
    ? [
        {
          claim: 'right-with',
          form,
          ratio,
          part: other.drives,
          other: other.driven,
          third: thirdPort(other),
        },
      ]
    : [];
}

/** All the ways to let pinion teeth into the ratio: so many that none of them is likely. */
function withPinions(
  setup: Pick<GearSetSetup, 'set' | 'roles'>,
  here: readonly SetClaim[],
): Belief[] {
  const { sun, ring } = setup.set.teeth;
  return pinionTeeth(setup as GearSetSetup).flatMap((pinion) =>
    [sun, ring].flatMap((teeth) => {
      return pinionForms(pinion / teeth).map((ratio, k) => ({
        slip: 'used-pinion' as const,
        ratio,
        claims: [
          { claim: 'pinion-quotient', ratio, pinion, teeth } as const,
          { claim: 'pinion-out', pinion } as const,
          ...here,
        ],
        weight: k < 2 ? 0.5 : 0.4,
      }));
    }),
  );
}

function numberThoughts({ question, subject: { setup } }: About<'number'>): ThoughtAs<'number'>[] {
  const right = askedValue(question, setup);
  if (right === null) return [];
  const direction = question.direction ? askedWay(question, setup) : undefined;
  const list: ThoughtAs<'number'>[] = [];
  const add = (
    slip: SetSlip,
    value: number | null,
    claims: (given: number) => readonly SetClaim[],
    weight = 1,
  ) => {
    if (value === null || !Number.isFinite(value) || within(question.tolerance, right, value))
      return;
    const answer = { kind: 'number' as const, value, ...(direction ? { direction } : {}) };
    list.push({ slip, answer, weight, claims: (a) => claims(a.value) });
  };
  const here = hereClaims(setup);
  for (const b of believedRatios(setup)) {
    const signed = signOf(setup) * b.ratio;
    add(
      b.slip,
      numberFrom(question, signed, setup),
      (given) => [
        ...(question.ask === 'ratio'
          ? []
          : [{ claim: 'goes-with' as const, given, ratio: b.ratio }]),
        ...(b.slip === 'upside-down'
          ? [{ claim: 'one-over' as const, inverse: b.ratio, ratio: 1 / b.ratio }]
          : []),
        ...b.claims,
      ],
      b.weight,
    );
  }
  for (const [slip, what, claims] of mistaken(question, setup))
    add(slip, shownValue(what, setup), (given) => [{ claim: 'given-is', what, given }, ...claims]);
  if (setup.roles.reaction === 'locked')
    for (const roles of HELD_ARRANGEMENTS) {
      const ratio = Math.abs(toNumber(solveSet(setup.set, roles).ratio!));
      add('locked-still-geared', numberFrom(question, ratio, setup), () => here);
    }
  if (question.ask === 'held-torque') add('held-has-no-torque', 0, () => balance(setup));
  for (const { slip, value, gives, weight, claims } of arithmeticSlips(right, question.tolerance))
    list.push({
      slip,
      weight,
      answer: { kind: 'number', value, ...(direction ? { direction } : {}) },
      ...(gives ? { gives: (a) => gives(a.value) } : {}),
      claims: (a) => [
        ...claims(a.value),
        ...(slip === 'near-miss'
          ? numberFacts({ question, subject: { kind: 'gear-set', setup } })
          : []),
      ],
    });
  if (direction)
    list.push({
      slip: 'wrong-sign',
      answer: { kind: 'number', value: right, direction: otherWay(direction) },
      gives: (a) => within(question.tolerance, right, a.value) && a.direction !== direction,
      claims: () => (question.ask === 'pinion-speed' ? pinionWay(setup) : wayClaims(setup)),
    });
  return list;
}

const otherWay = (way: Direction): Direction => (way === 'same' ? 'opposite' : 'same');

const signOf = ({ set, roles }: GearSetSetup): number => {
  const { ratio } = solveSet(set, roles);
  return ratio && toNumber(ratio) < 0 ? -1 : 1;
};

/** Which way the thing asked for turns. */
function askedWay({ ask }: NumberQuestion, setup: GearSetSetup): Direction {
  const solution = solveSet(setup.set, setup.roles);
  const turns =
    ask === 'pinion-speed' ? solution.pinions[0]?.speed : solution.speeds[setup.roles.driven];
  return turns ? wayOf(toNumber(turns)) : 'none';
}

/** How far, and which way, the output goes for one turn of the input. */
function turnsForOne({ set, roles }: Pick<GearSetSetup, 'set' | 'roles'>): SetClaim[] {
  const turned = solveSet(set, roles).speeds[roles.driven];
  if (!turned) return [];
  const turns = toNumber(turned);
  return [
    {
      claim: 'turns-for-one',
      part: roles.drives,
      other: roles.driven,
      turns: Math.abs(turns),
      way: wayOf(turns),
    },
  ];
}

function wayClaims(setup: Pick<GearSetSetup, 'set' | 'roles'>): SetClaim[] {
  const { set, roles } = setup;
  if (roles.reaction === 'locked') return [{ claim: 'as-one' }];
  if (roles.reaction === 'free') return [{ claim: 'nothing-held' }];
  const held = thirdPort(roles) === 'carrier';
  return [
    ...(held ? [{ claim: 'meshes' as const, way: set.kind }] : hereClaims(setup).slice(0, 1)),
    ...turnsForOne(setup),
  ];
}

/** In, out and held against one another. */
function balance(setup: GearSetSetup): SetClaim[] {
  const [out, held] = [shownValue('output-torque', setup), shownValue('held-torque', setup)];
  if (out === null || held === null) return [];
  const way = signOf(setup) < 0 ? 'sum' : 'difference';
  return [
    { claim: 'torques', torqueIn: setup.inputTorqueNm, torqueOut: out, torqueHeld: held, way },
  ];
}

/** Numbers of the same set that are given for the one asked for. */
function mistaken(
  { ask }: NumberQuestion,
  setup: GearSetSetup,
): readonly (readonly [SetSlip, Shown, readonly SetClaim[]])[] {
  const here = hereClaims(setup);
  const torques = balance(setup);
  switch (ask) {
    case 'ratio':
      return [
        ['value-for-ratio', 'output-speed', here],
        ['value-for-ratio', 'output-torque', here],
      ];
    case 'output-speed':
      return [
        ['ratio-not-applied', 'input-speed', here],
        ['ratio-for-value', 'ratio', here],
      ];
    case 'output-torque':
      return [
        ['ratio-not-applied', 'input-torque', here],
        ['held-instead-of-output', 'held-torque', torques],
        ['ratio-for-value', 'ratio', here],
      ];
    case 'held-torque':
      return [
        ['output-instead-of-held', 'output-torque', torques],
        ['input-instead-of-held', 'input-torque', torques],
        signOf(setup) < 0
          ? ['difference-instead-of-sum', 'size-difference', torques]
          : ['sum-instead-of-difference', 'sum-of-torques', torques],
      ];
    case 'pinion-speed': {
      const pinion = pinionClaims(setup);
      return [
        ['against-case', 'pinion-against-case', pinion],
        ['ratio-not-applied', 'input-speed', pinion],
        ['ratio-for-value', 'output-speed', pinion],
        ['carrier-turn-left-out', 'pinion-from-sun', pinion],
        ['carrier-turn-left-out', 'pinion-from-ring', pinion],
      ];
    }
  }
}

function pinionClaims(setup: GearSetSetup): SetClaim[] {
  const { speeds, pinions } = solveSet(setup.set, setup.roles);
  const [pinion, carrier] = [pinions[0]?.speed, speeds.carrier];
  if (!pinion || !carrier) return [];
  const [p, c] = [pinion, carrier].map((f) => toNumber(f) * setup.inputSpeedRpm) as [
    number,
    number,
  ];
  return [
    {
      claim: 'pinion-speed',
      against: Math.abs(p),
      carrier: Math.abs(c),
      total: Math.abs(p + c),
      way: wayOf(p * c),
    },
  ];
}

/** Which way the pinion turns on its pin, against the part that drives. */
function pinionWay({ set, roles }: GearSetSetup): SetClaim[] {
  const turns = solveSet(set, roles).pinions[0]?.speed;
  return turns ? [{ claim: 'pinion-way', part: roles.drives, way: wayOf(toNumber(turns)) }] : [];
}

function choiceThoughts(about: About<'choice'>): ThoughtAs<'choice'>[] {
  const { question, subject, key } = about;
  if (key.kind !== 'choice') return [];
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
function partSpeeds({ set, roles }: GearSetSetup): SetClaim[] {
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

const gives = (setup: GearSetSetup, drives: Port, driven: Port): SetClaim[] => {
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

const arrangementNamed = (key: string) => HELD_ARRANGEMENTS.find((r) => arrangementKey(r) === key);

function arrangementSlips(
  { question, subject: { setup }, key }: About<'choice'>,
  choice: string,
): Choice[] {
  const chosen = arrangementNamed(choice);
  const wanted = key.kind === 'choice' && arrangementNamed(key.right[0] ?? '');
  if (!chosen || !wanted) return [];
  const claims = [
    ...gives(setup, chosen.drives, chosen.driven),
    ...gives(setup, wanted.drives, wanted.driven),
  ];
  const { effect } = solveSet(setup.set, chosen);
  const target = solveSet(setup.set, wanted).effect;
  const swapped = key.kind === 'choice' && key.right.includes(`${chosen.driven}-${chosen.drives}`);
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

function rolesThoughts({ subject: { setup }, key }: About<'roles'>): ThoughtAs<'roles'>[] {
  if (key.kind !== 'roles') return [];
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

function numberFacts({
  question,
  subject: { setup },
}: Pick<About<'number'>, 'question' | 'subject'>): SetClaim[] {
  if (question.ask === 'pinion-speed')
    return [...pinionClaims(setup), ...(question.direction ? pinionWay(setup) : [])];
  if (question.ask === 'held-torque') return balance(setup);
  return [...hereClaims(setup), ...(question.direction ? turnsForOne(setup) : [])];
}

export const reasons: Reasons<GearSetTypes> = {
  thoughts: { number: numberThoughts, choice: choiceThoughts, roles: rolesThoughts },
  same: {
    number: ({ question, answer }, other) => within(question.tolerance, other.value, answer.value),
    choice: ({ answer }, other) => answer.choice === other.choice,
    roles: ({ answer }, other) => answer.drives === other.drives && answer.driven === other.driven,
  },
  facts: {
    number: numberFacts,
    choice: ({ question, subject: { setup }, key }) =>
      question.ask === 'fastest'
        ? partSpeeds(setup)
        : question.ask === 'arrangement' && key.kind === 'choice'
          ? key.right.slice(0, 1).flatMap((k) => {
              const roles = arrangementNamed(k);
              return roles ? gives(setup, roles.drives, roles.driven) : [];
            })
          : wayClaims(setup),
    roles: ({ subject: { setup }, key }) =>
      key.kind === 'roles' ? gives(setup, key.right[0]!.drives, key.right[0]!.driven) : [],
  },
  holds: (claim, { question, subject }) => setClaimHolds(claim, question, subject.setup),
};
