import { stringify } from 'safe-stable-stringify';

/**
 * Why an answer is what it is. A learner model says what a student who thinks thus answers; it is recognised by giving
 * the student's answer, and what is then said is made of claims: facts about this very question, each with its numbers,
 * each asked of the model again before it is shown.
 */

/** A fact about the question and what it is about; the other fields are its numbers and names. */
export interface ClaimBase {
  readonly claim: string;
}

/** One way of thinking, applied to one question. */
export interface Thought<A, S extends string, C> {
  readonly slip: S;
  /** What a student who thinks so answers. */
  readonly answer: A;
  /** Where thinking so gives many answers, or a number: whether this is one of them; else the same answer is. */
  readonly gives?: (answer: A) => boolean;
  /**
   * How usual it is against others that give the same answer, 1 where left out. A way of thinking with many variants
   * shares its weight among them: an answer that many formulas could give accuses nobody.
   */
  readonly weight?: number;
  /** What is so here, about what this student answered. */
  readonly claims: (answer: A) => readonly C[];
}

export interface Named<S extends string, C> {
  readonly slip: S;
  readonly claims: readonly C[];
}

/** What is said of an answer. */
export interface Why<S extends string, C> {
  /** How many ways of thinking give this answer; more than two accuse nobody. */
  readonly fitting: number;
  /** None: no guess is made. One: said. Two: "either … or …", since both give this answer. */
  readonly named: readonly Named<S, C>[];
  /** How the right answer comes about. */
  readonly facts: readonly C[];
}

/** Of two ways of thinking that give an answer, the one that is this many times as usual is taken. */
const CLEARLY = 2;

/**
 * The ways of thinking that explain an answer: none, one, or two between which nothing decides.
 * @param holds asks the model whether a claim is so
 */
export function recognise<A, S extends string, C>(
  thoughts: readonly Thought<A, S, C>[],
  answer: A,
  holds: (claim: C) => boolean,
): Pick<Why<S, C>, 'named' | 'fitting'> {
  const best = new Map<S, { weight: number; thought: Thought<A, S, C> }>();
  for (const thought of thoughts) {
    if (!gives(thought, answer)) continue;
    const weight = thought.weight ?? 1;
    const known = best.get(thought.slip);
    if (!known || known.weight < weight) best.set(thought.slip, { weight, thought });
  }
  const ranked = [...best.values()].sort((a, b) => b.weight - a.weight);
  const [first] = ranked;
  if (!first) return { named: [], fitting: 0 };
  const alike = ranked.filter((r) => r.weight * CLEARLY > first.weight);
  const fitting = alike.length;
  if (fitting > 2) return { named: [], fitting };
  const named = alike.flatMap(({ thought }) => {
    const claims = onlyTrue(thought.claims(answer), holds);
    return claims.length > 0 ? [{ slip: thought.slip, claims }] : [];
  });
  return { named, fitting };
}

const gives = <A>(thought: Pick<Thought<A, string, unknown>, 'answer' | 'gives'>, answer: A) =>
  thought.gives ? thought.gives(answer) : stringify(thought.answer) === stringify(answer);

export const onlyTrue = <C>(claims: readonly C[], holds: (claim: C) => boolean): readonly C[] =>
  claims.filter((claim, k) => firstOfItsKind(claims, k) && holds(claim));

const firstOfItsKind = <C>(claims: readonly C[], k: number): boolean =>
  claims.findIndex((c) => JSON.stringify(c) === JSON.stringify(claims[k])) === k;
