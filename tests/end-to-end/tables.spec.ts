import type { Page } from '@playwright/test';
import { expect, test } from './bench';
import { axeFindsNothing } from './axe';
import { ready, visit } from './keyboard';

const table = (page: Page, name: string) => page.getByRole('table', { name });

/** What stands in one column of the rows that are drawn. */
const column = (page: Page, name: string, at: number) =>
  table(page, name)
    .locator('tbody tr[aria-rowindex]')
    .evaluateAll((rows, cell) => rows.map((row) => (row.children[cell] as HTMLElement).innerText.trim()), at);

const amounts = (texts: readonly string[]): readonly number[] =>
  texts.map((text) => Number(text.replace(/[^\d.]/g, '')));
const isRising = (numbers: readonly number[]): boolean =>
  numbers.every((each, i) => i === 0 || each >= numbers[i - 1]!);

test('the stock list is ordered by a column, up, down and as it came, and says so', async ({ page }) => {
  await visit(page, '/stock');
  const price = page.getByRole('columnheader', { name: 'Price' });
  const last = (await price.evaluate((head) => (head as HTMLTableCellElement).cellIndex)) as number;
  const asItCame = await column(page, 'Stock', last);
  await price.getByRole('button').click();
  await expect(price).toHaveAttribute('aria-sort', 'ascending');
  await expect.poll(async () => isRising(amounts(await column(page, 'Stock', last)))).toBe(true);
  await axeFindsNothing(page, 'an ordered table');
  await price.getByRole('button').click();
  await expect(price).toHaveAttribute('aria-sort', 'descending');
  await expect.poll(async () => isRising(amounts(await column(page, 'Stock', last)).toReversed())).toBe(true);
  await price.getByRole('button').click();
  await expect(price).toHaveAttribute('aria-sort', 'none');
  await expect.poll(async () => (await column(page, 'Stock', last)).slice(0, 5)).toEqual(asItCame.slice(0, 5));
});

test('columns are chosen, and stay chosen on this device', async ({ page }) => {
  await visit(page, '/stock');
  const heads = table(page, 'Stock').getByRole('columnheader');
  await expect(heads.filter({ hasText: 'Part number' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Columns', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Columns to show' });
  await dialog.getByLabel('Part number').check();
  await dialog.getByLabel('Sequence').uncheck();
  await axeFindsNothing(page, 'columns to show');
  await page.keyboard.press('Escape');
  await expect(heads.filter({ hasText: 'Part number' })).toHaveCount(1);
  await visit(page, '/stock');
  await expect(heads.filter({ hasText: 'Part number' })).toHaveCount(1);
  await expect(heads.filter({ hasText: 'Sequence' })).toHaveCount(0);
});

test('a long list comes as it is scrolled: of thousands of rows only those on the screen are drawn', async ({
  page,
}) => {
  const NAME = 'Long list';
  const COUNT = 1400;
  for (let from = 0; from < COUNT; from += 200) {
    const parts = Array.from({ length: 200 }, (_, i) => ({
      ...{ sku: `LL-${String(from + i).padStart(4, '0')}`, kind: 'file', name: `${NAME} ${from + i}` },
      ...{ pitch: null, gauge: null, driveLinks: null, kickbackClass: null, sequence: null, mount: null },
      ...{ oilHole: null, listedInches: null, teeth: null, sprocketKind: null, splines: null, bore: null, saw: null },
      ...{ quantity: (from + i) % 97, minimum: 0, priceCents: 100 + from + i },
    }));
    const sent = await page.request.post('/api/stock/imports/long-list', {
      ...{ data: { by: 'Ines', name: 'long.csv', parts }, timeout: 0 },
    });
    expect(sent.status(), await sent.text()).toBe(200);
  }
  await visit(page, '/stock?q=Long+list');
  await expect(page.getByText(`${COUNT} parts`, { exact: true })).toBeVisible();
  const rows = table(page, 'Stock').locator('tbody tr[aria-rowindex]');
  await page.getByRole('columnheader', { name: 'Price' }).getByRole('button').click();
  await expect(table(page, 'Stock')).toHaveAttribute('aria-rowcount', String(COUNT + 1));
  await page.getByRole('columnheader', { name: 'Price' }).getByRole('button').click();
  await expect(rows.first()).toContainText(`${NAME} ${COUNT - 1}`);
  expect(await rows.count()).toBeLessThan(80);
  await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
  await expect(rows.last()).toHaveAttribute('aria-rowindex', String(COUNT + 1));
  await expect(rows.last()).toContainText(`${NAME} 0`);
  expect(await rows.count()).toBeLessThan(80);
  // The card of a part opens from wherever it stands, and what is put right there shows in its row.
  await rows.last().getByRole('button').click();
  const card = page.getByRole('dialog', { name: `${NAME} 0` });
  await card.getByLabel('Minimum').fill('5');
  await card.getByRole('button', { name: 'Put it right' }).click();
  await expect(rows.last()).toContainText('below 5');
  // The server lets everybody else in between: on a busy machine it takes what it takes.
  const undone = await page.request.post('/api/stock/imports/long-list/undo', { data: { by: 'Ines' }, timeout: 0 });
  expect(undone.status()).toBe(200);
});

test('all saws are narrowed, ordered and led from, on a phone, too', async ({ page }) => {
  await visit(page, '/gear');
  await page.getByRole('link', { name: 'All saws' }).click();
  await ready(page);
  const saws = table(page, 'All saws');
  await expect(saws.getByRole('link').first()).toBeVisible();
  await axeFindsNothing(page, 'all saws');
  await page.getByRole('columnheader', { name: 'Jobs' }).getByRole('button').click();
  await page.getByRole('columnheader', { name: 'Jobs' }).getByRole('button').click();
  const jobs = await page
    .getByRole('columnheader', { name: 'Jobs' })
    .evaluate((head) => (head as HTMLTableCellElement).cellIndex);
  await expect.poll(async () => isRising(amounts(await column(page, 'All saws', jobs)).toReversed())).toBe(true);
  await page.getByLabel('A saw, its tag, or whose it is').fill('TP-02');
  await page.getByRole('button', { name: 'Show' }).click();
  await ready(page);
  await expect(saws.locator('tbody tr[aria-rowindex]')).toHaveCount(1);
  await expect(saws.getByRole('link', { name: 'Brask 66' })).toBeVisible();
  await visit(page, '/gear/customers?q=towpath');
  const customers = table(page, 'All customers');
  await expect(customers.getByRole('link')).toHaveText(['Towpath crew']);
  await axeFindsNothing(page, 'all customers');
  await page.setViewportSize({ width: 390, height: 844 });
  await visit(page, '/gear/saws?q=TP-02');
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
  await saws.getByRole('link', { name: 'Brask 66' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Brask 66');
});
