import { stringify } from 'safe-stable-stringify';
import {
  EVERYTHING_LIMITS,
  isEverything,
  type EverythingResult,
  type FileFailure,
  type Model,
  type TakenFile,
} from '../../core/formats';
import { mediaOf, type Lesson } from '../../core/lesson';
import { download, fileName } from '../shared/download';
import type { Services } from '../state/services';
import { withFileWorker } from '../workers/fileWorker';

/** When all was taken along last, as a setting beside the others. */
export const TAKEN_ALONG = 'taken-along';

const encoded = (value: unknown): Uint8Array =>
  new TextEncoder().encode(`${JSON.stringify(value, null, 2)}\n`);

/** Everything that is this person's own: what is as the demo world has it is not taken. */
export async function takeAll(
  services: Services,
  settings: unknown,
): Promise<{ lessons: number; models: number; records: number }> {
  const { documents } = services;
  const [all, demo] = await Promise.all([documents.load(), services.loadDemo()]);
  const known = new Map(demo.models.map((m) => [`${m.format} ${m.id}`, stringify(m)]));
  const isOwn = (m: Model) => known.get(`${m.format} ${m.id}`) !== stringify(m);
  const files: TakenFile[] = [];
  const lessons = all.lessons.filter((r) => r.origin !== 'demo' || r.changed);
  const packed = await withFileWorker(async (worker) => {
    for (const { lesson } of lessons) {
      const bytes = await worker.packLesson({ lesson, media: await mediaFor(lesson, documents) });
      files.push({ folder: 'lessons', name: `${lesson.id}.lesson.zip`, bytes });
    }
    const models = all.models.filter(isOwn);
    for (const model of models) {
      const kind = model.format.slice('fair-sprocket/'.length);
      files.push({ folder: 'models', name: `${kind}.${model.id}.json`, bytes: encoded(model) });
    }
    const records = all.attempts.filter((r) => r.source !== 'demo');
    for (const { attempt, source } of records)
      files.push({
        folder: source === 'mine' ? 'mine' : 'class',
        name: `${attempt.id}.attempt.json`,
        bytes: encoded(attempt),
      });
    const bytes = await worker.packEverything({ files, settings });
    return { bytes, models: models.length, records: records.length };
  });
  const day = services.now().slice(0, 10);
  download(fileName(`everything ${day}`, 'zip'), packed.bytes, 'application/zip');
  await documents.saveSetting(TAKEN_ALONG, services.now());
  return { lessons: lessons.length, models: packed.models, records: packed.records };
}

async function mediaFor(lesson: Lesson, documents: Services['documents']) {
  const media: Record<string, Uint8Array> = {};
  for (const path of mediaOf(lesson)) {
    const bytes = await documents.readMedia(path);
    if (bytes) media[path] = bytes;
  }
  return media;
}

/** One file on its way in, and whose records it holds. */
export interface Chosen {
  readonly file: File;
  readonly source: 'mine' | 'imported';
}
export type Unfolded =
  | { readonly ok: true; readonly files: readonly Chosen[]; readonly settings: unknown }
  | { readonly ok: false; readonly failure: FileFailure };

/** The documents in a file that holds everything; any other file as it is. @throws AbortError when cancelled */
export async function unfolded(file: File, signal: AbortSignal): Promise<Unfolded> {
  const head = new Uint8Array(await file.slice(0, 64).arrayBuffer());
  if (!isEverything(head))
    return { ok: true, files: [{ file, source: 'imported' }], settings: null };
  if (file.size > EVERYTHING_LIMITS.bytes)
    return {
      ok: false,
      failure: { cause: 'too-large', bytes: file.size, most: EVERYTHING_LIMITS.bytes },
    };
  const bytes = new Uint8Array(await file.arrayBuffer());
  const read = await withFileWorker(
    async (worker): Promise<EverythingResult> => await worker.openEverything(bytes),
    signal,
  );
  if (!read.ok) return read;
  const files = read.files.map(({ folder, name, bytes: content }): Chosen => ({
    file: new File([content as Uint8Array<ArrayBuffer>], name),
    source: folder === 'mine' ? 'mine' : 'imported',
  }));
  return { ok: true, files, settings: read.settings };
}

const MONTH_MS = 30 * 24 * 3600 * 1000;

/** When something was made, ms: of a lesson its revision tells, of a record its start. */
export interface MadeAt {
  readonly own: boolean;
  readonly at: number;
}

/** Whether a month of own work was never taken along. @param taken when all was taken last, ISO 8601; `null`: never */
export function isDue(made: readonly MadeAt[], taken: string | null, now: number): boolean {
  const since = taken === null ? -Infinity : Date.parse(taken);
  return made.some(({ own, at }) => own && at > since && now - at > MONTH_MS);
}
