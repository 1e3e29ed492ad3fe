import {
  add,
  divide,
  fraction,
  gcd,
  isZero,
  multiply,
  negate,
  ONE,
  type Fraction,
} from '../numerics';
import { coefficientsOf, loadedTrain, nextToEliminate, termsBySpeaker } from './loadedEquations';
import type { Solution } from './solve';
import { CASE, type Unit } from './unit';

/**
 * How a student would work a range's ratio out: what stands, what turns together, one equation a gear set,
 * then one member after the other eliminated until only input and output are left. Data; the words come from
 * the catalogue by `code`. Only sets and elements that carry torque appear, since the ratio depends on no other.
 */
export interface SpeedTerm {
  readonly member: string;
  readonly coefficient: Fraction;
}

export type DerivationStep =
  | { readonly code: 'stands'; readonly element: string; readonly member: string }
  | {
      readonly code: 'together';
      readonly element: string;
      readonly members: readonly [string, string];
    }
  /** Σ coefficient·ω = 0, whole coefficients. */
  | { readonly code: 'set'; readonly set: string; readonly terms: readonly SpeedTerm[] }
  /** ω of the member = Σ coefficient·ω. */
  | {
      readonly code: 'express';
      readonly set: string;
      readonly member: string;
      readonly terms: readonly SpeedTerm[];
    }
  /** The set's equation after the last expression is put in. */
  | { readonly code: 'put-in'; readonly set: string; readonly terms: readonly SpeedTerm[] }
  | { readonly code: 'result'; readonly ratio: Fraction };

type Equation = { set: string; terms: Map<string, Fraction> };

/** @returns the steps; empty when the range does not drive */
export function derivation(unit: Unit, solution: Solution): DerivationStep[] {
  if (solution.outcome !== 'drives' || !solution.ratio) return [];
  const { ties, sets, speaker } = loadedTrain(unit, solution);
  const steps: DerivationStep[] = [];
  const standing = new Set<string>();
  for (const { id, between } of ties) {
    const [a, b] = between;
    if (a !== CASE && b !== CASE) steps.push({ code: 'together', element: id, members: between });
    else {
      const member = a === CASE ? b : a;
      if (!standing.has(member)) steps.push({ code: 'stands', element: id, member });
      standing.add(member);
    }
  }
  let equations: Equation[] = sets.map((set) => ({
    set: set.id,
    terms: termsBySpeaker(
      set,
      speaker,
      coefficientsOf(set).map((c) => fraction(c)),
      add,
    ),
  }));
  for (const equation of equations) {
    tidy(equation);
    steps.push({ code: 'set', set: equation.set, terms: termList(equation) });
  }
  for (;;) {
    const pick = nextToEliminate(equations, (e) => e.terms, [unit.input, unit.output]);
    if (!pick) break;
    const expression = expressed(pick.equation, pick.member);
    steps.push({
      code: 'express',
      set: pick.equation.set,
      member: pick.member,
      terms: termList(expression),
    });
    equations = equations.filter((e) => e !== pick.equation);
    for (const equation of equations) {
      if (!equation.terms.has(pick.member)) continue;
      putIn(equation, pick.member, expression);
      steps.push({ code: 'put-in', set: equation.set, terms: termList(equation) });
    }
  }
  const last = equations.find((e) => e.terms.has(unit.output) && e.terms.has(unit.input));
  if (last)
    steps.push({
      code: 'express',
      set: last.set,
      member: unit.output,
      terms: termList(expressed(last, unit.output)),
    });
  return [...steps, { code: 'result', ratio: solution.ratio }];
}

const termList = ({ terms }: Pick<Equation, 'terms'>): SpeedTerm[] =>
  [...terms].map(([member, coefficient]) => ({ member, coefficient }));

/** Drops zero terms and makes the coefficients whole and small. */
function tidy(equation: Equation): void {
  for (const [member, value] of equation.terms) if (isZero(value)) equation.terms.delete(member);
  const values = [...equation.terms.values()];
  if (values.length === 0) return;
  const scale = values.reduce((m, v) => (m * v.den) / gcd(m, v.den), 1n);
  const whole = values.map((v) => (v.num * scale) / v.den);
  const common = whole.reduce((g, v) => gcd(g, v), 0n);
  const factor = fraction(scale, common);
  for (const [member, value] of equation.terms) equation.terms.set(member, multiply(value, factor));
}

/** The equation solved for one member. */
function expressed(equation: Equation, member: string): Equation {
  const own = equation.terms.get(member)!;
  const terms = new Map<string, Fraction>();
  for (const [other, value] of equation.terms)
    if (other !== member) terms.set(other, negate(divide(value, own)));
  return { set: equation.set, terms };
}

function putIn(equation: Equation, member: string, expression: Equation): void {
  const factor = equation.terms.get(member) ?? ONE;
  equation.terms.delete(member);
  for (const [other, share] of expression.terms) {
    const more = multiply(factor, share);
    const before = equation.terms.get(other);
    equation.terms.set(other, before ? add(before, more) : more);
  }
  tidy(equation);
}
