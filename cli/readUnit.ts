import { readFileSync } from 'node:fs';
import { openText, type DocumentKind, type Documents } from '../core/formats';
import type { Unit } from '../core/geartrain';
import type { Say } from './say';

/** Why there is nothing to show, and the code to exit with. */
export class Refusal extends Error {
  constructor(
    message: string,
    readonly code: number,
  ) {
    super(message);
  }
}

/** @throws Refusal */
export function readText(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    throw new Refusal(`${file}: can't be read: ${reason}`, 1);
  }
}

/** @throws Refusal */
export function readDocument<K extends DocumentKind>(file: string, kind: K): Documents[K] {
  const opened = openText(readText(file), kind);
  if (!opened.ok) throw new Refusal(`${file}: ${JSON.stringify(opened.failure)}`, 1);
  return opened.document;
}

/** @throws Refusal */
export const readUnit = (file: string): Unit => readDocument(file, 'fair-sprocket/unit');

/** Prints what comes out as JSON, or why nothing does. @returns the exit code */
export function printed(say: Say, work: () => unknown): number {
  try {
    say.line(JSON.stringify(work(), null, 2));
    return 0;
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    say.wrong(error.message);
    return error.code;
  }
}
