import type { Browser, Page } from '@playwright/test';
import { expect, test } from './bench';
import { axeFindsNothing } from './axe';
import { copyOf, saved, visit } from './keyboard';

const NOBODY = { cookies: [], origins: [] };

/** A second bench: another browser, with somebody else at it. */
async function secondBench(browser: Browser) {
  const context = await browser.newContext({ storageState: NOBODY, viewport: { width: 1280, height: 800 } });
  await context.addCookies([{ name: 'serrata-who', value: 'Tam%20Okoro', domain: '127.0.0.1', path: '/' }]);
  return context;
}

/** Words that no other job on the Bench bears. */
const named = (words: string): string => `${words} ${crypto.randomUUID().slice(0, 8)}`;

/** A customer of a test's own: their jobs are a list of their own, however many others stand on the Bench. */
async function ownCustomer({ request }: Page): Promise<string> {
  const data = { by: 'Ines Holloway', customer: { name: named('Live') }, saw: null, complaint: '', promisedFor: null };
  const { id } = (await (await request.post('/api/jobs', { data })).json()) as { id: string };
  const { customer } = (await (await request.get(`/api/jobs/${id}`)).json()) as { customer: { id: string } };
  return customer.id;
}

/** Takes in a job of that customer, who says so. */
async function arrives({ request }: Page, customer: string, complaint: string): Promise<string> {
  const data = { by: 'Tam Okoro', customer: { id: customer }, saw: null, complaint, promisedFor: null };
  const answer = await request.post('/api/jobs', { data });
  return ((await answer.json()) as { id: string }).id;
}

test('what one bench writes the other sees, with who is there and what they type into', async ({ page, browser }) => {
  await copyOf(page, 'L-0427', 'bar');
  const job = page.url();
  const context = await secondBench(browser);
  const other = await context.newPage();
  await visit(other, job);

  // Each learns of the other.
  await expect(page.getByRole('region', { name: 'Also on this job' })).toContainText('Tam Okoro: Bar');
  await expect(other.getByRole('region', { name: 'Also on this job' })).toContainText('Ines Holloway: Bar');
  await axeFindsNothing(page, 'somebody else on the job');

  // What is typed into is marked, and what is typed is not told.
  const near = '[data-path="bar.edges.A.stations.0.near"]';
  const was = await page.locator(near).inputValue();
  await other.locator(near).fill('1.1');
  await expect(page.getByText('Tam Okoro is typing here')).toBeVisible();
  await expect(page.locator(near)).toHaveValue(was);
  await other.locator(near).press('Enter');
  await expect(page.locator(near)).toHaveValue('1.1');
  await expect(page.getByText('Tam Okoro is typing here')).toHaveCount(0);
  await saved(other);

  // A verdict that changes under somebody's eyes says by whom and why; at the bench that changed it, it is no news.
  const news = page.getByRole('region', { name: 'Changed by somebody else' });
  await expect(news).toContainText(/Bar: .*; it was /);
  await expect(news).toContainText('Tam Okoro: edge A, station 1, near rail');
  await expect(other.getByRole('region', { name: 'Changed by somebody else' })).toHaveCount(0);
  await axeFindsNothing(page, 'news of somebody else');
  await news.getByRole('button', { name: 'Seen' }).click();
  await expect(news).toHaveCount(0);

  // Who leaves has gone.
  await other.goto('about:blank');
  await expect(page.getByRole('region', { name: 'Also on this job' })).toHaveCount(0);
  await context.close();
});

test('the Bench and the stock list follow what others do, and the keys stay where they are', async ({
  page,
  browser,
}) => {
  const customer = await ownCustomer(page);
  await visit(page, `/?customer=${customer}`);
  const context = await secondBench(browser);
  const other = await context.newPage();
  await visit(other, '/');
  const lines = page.locator('a[data-job]');
  await lines.first().focus();
  const focused = await page.evaluate(() => (document.activeElement as HTMLElement).dataset.job);
  const arrived = named('Just arrived');
  const id = await arrives(other, customer, arrived);
  await expect(page.getByText(arrived)).toBeVisible();
  expect(await page.evaluate(() => (document.activeElement as HTMLElement).dataset.job)).toBe(focused);
  await visit(other, `/jobs/${id}?step=chain`);
  await expect(page.getByText('Tam Okoro is at it: Chain')).toBeVisible();

  await visit(page, '/stock');
  const parts = (await (await page.request.get('/api/stock')).json()) as { parts: { sku: string; quantity: number }[] };
  const [part] = parts.parts;
  const row = page.getByRole('row').filter({ hasText: part!.sku });
  await expect(row).toContainText(String(part!.quantity));
  const movement = { id: crypto.randomUUID(), by: 'Tam Okoro', kind: 'booked', pieces: 1000, note: '' };
  await other.request.post(`/api/stock/parts/${encodeURIComponent(part!.sku)}`, { data: movement });
  await expect(row).toContainText(String(part!.quantity + 1000));
  await context.close();
});

test('what changed before a page heard anything, and what could not be had at once, is shown all the same', async ({
  page,
  context,
}) => {
  const customer = await ownCustomer(page);
  const [unheard, between, late] = [named('Unheard'), named('Between'), named('Late')];
  // The stream is held while something arrives.
  const held: (() => void)[] = [];
  await page.route('**/api/live*', async (route) => {
    await new Promise<void>((resolve) => void held.push(resolve));
    await route.continue();
  });
  await visit(page, `/?customer=${customer}`);
  await expect.poll(() => held.length).toBe(1);
  await arrives(page, customer, unheard);
  held[0]!();
  await expect(page.getByText(unheard)).toBeVisible();

  // What was changed since another page was drawn is not known to the page that hears for all.
  const second = await context.newPage();
  await visit(second, `/?customer=${customer}`);
  await arrives(page, customer, between);
  await expect(second.getByText(between)).toBeVisible();

  // An answer that failed is asked for again.
  let failed = 0;
  await page.route('**/api/bench*', (route) => {
    failed += 1;
    return failed === 1 ? route.fulfill({ status: 503, json: { code: 'failed', message: 'later' } }) : route.continue();
  });
  await arrives(page, customer, late);
  await expect(page.getByText(late)).toBeVisible();
  expect(failed).toBeGreaterThan(1);
});

test('a browser hears by one stream, however many of its pages are open, and goes on when the page that hears is shut', async ({
  page,
  context,
}) => {
  const streams: string[] = [];
  context.on('request', (request) => {
    if (new URL(request.url()).pathname === '/api/live') streams.push(request.url());
  });
  await copyOf(page, 'L-0427', 'bar');
  const second = await context.newPage();
  await visit(second, page.url());
  await expect(second.getByRole('region', { name: 'Also on this job' })).toBeVisible();
  expect(streams).toHaveLength(1);
  const address = `/api/jobs/${/jobs\/([^?]+)/.exec(page.url())![1]}/readings`;
  const write = async (text: string, supersedes: string | null, id: string) => {
    const reading = { id, path: 'bar.edges.A.stations.3.near', text, unit: 'mm', instrument: null, supersedes };
    await second.request.post(address, { data: { by: 'Tam Okoro', readings: [reading] } });
  };
  await page.close();
  await expect.poll(() => streams.length).toBe(2);
  await write('0.3', null, crypto.randomUUID());
  await expect(second.locator('[data-path="bar.edges.A.stations.3.near"]')).toHaveValue('0.3');
});
