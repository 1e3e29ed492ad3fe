import { expose } from 'comlink';
import { looksLikePack, openText, readPack, writePack } from '../../core/formats';
import type { FileWorker, OpenFileResult } from './protocol';

function openFile(bytes: Uint8Array): OpenFileResult {
  if (looksLikePack(bytes)) {
    const result = readPack(bytes);
    return result.ok ? { ok: true, file: { kind: 'lesson', pack: result.pack } } : result;
  }
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return { ok: false, failure: { cause: 'not-text' } };
  }
  const opened = openText(text);
  if (!opened.ok) return opened;
  const { document } = opened;
  if (document.format === 'fair-sprocket/lesson')
    return { ok: true, file: { kind: 'lesson', pack: { lesson: document, media: {} } } };
  return { ok: true, file: { kind: 'document', format: document.format, document } };
}

const worker: FileWorker = { openFile, packLesson: writePack };
expose(worker);
