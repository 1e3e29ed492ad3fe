import { sameNumber, toNumber } from '../../../numerics';
import { solveSet, thirdPort, type GearSetSetup } from '../../../geartrain';
import type { Keyed, ThoughtOf } from '../../family';
import { NumberThoughts } from '../../numberClaims';
import { within, type Direction } from '../../questionParts';
import {
  askedValue,
  FORMS,
  formOf,
  numberFrom,
  pinionForms,
  pinionTeeth,
  shownValue,
  wayOf,
  type Form,
  type SetClaim,
  type Shown,
} from './claims';
import { HELD_ARRANGEMENTS } from './key';
import { type NumberQuestion, type SetAnswer } from './kinds';
import type { SetSlip } from './slips';
import type { GearSetTypes } from './types';
import { hereClaims, signOf, turnsForOne, wayClaims, written } from './setFacts';

type NumberAnswer = Extract<SetAnswer, { kind: 'number' }>;

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

/** Numbers that ways of thinking about one set lead to. */
export function numberThoughts({
  question,
  subject: { setup },
}: Keyed<GearSetTypes, 'number'>): ThoughtOf<GearSetTypes, 'number'>[] {
  const right = askedValue(question, setup);
  if (right === null) return [];
  const direction = question.direction ? askedWay(question, setup) : undefined;
  // Which way it goes is another matter than how much.
  const asked = { ...question, direction: false };
  const facts = numberFacts({ question: asked, subject: { kind: 'gear-set', setup } });
  const numbers = new NumberThoughts<NumberAnswer, SetSlip, SetClaim>({
    right,
    tolerance: question.tolerance,
    answer: (value) => ({ kind: 'number', value, ...(direction ? { direction } : {}) }),
    valueOf: (a) => a.value,
    facts,
  });
  for (const b of believedRatios(setup)) {
    const signed = signOf(setup) * b.ratio;
    numbers.add(
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
    numbers.add(slip, shownValue(what, setup), (given) => [
      { claim: 'given-is', what, given },
      ...claims,
    ]);
  if (setup.roles.reaction === 'locked')
    for (const roles of HELD_ARRANGEMENTS) {
      const ratio = Math.abs(toNumber(solveSet(setup.set, roles).ratio!));
      numbers.add('locked-still-geared', numberFrom(question, ratio, setup), () =>
        hereClaims(setup),
      );
    }
  if (question.ask === 'held-torque') numbers.add('held-has-no-torque', 0);
  const list = numbers.withArithmetic();
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

/** Which way the thing asked for turns. */
function askedWay({ ask }: NumberQuestion, setup: GearSetSetup): Direction {
  const solution = solveSet(setup.set, setup.roles);
  const turns =
    ask === 'pinion-speed' ? solution.pinions[0]?.speed : solution.speeds[setup.roles.driven];
  return turns ? wayOf(toNumber(turns)) : 'none';
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

/** How the right number comes about. */
export function numberFacts({
  question,
  subject: { setup },
}: Pick<Keyed<GearSetTypes, 'number'>, 'question' | 'subject'>): SetClaim[] {
  if (question.ask === 'pinion-speed')
    return [...pinionClaims(setup), ...(question.direction ? pinionWay(setup) : [])];
  if (question.ask === 'held-torque') return balance(setup);
  return [...hereClaims(setup), ...(question.direction ? turnsForOne(setup) : [])];
}
