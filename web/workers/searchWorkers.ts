import type { FoundTeeth, SearchStep, ToothSearch } from '../../core/geartrain';
import type { SearchWorker } from './protocol';
import { withWorker } from './withWorker';

const start = (): Worker =>
  new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' });

const MOST_WORKERS = 8;

/**
 * Searches tooth counts on as many workers as the machine has cores to spare; each takes its part.
 * @param onStep told whenever a worker is further: how far all are, and the best of all
 * @throws AbortError when cancelled; the workers are ended at once
 */
export async function searchInWorkers(
  search: ToothSearch,
  signal: AbortSignal,
  onStep: (step: SearchStep) => void,
): Promise<void> {
  const of = Math.min(MOST_WORKERS, Math.max(1, navigator.hardwareConcurrency - 1));
  const steps: SearchStep[] = Array.from({ length: of }, () => ({ tried: 0, share: 0, found: [] }));
  const put = (index: number, step: SearchStep) => {
    steps[index] = step;
    onStep({
      tried: steps.reduce((sum, s) => sum + s.tried, 0),
      share: steps.reduce((sum, s) => sum + s.share, 0) / of,
      found: best(steps, search.keep),
    });
  };
  await Promise.all(
    steps.map((_s, index) =>
      withWorker<SearchWorker, void>(
        start(),
        async (worker, tell) => {
          await worker.searchTeeth(
            search,
            { index, of },
            tell((step: SearchStep) => put(index, step)),
          );
        },
        signal,
      ),
    ),
  );
}

const best = (steps: readonly SearchStep[], keep: number): FoundTeeth[] =>
  steps
    .flatMap((s) => s.found)
    .sort((a, b) => a.error - b.error)
    .slice(0, keep);
