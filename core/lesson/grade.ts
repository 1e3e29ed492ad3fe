import type { GearSetSetup } from '../geartrain';
import { answerKey, type AnswerKey, type QuestionFault } from './answerKey';
import { recognise, sameRoles, type Misconception } from './misconceptions';
import { within } from './questionParts';
import type { SetAnswer, SetQuestion } from './question';

/** How an answer compares with the model's, part by part. */
export type SetPart = 'value' | 'direction' | 'choice' | 'drives' | 'driven' | 'held';

export interface Grade {
  /** 0 to 1; parts count alike. */
  readonly score: number;
  readonly parts: readonly { readonly part: SetPart; readonly right: boolean }[];
  readonly misconception: Misconception | null;
  readonly key: AnswerKey;
}

export type GradeResult =
  | { readonly ok: true; readonly grade: Grade }
  | { readonly ok: false; readonly fault: QuestionFault };

/** @throws Error when the answer is of another kind than the question */
export function grade(question: SetQuestion, setup: GearSetSetup, answer: SetAnswer): GradeResult {
  if (question.kind !== answer.kind)
    throw new Error(`grade: expected an answer of kind "${question.kind}", got "${answer.kind}"`);
  const result = answerKey(question, setup);
  if (!result.ok) return result;
  const { key } = result;
  const parts = gradeParts(question, key, answer);
  const score = parts.filter((p) => p.right).length / parts.length;
  const misconception = score === 1 ? null : recognise(question, setup, key, answer);
  return { ok: true, grade: { score, parts, misconception, key } };
}

function gradeParts(question: SetQuestion, key: AnswerKey, answer: SetAnswer): Grade['parts'] {
  if (question.kind === 'number' && key.kind === 'number' && answer.kind === 'number') {
    const value = {
      part: 'value' as const,
      right: within(question.tolerance, key.value, answer.value),
    };
    if (!question.direction) return [value];
    return [value, { part: 'direction', right: answer.direction === key.direction }];
  }
  if (key.kind === 'choice' && answer.kind === 'choice')
    return [{ part: 'choice', right: key.right.includes(answer.choice) }];
  if (key.kind === 'roles' && answer.kind === 'roles') {
    const exact = key.right.find((r) => sameRoles(r, answer)) ?? key.right[0]!;
    return (['drives', 'driven', 'held'] as const).map((part) => ({
      part,
      right: exact[part] === answer[part],
    }));
  }
  throw new Error(`grade: key "${key.kind}" does not fit answer "${answer.kind}"`);
}
