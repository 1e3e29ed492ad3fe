import type { SetSlip } from './slips';
import {
  divide,
  fraction,
  negate,
  ONE,
  signOf,
  add,
  toNumber,
  type Fraction,
} from '../../../numerics';
import { solveSet, toothRatio, type GearSetSetup, type Roles } from '../../../geartrain';
import { within } from '../../questionParts';
import { numberFromRatio, type RoleAnswer, type SetKey } from './key';
import type { ChoiceQuestion, NumberQuestion, SetAnswer } from './kinds';

/** What a learner who gets one gear set wrong in a known way would have answered. */
interface Believed {
  readonly code: SetSlip;
  readonly value: number;
}

/** The misconception that explains a wrong number, or `null`. */
export function recogniseNumber(
  question: NumberQuestion,
  setup: GearSetSetup,
  key: SetKey & { kind: 'number' },
  answer: SetAnswer & { kind: 'number' },
): SetSlip | null {
  if (within(question.tolerance, key.value, answer.value)) {
    return question.direction && answer.direction !== key.direction ? 'wrong-sign' : null;
  }
  const match = believedNumbers(question, setup, key.value).find((b) =>
    within(question.tolerance, b.value, answer.value),
  );
  return match?.code ?? null;
}

/** Every wrong number this question is known to draw, most telling first. */
export function believedNumbers(
  question: NumberQuestion,
  setup: GearSetSetup,
  right: number,
): Believed[] {
  const own =
    question.ask === 'pinion-speed'
      ? believedPinion(setup)
      : believedRatios(setup).map(({ code, ratio }) => ({
          code,
          value: numberFromRatio(question.ask, ratio, setup),
        }));
  const { ratio } = solveSet(setup.set, setup.roles);
  const plain: Believed[] = [];
  if (question.ask === 'output-speed')
    plain.push({ code: 'ratio-not-applied', value: setup.inputSpeedRpm });
  if (question.ask === 'output-torque')
    plain.push({ code: 'ratio-not-applied', value: setup.inputTorqueNm });
  if (question.ask === 'held-torque' && ratio) {
    const size = Math.abs(toNumber(ratio)) * setup.inputTorqueNm;
    plain.push(
      { code: 'output-instead-of-held', value: size },
      { code: 'input-instead-of-held', value: setup.inputTorqueNm },
      {
        code: 'sum-instead-of-difference',
        value: Math.abs(toNumber(ratio) + 1) * setup.inputTorqueNm,
      },
    );
  }
  return [...plain, ...own].filter(
    (b) => Number.isFinite(b.value) && !within(question.tolerance, right, b.value),
  );
}

function believedPinion(setup: GearSetSetup): Believed[] {
  const { speeds, pinions } = solveSet(setup.set, setup.roles);
  const relative = pinions[0]?.speed;
  if (!relative || !speeds.carrier) return [];
  const rpm = (f: Fraction) => Math.abs(toNumber(f)) * setup.inputSpeedRpm;
  return [{ code: 'against-case', value: rpm(add(relative, speeds.carrier)) }];
}

/** Ratios a learner may believe in for this arrangement. */
function believedRatios(setup: GearSetSetup): { code: SetSlip; ratio: Fraction }[] {
  const { set, roles } = setup;
  const right = solveSet(set, roles).ratio;
  if (!right || roles.reaction !== 'held') return [];
  const e = toothRatio(set);
  const size = signOf(right) < 0 ? negate(right) : right;
  const list: { code: SetSlip; ratio: Fraction }[] = [];
  const ringInSunHeld = roles.drives === 'ring' && roles.driven === 'carrier';
  if (set.kind === 'double-pinion') {
    const asSingle = solveSet(
      { kind: 'single-pinion', teeth: { sun: set.teeth.sun, ring: set.teeth.ring } },
      roles,
    ).ratio;
    if (asSingle) list.push({ code: 'single-pinion-formula', ratio: asSingle });
  }
  list.push({
    code: ringInSunHeld ? 'ring-in-overdrive' : 'upside-down',
    ratio: divide(ONE, size),
  });
  const carrierHeld = roles.drives !== 'carrier' && roles.driven !== 'carrier';
  const sunSide = roles.drives === 'sun' || roles.driven === 'sun';
  const bare = sunSide ? e : divide(ONE, e);
  if (carrierHeld) {
    list.push({ code: 'added-one', ratio: add(ONE, size) });
  } else {
    list.push(
      { code: 'forgot-one-plus', ratio: bare },
      { code: 'forgot-one-plus', ratio: divide(ONE, bare) },
    );
  }
  for (const pinion of pinionTeeth(setup)) {
    const { sun, ring } = set.teeth;
    for (const other of [sun, ring]) {
      const q = fraction(pinion, other);
      for (const r of [q, divide(ONE, q), add(ONE, q), add(ONE, divide(ONE, q))])
        list.push({ code: 'used-pinion', ratio: r });
    }
  }
  return list;
}

const pinionTeeth = ({ set }: GearSetSetup): number[] =>
  (set.kind === 'single-pinion' ? [set.teeth.pinion] : [set.teeth.inner, set.teeth.outer]).filter(
    (n) => n !== undefined,
  );

export function recogniseChoice(
  question: ChoiceQuestion,
  setup: GearSetSetup,
  right: readonly string[],
  choice: string,
): SetSlip | null {
  if (right.includes(choice)) return null;
  const { roles } = setup;
  switch (question.ask) {
    case 'effect': {
      const correct = right[0] ?? '';
      if (roles.reaction === 'locked') return choice === 'neutral' ? 'locked-is-neutral' : null;
      if (roles.drives === 'ring' && roles.driven === 'carrier' && choice === 'overdrive')
        return 'ring-in-overdrive';
      if (correct.startsWith('reverse') && !choice.startsWith('reverse'))
        return 'held-carrier-forward';
      if (choice.startsWith('reverse') && !correct.startsWith('reverse')) return 'expects-reverse';
      return isSpeedPair(correct, choice) ? 'upside-down' : null;
    }
    case 'direction':
      if (right[0] === 'opposite' && choice === 'same') return 'held-carrier-forward';
      return right[0] === 'same' && choice === 'opposite' ? 'expects-reverse' : null;
    case 'fastest':
      return choice === roles.driven && right[0] === roles.drives ? 'upside-down' : null;
    case 'arrangement':
      return recogniseArrangement(question, setup, right, choice);
  }
}

const isSpeedPair = (a: string, b: string): boolean =>
  (a.endsWith('reduction') && b.endsWith('overdrive')) ||
  (a.endsWith('overdrive') && b.endsWith('reduction'));

function recogniseArrangement(
  question: ChoiceQuestion,
  setup: GearSetSetup,
  right: readonly string[],
  choice: string,
): SetSlip | null {
  const [drives, driven] = choice.split('-');
  if (right.some((r) => r === `${driven}-${drives}`)) return 'drives-and-driven-swapped';
  if (question.goal === 'strongest-overdrive' && choice === 'ring-carrier')
    return 'ring-in-overdrive';
  const chosen = { drives, driven, reaction: 'held' } as Roles;
  const { effect } = solveSet(setup.set, chosen);
  if (question.goal.startsWith('reverse') && !effect.startsWith('reverse'))
    return 'held-carrier-forward';
  if (!question.goal.startsWith('reverse') && effect.startsWith('reverse'))
    return 'held-part-confused';
  if (question.goal === 'strongest-overdrive' && effect === 'reduction')
    return 'reduction-for-overdrive';
  return null;
}

export function recogniseRoles(
  right: readonly RoleAnswer[],
  answer: SetAnswer & { kind: 'roles' },
): SetSlip | null {
  const key = right[0];
  if (!key || right.some((r) => sameRoles(r, answer))) return null;
  if (key.held === answer.held && key.drives === answer.driven) return 'drives-and-driven-swapped';
  if (key.held !== answer.held) return 'held-part-confused';
  return null;
}

export const sameRoles = (a: RoleAnswer, b: RoleAnswer): boolean =>
  a.drives === b.drives && a.driven === b.driven && a.held === b.held;
