import type { Answered } from './simulatedClass';

/** Named rightly: alone, or as one of two. Rightly or not, an answer that is right accuses nobody. */
export interface Figures {
  readonly answers: number;
  readonly right: number;
  readonly named: number;
  readonly falsely: number;
  readonly unnamed: number;
}

export function figuresOf(answered: readonly Answered[]): Figures {
  const wrong = answered.filter((a) => a.grade.score < 1);
  const slips = (a: Answered) => a.grade.why.named.map((n) => n.slip);
  const named = wrong.filter((a) => a.slip !== null && slips(a).includes(a.slip)).length;
  const unnamed = wrong.filter((a) => slips(a).length === 0).length;
  return {
    answers: wrong.length,
    right: answered.length - wrong.length,
    named,
    falsely: wrong.length - named - unnamed,
    unnamed,
  };
}
