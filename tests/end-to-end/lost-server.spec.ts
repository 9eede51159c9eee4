import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from './bench';
import { OwnServer } from './own-server';
import { revisit, visit } from './keyboard';

const server = new OwnServer(join(mkdtempSync(join(tmpdir(), 'serrata-lost-')), 'store.db'));

test.beforeEach(async () => {
  if (!server.isOpen) await server.open();
});
test.afterAll(() => server.end('SIGKILL'));

test('a killed server loses nothing acknowledged, and what is typed meanwhile is sent when it is back', async ({
  page,
}) => {
  const hits = (await (await fetch(`${server.address}/api/search?q=L-0420`)).json()) as { href: string }[];
  const job = `${server.address}${hits[0]!.href}?step=take-in`;
  await visit(page, job);
  await page.getByLabel('Mount', { exact: true }).fill('M3');
  await page.getByLabel('Mount', { exact: true }).press('Enter');
  await expect(page.getByRole('status')).toContainText('Saved');

  await server.end('SIGKILL');
  await page.getByLabel('Top speed').fill('9999');
  await page.getByLabel('Top speed').press('Enter');
  await expect(page.getByRole('status')).toContainText('Not saved: kept here, will retry');

  await server.open();
  await expect(page.getByRole('status')).toContainText('Saved', { timeout: 60_000 });
  await revisit(page);
  await expect(page.getByLabel('Mount', { exact: true })).toHaveValue('M3');
  await expect(page.getByLabel('Top speed')).toHaveValue('9999');
});

test('what could not be sent is taken over when the page is opened again', async ({ page }) => {
  const hits = (await (await fetch(`${server.address}/api/search?q=L-0420`)).json()) as { href: string }[];
  const job = `${server.address}${hits[0]!.href}?step=take-in`;
  await visit(page, job);
  await page.route('**/readings', (route) => route.abort());
  await page.getByLabel('Saw', { exact: true }).fill('Brask 61');
  await page.getByLabel('Saw', { exact: true }).press('Enter');
  await expect(page.getByRole('status')).toContainText('Not saved');
  await page.unroute('**/readings');
  await visit(page, job);
  await expect(page.getByLabel('Saw', { exact: true })).toHaveValue('Brask 61');
  await expect(page.getByRole('status')).toContainText('Saved');
  await revisit(page);
  await expect(page.getByLabel('Saw', { exact: true })).toHaveValue('Brask 61');
});
