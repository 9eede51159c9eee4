// Writes the JSON Schemas of the open formats into docs/formats/. A test fails when they are stale.
import { mkdirSync, writeFileSync } from 'node:fs';
import { jsonSchema, SCHEMA_NAMES } from '../src/cli/schemas';

const folder = new URL('../docs/formats/', import.meta.url);
mkdirSync(folder, { recursive: true });
for (const name of SCHEMA_NAMES) {
  writeFileSync(new URL(`${name}.schema.json`, folder), `${JSON.stringify(jsonSchema(name), null, 2)}\n`);
}
