import { strFromU8, strToU8, zipSync, type Zippable } from 'fflate';
import {
  CARRIED_LISTS,
  LIST_OF,
  mediaOf,
  type Carried,
  type CarriedList,
  type Lesson,
} from '../lesson';
import { readArchive, type ArchiveFailure } from './archive';
import { MOST_PICTURE_BYTES } from './limits';
import { openText } from './openDocument';
import type { OpenFailure } from './opening';
import type { PackManifest } from './packV1';
import { pictureKind } from './picture';

/**
 * A lesson with all it needs in one plain ZIP: `manifest.json`, `lesson.json`, `units/ID.json` (and
 * `converters/`, `engines/` and so on), `media/NAME`.
 */
export interface LessonPack {
  readonly lesson: Lesson;
  readonly media: Readonly<Record<string, Uint8Array>>;
}

export type PackFailure =
  | ArchiveFailure
  | { readonly cause: 'pack-missing'; readonly path: string }
  | { readonly cause: 'pack-picture'; readonly path: string }
  | { readonly cause: 'pack-part'; readonly path: string; readonly failure: OpenFailure };

export type PackResult =
  | { readonly ok: true; readonly pack: LessonPack }
  | { readonly ok: false; readonly failure: PackFailure };

/** A fixed date in every entry, so that the same lesson always makes the same bytes. */
export const ENTRY_DATE = '1990-01-01T12:00:00';

/** @throws Error when a picture the lesson shows is not in `media` */
export function writePack({ lesson, media }: LessonPack): Uint8Array {
  const document = { ...lesson };
  for (const list of CARRIED_LISTS) delete document[list];
  const files: Zippable = {};
  const addJson = (path: string, value: unknown) => {
    files[path] = [strToU8(`${JSON.stringify(value, null, 2)}\n`), { mtime: ENTRY_DATE }];
  };
  addJson('lesson.json', document);
  for (const list of CARRIED_LISTS)
    for (const model of lesson[list] ?? []) addJson(`${list}/${model.id}.json`, model);
  for (const path of mediaOf(lesson)) {
    const bytes = media[path];
    if (!bytes) throw new Error(`writePack: expected a picture for "${path}"`);
    files[path] = [bytes, { level: 0, mtime: ENTRY_DATE }];
  }
  const manifest: PackManifest = {
    format: 'fair-sprocket/pack',
    version: 1,
    lesson: { id: lesson.id, title: lesson.title },
    files: Object.keys(files),
  };
  addJson('manifest.json', manifest);
  return zipSync(files);
}

/** First bytes of a ZIP's local file header (PKWARE APPNOTE 4.3.7). */
export const looksLikePack = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;

const fail = (failure: PackFailure): { ok: false; failure: PackFailure } => ({
  ok: false,
  failure,
});

const SAFE_PATH = new RegExp(
  `^(manifest\\.json|lesson\\.json|(?:${CARRIED_LISTS.join('|')})/[A-Za-z0-9][\\w.-]*\\.json|media/[A-Za-z0-9][\\w.-]*)$`,
);

export function readPack(bytes: Uint8Array): PackResult {
  const unpacked = readArchive(bytes, (path) => SAFE_PATH.test(path));
  if (!unpacked.ok) return unpacked;
  const { files } = unpacked;
  for (const path of ['manifest.json', 'lesson.json'])
    if (!files[path]) return fail({ cause: 'pack-missing', path });
  const manifest = openPart(files, 'manifest.json', 'fair-sprocket/pack');
  if (!manifest.ok) return manifest;
  const lesson = openPart(files, 'lesson.json', 'fair-sprocket/lesson');
  if (!lesson.ok) return lesson;
  const document: Lesson = { ...lesson.document };
  const media: Record<string, Uint8Array> = {};
  for (const [path, content] of Object.entries(files)) {
    const list = CARRIED_LISTS.find((name) => path.startsWith(`${name}/`));
    if (list) {
      const model = openPart(files, path, KIND_OF[list]);
      if (!model.ok) return model;
      document[list] = [...(document[list] ?? []), model.document] as never;
    } else if (path.startsWith('media/')) {
      if (!pictureKind(content) || content.length > MOST_PICTURE_BYTES)
        return fail({ cause: 'pack-picture', path });
      media[path] = content;
    }
  }
  const missing = mediaOf(lesson.document).find((path) => !media[path]);
  if (missing !== undefined) return fail({ cause: 'pack-missing', path: missing });
  return { ok: true, pack: { lesson: document, media } };
}

const KIND_OF = Object.fromEntries(
  Object.entries(LIST_OF).map(([kind, list]) => [list, kind]),
) as Readonly<Record<CarriedList, Carried['format']>>;

function openPart<K extends 'fair-sprocket/pack' | 'fair-sprocket/lesson' | Carried['format']>(
  files: Readonly<Record<string, Uint8Array>>,
  path: string,
  kind: K,
) {
  const opened = openText<K>(strFromU8(files[path]!), kind);
  return opened.ok ? opened : fail({ cause: 'pack-part', path, failure: opened.failure });
}
