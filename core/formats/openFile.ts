import type { DocumentKind, Documents } from './documents';
import { openText } from './openDocument';
import type { OpenFailure } from './opening';
import { looksLikePack, readPack, type LessonPack, type PackFailure } from './pack';

/** A file as it was chosen, opened: a lesson with its pictures, or one document of another kind. */
export type OpenedFile =
  | { readonly kind: 'lesson'; readonly pack: LessonPack }
  | {
      readonly kind: 'document';
      readonly format: Exclude<DocumentKind, 'fair-sprocket/lesson'>;
      readonly document: Documents[Exclude<DocumentKind, 'fair-sprocket/lesson'>];
    };

export type FileFailure = OpenFailure | PackFailure | { readonly cause: 'not-text' };

export type OpenFileResult =
  | { readonly ok: true; readonly file: OpenedFile }
  | { readonly ok: false; readonly failure: FileFailure };

/** Some editors save text as UTF-16; its first two bytes say so. */
const encodingOf = ([first, second]: Uint8Array): string =>
  first === 0xff && second === 0xfe
    ? 'utf-16le'
    : first === 0xfe && second === 0xff
      ? 'utf-16be'
      : 'utf-8';

/** Never throws, whatever the bytes are. */
export function openFile(bytes: Uint8Array): OpenFileResult {
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
