import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { axeFindsNothing } from './axe';
import { expect, test } from './bench';
import { ready, visit } from './keyboard';
import { OwnServer } from './own-server';

const INES = 'gravel lantern spoon';
const WREN = 'willow ferry cabbage';

const server = new OwnServer(join(mkdtempSync(join(tmpdir(), 'serrata-shops-')), 'store.db'), {
  SERRATA_MOST_REQUESTS: '0',
});
test.beforeAll(() => server.open());
test.afterAll(() => server.end('SIGKILL'));
// One after the other, on one store: first nobody signs in, then everybody does.
test.describe.configure({ mode: 'serial' });

const at = (path: string): string => `${server.address}${path}`;

interface Sheeted {
  readonly sheet: unknown;
}

/** A job of the demo as a sheet, without what is of its own shop. */
async function sheetOf(page: Page, tag: string): Promise<unknown> {
  const { jobs } = (await (await page.request.get(at('/api/bench'))).json()) as { jobs: { id: string; tag: string }[] };
  const { id } = jobs.find((job) => job.tag === tag)!;
  const answer = await page.request.get(at(`/api/jobs/${id}/sheet.json`));
  return answer.json();
}

async function takeIn(page: Page, job: Partial<Sheeted> & Record<string, unknown>): Promise<string> {
  const data = { by: 'Wren Ashby', saw: null, complaint: '', promisedFor: null, ...job };
  const answer = await page.request.post(at('/api/jobs'), { data });
  expect(answer.ok(), await answer.text()).toBe(true);
  return ((await answer.json()) as { id: string }).id;
}

test('another shop begins on the store, with its own Bench, what its sister has on the shelf, and the past of a shared saw', async ({
  page,
}) => {
  await visit(page, at('/'));
  const here = (await page.getByRole('heading', { name: 'On the bench' }).locator('..').locator('p').textContent())!;
  const first = here.split(' · ')[0]!;
  const sheet = await sheetOf(page, 'L-0417');

  await visit(page, at('/shop?view=shops'));
  await expect(page.getByRole('listitem').filter({ hasText: first })).toContainText('this shop');
  await page.getByRole('button', { name: 'Add the shop' }).click();
  await expect(page.getByText('Write the name of the shop.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name of the shop' }).fill('Lower Lock');
  await page.getByRole('textbox', { name: 'The owner’s name' }).fill('Ines Holloway');
  await page.getByRole('button', { name: 'Add the shop' }).click();
  await expect(page.getByRole('alert')).toContainText('Somebody of another shop of this store is called Ines Holloway');
  await expect(page.getByRole('textbox', { name: 'Name of the shop' })).toHaveValue('Lower Lock');
  await page.getByRole('textbox', { name: 'The owner’s name' }).fill('Wren Ashby');
  await page.getByRole('button', { name: 'Add the shop' }).click();
  await expect(page.getByText('Lower Lock is on this store.')).toBeVisible();
  await axeFindsNothing(page, 'shops');

  // A bench where nobody signs in works for one of them.
  await page.getByRole('button', { name: 'Work for Lower Lock here' }).click();
  await page.waitForURL(at('/'));
  await ready(page);
  await expect(page.getByText('Lower Lock · 0 jobs')).toBeVisible();
  const id = await takeIn(page, { customer: { name: 'Reed cutters' }, sheet });
  await expect(page.getByText('Lower Lock · 1 job')).toBeVisible();
  await expect(page.getByText('L-0001')).toBeVisible();

  // None on its own shelf: the sister's comes before the supplier.
  await visit(page, at(`/jobs/${id}?step=order`));
  await expect(page.getByText(`on the shelf of ${first}: ask them before you order`).first()).toBeVisible();
  await axeFindsNothing(page, 'parts at a sister shop');

  // What is the store's is told, and left to the shop that keeps it.
  await visit(page, at('/shop?view=backup'));
  await expect(page.getByText(`${first} keeps this store`)).toBeVisible();
  expect((await page.request.post(at('/api/backup'), { data: {} })).status()).toBe(403);

  // A saw that was at the sister's has its past here.
  await visit(page, at('/gear/saws'));
  await page.getByRole('row').nth(1).getByRole('link').first().click();
  await page.waitForURL('**/gear/saws/*');
  await ready(page);
  const tag = page.getByText(new RegExp(`L-\\d{4} \\(${first}\\)`)).first();
  await expect(tag).toBeVisible();

  await visit(page, at('/shop?view=shops'));
  await page.getByRole('button', { name: `Work for ${first} here` }).click();
  await page.waitForURL(at('/'));
  await ready(page);
  await expect(page.getByText('Reed cutters')).toHaveCount(0);
});

test('where people sign in, each comes into their own shop', async ({ page, browser }) => {
  await visit(page, at('/shop?view=people'));
  await page.getByRole('textbox', { name: 'Password' }).fill(INES);
  await page.getByRole('button', { name: 'Let people sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Signed in now' })).toBeVisible();
  await visit(page, at('/shop?view=shops'));
  await expect(page.getByRole('button', { name: /^Work for/ })).toHaveCount(0);
  const lower = page.getByRole('listitem').filter({ hasText: 'Lower Lock' });
  await expect(lower).toContainText('nobody can sign in there yet');
  await page.getByRole('button', { name: 'Give Lower Lock an owner' }).click();
  await page.getByRole('dialog').getByRole('textbox', { name: 'The owner’s name' }).fill('Wren Ashby');
  await page.getByRole('dialog').getByRole('textbox', { name: 'The owner’s first password' }).fill(WREN);
  await page.getByRole('button', { name: 'Make them the owner' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(lower).not.toContainText('nobody can sign in there yet');

  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const theirs = await context.newPage();
  await theirs.goto(at('/sign-in'));
  await ready(theirs);
  await theirs.getByRole('textbox', { name: 'Name' }).fill('Wren Ashby');
  await theirs.getByRole('textbox', { name: 'Password' }).fill(WREN);
  await theirs.keyboard.press('Enter');
  await theirs.waitForURL((url) => url.pathname !== '/sign-in');
  await ready(theirs);
  await expect(theirs.getByText('Reed cutters')).toBeVisible();
  await visit(theirs, at('/shop?view=shops'));
  await theirs.getByRole('checkbox', { name: 'The other shops find our customers and their saws' }).uncheck();
  await theirs.getByRole('button', { name: 'Write it down' }).click();
  await expect(theirs.getByText('It is written down.')).toBeVisible();
  await expect(theirs.getByRole('button', { name: 'Add the shop' })).toHaveCount(0);
  // The page of the first shop follows.
  await expect(lower).toContainText('keeps its customers and saws to itself');
  await context.close();
});
