import {
  addPolynomials,
  dividePolynomial,
  multiplyPolynomials,
  negatePolynomial,
  unknown,
  type Polynomial,
} from '../numerics';
import { loadedTrain, nextToEliminate, termsBySpeaker } from './loadedEquations';
import type { Solution } from './solve';
import { ringOwner, type GearSet, type Unit } from './unit';

/**
 * A range's ratio as a fraction in the tooth counts, the formula behind the number. Elimination as in
 * `derivation`, without dividing: each equation is multiplied across, and factors that all terms share are
 * taken out. Unknowns are named `SET.PORT`; gears of one Ravigneaux ring share a name.
 */
export interface RatioFormula {
  readonly over: Polynomial;
  readonly under: Polynomial;
}

/** @returns `null` when the range does not drive, or turns as one */
export function ratioFormula(unit: Unit, solution: Solution): RatioFormula | null {
  if (solution.outcome !== 'drives') return null;
  const { sets, speaker } = loadedTrain(unit, solution);
  const [input, output] = [speaker(unit.input), speaker(unit.output)];
  if (input === output) return null;
  const factors: Polynomial[] = sunsOfOneRing(unit);
  let equations = sets.map((set) => {
    const coefficients = symbolic(unit, set);
    factors.push(...coefficients.map(positive));
    return prune(termsBySpeaker(set, speaker, coefficients, addPolynomials));
  });
  for (;;) {
    const pick = nextToEliminate(equations, (e) => e, [input, output]);
    if (!pick) break;
    const { equation: pivot, member } = pick;
    equations = equations
      .filter((e) => e !== pivot)
      .map((e) => (e.has(member) ? reduced(eliminated(e, pivot, member), factors) : e));
    for (const equation of equations) factors.push(...[...equation.values()].map(positive));
  }
  const last = equations.find((e) => e.has(input) && e.has(output));
  if (!last) return null;
  // a·ω_in + b·ω_out = 0, so ω_in/ω_out = −b/a.
  const pair = reduced(
    new Map([
      ['over', negatePolynomial(last.get(output)!)],
      ['under', last.get(input)!],
    ]),
    factors,
  );
  const [over, under] = [pair.get('over')!, pair.get('under')!];
  if (addPolynomials(over, negatePolynomial(under)).size === 0) return null;
  const signs = [...over.values(), ...under.values()];
  const flip = 2 * signs.filter((v) => v < 0n).length > signs.length;
  return flip ? { over: negatePolynomial(over), under: negatePolynomial(under) } : { over, under };
}

/** The tooth count behind a name of a formula. @throws Error for a name that no set has */
export function teethNamed(unit: Unit, name: string): number {
  const at = name.lastIndexOf('.');
  const set = unit.gearsets.find((g) => g.id === name.slice(0, at));
  const teeth = (set?.teeth as Record<string, number | undefined> | undefined)?.[
    name.slice(at + 1)
  ];
  if (teeth === undefined)
    throw new Error(`teethNamed: expected a gear of the unit, got "${name}"`);
  return teeth;
}

type Equation = ReadonlyMap<string, Polynomial>;

/** A set's coefficients in tooth counts, in the order of `portsOf`. */
function symbolic(unit: Unit, set: GearSet): Polynomial[] {
  if (set.kind === 'mesh') {
    const second = unknown(`${set.id}.second`);
    return [unknown(`${set.id}.first`), set.internal ? negatePolynomial(second) : second];
  }
  const sun = unknown(`${set.id}.sun`);
  const ring = unknown(`${ringOwner(unit, set).id}.ring`);
  const signed = set.kind === 'single-pinion' ? ring : negatePolynomial(ring);
  return [sun, signed, negatePolynomial(addPolynomials(sun, signed))];
}

/** Sums of the suns of a Ravigneaux arrangement: the factor left when both suns turn as one. */
const sunsOfOneRing = (unit: Unit): Polynomial[] =>
  unit.gearsets.flatMap((set) => {
    if (set.kind === 'mesh') return [];
    const owner = ringOwner(unit, set);
    return owner === set
      ? []
      : [addPolynomials(unknown(`${owner.id}.sun`), unknown(`${set.id}.sun`))];
  });

const positive = (a: Polynomial): Polynomial =>
  [...a.values()].every((v) => v < 0n) ? negatePolynomial(a) : a;

const prune = (terms: Map<string, Polynomial>): Equation =>
  new Map([...terms].filter(([, value]) => value.size > 0));

/** Both equations multiplied across so that the member drops out of their difference. */
function eliminated(equation: Equation, pivot: Equation, member: string): Equation {
  const [own, other] = [pivot.get(member)!, equation.get(member)!];
  const result = new Map<string, Polynomial>();
  for (const [name, value] of equation) result.set(name, multiplyPolynomials(value, own));
  for (const [name, value] of pivot) {
    const less = negatePolynomial(multiplyPolynomials(value, other));
    const before = result.get(name);
    result.set(name, before ? addPolynomials(before, less) : less);
  }
  return prune(result);
}

/** Takes out every factor, and every whole number, that all terms share. */
function reduced(equation: Equation, factors: readonly Polynomial[]): Equation {
  let current = equation;
  for (const factor of factors) {
    if (factor.size === 1 && factor.has('')) continue;
    while (current.size > 0) {
      const divided = [...current].map(([m, v]) => [m, dividePolynomial(v, factor)] as const);
      if (divided.some(([, v]) => v === null)) break;
      current = new Map(divided as [string, Polynomial][]);
    }
  }
  return current;
}
