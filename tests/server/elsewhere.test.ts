import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openForUse } from '../../src/data/keeping/opening';
import { openStore } from '../../src/data/store';
import type { Context } from '../../src/server/context';
import { createJob } from '../../src/server/use-cases/take-in';
import { jobView } from '../../src/server/use-cases/jobs';
import { LibsqlServer } from '../support/libsql-server';

let folder: string;
let server: LibsqlServer;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'serrata-elsewhere-'));
  server = await LibsqlServer.open(join(folder, 'store.db'));
});
afterEach(async () => {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

const opened = (): Context => ({
  store: openStore(server.url),
  now: () => new Date(),
  newId: () => crypto.randomUUID(),
});

describe('x', () => {
  it('works', async () => {
    const context = opened();
    await openForUse(context.store, context.now);
    console.log('trips to migrate', server.trips);
    server.trips = 0;
    const { id } = await createJob(context, { by: 'Tam', customer: { name: 'C' }, saw: null, complaint: '', promisedFor: null } as never);
    console.log('trips to create', server.trips);
    server.trips = 0;
    await jobView(context, id);
    console.log('trips of a view', server.trips);
    context.store.close();
  });
});
