import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expectApproved } from '../tests/approved';
import { openValue } from './index';

const GOLDEN = 'core/formats/golden';
/** Places of a document that are tried. */
const MOST_PLACES = 150;

type Place = readonly (string | number)[];

/** The places of all values, of lists only the first two. */
function placesOf(value: unknown, at: Place = []): Place[] {
  if (typeof value !== 'object' || value === null) return [at];
  const inner = Array.isArray(value)
    ? value.slice(0, 2).map((v, k): [number, unknown] => [k, v])
    : Object.entries(value);
  return [
    ...(at.length > 0 ? [at] : []),
    ...inner.flatMap(([key, v]) => placesOf(v, [...at, key])),
  ];
}

/** A copy with something else at a place; nothing there where it is `undefined`. */
function withAt(document: unknown, at: Place, other: unknown): unknown {
  const copy = structuredClone(document);
  let holder = copy as Record<string | number, unknown>;
  for (const key of at.slice(0, -1)) holder = holder[key] as typeof holder;
  const last = at.at(-1)!;
  if (other === undefined && !Array.isArray(holder)) Reflect.deleteProperty(holder, last);
  else holder[last] = other ?? null;
  return copy;
}

const valueAt = (document: unknown, at: Place): unknown =>
  at.reduce<unknown>((v, key) => (v as Record<string | number, unknown>)[key], document);

const twice = (list: readonly unknown[]): unknown[] => [...list, ...list];

/** What a value must not be: gone, far too large, below what is allowed, of another kind. */
const othersFor = (value: unknown): readonly unknown[] =>
  typeof value === 'number'
    ? [undefined, 1e9, -1e9, 0, value + 0.5, 'x']
    : typeof value === 'string'
      ? [undefined, '', 'no such thing', 'x'.repeat(300), 7]
      : Array.isArray(value)
        ? [undefined, [], twice(value), {}]
        : [undefined, {}, []];

test.each(readdirSync(GOLDEN))('%s: what is said of everything that can be wrong in it', (file) => {
  const document: unknown = JSON.parse(readFileSync(path.join(GOLDEN, file), 'utf8'));
  const said: Record<string, unknown> = {};
  for (const at of placesOf(document).slice(0, MOST_PLACES))
    said[at.join('.')] = othersFor(valueAt(document, at)).map((other) => {
      const opened = openValue(withAt(document, at, other));
      if (opened.ok) return 'fine';
      const { failure } = opened;
      return failure.cause === 'invalid'
        ? failure.problems.map((p) => [p.path, p.code, p.values])
        : failure;
    });
  expectApproved(`format-${file.replace('.json', '')}`, said);
});
