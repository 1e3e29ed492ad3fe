import type { z } from 'zod';
import type { JsonFailure } from './jsonText';
import type { DocumentKind, Documents, KindDefinition, Migration } from './documents';

/**
 * Opening a document, with a result that tells causes apart. Nothing is thrown for a bad file, and all
 * problems are listed, not the first.
 */
export interface Problem {
  /** Path in the document, such as `steps[2].blocks[0].kind`. */
  readonly path: string;
  readonly code: string;
  readonly values: Readonly<Record<string, string | number>>;
}

export type OpenFailure =
  | JsonFailure
  | { readonly cause: 'not-ours' }
  | { readonly cause: 'unknown-kind'; readonly format: string }
  | { readonly cause: 'wrong-kind'; readonly format: DocumentKind; readonly expected: DocumentKind }
  | { readonly cause: 'no-version'; readonly format: DocumentKind }
  | {
      readonly cause: 'too-new';
      readonly format: DocumentKind;
      readonly version: number;
      readonly newest: number;
    }
  | {
      readonly cause: 'invalid';
      readonly format: DocumentKind;
      readonly problems: readonly Problem[];
    }
  | { readonly cause: 'migration-failed'; readonly format: DocumentKind; readonly step: string };

export type OpenResult<K extends DocumentKind = DocumentKind> =
  | { readonly ok: true; readonly kind: K; readonly document: Documents[K] }
  | { readonly ok: false; readonly failure: OpenFailure };

export const refuse = (failure: OpenFailure): { ok: false; failure: OpenFailure } => ({
  ok: false,
  failure,
});

/** Opens parsed JSON of this one kind, which alone has to be known. */
export function openAs<K extends DocumentKind>(
  kind: K,
  { version: newest, schema, migrations, without }: KindDefinition<Documents[K]>,
  value: Record<string, unknown>,
): OpenResult<K> {
  const version = value['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refuse({ cause: 'no-version', format: kind });
  if (version > newest) return refuse({ cause: 'too-new', format: kind, version, newest });
  const migrated = migrate(value, version, newest, migrations);
  if (!migrated.ok) return refuse({ cause: 'migration-failed', format: kind, step: migrated.step });
  const read = (document: unknown) => schema.safeParse(document);
  const whole = read(migrated.document);
  const rest =
    !whole.success &&
    without?.(
      migrated.document,
      whole.error.issues.map((i) => i.path),
    );
  const parsed = rest ? read(rest) : whole;
  if (!parsed.success)
    return refuse({
      cause: 'invalid',
      format: kind,
      problems: parsed.error.issues.map((issue) => problemOf(issue, migrated.document)),
    });
  return { ok: true, kind, document: parsed.data };
}

export const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

type MigrationResult =
  | { readonly ok: true; readonly document: Record<string, unknown> }
  | { readonly ok: false; readonly step: string };

function migrate(
  document: Record<string, unknown>,
  from: number,
  newest: number,
  migrations: readonly Migration[],
): MigrationResult {
  let current = document;
  for (let version = from; version < newest; version++) {
    const step = migrations.find((m) => m.from === version);
    if (!step) throw new Error(`migrations: expected a step from version ${version}`);
    try {
      current = { ...step.up(structuredClone(current)), version: version + 1 };
    } catch {
      return { ok: false, step: step.name };
    }
  }
  return { ok: true, document: current };
}

/** A schema's complaint as code and numbers; the words come from the catalogue. */
function problemOf(issue: z.core.$ZodIssue, document: unknown): Problem {
  const path = pathText(issue.path);
  const raw = issue as unknown as Record<string, unknown>;
  const params = isRecord(raw['params']) ? raw['params'] : {};
  const own = typeof params['code'] === 'string' ? params['code'] : issue.code;
  const code = SIZED[`${own} ${String(raw['origin'])}`] ?? own;
  const values: Record<string, string | number> = {};
  const found = foundAt(document, issue.path);
  if (found !== undefined && (own === 'too_big' || own === 'too_small')) values['found'] = found;
  for (const key of ['expected', 'minimum', 'maximum', 'format', 'id'] as const) {
    const value = raw[key] ?? params[key];
    if (typeof value === 'string' || typeof value === 'number') values[key] = value;
  }
  if (Array.isArray(raw['keys'])) values['keys'] = raw['keys'].join(', ');
  if (Array.isArray(raw['values'])) values['allowed'] = raw['values'].join(', ');
  return { path, code, values };
}

/** A list or a text has a size of its own, and its own words for it. */
const SIZED: Readonly<Record<string, string>> = {
  'too_big array': 'too_many',
  'too_small array': 'too_few',
  'too_big string': 'too_long',
  'too_small string': 'too_short',
};

/** How large what stands there is: a number itself, the entries of a list, the characters of a text. */
function foundAt(document: unknown, path: readonly PropertyKey[]): number | undefined {
  let value: unknown = document;
  for (const part of path) value = (value as Record<PropertyKey, unknown> | null)?.[part];
  if (typeof value === 'number') return value;
  return Array.isArray(value) || typeof value === 'string' ? value.length : undefined;
}

const pathText = (path: readonly PropertyKey[]): string =>
  path
    .map((part, k) =>
      typeof part === 'number' ? `[${part}]` : `${k === 0 ? '' : '.'}${String(part)}`,
    )
    .join('');
