import { strFromU8, strToU8, zipSync, type Zippable } from 'fflate';
import { readArchive, type ArchiveFailure } from './archive';
import { ENTRY_DATE } from './pack';

/**
 * All of a person's work in one file: a ZIP whose first entry says what it is, with every lesson as its pack and every
 * other document as it would be exported by itself. Whoever opens it takes in what they want, one document after the other.
 */
export const TAKEN_FOLDERS = ['lessons', 'models', 'mine', 'class'] as const;
export type TakenFolder = (typeof TAKEN_FOLDERS)[number];

export interface TakenFile {
  /** `mine`: records of this device's own student; `class`: records that came in. */
  readonly folder: TakenFolder;
  readonly name: string;
  readonly bytes: Uint8Array;
}

export interface Everything {
  readonly files: readonly TakenFile[];
  readonly settings: unknown;
}

export type EverythingResult =
  | ({ readonly ok: true } & Everything)
  | { readonly ok: false; readonly failure: ArchiveFailure };

const HEAD = 'everything.json';
const SETTINGS = 'settings.json';
const PATH = new RegExp(`^(${HEAD}|${SETTINGS}|(${TAKEN_FOLDERS.join('|')})/[A-Za-z0-9][\\w.-]*)$`);
/** A school year of a class of thirty. */
export const EVERYTHING_LIMITS = { bytes: 256 * 1024 * 1024, entries: 5000 } as const;

export function writeEverything({ files, settings }: Everything): Uint8Array {
  const json = (value: unknown) => strToU8(`${JSON.stringify(value, null, 2)}\n`);
  const zip: Zippable = {
    [HEAD]: [json({ format: 'fair-sprocket/everything', version: 1 }), { mtime: ENTRY_DATE }],
    [SETTINGS]: [json(settings), { mtime: ENTRY_DATE }],
  };
  for (const { folder, name, bytes } of files) {
    // A pack is packed already.
    const level = name.endsWith('.zip') ? 0 : 6;
    zip[`${folder}/${name}`] = [bytes, { level, mtime: ENTRY_DATE }];
  }
  return zipSync(zip);
}

const LOCAL_BYTES = 30;

/** By its first entry: nothing is unpacked. */
export const isEverything = (bytes: Uint8Array): boolean =>
  strFromU8(bytes.subarray(LOCAL_BYTES, LOCAL_BYTES + HEAD.length)) === HEAD;

/** Never throws, whatever the bytes are. */
export function readEverything(bytes: Uint8Array): EverythingResult {
  const read = readArchive(bytes, (path) => PATH.test(path), EVERYTHING_LIMITS);
  if (!read.ok) return read;
  const files = Object.entries(read.files).flatMap(([path, content]): TakenFile[] => {
    const [folder, name] = path.split('/') as [TakenFolder, string | undefined];
    return name === undefined ? [] : [{ folder, name, bytes: content }];
  });
  return { ok: true, files, settings: settingsIn(read.files[SETTINGS]) };
}

function settingsIn(bytes: Uint8Array | undefined): unknown {
  try {
    return bytes ? (JSON.parse(strFromU8(bytes)) as unknown) : null;
  } catch {
    return null;
  }
}
