import { readJson } from './jsonText';
import type { DocumentKind, KindTable } from './documents';
import { KINDS } from './kinds';
import { isRecord, openAs, refuse, type OpenResult } from './opening';

/** Opens JSON text of any kind. @param expected refuse other kinds */
export function openText<K extends DocumentKind = DocumentKind>(
  text: string,
  expected?: K,
): OpenResult<K> {
  const json = readJson(text);
  if (!json.ok) return refuse(json);
  return openValue(json.value, expected);
}

/** Opens parsed JSON of any kind. @param kinds the table of kinds; another one only in tests of migrations */
export function openValue<K extends DocumentKind = DocumentKind>(
  value: unknown,
  expected?: K,
  kinds: KindTable = KINDS,
): OpenResult<K> {
  if (!isRecord(value) || typeof value['format'] !== 'string') return refuse({ cause: 'not-ours' });
  const format = value['format'];
  if (!format.startsWith('fair-sprocket/')) return refuse({ cause: 'not-ours' });
  if (!Object.hasOwn(kinds, format)) return refuse({ cause: 'unknown-kind', format });
  const kind = format as K;
  if (expected !== undefined && kind !== expected)
    return refuse({ cause: 'wrong-kind', format: kind, expected });
  return openAs(kind, kinds[kind], value);
}
