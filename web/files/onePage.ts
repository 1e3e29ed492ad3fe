import { openValue } from '../../core/formats';
import { mediaOf, onlyGears, type Lesson } from '../../core/lesson';
import { download, fileName } from '../shared/download';
import type { DocumentStore } from '../storage/documentStore';

/** Id of the element that holds what a page carries. */
export const CARRIED = 'lesson';

/** A lesson with its pictures, as it stands in a page that plays by itself. */
export interface CarriedLesson {
  readonly lesson: Lesson;
  /** Bytes as base64, by path. */
  readonly media: Readonly<Record<string, string>>;
}

/** Text for a script element: nothing in it can end the element. */
export const carriedText = (carried: CarriedLesson): string =>
  JSON.stringify(carried).replace(/</g, '\\u003c');

/** What a page carries; `null` where it carries none that this program can read. */
export function carriedIn(text: string): CarriedLesson | null {
  try {
    const found = JSON.parse(text) as Partial<CarriedLesson>;
    const opened = openValue(found.lesson, 'fair-sprocket/lesson');
    if (!opened.ok) return null;
    return { lesson: opened.document, media: mediaIn(found.media) };
  } catch {
    return null;
  }
}

const mediaIn = (media: unknown): Record<string, string> =>
  typeof media === 'object' && media !== null
    ? Object.fromEntries(
        Object.entries(media).filter((e): e is [string, string] => typeof e[1] === 'string'),
      )
    : {};

/** The page with a lesson put in. @throws Error when the page has no place for one */
export function pageWith(page: string, carried: CarriedLesson): string {
  const place = new RegExp(`(<script[^>]*id="${CARRIED}"[^>]*>)</script>`, 'u');
  if (!place.test(page)) throw new Error('pageWith: expected a page with a place for a lesson');
  return page.replace(place, (_all, open: string) => `${open}${carriedText(carried)}</script>`);
}

const CHUNK = 0x8000;
export function toBase64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += CHUNK)
    text += String.fromCharCode(...bytes.subarray(at, at + CHUNK));
  return btoa(text);
}
export const fromBase64 = (text: string): Uint8Array =>
  Uint8Array.from(atob(text), (c) => c.charCodeAt(0));

/** Which of the pages beside the application a lesson needs. */
export const pageFor = (lesson: Lesson): 'light' | 'full' => (onlyGears(lesson) ? 'light' : 'full');

/** A lesson as one page that opens from a stick or a mail and needs no server. @throws Error where the page can't be had */
export async function exportOnePage(lesson: Lesson, documents: DocumentStore): Promise<void> {
  const answer = await fetch(`/one-page-${pageFor(lesson)}.html`);
  if (!answer.ok) throw new Error(`one page: ${answer.status}`);
  const media: Record<string, string> = {};
  for (const path of mediaOf(lesson)) {
    const bytes = await documents.readMedia(path);
    if (bytes) media[path] = toBase64(bytes);
  }
  const page = pageWith(await answer.text(), { lesson, media });
  download(fileName(lesson.title, 'html'), page, 'text/html');
}
