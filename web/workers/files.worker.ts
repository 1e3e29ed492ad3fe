import { expose } from 'comlink';
import { looksLikePack, openText, readPack, writePack } from '../../core/formats';
import type { FileWorker, OpenFileResult } from './protocol';

/** Some editors save text as UTF-16; its first two bytes say so. */
const encodingOf = ([first, second]: Uint8Array): string =>
  first === 0xff && second === 0xfe
    ? 'utf-16le'
    : first === 0xfe && second === 0xff
      ? 'utf-16be'
      : 'utf-8';

function openFile(bytes: Uint8Array): OpenFileResult {
  if (looksLikePack(bytes)) {
    const result = readPack(bytes);
    return result.ok ? { ok: true, file: { kind: 'lesson', pack: result.pack } } : result;
  }
  let text: string;
  try {
    text = new TextDecoder(encodingOf(bytes), { fatal: true }).decode(bytes);
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
