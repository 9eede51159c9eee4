import { spawnSync } from 'node:child_process';
import { closeSync, mkdirSync, mkdtempSync, openSync, rmSync, statfsSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from './bench';
import Database from 'libsql';
import { OwnServer } from './own-server';
import { revisit, visit } from './keyboard';

const folder = mkdtempSync(join(tmpdir(), 'serrata-trouble-'));
const disk = join(folder, 'disk');
mkdirSync(disk);
/**
 * A disk of its own where one may be had; elsewhere files may only grow so far, which the engine meets as a failing
 * disk.
 */
const isOwnDisk = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=16m', 'tmpfs', disk]).status === 0;
const server = new OwnServer(join(disk, 'store.db'));

test.beforeAll(() => server.open());
test.afterAll(async () => {
  await server.end('SIGKILL');
  if (isOwnDisk) spawnSync('umount', ['-l', disk]);
  rmSync(folder, { recursive: true, force: true });
});

interface Health {
  readonly status: string;
  readonly store: { readonly writable: boolean; readonly trouble: string | null };
  readonly space: { readonly freeMb: number };
  readonly backup: { readonly hours: number } | null;
}
const health = () => server.ask<Health>('/api/health');

async function openJob(page: Page): Promise<void> {
  const made = { by: 'Ines', customer: { name: 'Crew' }, saw: null, complaint: '', promisedFor: null };
  const { id } = await server.ask<{ id: string }>('/api/jobs', made);
  await visit(page, `${server.address}/jobs/${id}?step=take-in`);
}
const mount = (page: Page) => page.getByLabel('Mount', { exact: true });
const isSaved = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible({ timeout: 60_000 });

/** Fills a disk to its last byte. */
function fill(file: string): void {
  const handle = openSync(file, 'w');
  try {
    for (const size of [1_000_000, 100_000, 4096, 512])
      for (;;)
        try {
          if (writeSync(handle, Buffer.alloc(size)) < size) break;
        } catch {
          break;
        }
  } finally {
    closeSync(handle);
  }
}

test('health tells space, whether the store can be written to, and the age of the newest backup', async () => {
  await expect.poll(async () => (await health()).backup?.hours, { timeout: 60_000 }).toBe(0);
  expect(await health()).toMatchObject({ status: 'open', store: { writable: true, trouble: null } });
  const { bavail, bsize } = statfsSync(disk);
  const free = (bavail * bsize) / 1e6;
  // Others write to a disk that is not the test's own.
  expect(Math.abs((await health()).space.freeMb - free)).toBeLessThan(isOwnDisk ? 2 : free / 10);
});

test('a full disk is told, what is typed is kept, and it is stored when there is room again', async ({ page }) => {
  test.skip(!isOwnDisk, 'No disk of its own can be had here.');
  // Stopped, the store folds its log: opened again, whatever is written makes the log grow, and so needs the disk.
  await server.end('SIGTERM');
  await server.open();
  await openJob(page);
  const filler = join(disk, 'filler');
  fill(filler);
  await mount(page).fill('M77');
  await mount(page).press('Enter');
  const told = page.getByRole('alert').filter({ hasText: 'The disk is full' });
  await expect(told.first()).toContainText('What you typed is not lost', { timeout: 60_000 });
  expect(await health()).toMatchObject({ status: 'trouble', store: { writable: false, trouble: 'full' } });
  const refused = await fetch(`${server.address}/api/people`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name: 'x'.repeat(80) }),
  });
  expect(refused.status).toBe(507);
  // Even a page that is loaded anew has it.
  await revisit(page);
  await expect(mount(page)).toHaveValue('M77');
  rmSync(filler);
  await isSaved(page);
  await expect.poll(async () => (await health()).status, { timeout: 60_000 }).toBe('open');
  await expect(told).toHaveCount(0, { timeout: 90_000 });
  expect(await server.ask('/api/store/inspect', {})).toEqual({ wrong: null });
});

test('a store that another programme holds is told, and what waited is stored when it is free', async ({ page }) => {
  await openJob(page);
  const other = new Database(server.store);
  other.exec('BEGIN IMMEDIATE');
  await mount(page).fill('M88');
  await mount(page).press('Enter');
  // Whoever looks is answered meanwhile, and at once: waiting for the store would be as long each time, a machine that
  // stalls is not.
  await expect(async () => {
    const soon = AbortSignal.timeout(2000);
    expect((await fetch(`${server.address}/`, { signal: soon })).status).toBe(200);
  }).toPass({ timeout: 10_000 });
  await expect(page.getByRole('alert').filter({ hasText: 'Another programme holds the store' }).first()).toContainText(
    'What you typed is not lost',
    { timeout: 60_000 },
  );
  expect(await health()).toMatchObject({ status: 'trouble', store: { trouble: 'held' } });
  other.exec('COMMIT');
  other.close();
  await isSaved(page);
  const job = page.url().replace(/.*\/jobs\/([\da-f-]+).*/, '$1');
  const { readings } = await server.ask<{ readings: { path: string; text: string }[] }>(`/api/jobs/${job}`);
  expect(readings).toContainEqual(expect.objectContaining({ text: 'M88' }));
});
