import { expect, test } from './bench';
import { STEPS } from '../../src/core/reading';
import { axeFindsNothing } from './axe';
import { openJob, ready, visit } from './keyboard';

/** The dark bench has the same parts in other colours. */
const RULES = { light: undefined, dark: ['color-contrast'] };

for (const bench of ['light', 'dark'] as const) {
  test(`axe finds nothing on any view, ${bench} bench`, async ({ page, context, baseURL }) => {
    await context.addCookies([{ name: 'serrata-bench', value: bench, url: baseURL! }]);
    for (const address of [
      '/',
      '/?show=done',
      '/?waits=to-measure',
      '/stock',
      '/stock?q=nothing-of-the-kind',
      '/gear',
      '/gear/saws/s-brask-66',
      '/shop',
      '/shop?view=about',
      '/shop?view=codes',
      '/shop?view=schools',
      '/shop?view=supplier',
      '/shop?view=backup',
      '/shop?view=shops',
      '/counter',
      '/practice',
      '/practice/pocket',
      '/picture',
    ]) {
      await visit(page, address);
      await axeFindsNothing(page, address, RULES[bench]);
    }
    await page.goto('/nowhere');
    await axeFindsNothing(page, 'an address that leads nowhere', RULES[bench]);
    for (const step of STEPS) {
      await openJob(page, 'L-0417', step);
      await axeFindsNothing(page, `L-0417 ${step}`, RULES[bench]);
    }
    for (const tag of ['L-0421', 'L-0420']) {
      await openJob(page, tag, 'order');
      await axeFindsNothing(page, tag, RULES[bench]);
    }
    await openJob(page, 'L-0426', 'bar');
    await axeFindsNothing(page, 'a refused entry', RULES[bench]);
    await page.getByRole('tab', { name: 'Look it over' }).click();
    await axeFindsNothing(page, 'looking a bar over', RULES[bench]);
  });
}

test('no view asks for anything from outside or breaks its own policy', async ({ page }) => {
  const trouble: string[] = [];
  page.on('console', (message) => message.type() === 'error' && trouble.push(message.text()));
  page.on('pageerror', (error) => trouble.push(error.message));
  page.on('request', (request) => !request.url().startsWith('http://127.0.0.1') && trouble.push(request.url()));
  for (const address of ['/', '/counter', '/stock', '/gear', '/practice', '/shop'])
    await page.goto(address, { waitUntil: 'networkidle' });
  const href = await openJob(page, 'L-0423', 'order');
  await page.waitForLoadState('networkidle');
  await page.goto(`${href}/slip`, { waitUntil: 'networkidle' });
  expect(trouble).toEqual([]);
});

test('the main act fits 1280×800 without scrolling the page', async ({ page }) => {
  for (const step of STEPS) {
    await openJob(page, 'L-0417', step);
    const overflow = await page.evaluate(() => [
      document.documentElement.scrollHeight - innerHeight,
      document.documentElement.scrollWidth - innerWidth,
    ]);
    expect(overflow, step).toEqual([0, 0]);
  }
  await openJob(page, 'L-0417', 'bar');
  await expect(page.getByLabel('Edge A, station 6, groove width')).toBeInViewport({ ratio: 1 });
});

test('keys lead everywhere: search, places, unit, the sheet of keys', async ({ page }) => {
  await visit(page, '/');
  await page.keyboard.press('?');
  const sheet = page.getByRole('dialog', { name: 'Keys' });
  await expect(sheet).toContainText('take in a new job');
  await expect(sheet).toContainText('go to Stock');
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  await page.keyboard.press('/');
  await page.keyboard.type('perry');
  await expect(page.getByRole('option').first()).toContainText('Perrydown orchard co-operative');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Perrydown orchard co-operative');
  await ready(page);
  await page.keyboard.press('j');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/jobs\//);
  await ready(page);
  await page.keyboard.press('u');
  await expect(page.getByRole('radio', { name: 'in', exact: true })).toBeChecked();
  await page.keyboard.press('u');
  await page.keyboard.press('g');
  await page.keyboard.press('s');
  await page.waitForURL(/\/stock/);
});

test('a clash stands on the plates and in the tag, and withholds the order', async ({ page }) => {
  await openJob(page, 'L-0421', 'order');
  await expect(page.getByRole('region', { name: 'Does not belong together' })).toContainText('Goes in, must not');
  await page.locator('summary', { hasText: 'gaugeclash' }).click();
  await expect(page.getByRole('region', { name: /^Linked plates/ })).toContainText(
    'a .043 in (1.1 mm) chain in a .050 in (1.3 mm) groove rocks by',
  );
  await expect(page.getByText('No order yet')).toBeVisible();
});

test('an unmarked 3/8 chain stays open until its build is given', async ({ page }) => {
  await openJob(page, 'L-0422', 'identify');
  await expect(page.getByRole('region', { name: 'Pitch: open' })).toContainText('do not order yet');
  await expect(page.getByRole('region', { name: 'Pitch: open' })).toContainText('would settle it');
  await page.getByRole('tab', { name: 'Pitch' }).click();
  await page.getByRole('radio', { name: 'small' }).check();
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toContainText('3/8 low profile');
});

test('a limit is changed with a reason when it makes no sense, and put back', async ({ page }) => {
  await visit(page, '/shop');
  const bow = page.getByRole('textbox', { name: /^Bow: replace above/ });
  await bow.fill('0.1');
  await bow.press('Enter');
  await expect(page.getByRole('alert')).toContainText('the warning would begin beyond the limit itself');
  await expect(bow).toHaveValue('0.1');
  await bow.fill('0.6');
  await bow.press('Enter');
  await expect(page.getByText("the shop's own").first()).toBeVisible();
  await page.getByRole('button', { name: 'Back to 0.5' }).click();
  await expect(bow).toHaveValue('0.5');
});

test('a known customer and a known saw are offered and recognised, and no second saw is made of it', async ({
  page,
}) => {
  const known = { by: 'Ines Holloway', customer: { name: 'Weir wardens' }, complaint: '', promisedFor: null };
  await page.request.post('/api/jobs', { data: { ...known, saw: { label: 'Tarn 40', mount: 'M2' } } });
  await visit(page, '/');
  await page.getByRole('button', { name: 'Take in a job' }).click();
  const customer = page.getByLabel('Customer', { exact: true });
  await page.route('**/api/customers*', (route) => route.abort());
  await customer.fill('weir');
  const untold = page.getByText('Known customers cannot be offered: The server cannot be reached.');
  await expect(untold).toBeVisible({ timeout: 60_000 });
  await page.unroute('**/api/customers*');
  await customer.fill('weir w');
  await expect(untold).toHaveCount(0);
  await expect(page.locator('datalist option[value="Weir wardens"]')).toBeAttached();
  await customer.fill('weir wardens');
  await page.getByLabel('Saw, if there is one').fill('tarn 40');
  await expect(page.getByText('known here')).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await page.waitForURL(/\/jobs\//);
  const owners = (await (await page.request.get('/api/customers?name=Weir')).json()) as { saws: unknown[] }[];
  expect(owners.map(({ saws }) => saws.length)).toEqual([1]);
});

test('a job cannot be taken in without a name, and a bad bench sheet says why', async ({ page }) => {
  await visit(page, '/');
  await page.getByRole('button', { name: 'Take in a job' }).click();
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page.getByRole('alert')).toContainText('Whose job is it?');
  await page.getByLabel('Customer', { exact: true }).fill('Sheet tester');
  const sheet = { format: 'serrata-bench-sheet', version: 1, bar: { thickness: 'thick' } };
  await page
    .getByLabel(/Start from a bench sheet/)
    .setInputFiles({ name: 'a.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(sheet)) });
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page.getByRole('alert')).toContainText('bar.thickness: “thick” is not a length');
  await expect(page.getByLabel('Customer', { exact: true })).toHaveValue('Sheet tester');
});

test('the bench and the search can be used at phone size, and a job at tablet size', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await openJob(page, 'L-0417', 'bar');
  await expect(page.getByRole('region', { name: 'Bar: Recondition' })).toBeInViewport();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
  await page.setViewportSize({ width: 390, height: 844 });
  await visit(page, '/');
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
  await page.getByRole('combobox', { name: /Search/ }).fill('tow');
  await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
});
