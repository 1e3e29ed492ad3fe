import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/**
 * What the models answered when somebody last looked: it tells that a figure has become another, not that it is right, which is
 * what the checks against outside are for. Where a figure is meant to be another, its file is deleted: the next run writes it and
 * fails once, and what has become of it is read before it is kept.
 */
const PLACE = 'core/tests/approved';
/** What differs is laid here whole, to be compared. */
const WHOLE = '.cache/approved';

const DIGITS = 7;
/** Letters of an answer that are kept as they are; of a longer one its beginning, and a digest of all. */
const MOST = 60;
const BEGINNING = 24;

/** Machines differ in the last digits of a sine. */
const rounded = (_key: string, value: unknown): unknown => {
  if (typeof value === 'number' && Number.isFinite(value))
    return Math.abs(value) < 1e-12 ? 0 : Number(value.toPrecision(DIGITS));
  if (typeof value === 'number' || typeof value === 'bigint') return String(value);
  if (value instanceof Map || value instanceof Set) return [...value] as unknown[];
  if (ArrayBuffer.isView(value)) return Array.from(value as Float64Array);
  return value;
};

function told(text: string): string {
  if (text.length <= MOST) return text;
  const digest = createHash('sha256').update(text).digest('hex').slice(0, 10);
  return `${text.slice(0, BEGINNING)}… ${digest}`;
}

/** @param answers by name, of anything that can be written down */
export function expectApproved(name: string, answers: Readonly<Record<string, unknown>>): void {
  const whole = Object.entries(answers).map(([of, answer]): [string, string] => [
    of,
    JSON.stringify(answer, rounded) ?? 'undefined',
  ]);
  const now = Object.fromEntries(whole.map(([of, text]) => [of, told(text)]));
  const file = path.join(PLACE, `${name}.json`);
  if (!existsSync(file)) {
    writeFileSync(file, `${JSON.stringify(now, null, 2)}\n`);
    throw new Error(`${file}: written anew, to be looked at`);
  }
  const before = JSON.parse(readFileSync(file, 'utf8')) as Record<string, string>;
  const differ = whole.filter(([of]) => now[of] !== before[of]);
  if (differ.length > 0) {
    mkdirSync(WHOLE, { recursive: true });
    writeFileSync(
      path.join(WHOLE, `${name}.json`),
      JSON.stringify(Object.fromEntries(differ), null, 1),
    );
  }
  expect(now).toEqual(before);
}
