import type { OwnQuestion } from './kinds';

/** What a new question of an instructor's own starts as. */
export function newOwnQuestion(kind: OwnQuestion['kind']): OwnQuestion {
  const base = { prompt: '', reason: '' };
  switch (kind) {
    case 'own-choice':
      return { ...base, kind, options: ['', ''], right: [0] };
    case 'own-number':
      return { ...base, kind, value: 1, unit: 'mm', tolerance: { kind: 'percent', value: 5 } };
    case 'own-order':
      return { ...base, kind, steps: ['', '', ''] };
  }
}
