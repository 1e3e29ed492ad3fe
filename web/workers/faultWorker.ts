import { releaseProxy, wrap, type Remote } from 'comlink';
import type {
  Answer,
  DeskEntry,
  Diagnosis,
  DiagnosisGrade,
  Draw,
  Fault,
  FaultCase,
  Reading,
  SymptomRow,
} from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import type { FaultKeyResult, WhichTestQuestion } from '../../core/lesson';
import type {
  AtlasTable,
  CaseReport,
  FaultWorker,
  OpenedDesk,
  Progress,
  ShiftTraces,
} from './protocol';
import { tellers, type Tell } from './tellers';
import { withWorker } from './withWorker';

/** Symptom tables and cases, away from the page. Cancelling ends the worker at once. */
const start = (): Worker =>
  new Worker(new URL('./fault.worker.ts', import.meta.url), { type: 'module' });

const run = <T>(
  work: (worker: Remote<FaultWorker>, tell: Tell) => Promise<T>,
  signal: AbortSignal,
): Promise<T> => withWorker<FaultWorker, T>(start(), work, signal);

export const atlasOf = (unit: Unit, signal: AbortSignal): Promise<AtlasTable> =>
  run((worker) => worker.atlas(unit), signal);

export const pairsOf = (
  unit: Unit,
  signal: AbortSignal,
  onStep: (step: Progress) => void,
): Promise<SymptomRow[]> => run((worker, tell) => worker.pairs(unit, tell(onStep)), signal);

export const reportOn = (faultCase: FaultCase, signal: AbortSignal): Promise<CaseReport> =>
  run((worker) => worker.report(faultCase), signal);

/** The key of a question about a case, for one who writes it. */
export const rankIn = (
  { question, faultCase }: { question: WhichTestQuestion; faultCase: FaultCase },
  signal: AbortSignal,
): Promise<FaultKeyResult> =>
  run(async (worker) => await worker.keyOf(question, faultCase), signal);

/** An open case: its worker lives until it is closed, and alone knows what is wrong. */
export interface DeskSession extends OpenedDesk {
  readonly read: (check: string) => Promise<Answer>;
  readonly shift: (pair: string) => Promise<ShiftTraces>;
  readonly pairsThatFit: (readings: readonly Reading[]) => Promise<Fault[][]>;
  readonly grade: (entries: readonly DeskEntry[], diagnosis: Diagnosis) => Promise<DiagnosisGrade>;
  readonly rank: (question: WhichTestQuestion) => Promise<FaultKeyResult>;
}

/** @param draw another fault for the machine of that case @throws AbortError when cancelled; afterwards `signal` closes the session */
export async function openDesk(
  faultCase: FaultCase,
  draw: Draw | null,
  signal: AbortSignal,
  onStep: (step: Progress) => void,
): Promise<DeskSession> {
  const worker = start();
  const remote = wrap<FaultWorker>(worker);
  const { tell, close } = tellers();
  const failed = new Promise<never>((_done, fail) => {
    worker.addEventListener('error', (e) => fail(new Error(e.message || 'worker failed')));
    signal.addEventListener('abort', () => {
      remote[releaseProxy]();
      worker.terminate();
      close();
      fail(new DOMException('cancelled', 'AbortError'));
    });
  });
  // Closing the session later is no failure of anything that waits.
  failed.catch(() => undefined);
  const opened = await Promise.race([remote.open(faultCase, draw, tell(onStep)), failed]);
  close();
  return {
    ...opened,
    read: (check) => Promise.race([remote.read(check), failed]),
    shift: (pair) => Promise.race([remote.shift(pair), failed]),
    pairsThatFit: (readings) => Promise.race([remote.pairsThatFit(readings as Reading[]), failed]),
    rank: (question) => Promise.race<FaultKeyResult>([remote.rank(question), failed]),
    grade: (entries, diagnosis) =>
      Promise.race([remote.grade(entries as DeskEntry[], diagnosis), failed]),
  };
}
