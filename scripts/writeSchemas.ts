import { mkdirSync, writeFileSync } from 'node:fs';
import { jsonSchemas } from '../core/formats';

/** `npm run schemas`: writes the JSON Schema of every document kind into docs/schemas/. */
mkdirSync('docs/schemas', { recursive: true });
for (const [file, schema] of Object.entries(jsonSchemas()))
  writeFileSync(`docs/schemas/${file}`, `${JSON.stringify(schema, null, 2)}\n`);
