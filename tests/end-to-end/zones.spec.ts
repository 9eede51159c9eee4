import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from './bench';
import { STYLES } from '../../src/contract';
import { OwnServer } from './own-server';
import { visit } from './keyboard';

const server = new OwnServer(join(mkdtempSync(join(tmpdir(), 'serrata-zones-')), 'store.db'), {
  TZ: 'America/New_York',
});
test.use({ timezoneId: 'Pacific/Auckland', locale: 'de-AT' });
test.beforeAll(() => server.open());
test.afterAll(() => server.end('SIGKILL'));

const VIEWS = [
  '/',
  '/?show=done',
  '/counter',
  '/stock',
  '/stock?low=yes',
  '/gear',
  '/gear/customers/c-towpath',
  '/gear/saws/s-brask-66',
  '/shop?view=about',
  '/shop?view=backup',
  '/shop',
];

test('a page drawn far away is the page that is drawn here: nothing is written twice, in no view', async ({ page }) => {
  const wrong: string[] = [];
  page.on('pageerror', (error) => wrong.push(`${page.url()}: ${error.message}`));
  page.on('console', (message) => message.type() === 'error' && wrong.push(`${page.url()}: ${message.text()}`));
  const bench = await (await fetch(`${server.address}/`)).text();
  const jobs = [...new Set(bench.match(/\/jobs\/[\da-f-]{36}/g))];
  for (const view of [
    ...VIEWS,
    ...jobs.slice(0, 3),
    `${jobs[0]}?step=decide`,
    `${jobs[0]}/customer`,
    `${jobs[0]}/tag`,
  ]) {
    await visit(page, `${server.address}${view}`);
  }
  expect(wrong).toEqual([]);
});

test('server and browser write dates and amounts alike, in every style that can be chosen', async ({ page }) => {
  await visit(page, `${server.address}/`);
  const asked = Object.keys(STYLES).flatMap((style) =>
    ['GBP', 'EUR', 'USD', 'CHF', 'SEK', 'JPY'].map((currency) => ({ style, currency })),
  );
  const write = (all: typeof asked) =>
    all.flatMap(({ style, currency }) => [
      new Intl.NumberFormat(style, { style: 'currency', currency }).format(1234.5),
      ...['2026-01-05T00:30:00Z', '2026-07-31T12:05:00Z', '2026-12-31T23:45:00Z'].flatMap((iso) =>
        ['medium', 'none'].map((time) =>
          new Intl.DateTimeFormat(style, {
            dateStyle: 'medium',
            ...(time === 'none' ? {} : { timeStyle: 'short' }),
            timeZone: 'Europe/London',
          }).format(new Date(iso)),
        ),
      ),
    ]);
  expect(await page.evaluate(write, asked)).toEqual(write(asked));
});
