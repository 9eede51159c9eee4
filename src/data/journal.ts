import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** Migrations are found beside this module, wherever the process was started. */
export const MIGRATIONS = fileURLToPath(new URL('../../src/data/migrations', import.meta.url));

/** How the migrations are listed. */
export interface Journal {
  readonly entries: readonly { readonly tag: string; readonly when: number }[];
}

/** The migrations that this programme knows. */
export const journal = (folder = MIGRATIONS): Journal =>
  JSON.parse(readFileSync(`${folder}/meta/_journal.json`, 'utf8')) as Journal;
