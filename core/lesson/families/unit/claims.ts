import {
  memberRoles,
  powerFlow,
  powerSteps,
  solveUnit,
  type ElementState,
  type Load,
  type MemberRole,
  type Outcome,
  type Unit,
} from '../../../geartrain';
import { sameNumber, toNumber } from '../../../numerics';
import { numberClaimHolds, type NumberClaim } from '../../numberClaims';
import { within, type Direction } from '../../questionParts';
import type { UnitQuestion } from './kinds';

/** What a set of applied elements does; `ratio` is its size where it drives. */
export interface Does {
  readonly apply: readonly string[];
  readonly load: Load;
  readonly outcome: Outcome;
  readonly ratio: number | null;
  readonly way: Direction;
}

/** Facts about a unit. */
export type UnitClaim =
  | NumberClaim
  | ({ claim: 'does' } & Does)
  /** The same without an element that is on. */
  | ({ claim: 'without'; element: string } & Does)
  /** The same were no one-way clutch there. */
  | ({ claim: 'without-one-ways' } & Does)
  | { claim: 'element'; element: string; apply: readonly string[]; load: Load; state: ElementState }
  | { claim: 'range-ratio'; range: string; ratio: number }
  | { claim: 'one-over'; inverse: number; ratio: number }
  | { claim: 'member'; member: string; apply: readonly string[]; role: MemberRole }
  /** An applied element of two members that turn: it passes power on and holds nothing. */
  | { claim: 'both-turn'; element: string; apply: readonly string[] }
  | { claim: 'to-case'; element: string; apply: readonly string[] }
  | { claim: 'power-goes'; apply: readonly string[]; members: readonly string[] }
  | {
      claim: 'stages';
      factors: readonly number[];
      ratio: number;
      given: number;
      way: 'sum' | 'one';
    };

export function doesOf(unit: Unit, apply: readonly string[], load: Load): Does {
  return doing(solveUnit(unit, apply, load), apply, load);
}

function doing(
  { outcome, ratio }: ReturnType<typeof solveUnit>,
  apply: readonly string[],
  load: Load,
): Does {
  const value = ratio && toNumber(ratio);
  const way = value === null ? 'none' : value < 0 ? 'opposite' : 'same';
  return { apply, load, outcome, ratio: value && Math.abs(value), way };
}

export const withoutOneWays = (unit: Unit): Unit => ({
  ...unit,
  elements: unit.elements.filter((e) => e.kind !== 'one-way'),
});

export const sameDoing = (a: Does, b: Does): boolean =>
  a.outcome === b.outcome &&
  a.way === b.way &&
  (a.ratio === null ? b.ratio === null : b.ratio !== null && sameNumber(a.ratio, b.ratio));

/** The ratios of the meshes that power goes through one after the other; `null` where it goes through a planetary set. */
export function meshStages(unit: Unit, apply: readonly string[]): number[] | null {
  const solution = solveUnit(unit, apply);
  if (solution.outcome !== 'drives' || !solution.ratio) return null;
  const loaded = unit.gearsets.filter((g) => {
    const torque = solution.setTorques.get(g.id);
    return torque !== undefined && torque !== null && toNumber(torque) !== 0;
  });
  const factors = loaded.map((g) => {
    if (g.kind !== 'mesh') return null;
    const [a, b] = [solution.speeds.get(g.first), solution.speeds.get(g.second)];
    if (!a || !b) return null;
    const [x, y] = [Math.abs(toNumber(a)), Math.abs(toNumber(b))];
    const ratio = Math.abs(toNumber(solution.ratio!));
    // From the side nearer the input: a chain of two is told by their product.
    return x === 0 || y === 0 ? null : { forth: x / y, back: y / x, ratio };
  });
  if (factors.length < 2 || factors.some((f) => f === null)) return null;
  const pairs = factors.map((f) => [f!.forth, f!.back] as const);
  const ways = pairs.reduce<number[][]>(
    (all, p) => all.flatMap((w) => p.map((v) => [...w, v])),
    [[]],
  );
  const size = Math.abs(toNumber(solution.ratio));
  return (
    ways.find((w) =>
      sameNumber(
        w.reduce((x, y) => x * y, 1),
        size,
      ),
    ) ?? null
  );
}

/** The tolerance and the size of the ratio of a question that asks for one. */
function askedRatio(question: UnitQuestion, unit: Unit) {
  if (question.kind !== 'row-outcome') return null;
  const { ratio } = doing(
    solveUnit(unit, question.apply, question.load),
    question.apply,
    question.load,
  );
  return ratio === null ? null : { ratio, tolerance: question.tolerance };
}

/** Asks the unit itself whether a claim is so. */
export function unitClaimHolds(claim: UnitClaim, question: UnitQuestion, unit: Unit): boolean {
  const kindOf = (id: string) => unit.elements.find((e) => e.id === id);
  const speedOf = (apply: readonly string[], member: string) =>
    member === 'case'
      ? 0
      : toNumber(solveUnit(unit, apply).speeds.get(member) ?? { num: 0n, den: 1n });
  switch (claim.claim) {
    case 'does':
    case 'without':
      return (
        (claim.claim === 'does' || !claim.apply.includes(claim.element)) &&
        sameDoing(claim, doing(solveUnit(unit, claim.apply, claim.load), claim.apply, claim.load))
      );
    case 'without-one-ways':
      return sameDoing(
        claim,
        doing(solveUnit(withoutOneWays(unit), claim.apply, claim.load), claim.apply, claim.load),
      );
    case 'element':
      return (
        solveUnit(unit, claim.apply, claim.load).elements.get(claim.element)?.state === claim.state
      );
    case 'range-ratio': {
      const range = unit.ranges.find((r) => r.id === claim.range);
      const does = range && doing(solveUnit(unit, range.apply), range.apply, 'drive');
      return does?.ratio != null && sameNumber(does.ratio, claim.ratio);
    }
    case 'one-over': {
      const asked = askedRatio(question, unit);
      return (
        asked !== null &&
        sameNumber(asked.ratio, claim.ratio) &&
        sameNumber(1 / asked.ratio, claim.inverse)
      );
    }
    case 'off-by':
    case 'times-right': {
      const asked = askedRatio(question, unit);
      return asked !== null && numberClaimHolds(claim, asked.ratio, asked.tolerance);
    }
    case 'member':
      return memberRoles(unit, solveUnit(unit, claim.apply)).get(claim.member) === claim.role;
    case 'both-turn': {
      const element = kindOf(claim.element);
      return (
        element !== undefined &&
        claim.apply.includes(claim.element) &&
        element.between.every((m) => speedOf(claim.apply, m) !== 0)
      );
    }
    case 'to-case': {
      const state = solveUnit(unit, claim.apply).elements.get(claim.element)?.state;
      return (
        (kindOf(claim.element)?.between.includes('case') ?? false) &&
        (state === 'applied' || state === 'holding' || state === 'shared')
      );
    }
    case 'power-goes': {
      const solution = solveUnit(unit, claim.apply);
      const steps = powerSteps(unit, powerFlow(unit, solution));
      const [first, last] = [claim.members[0], claim.members.at(-1)];
      return (
        first === unit.input &&
        last === unit.output &&
        claim.members.slice(1).every((to, k) => steps.get(claim.members[k]!)?.has(to) ?? false)
      );
    }
    case 'stages': {
      const asked = askedRatio(question, unit);
      const stages = question.kind === 'row-outcome' ? meshStages(unit, question.apply) : null;
      return (
        asked !== null &&
        stages !== null &&
        stages.length === claim.factors.length &&
        stages.every((f, k) => sameNumber(f, claim.factors[k]!)) &&
        sameNumber(asked.ratio, claim.ratio) &&
        (claim.way === 'sum'
          ? within(
              asked.tolerance,
              stages.reduce((a, b) => a + b, 0),
              claim.given,
            )
          : stages.some((f) => within(asked.tolerance, f, claim.given)))
      );
    }
  }
}
