import type { Range, Unit } from '../../core/geartrain';
import { turns, type Turns } from './turns';

/** Something that takes a while to work out of a unit. */
export interface UnitQuestion<T> {
  readonly answer: (unit: Unit, ranges: readonly Range[], signal: AbortSignal) => Promise<T>;
}

/** Answers about large units: one is worked out at a time, in its turn; what was answered of a unit is known as long as that is there. */
export interface UnitAnswers {
  readonly known: <T>(
    question: UnitQuestion<T>,
    unit: Unit,
    ranges: readonly Range[],
  ) => T | undefined;
  /** @throws AbortError where the signal came first */
  readonly ask: <T>(
    question: UnitQuestion<T>,
    unit: Unit,
    ranges: readonly Range[],
    signal: AbortSignal,
  ) => Promise<T>;
}

type Answers = WeakMap<readonly Range[], unknown>;

export function unitAnswers(inTurn: Turns): UnitAnswers {
  const kept = new WeakMap<Unit, Map<UnitQuestion<unknown>, Answers>>();

  const one = turns(1);

  const known: UnitAnswers['known'] = <T>(
    question: UnitQuestion<T>,
    unit: Unit,
    ranges: readonly Range[],
  ) => kept.get(unit)?.get(question)?.get(ranges) as T | undefined;

  return {
    known,
    // Two who ask for the same wait for one.
    ask: (question, unit, ranges, signal) =>
      one(async () => {
        const there = known(question, unit, ranges);
        if (there !== undefined) return there;
        const answer = await inTurn(() => question.answer(unit, ranges, signal), signal);
        const questions = kept.get(unit) ?? new Map<UnitQuestion<unknown>, Answers>();
        const answers: Answers = questions.get(question) ?? new WeakMap();
        kept.set(unit, questions.set(question, answers.set(ranges, answer)));
        return answer;
      }, signal),
  };
}
