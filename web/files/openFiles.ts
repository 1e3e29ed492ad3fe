import { MOST_PACK_BYTES } from '../../core/formats';
import { withFileWorker } from '../workers/fileWorker';
import type { FileFailure, OpenFileResult } from '../../core/formats';

/** Reads one chosen file. A file that is too large is refused by its size, before a byte is read. */
/** @throws AbortError when cancelled */
export async function openChosenFile(file: File, signal: AbortSignal): Promise<OpenFileResult> {
  if (file.size > MOST_PACK_BYTES) {
    const failure: FileFailure = { cause: 'too-large', bytes: file.size, most: MOST_PACK_BYTES };
    return { ok: false, failure };
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  return withFileWorker(
    async (worker): Promise<OpenFileResult> => await worker.openFile(bytes),
    signal,
  );
}
