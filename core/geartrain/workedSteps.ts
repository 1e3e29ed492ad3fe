import { toNumber, type Fraction } from '../numerics';
import { solveSet, thirdPort, type PlanetarySet, type Port, type Roles } from './oneSet';

/**
 * The derivation a student would write for one set, line by line, as data. Words for each line come from
 * the catalogue by `code`; the line itself is a list of tokens that a screen sets in type.
 *
 * Method: Willis' equation, strike out the part that stands, divide.
 */
export type MathToken =
  | { readonly t: 'speed'; readonly part: Port }
  | { readonly t: 'teeth'; readonly part: 'sun' | 'ring' }
  | { readonly t: 'number'; readonly value: number }
  | { readonly t: 'ratio' }
  | { readonly t: 'sign'; readonly sign: '+' | '−' | '·' | '=' | '(' | ')' }
  | { readonly t: 'fraction'; readonly over: MathToken[]; readonly under: MathToken[] };

export type StepCode =
  | 'constraint'
  | 'held'
  | 'locked'
  | 'free'
  | 'struck-out'
  | 'same-speed'
  | 'divide'
  | 'split'
  | 'numbers'
  | 'result';

export interface WorkedStep {
  readonly code: StepCode;
  readonly line: readonly MathToken[];
  /** Parts the words may name. */
  readonly parts: { readonly drives: Port; readonly driven: Port; readonly third: Port };
}

const sign = (s: '+' | '−' | '·' | '=' | '(' | ')'): MathToken => ({ t: 'sign', sign: s });
const speed = (part: Port): MathToken => ({ t: 'speed', part });
const teeth = (part: 'sun' | 'ring'): MathToken => ({ t: 'teeth', part });
const num = (value: number): MathToken => ({ t: 'number', value });
const over = (top: MathToken[], bottom: MathToken[]): MathToken => ({
  t: 'fraction',
  over: top,
  under: bottom,
});

interface Coefficient {
  readonly negative: boolean;
  readonly size: MathToken[];
}

/** Signed coefficient of a part's speed once all terms stand on one side. */
function coefficient(kind: PlanetarySet['kind'], part: Port): Coefficient {
  const single = kind === 'single-pinion';
  if (part === 'sun') return { negative: false, size: [teeth('sun')] };
  if (part === 'ring') return { negative: !single, size: [teeth('ring')] };
  return single
    ? { negative: true, size: [teeth('sun'), sign('+'), teeth('ring')] }
    : { negative: false, size: [teeth('ring'), sign('−'), teeth('sun')] };
}

const bracketed = (tokens: MathToken[]): MathToken[] =>
  tokens.length > 1 ? [sign('('), ...tokens, sign(')')] : tokens;

const times = (c: Coefficient, part: Port): MathToken[] => [
  ...bracketed(c.size),
  sign('·'),
  speed(part),
];

function constraintLine(kind: PlanetarySet['kind']): MathToken[] {
  const s = sign(kind === 'single-pinion' ? '+' : '−');
  return [
    ...[teeth('sun'), sign('·'), speed('sun'), s, teeth('ring'), sign('·'), speed('ring')],
    ...[
      sign('='),
      sign('('),
      teeth('sun'),
      s,
      teeth('ring'),
      sign(')'),
      sign('·'),
      speed('carrier'),
    ],
  ];
}

/** All lines from the constraint to the decimal result. */
export function workedSteps(set: PlanetarySet, roles: Roles): WorkedStep[] {
  const { drives, driven, reaction } = roles;
  const third = thirdPort(roles);
  const parts = { drives, driven, third };
  const step = (code: StepCode, line: MathToken[]): WorkedStep => ({ code, line, parts });
  const steps = [step('constraint', constraintLine(set.kind))];
  if (reaction === 'free') return [...steps, step('free', [speed(third), sign('='), speed(third)])];
  const { ratio } = solveSet(set, roles);
  const quotient: MathToken[] = [
    { t: 'ratio' },
    sign('='),
    over([speed(drives)], [speed(driven)]),
    sign('='),
  ];
  if (reaction === 'locked') {
    const c = coefficient(set.kind, driven);
    return [
      ...steps,
      step('locked', [speed(third), sign('='), speed(drives)]),
      step('same-speed', [...times(c, driven), sign('='), ...times(c, drives)]),
      step('result', [...quotient, num(1)]),
    ];
  }
  const input = coefficient(set.kind, drives);
  const output = coefficient(set.kind, driven);
  const minus = input.negative === output.negative ? [sign('−')] : [];
  steps.push(
    step('held', [speed(third), sign('='), num(0)]),
    step('struck-out', [...times(input, drives), sign('='), ...minus, ...times(output, driven)]),
    step('divide', [...quotient, ...minus, over(output.size, input.size)]),
  );
  const split = splitLine(set.kind, drives, driven);
  if (split) steps.push(step('split', [{ t: 'ratio' }, sign('='), ...split]));
  const inNumbers = substitute([over(output.size, input.size)], set);
  steps.push(step('numbers', [{ t: 'ratio' }, sign('='), ...minus, ...inNumbers]));
  if (ratio) steps.push(step('result', resultLine(ratio)));
  return steps;
}

/** "1 + Nr/Ns" and its relations, when the carrier is driven. */
function splitLine(kind: PlanetarySet['kind'], drives: Port, driven: Port): MathToken[] | null {
  if (driven !== 'carrier' || drives === 'carrier') return null;
  const other = drives === 'sun' ? 'ring' : 'sun';
  const join = sign(kind === 'single-pinion' ? '+' : '−');
  return [num(1), join, over([teeth(other)], [teeth(drives)])];
}

function resultLine(ratio: Fraction): MathToken[] {
  const value = toNumber(ratio);
  const line: MathToken[] = [{ t: 'ratio' }, sign('=')];
  if (ratio.den !== 1n) {
    const size = ratio.num < 0n ? -ratio.num : ratio.num;
    if (value < 0) line.push(sign('−'));
    line.push(over([num(Number(size))], [num(Number(ratio.den))]), sign('='));
  }
  return [...line, num(value)];
}

function substitute(tokens: readonly MathToken[], set: PlanetarySet): MathToken[] {
  return tokens.map((token): MathToken => {
    if (token.t === 'teeth') return num(set.teeth[token.part]);
    if (token.t === 'fraction')
      return over(substitute(token.over, set), substitute(token.under, set));
    return token;
  });
}
