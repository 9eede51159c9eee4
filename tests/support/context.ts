import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inject } from 'vitest';
import { openStore } from '../../src/data/store';
import type { Context } from '../../src/server/context';
import { TestClock } from './clock';

export interface TestContext extends Context {
  readonly path: string;
  readonly done: () => Promise<void>;
}

/** A context on a copy of a prepared store, with ids and a clock that can be relied on. */
function copied(prepared: string, ticks: number): TestContext {
  const folder = mkdtempSync(join(tmpdir(), 'serrata-'));
  const path = join(folder, 'test.db');
  copyFileSync(prepared, path);
  const store = openStore(`file:${path}`);
  return {
    store,
    path,
    newId: () => crypto.randomUUID(),
    now: new TestClock(ticks).now,
    done: async () => {
      // What is written with nobody waiting for it is written before the store goes.
      await store.write(async () => undefined).catch(() => undefined);
      store.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** A context on an empty store of its own. */
export const testContext = (): TestContext => copied(inject('prepared').empty, 0);

/** The same with the demo loaded. */
export const demoContext = (): TestContext => copied(inject('prepared').demo, inject('prepared').ticks);
