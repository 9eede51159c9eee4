import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Migrations are found beside this module, wherever the process was started. */
export const MIGRATIONS = fileURLToPath(new URL('../../src/data/migrations', import.meta.url));

/** Where backups of a store are kept: `SERRATA_BACKUPS`, or a folder beside it. */
export const backupFolder = (store: string, configured = process.env.SERRATA_BACKUPS): string =>
  configured ? resolve(configured) : join(dirname(store), 'backups');
