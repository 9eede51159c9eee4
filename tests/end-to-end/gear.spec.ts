import { readFile } from 'node:fs/promises';
import { expect, test } from './bench';
import { axeFindsNothing } from './axe';
import { openJob, ready, visit } from './keyboard';

const SAW = '/gear/saws/s-brask-66';

test('a saw is found by its tag, and its bar’s life leads from the forecast to each of its jobs', async ({ page }) => {
  await visit(page, '/');
  await page.keyboard.press('g');
  await page.keyboard.press('e');
  await page.waitForURL('**/gear');
  await ready(page);
  await page.getByLabel('A saw, its tag, or whose it is').fill('TP-02');
  await page.keyboard.press('Enter');
  await page.waitForURL('**/gear?q=TP-02');
  await ready(page);
  await page.getByRole('link', { name: /^Brask 66/ }).click();
  await page.waitForURL(`**${SAW}`);
  await ready(page);
  const now = page.getByRole('region', { name: 'On it now' });
  await expect(now.getByRole('listitem')).toHaveCount(4);
  await expect(page.getByRole('region', { name: 'Was on it' }).getByRole('listitem')).toHaveCount(3);
  await now.getByRole('link', { name: 'Bar', exact: true }).click();
  await page.waitForURL('**/gear/pieces/bar.found.*');
  await ready(page);
  await expect(
    page.getByText(/^Depth at the weakest place: 6\.00 mm is reached about .* eight times in ten/),
  ).toBeVisible();
  await expect(
    page.getByRole('img', { name: /^Plot\. Depth at the weakest place\. Measured 18 times\./ }),
  ).toBeVisible();
  const points = page.getByRole('table', { name: 'Measured: Depth at the weakest place' });
  await expect(points.getByRole('row')).toHaveCount(19);
  await page.getByRole('radio', { name: 'in', exact: true }).check({ force: true });
  await expect(points.getByRole('row').nth(1)).toContainText(' in');
  await page.getByRole('radio', { name: 'mm', exact: true }).check({ force: true });
  await points.getByRole('link', { name: 'L-0305' }).first().click();
  await page.waitForURL('**/jobs/*');
  await expect(page.getByRole('heading', { name: 'L-0305' })).toBeVisible();
});

test('a job leads to what is on its saw, and search leads there, too', async ({ page }) => {
  await openJob(page, 'L-0418', 'take-in');
  await page.getByRole('link', { name: 'What is on it, and its past' }).click();
  await page.waitForURL('**/gear/saws/s-brask-70');
  await ready(page);
  await expect(page.getByRole('heading', { name: /^Brask 70/ })).toBeVisible();
  const hits = (await (await page.request.get('/api/search?q=TP-02')).json()) as { href: string }[];
  expect(hits.map(({ href }) => href)).toContain(SAW);
  await visit(page, '/?customer=c-towpath');
  await page.getByRole('navigation', { name: 'Which jobs' }).getByRole('link', { name: 'Gear' }).click();
  await page.waitForURL('**/gear/customers/c-towpath');
});

test('a customer’s card is printed with the numbers of each saw, and nothing else', async ({ page }) => {
  await visit(page, '/gear/customers/c-towpath');
  const numbers = page.getByRole('region', { name: 'The numbers for next time' });
  const cards = numbers.getByRole('listitem');
  const count = await cards.count();
  expect(count).toBeGreaterThan(5);
  await expect(page.getByRole('link', { name: 'Back to Gear' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('link', { name: 'Back to Gear' })).toBeHidden();
  await expect(page.getByRole('link', { name: /^L-/ }).first()).toBeHidden();
  await expect(cards).toHaveCount(count);
  await expect(cards.filter({ hasText: 'Brask 66' })).toContainText('LD-3250-72');
  expect((await page.pdf()).length).toBeGreaterThan(1000);
});

test('what is due of a fleet is taken into a calendar and into a list', async ({ page }) => {
  await visit(page, '/gear/customers/c-towpath');
  const due = page.getByRole('region', { name: 'Due within a year' });
  const count = await due.getByRole('listitem').count();
  expect(count).toBeGreaterThan(5);
  const saved = async (name: string) => {
    const [download] = await Promise.all([page.waitForEvent('download'), due.getByRole('link', { name }).click()]);
    return { name: download.suggestedFilename(), text: await readFile(await download.path(), 'utf8') };
  };
  const calendar = await saved('Into a calendar');
  expect(calendar.name).toBe('Towpath-crew.due.ics');
  expect(calendar.text.match(/BEGIN:VEVENT/g)).toHaveLength(count);
  const list = await saved('As CSV');
  expect(list.text.trim().split('\n')).toHaveLength(count + 1);
  await due.getByRole('link', { name: /Bar.*Brask 66/ }).click();
  await page.waitForURL('**/gear/pieces/bar.found.*');
});

for (const [what, size] of [
  ['phone', { width: 390, height: 844 }],
  ['tablet', { width: 1024, height: 768 }],
  ['bench', { width: 1280, height: 800 }],
] as const)
  test(`gear can be read on a ${what}`, async ({ page }) => {
    await page.setViewportSize(size);
    await visit(page, SAW);
    const piece = (await page.getByRole('link', { name: 'Chain', exact: true }).first().getAttribute('href'))!;
    for (const address of ['/gear', '/gear?q=nobody-at-all', '/gear/customers/c-towpath', SAW, piece]) {
      await visit(page, address);
      if (address === piece) await expect(page.getByRole('img', { name: /^Plot/ }).first()).toBeVisible();
      expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth), address).toBe(0);
      await axeFindsNothing(page, address);
    }
  });

test('what gear does not know leads nowhere', async ({ page }) => {
  for (const address of ['/gear/saws/none', '/gear/customers/none', '/gear/pieces/bar.found.none'])
    expect((await page.goto(address))!.status(), address).toBe(404);
});
