import { found, refused, type KeyResult } from '../../family';
import { OWN_PARTS, type OwnQuestion } from './kinds';

/** The instructor's own key, as it stands in the question. */
export type OwnKey =
  | { readonly kind: 'own-choice'; readonly right: readonly number[] }
  | { readonly kind: 'own-number'; readonly value: number }
  | { readonly kind: 'own-order'; readonly order: readonly number[] };

/** Why a question can't be asked as it stands. */
export type OwnKeyFault = 'own-unfinished' | 'own-none-right' | 'own-all-right' | 'own-twice';

export function ownKey(question: OwnQuestion): KeyResult<OwnKey, OwnKeyFault> {
  if (question.prompt.trim() === '') return refused('own-unfinished');
  switch (question.kind) {
    case 'own-number':
      return found({ kind: 'own-number', value: question.value });
    case 'own-choice': {
      const { options, right } = question;
      const fault = partsFault(options);
      if (fault) return refused(fault);
      const known = right.filter((k) => k < options.length);
      if (known.length === 0) return refused('own-none-right');
      if (new Set(known).size === options.length) return refused('own-all-right');
      return found({ kind: 'own-choice', right: known });
    }
    case 'own-order': {
      const fault = partsFault(question.steps);
      return fault
        ? refused(fault)
        : found({ kind: 'own-order', order: question.steps.map((_s, k) => k) });
    }
  }
}

function partsFault(parts: readonly string[]): OwnKeyFault | null {
  const written = parts.map((p) => p.trim().toLowerCase());
  if (written.length < OWN_PARTS.least || written.includes('')) return 'own-unfinished';
  return new Set(written).size < written.length ? 'own-twice' : null;
}
