import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import type { TestProject } from 'vitest/node';
import { bringUpToDate } from '../../src/data/migrate';
import { openStore } from '../../src/data/store';
import { loadDemo } from '../../src/server/demo';
import { TestClock } from './clock';

/** What is made once, before all tests of stores: each takes a copy. */
export interface Prepared {
  /** A store as migrated, and one with the demo loaded. */
  readonly empty: string;
  readonly demo: string;
  /** How far the clock went while the demo was loaded. */
  readonly ticks: number;
  /** The command line in one file, so that no test waits for a compiler. */
  readonly cli: string;
}

declare module 'vitest' {
  interface ProvidedContext {
    readonly prepared: Prepared;
  }
}

async function storeAt(path: string, demo: boolean): Promise<number> {
  const store = openStore(`file:${path}`);
  await bringUpToDate(store);
  const clock = new TestClock(0);
  if (demo) await loadDemo({ store, newId: () => crypto.randomUUID(), now: clock.now });
  // What is written with nobody waiting for it is written before the store goes.
  await store.write(async () => undefined);
  // The file alone is copied: what stands in its log would be missing there.
  await store.fold();
  store.close();
  return clock.ticks;
}

export default async function prepare({ provide }: TestProject): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'serrata-prepared-'));
  const [empty, demo] = [join(folder, 'empty.db'), join(folder, 'demo.db')];
  await storeAt(empty, false);
  const ticks = await storeAt(demo, true);
  // Beside the sources it was made of: it finds the migrations and the packages as they do.
  const cli = join(import.meta.dirname, '../../test-results/cli/serrata.mjs');
  buildSync({
    entryPoints: ['src/cli/serrata.ts'],
    outfile: cli,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    logLevel: 'warning',
  });
  provide('prepared', { empty, demo, ticks, cli });
  return () => rmSync(folder, { recursive: true, force: true });
}
