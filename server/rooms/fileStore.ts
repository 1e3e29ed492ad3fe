import { mkdirSync } from 'node:fs';
import { Journal, journalsIn } from './journal';
import type { Appended, RoomStore } from './store';
import { Turns } from './turns';

interface Open {
  readonly journal: Journal;
  lines: number;
}

/** Rooms as journals in a folder of this machine, for one process. @throws Error when the folder can't be made */
export function fileStore(dir: string): RoomStore {
  mkdirSync(dir, { recursive: true, mode: 0o700 });
  const open = new Map<string, Open>();

  /** All lines, read from the disk; the journal stays open. */
  function read(code: string): unknown[] | null {
    if (!journalsIn(dir).includes(code)) return null;
    open.get(code)?.journal.close();
    const { journal, lines } = Journal.open(dir, code);
    open.set(code, { journal, lines: lines.length });
    return lines;
  }
  const opened = (code: string): Open | undefined => {
    if (!open.has(code)) read(code);
    return open.get(code);
  };

  const turns = new Turns();
  return {
    codes: () => Promise.resolve().then(() => journalsIn(dir)),
    create: (code, line) =>
      turns.take(code, async () => {
        if (journalsIn(dir).includes(code)) return false;
        const journal = Journal.create(dir, code);
        try {
          await journal.add(line);
        } catch (error) {
          journal.remove();
          throw error;
        }
        open.set(code, { journal, lines: 1 });
        return true;
      }),
    append: (code, at, line) =>
      turns.take(code, async (): Promise<Appended> => {
        const own = opened(code);
        if (!own) return 'gone';
        if (own.lines !== at) return 'behind';
        await own.journal.add(line);
        own.lines++;
        return 'kept';
      }),
    after: (code, at) =>
      turns.take(code, () => (open.get(code)?.lines === at ? [] : (read(code)?.slice(at) ?? null))),
    remove: (code) =>
      turns.take(code, () => {
        opened(code)?.journal.remove();
        open.delete(code);
      }),
    async close() {
      await turns.done();
      for (const { journal } of open.values()) journal.close();
      open.clear();
    },
  };
}
