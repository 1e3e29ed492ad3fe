import { z } from 'zod';
import type { DocumentKind } from './documents';
import { KINDS } from './kinds';

/** The published JSON Schema (draft 2020-12) of each kind, by file name. */
export function jsonSchemas(): Record<string, unknown> {
  return Object.fromEntries(
    (Object.keys(KINDS) as DocumentKind[]).map((kind) => {
      const { schema, version } = KINDS[kind];
      const short = kind.slice('fair-sprocket/'.length);
      return [
        `${short}-v${version}.schema.json`,
        { $id: `fair-sprocket:${short}-v${version}`, title: kind, ...z.toJSONSchema(schema) },
      ];
    }),
  );
}
