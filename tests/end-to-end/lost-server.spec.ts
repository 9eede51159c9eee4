import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';

const store = join(mkdtempSync(join(tmpdir(), 'serrata-lost-')), 'store.db');
let server: ChildProcess | null = null;
/** Any free port at first, the same one ever after. */
let address = '';

/** Starts a server of its own and waits until it says where it is open. */
async function open(): Promise<void> {
  const port = address === '' ? '0' : new URL(address).port;
  const started = spawn(process.execPath, ['dist/server/main.mjs', '--demo'], {
    env: { ...process.env, SERRATA_DB: store, PORT: port },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  server = started;
  address = await new Promise((resolve, reject) => {
    started.once('exit', () => reject(new Error('The server did not start.')));
    started.stdout.on('data', (chunk: Buffer) => {
      const said = /open at (http:\S+?)\/?\s/.exec(chunk.toString());
      if (said) resolve(said[1]!);
    });
  });
}

/** Pulls the plug: no chance to tidy up. */
async function kill(): Promise<void> {
  const gone = new Promise((resolve) => server?.once('exit', resolve));
  server?.kill('SIGKILL');
  await gone;
  server = null;
}

test.beforeEach(async () => {
  if (!server) await open();
});
test.afterAll(() => server?.kill('SIGKILL'));

test('a killed server loses nothing acknowledged, and what is typed meanwhile is sent when it is back', async ({
  page,
}) => {
  const hits = (await (await fetch(`${address}/api/search?q=L-0420`)).json()) as { href: string }[];
  const job = `${address}${hits[0]!.href}?step=take-in`;
  await page.goto(job);
  await page.waitForSelector('[data-ready=true]');
  await page.getByLabel('Mount', { exact: true }).fill('M3');
  await page.getByLabel('Mount', { exact: true }).press('Enter');
  await expect(page.getByRole('status')).toContainText('Saved');

  await kill();
  await page.getByLabel('Top speed').fill('9999');
  await page.getByLabel('Top speed').press('Enter');
  await expect(page.getByRole('status')).toContainText('Not saved: kept here, will retry');

  await open();
  await expect(page.getByRole('status')).toContainText('Saved', { timeout: 30_000 });
  await page.reload();
  await expect(page.getByLabel('Mount', { exact: true })).toHaveValue('M3');
  await expect(page.getByLabel('Top speed')).toHaveValue('9999');
});

test('what could not be sent is taken over when the page is opened again', async ({ page }) => {
  const hits = (await (await fetch(`${address}/api/search?q=L-0420`)).json()) as { href: string }[];
  const job = `${address}${hits[0]!.href}?step=take-in`;
  await page.goto(job);
  await page.waitForSelector('[data-ready=true]');
  await page.route('**/readings', (route) => route.abort());
  await page.getByLabel('Saw', { exact: true }).fill('Brask 61');
  await page.getByLabel('Saw', { exact: true }).press('Enter');
  await expect(page.getByRole('status')).toContainText('Not saved');
  await page.unroute('**/readings');
  await page.goto(job);
  await expect(page.getByLabel('Saw', { exact: true })).toHaveValue('Brask 61');
  await expect(page.getByRole('status')).toContainText('Saved');
  await page.reload();
  await expect(page.getByLabel('Saw', { exact: true })).toHaveValue('Brask 61');
});
