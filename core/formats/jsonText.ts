import { MOST_DEPTH, MOST_JSON_BYTES } from './limits';

/** Reading JSON text that may be malformed, truncated or hostile. */
export type JsonFailure =
  | { readonly cause: 'empty' }
  | { readonly cause: 'too-large'; readonly bytes: number; readonly most: number }
  | { readonly cause: 'too-deep'; readonly most: number }
  | { readonly cause: 'truncated' }
  | { readonly cause: 'not-json'; readonly position: number | null }
  | { readonly cause: 'forbidden-key'; readonly key: string };

export type JsonResult =
  | { readonly ok: true; readonly value: unknown }
  | ({ readonly ok: false } & JsonFailure);

/** Keys that could reach an object's prototype. */
const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype']);

export function readJson(text: string): JsonResult {
  const trimmed = text.replace(/^\uFEFF/, '').trim();
  if (trimmed === '') return { ok: false, cause: 'empty' };
  if (trimmed.length > MOST_JSON_BYTES)
    return { ok: false, cause: 'too-large', bytes: trimmed.length, most: MOST_JSON_BYTES };
  const shape = scan(trimmed);
  if (shape.deepest > MOST_DEPTH) return { ok: false, cause: 'too-deep', most: MOST_DEPTH };
  let forbidden: string | null = null;
  try {
    const value: unknown = JSON.parse(trimmed, (key, item: unknown) => {
      if (FORBIDDEN.has(key)) forbidden ??= key;
      return item;
    });
    if (forbidden !== null) return { ok: false, cause: 'forbidden-key', key: forbidden };
    return { ok: true, value };
  } catch (error) {
    if (shape.open) return { ok: false, cause: 'truncated' };
    const position = /position (\d+)/.exec(error instanceof Error ? error.message : '')?.[1];
    return { ok: false, cause: 'not-json', position: position ? Number(position) : null };
  }
}

/** Depth of brackets, and whether something that was opened never closes; strings are skipped. */
function scan(text: string): { deepest: number; open: boolean } {
  let depth = 0;
  let deepest = 0;
  let inString = false;
  for (let k = 0; k < text.length; k++) {
    const c = text[k];
    if (inString) {
      if (c === '\\') k++;
      else if (c === '"') inString = false;
    } else if (c === '"') inString = true;
    else if (c === '{' || c === '[') deepest = Math.max(deepest, ++depth);
    else if (c === '}' || c === ']') depth--;
  }
  const startsAsJson = text.startsWith('{') || text.startsWith('[');
  return { deepest, open: startsAsJson && (inString || depth > 0) };
}
