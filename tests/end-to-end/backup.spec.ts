import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync } from 'node:fs';
import { request as nodeRequest } from 'node:http';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { expect, test } from './bench';
import { OwnServer } from './own-server';
import { ready, visit } from './keyboard';

const folder = mkdtempSync(join(tmpdir(), 'serrata-backup-test-'));
const server = new OwnServer(join(folder, 'store.db'));
test.afterAll(() => server.end('SIGKILL'));

/** The command line on the store of this test. */
function serrata(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(resolve('node_modules/.bin/tsx'), ['src/cli/serrata.ts', ...args], {
    env: { ...process.env, SERRATA_DB: server.store },
    encoding: 'utf8',
  });
  return { status, said: stdout + stderr };
}

const nowHere = (name: string) =>
  fetch(`${server.address}/api/people`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name }),
  });
const people = async (): Promise<string> => (await fetch(`${server.address}/`)).text();

test('a shop saves itself with one click, is put back by one command, and a clean stop leaves one whole file', async ({
  page,
}) => {
  await server.open();
  await nowHere('Before Backup');
  await visit(page, `${server.address}/shop?view=backup`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save a backup' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^serrata-\d{4}-\d\d-\d\d\.db$/);
  await expect(page.getByText('is whole, and on its way')).toBeVisible();
  const foreign = {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: 'http://elsewhere.example' },
    body: '{}',
  };
  expect((await fetch(`${server.address}/api/backup`, foreign)).status).toBe(403);
  // No room to write in: it is said, and nothing is downloaded.
  await page.route('**/api/backup', (route) =>
    route.fulfill({ status: 503, json: { code: 'not-saved', message: 'The backup could not be made. No space.' } }),
  );
  await page.getByRole('button', { name: 'Save a backup' }).click();
  await expect(page.getByRole('alert')).toContainText('The backup could not be made. No space.');
  const saved = join(folder, 'saved.db');
  await download.saveAs(saved);
  await nowHere('After Backup');
  expect(serrata('restore', saved)).toMatchObject({ status: 2, said: expect.stringContaining('stop Serrata') });

  await server.end('SIGTERM');
  // Nothing is left in a log beside the file: copied alone, it is the whole store.
  const copy = join(folder, 'copy.db');
  copyFileSync(server.store, copy);
  const put = serrata('restore', saved);
  expect(put).toMatchObject({ status: 0, said: expect.stringContaining('What stood there is kept as') });
  await server.open();
  expect(await people()).toContain('Before Backup');
  expect(await people()).not.toContain('After Backup');

  await server.end('SIGTERM');
  expect(serrata('restore', copy).status).toBe(0);
  await server.open();
  expect(await people()).toContain('After Backup');
  const again = join(folder, 'by-command.db');
  expect(serrata('backup', again).status).toBe(0);
  expect(serrata('backup', again)).toMatchObject({ status: 2, said: expect.stringContaining('is there already') });
});

test('a backup is put back while the shop is open, everybody is told, and what stood there can be put back in turn', async ({
  page,
  context,
}) => {
  if (!server.isOpen) await server.open();
  await nowHere('Kept Person');
  await visit(page, `${server.address}/shop?view=backup`);
  await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save a backup' }).click()]);
  const list = page.getByRole('list', { name: 'Backups' });
  const first = list.getByRole('listitem').first();
  await expect(first).toContainText('saved by hand');
  await nowHere('Later Person');
  const elsewhere = await context.newPage();
  await visit(elsewhere, server.address);
  await elsewhere.waitForResponse('**/api/health').catch(() => undefined);

  await first.getByRole('button', { name: 'Put back…' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText('The backup was put back.')).toBeVisible({ timeout: 60_000 });
  expect(await people()).toContain('Kept Person');
  expect(await people()).not.toContain('Later Person');
  await expect(elsewhere.getByText('A backup was put back since this page was opened')).toBeVisible({
    timeout: 90_000,
  });
  await expect(first).toContainText('stood here until another was put back');
  await ready(page);
  await first.getByRole('button', { name: 'Put back…' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText('The backup was put back.')).toBeVisible({ timeout: 60_000 });
  await expect.poll(people).toContain('Later Person');
  await page.getByRole('button', { name: 'Look it through' }).click();
  await expect(page.getByText('The store is whole.')).toBeVisible();
});

/** Begins to bring a backup that never comes to its end. @returns the status once it is refused, and what ends it */
function slowlyBrought(): { readonly refused: Promise<number>; readonly end: () => void } {
  const slow = nodeRequest(`${server.address}/api/backups/bring`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream', 'Content-Length': '1000000' },
  });
  slow.on('error', () => undefined);
  slow.write('begun');
  const refused = new Promise<number>((resolve) => slow.once('response', ({ statusCode }) => resolve(statusCode!)));
  return { refused, end: () => void slow.destroy() };
}

test('backups that come slowly keep nobody from saving theirs, and only two of them fill the disk', async () => {
  if (!server.isOpen) await server.open();
  const brought = [slowlyBrought(), slowlyBrought(), slowlyBrought()];
  try {
    // One of the three, whichever came last, is refused before all of it is here; the others go on.
    expect(await Promise.race(brought.map(({ refused }) => refused))).toBe(409);
    expect((await fetch(`${server.address}/api/health`)).status).toBe(200);
    await server.ask('/api/store/inspect', {});
  } finally {
    for (const { end } of brought) end();
  }
  // Those that were given up make room: one that is no backup is read, and refused for what it is.
  await expect
    .poll(async () => {
      const bytes = { method: 'POST', headers: { 'Content-Type': 'application/octet-stream' }, body: 'no backup' };
      return (await fetch(`${server.address}/api/backups/bring`, bytes)).status;
    })
    .toBe(422);
});

test('an archive goes out, is brought back, and stands among the backups; what is none is refused', async ({
  page,
}) => {
  if (!server.isOpen) await server.open();
  await visit(page, `${server.address}/shop?view=backup`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save an archive' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^serrata-\d{4}-\d\d-\d\d\.zip$/);
  const archive = join(folder, 'shop.zip');
  await download.saveAs(archive);
  const bring = page.getByLabel('A backup from elsewhere');
  await bring.setInputFiles(archive);
  await expect(page.getByText('shop.zip is whole')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('list', { name: 'Backups' })).toContainText('brought from elsewhere');
  await bring.setInputFiles({ name: 'letter.txt', mimeType: 'text/plain', buffer: Buffer.from('Dear shop') });
  await expect(page.getByRole('alert')).toContainText('is no store of Serrata');

  await server.end('SIGTERM');
  expect(serrata('restore', archive)).toMatchObject({ status: 0 });
  const again = join(folder, 'again.zip');
  expect(serrata('archive', again)).toMatchObject({ status: 0, said: expect.stringContaining('holds the whole shop') });
  expect(serrata('archive', again)).toMatchObject({ status: 2, said: expect.stringContaining('is there already') });
});
