import { expose } from 'comlink';
import { bookKeeper, checkSeal, separating } from '../../core/lesson';
import type { GradingWorker } from './protocol';

const keeper = bookKeeper();
const worker: GradingWorker = {
  book: ({ lesson, attempts, chosen, versions }) => ({
    book: keeper(lesson, attempts, { chosen, versions }),
    seals: attempts.map((a) => ({ id: a.id, verdict: checkSeal(a) })),
  }),
  separating: ({ lesson, question, slip }) => separating(lesson, question, slip),
};
expose(worker);
