import CRC32 from 'crc-32';
import { Inflate } from 'fflate';
import { MOST_PACK_BYTES, MOST_PACK_ENTRIES } from './limits';

/**
 * Reading a ZIP that may be damaged or hostile (PKWARE APPNOTE 6.3). Names and sizes are read from the archive's directory
 * before anything is unpacked; every entry is unpacked piece by piece, refused as soon as it grows past what it states, and
 * checked against its CRC-32.
 */
export type ArchiveFailure =
  | { readonly cause: 'pack-damaged' }
  | { readonly cause: 'pack-changed'; readonly path: string }
  | { readonly cause: 'pack-encrypted' }
  | { readonly cause: 'pack-too-large'; readonly bytes: number; readonly most: number }
  | { readonly cause: 'pack-too-many'; readonly count: number; readonly most: number }
  | { readonly cause: 'pack-path'; readonly path: string };

export type ArchiveResult =
  | { readonly ok: true; readonly files: Record<string, Uint8Array> }
  | { readonly ok: false; readonly failure: ArchiveFailure };

interface Entry {
  readonly path: string;
  readonly flags: number;
  /** 0 stored, 8 deflated. */
  readonly method: number;
  readonly crc: number;
  readonly packed: number;
  readonly size: number;
  /** Where its local header begins. */
  readonly at: number;
}

const LOCAL = 0x04034b50;
const CENTRAL = 0x02014b50;
const END = 0x06054b50;
const END_BYTES = 22;
const CENTRAL_BYTES = 46;
const LOCAL_BYTES = 30;
const MOST_COMMENT = 0xffff;
const ENCRYPTED = 1;
/** Bytes given to the unpacker at a time: what comes out of one piece is the most that is held before it is counted. */
const PIECE = 4096;

class Refused extends Error {
  constructor(readonly failure: ArchiveFailure) {
    super(failure.cause);
  }
}
const damaged = (): Refused => new Refused({ cause: 'pack-damaged' });

export interface ArchiveLimits {
  /** Packed, and unpacked. */
  readonly bytes: number;
  readonly entries: number;
}
const PACK_LIMITS: ArchiveLimits = { bytes: MOST_PACK_BYTES, entries: MOST_PACK_ENTRIES };

/** @param allowed whether an entry may have this name */
export function readArchive(
  bytes: Uint8Array,
  allowed: (path: string) => boolean,
  limits: ArchiveLimits = PACK_LIMITS,
): ArchiveResult {
  try {
    if (bytes.length > limits.bytes) throw tooLarge(bytes.length, limits);
    const entries = directoryOf(bytes).filter((e) => !e.path.endsWith('/'));
    refuse(entries, allowed, limits);
    const files: Record<string, Uint8Array> = {};
    for (const entry of entries) files[entry.path] = unpacked(bytes, entry);
    return { ok: true, files };
  } catch (error) {
    // Offsets that lead outside the archive, and data that is no deflate stream.
    return {
      ok: false,
      failure: error instanceof Refused ? error.failure : { cause: 'pack-damaged' },
    };
  }
}

const tooLarge = (size: number, { bytes: most }: ArchiveLimits): Refused =>
  new Refused({ cause: 'pack-too-large', bytes: size, most });

/** What the directory alone gives away. */
function refuse(
  entries: readonly Entry[],
  allowed: (path: string) => boolean,
  limits: ArchiveLimits,
): void {
  const most = limits.entries;
  if (entries.length > most)
    throw new Refused({ cause: 'pack-too-many', count: entries.length, most });
  const odd = entries.find((e) => !allowed(e.path));
  if (odd) throw new Refused({ cause: 'pack-path', path: odd.path });
  if (entries.some((e) => (e.flags & ENCRYPTED) !== 0))
    throw new Refused({ cause: 'pack-encrypted' });
  if (new Set(entries.map((e) => e.path)).size < entries.length) throw damaged();
  const total = entries.reduce((sum, e) => sum + e.size, 0);
  if (total > limits.bytes) throw tooLarge(total, limits);
}

function directoryOf(bytes: Uint8Array): Entry[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const earliest = Math.max(0, bytes.length - END_BYTES - MOST_COMMENT);
  let end = bytes.length - END_BYTES;
  while (end >= earliest && view.getUint32(end, true) !== END) end--;
  if (end < earliest) throw damaged();
  const count = view.getUint16(end + 10, true);
  let at = view.getUint32(end + 16, true);
  const entries: Entry[] = [];
  for (let k = 0; k < count; k++) {
    if (view.getUint32(at, true) !== CENTRAL) throw damaged();
    const [name, extra, comment] = [28, 30, 32].map((offset) => view.getUint16(at + offset, true));
    const from = at + CENTRAL_BYTES;
    entries.push({
      path: new TextDecoder().decode(bytes.subarray(from, from + name!)),
      flags: view.getUint16(at + 8, true),
      method: view.getUint16(at + 10, true),
      crc: view.getUint32(at + 16, true),
      packed: view.getUint32(at + 20, true),
      size: view.getUint32(at + 24, true),
      at: view.getUint32(at + 42, true),
    });
    at = from + name! + extra! + comment!;
  }
  return entries;
}

function unpacked(bytes: Uint8Array, entry: Entry): Uint8Array {
  const { at, packed, size, method, crc, path } = entry;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (view.getUint32(at, true) !== LOCAL) throw damaged();
  const from = at + LOCAL_BYTES + view.getUint16(at + 26, true) + view.getUint16(at + 28, true);
  if (from + packed > bytes.length) throw damaged();
  const data = bytes.subarray(from, from + packed);
  const content = method === 0 ? data : method === 8 ? inflated(data, size) : null;
  if (content?.length !== size) throw damaged();
  if (CRC32.buf(content) >>> 0 !== crc) throw new Refused({ cause: 'pack-changed', path });
  return content;
}

/** @throws Refused once more comes out than was stated */
function inflated(data: Uint8Array, size: number): Uint8Array {
  const out = new Uint8Array(size);
  let filled = 0;
  const stream = new Inflate((piece) => {
    if (filled + piece.length > size) throw damaged();
    out.set(piece, filled);
    filled += piece.length;
  });
  for (let k = 0; k < data.length; k += PIECE)
    stream.push(data.subarray(k, k + PIECE), k + PIECE >= data.length);
  return out.subarray(0, filled);
}
