import { expect, test, type Page } from './bench';
import { axeFindsNothing } from './axe';
import { copyOf, ready, visit } from './keyboard';

test('a job opens with its verdicts in their place, before any script has run', async ({ browser, page }) => {
  await copyOf(page, 'L-0418', 'bar');
  const address = page.url();
  const still = await (await browser.newContext({ javaScriptEnabled: false })).newPage();
  await still.goto(address);
  const verdict = { name: 'Bar: Replace' };
  const drawn = still.getByRole('region', verdict);
  await expect(drawn).toBeVisible();
  await expect(still.getByRole('heading', { level: 1 })).toHaveText(/^L-\d{4}$/);
  await expect(still.getByRole('complementary')).toContainText(/Chain\s*Recondition/);
  await visit(page, address);
  const alive = page.getByRole('region', verdict);
  await expect(alive).toContainText('rests on');
  const [before, after] = [await drawn.boundingBox(), await alive.boundingBox()];
  for (const side of ['x', 'y', 'width'] as const) expect(Math.abs(before![side] - after![side])).toBeLessThan(2);
  await still.getByRole('link', { name: 'Chain', exact: true }).click();
  await expect(still).toHaveURL(/\?step=chain$/);
  await expect(still.getByRole('complementary').getByRole('region').first()).toContainText('Chain');
  await still.context().close();
});

test('a job that is opening is whole to axe, on a desk and on a phone', async ({ browser, page: before }) => {
  await copyOf(before, 'L-0417', 'chain');
  const address = before.url();
  for (const viewport of [
    { width: 1280, height: 800 },
    { width: 390, height: 844 },
  ]) {
    // Nothing is looked at while it fades in.
    const context = await browser.newContext({ viewport, reducedMotion: 'reduce' });
    const page = await context.newPage();
    // The page comes, and its scripts do not.
    await page.route(/\/_astro\/.*\.js$/, (route) => route.abort());
    await page.goto(address);
    const tag = page.getByRole('complementary', { name: 'Tag: verdicts' });
    await expect(
      viewport.width > 700
        ? tag.getByRole('region', { name: 'Chain: Keep' })
        : tag.getByRole('button', { name: 'Chain: Keep' }),
    ).toBeVisible();
    await expect(page.getByText('Opening…')).toBeVisible();
    await expect(page.getByText(/^Chain: .+ Next: \w/)).toBeVisible();
    await axeFindsNothing(page, `opening, ${viewport.width} wide`);
    await context.close();
  }
});

/**
 * Opens a page that is drawn, and whose own script is held back; what keeps early acts is there. Returns what lets the
 * script come.
 */
async function drawnOnly(page: Page, address: string, script: RegExp): Promise<() => void> {
  let deliver = () => {};
  const delivered = new Promise<void>((resolve) => (deliver = resolve));
  await page.route(script, async (route) => {
    await delivered;
    await route.continue();
  });
  // What keeps early acts has run by then; the page's own script is asked for by then, and held.
  await page.goto(address, { waitUntil: 'domcontentloaded' });
  return deliver;
}

test('what is typed, chosen and pressed before a page’s scripts are here is done once they are', async ({ page }) => {
  const deliver = await drawnOnly(page, '/', /\/_astro\/BenchPage.*\.js$/);
  const search = page.getByPlaceholder('Search  ( / )');
  const inches = page.getByRole('radio', { name: 'in', exact: true, includeHidden: true });
  await search.pressSequentially('L-0417');
  await page.getByText('in', { exact: true }).click();
  await page.getByRole('button', { name: 'Take in a job' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  deliver();
  await expect(page.getByRole('dialog', { name: 'Take in a job' })).toBeVisible();
  await expect(search).toHaveValue('L-0417');
  await expect(inches).toBeChecked();
  expect(await page.evaluate(() => document.cookie)).toContain('serrata-unit=in');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('option', { name: /L-0417/ }).first()).toBeVisible();
});

test('a filter of the stock that is set before the page’s script is here stays set', async ({ page }) => {
  const deliver = await drawnOnly(page, '/stock', /\/_astro\/StockPage.*\.js$/);
  const [low, words] = [page.getByRole('checkbox'), page.locator('input[name=q]')];
  await low.check();
  await words.fill('LD-3250');
  deliver();
  await ready(page);
  await expect(low).toBeChecked();
  await expect(words).toHaveValue('LD-3250');
});
