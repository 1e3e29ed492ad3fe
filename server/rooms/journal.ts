import { closeSync, fsync, openSync, readFileSync, readdirSync, rmSync, writeSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';

const flushed = promisify(fsync);

/**
 * One file of lines for each room, only ever added to, and flushed to the disk before anybody is told that a line was taken. A
 * line that broke off as the machine stopped was never acknowledged: it is dropped.
 */
export class Journal {
  readonly #file: string;
  #fd: number;
  /** Bytes that are known to be whole lines. */
  #size: number;

  private constructor(file: string, fd: number, size: number) {
    this.#file = file;
    this.#fd = fd;
    this.#size = size;
  }

  /** @throws Error when the file is there already, or can't be written */
  static create(dir: string, code: string): Journal {
    const file = fileOf(dir, code);
    return new Journal(file, openSync(file, 'wx', 0o600), 0);
  }

  /** Every whole line of a journal, and the journal to go on with. */
  static open(dir: string, code: string): { journal: Journal; lines: unknown[] } {
    const file = fileOf(dir, code);
    const text = readFileSync(file, 'utf8');
    const lines: unknown[] = [];
    let size = 0;
    for (const line of text.split('\n').slice(0, -1)) {
      const value = parsed(line);
      if (value === undefined) break;
      lines.push(value);
      size += Buffer.byteLength(line) + 1;
    }
    return { journal: new Journal(file, openSync(file, 'r+'), size), lines };
  }

  /**
   * One at a time. A disk may take long to flush: nobody else waits for it.
   * @throws Error when it can't be kept: nothing of it counts then, and the next one is written over it
   */
  async add(line: unknown): Promise<void> {
    const bytes = Buffer.from(`${JSON.stringify(line)}\n`);
    let at = 0;
    while (at < bytes.length)
      at += writeSync(this.#fd, bytes, at, bytes.length - at, this.#size + at);
    await flushed(this.#fd);
    this.#size += bytes.length;
  }

  close(): void {
    closeSync(this.#fd);
  }

  remove(): void {
    this.close();
    rmSync(this.#file, { force: true });
  }
}

const SUFFIX = '.room.jsonl';
const fileOf = (dir: string, code: string): string => path.join(dir, `${code}${SUFFIX}`);

/** Codes of the rooms whose journals are there. */
export const journalsIn = (dir: string): string[] =>
  readdirSync(dir).flatMap((file) =>
    file.endsWith(SUFFIX) ? [file.slice(0, -SUFFIX.length)] : [],
  );

function parsed(line: string): unknown {
  try {
    return JSON.parse(line) as unknown;
  } catch {
    return undefined;
  }
}
