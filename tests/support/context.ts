import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { migrateStore } from '../../src/data/migrate';
import { openStore } from '../../src/data/store';
import type { Context } from '../../src/server/context';

/** A context on a store of its own, with ids and a clock that can be relied on. */
export async function testContext(): Promise<Context & { readonly path: string; readonly done: () => Promise<void> }> {
  const folder = mkdtempSync(join(tmpdir(), 'serrata-'));
  const path = join(folder, 'test.db');
  const store = openStore(`file:${path}`);
  await migrateStore(store);
  let seconds = 0;
  return {
    store,
    path,
    newId: () => crypto.randomUUID(),
    now: () => new Date(Date.UTC(2026, 10, 23, 9, 0, (seconds += 1))),
    done: async () => {
      // What is written with nobody waiting for it is written before the store goes.
      await store.write(async () => undefined).catch(() => undefined);
      store.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
