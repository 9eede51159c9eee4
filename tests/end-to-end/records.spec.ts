import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
import { axeFindsNothing } from './axe';
import { expect, test, type Page } from './bench';
import { ready, revisit, saved, visit } from './keyboard';
import { OwnServer } from './own-server';

const server = new OwnServer(join(mkdtempSync(join(tmpdir(), 'serrata-records-test-')), 'store.db'));
test.beforeAll(() => server.open());
test.afterAll(() => server.end('SIGKILL'));

/** The address of a job, by its tag. */
async function jobAddress(tag: string): Promise<string> {
  const [hit] = await server.ask<{ href: string }[]>(`/api/search?q=${tag}`);
  return `${server.address}${hit!.href}`;
}

const records = (page: Page) => visit(page, `${server.address}/shop?view=records`);

test('a paper that was given stays as it was, and the store knows its code', async ({ page }) => {
  const job = await jobAddress('L-0407');
  await visit(page, `${job.split('?')[0]}/customer`);
  const foot = page.getByRole('article').locator('footer');
  await expect(foot).toContainText('As it was given by');
  const code = /\d+(-\w{4}){3}/.exec(await foot.innerText())![0];

  await records(page);
  await page.getByRole('button', { name: 'Go through them now' }).click();
  await expect(page.getByText(/^All \d+ records are as they were written\.$/)).toBeVisible();
  await page.getByLabel('A code from a paper').fill(code.toLowerCase());
  await page.getByLabel('A code from a paper').press('Enter');
  await expect(page.getByText(`Record ${Number.parseInt(code, 10)} of this store is`)).toBeVisible();
  await page.getByLabel('A code from a paper').fill('12-AAAA-BBBB-CCCC');
  await page.getByRole('button', { name: 'Find it' }).click();
  await expect(page.getByText('This store has no record with that code.')).toBeVisible();
  await page.getByLabel('A code from a paper').fill('nothing');
  await page.getByRole('button', { name: 'Find it' }).click();
  await expect(page.getByText('A code from a paper looks like')).toBeVisible();
  await axeFindsNothing(page, 'records');
});

test('a job that has gone keeps what is typed until it is open again, and its papers beside the new ones', async ({
  page,
}) => {
  const job = (await jobAddress('L-0407')).split('?')[0]!;
  await visit(page, `${job}?step=strip`);
  const gone = page.getByText('This job was handed over. What is typed here is stored once it is open again.');
  await expect(gone).toBeVisible();
  await visit(page, `${job}?step=sprocket`);
  const wear = page.locator('input[data-path="driveSprocket.wear"]');
  await wear.fill('0.44');
  await wear.press('Tab');
  await expect(page.getByText('This job was handed over: open it again to write to it.').first()).toBeVisible();
  await page.getByRole('button', { name: 'Open again' }).click();
  await expect(gone).toHaveCount(0);
  await ready(page);
  await saved(page);
  await revisit(page);
  await expect(wear).toHaveValue('0.44');
  await visit(page, `${job}?step=hand-over`);
  const before = page.getByRole('listitem').filter({ hasText: 'Handed over by' });
  await before.getByRole('link', { name: 'Customer’s page' }).click();
  await expect(page.getByRole('article').locator('footer')).toContainText('As it was given by');
});

test('a record that was changed with the file in hand is named, at the start and under Shop', async ({ page }) => {
  await server.end('SIGTERM');
  const store = new Database(server.store);
  store.exec("DROP TRIGGER reading_never_changes; UPDATE reading SET text = '1' WHERE seq = 30");
  store.close();
  await server.open();
  await records(page);
  await expect(page.getByText('Guards of the store put right: reading_never_changes')).toBeVisible();
  await page.getByRole('button', { name: 'Go through them now' }).click();
  await expect(page.getByText('One thing in the records does not fit:')).toBeVisible();
  await expect(page.getByText(/^Record \d+, a reading \(reading 30\), is not what it was/)).toBeVisible();
  expect((await server.ask<{ says: string }>('/api/health')).says).toContain('Shop, Records says where');
  await axeFindsNothing(page, 'records that do not fit');
});
