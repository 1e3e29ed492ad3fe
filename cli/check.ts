import { readFileSync } from 'node:fs';
import { looksLikePack, openText, readPack } from '../core/formats';

/**
 * `npm run -s check -- FILE…`: validates any Fair Sprocket file. Exits 1 when one is wrong, with the file,
 * the path in the document, what is wrong and what would be right.
 */
function problemsOf(file: string): string[] {
  let bytes: Uint8Array;
  try {
    bytes = new Uint8Array(readFileSync(file));
  } catch (error) {
    return [`can't be read: ${error instanceof Error ? error.message : String(error)}`];
  }
  const result = looksLikePack(bytes) ? readPack(bytes) : openText(new TextDecoder().decode(bytes));
  return result.ok ? [] : describe(result.failure);
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

const files = process.argv.slice(2);
if (files.length === 0) {
  console.error('Usage: npm run -s check -- FILE…');
  process.exit(2);
}
let wrong = 0;
for (const file of files) {
  const problems = problemsOf(file);
  if (problems.length === 0) console.log(`${file}: ok`);
  else wrong++;
  for (const problem of problems) console.error(`${file}: ${problem}`);
}
process.exit(wrong > 0 ? 1 : 0);
