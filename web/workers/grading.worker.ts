import { expose } from 'comlink';
import { checkSeal, classBook } from '../../core/lesson';
import type { GradingWorker } from './protocol';

const worker: GradingWorker = {
  book: ({ lesson, attempts, chosen, versions }) => ({
    book: classBook(lesson, attempts, { chosen, versions }),
    seals: attempts.map((a) => ({ id: a.id, verdict: checkSeal(a) })),
  }),
};
expose(worker);
