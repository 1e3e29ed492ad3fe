import { readFileSync } from 'node:fs';
import { looksLikePack, openText, readPack } from '../core/formats';
import { notesOn } from './notes';
import type { Say } from './say';

interface Checked {
  readonly problems: readonly string[];
  readonly notes: readonly string[];
}

const wrong = (...problems: string[]): Checked => ({ problems, notes: [] });

function checked(file: string): Checked {
  let bytes: Uint8Array;
  try {
    bytes = new Uint8Array(readFileSync(file));
  } catch (error) {
    return wrong(`can't be read: ${error instanceof Error ? error.message : String(error)}`);
  }
  if (looksLikePack(bytes)) {
    const result = readPack(bytes);
    return result.ok ? notesOn(result.pack.lesson) : wrong(...describe(result.failure));
  }
  const result = openText(new TextDecoder().decode(bytes));
  return result.ok ? notesOn(result.document) : wrong(...describe(result.failure));
}

type Failure = Extract<
  ReturnType<typeof openText> | ReturnType<typeof readPack>,
  { ok: false }
>['failure'];

function describe(failure: Failure): string[] {
  if (failure.cause === 'invalid')
    return failure.problems.map(({ path, code, values }) => {
      const right = Object.entries(values).map(([k, v]) => `${k} ${v}`);
      return `${path || '(top)'}: ${code}${right.length > 0 ? ` (${right.join(', ')})` : ''}`;
    });
  if (failure.cause === 'pack-part')
    return describe(failure.failure).map((line) => `${failure.path}: ${line}`);
  const { cause, ...values } = failure;
  const facts = Object.entries(values).map(([k, v]) => `${k} ${String(v)}`);
  return [`${cause}${facts.length > 0 ? ` (${facts.join(', ')})` : ''}`];
}

/**
 * `npm run -s check -- FILE…`: validates any Fair Sprocket file. Returns 1 when one is wrong, with the file, the path in
 * the document, what is wrong and what would be right; 2 when no file is named. What is only odd is noted.
 */
export function check(files: readonly string[], say: Say): number {
  if (files.length === 0) {
    say.wrong('Usage: npm run -s check -- FILE…');
    return 2;
  }
  let failed = 0;
  for (const file of files) {
    const { problems, notes } = checked(file);
    if (problems.length === 0) say.line(`${file}: ok`);
    else failed++;
    for (const problem of problems) say.wrong(`${file}: ${problem}`);
    for (const note of notes) say.line(`${file}: note: ${note}`);
  }
  return failed > 0 ? 1 : 0;
}
