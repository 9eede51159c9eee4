import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from './bench';
import { copyOf, freshJob, openJob, revisit, tabTo, visit } from './keyboard';

const panel = (page: Page) => page.locator('details', { hasText: 'Why so unsure' });
const open = (page: Page) => panel(page).getByText('Why so unsure, and what would help').click();

/** Doubt of a sheet by draws, as the command line tells it. */
function bySheet(sheet: unknown, draws: number) {
  const file = join(mkdtempSync(join(tmpdir(), 'doubt-')), 'sheet.json');
  writeFileSync(file, JSON.stringify(sheet));
  const told = execFileSync(
    'npx',
    ['tsx', 'src/cli/serrata.ts', 'assess', file, '--draws', String(draws), '--seed', '1'],
    {
      encoding: 'utf8',
    },
  );
  return (JSON.parse(told) as { doubt: { parts: Record<string, { wrong: number; next: { drop: number }[] }> } }).doubt
    .parts;
}

test('draws say the same in the page as on the command line, and each reading is a button that goes there', async ({
  page,
}) => {
  const href = await openJob(page, 'L-0419', 'bar');
  await open(page);
  await expect(panel(page).getByText('What moves it')).toBeVisible();
  const said = await panel(page).innerText();
  const sheet: unknown = await (await page.request.get(`/api${href}/sheet.json`)).json();
  const { bar } = bySheet(sheet, 20_000);
  expect(said).toContain(`By 20,000 draws: ${(100 * bar!.wrong).toFixed(0)} % wrong`);
  expect(said).toContain(`−${(100 * bar!.next[0]!.drop).toFixed(1)} points`);
  // The best reading lies between two stations: a station is offered there, and the caret is in its field.
  await panel(page)
    .getByRole('button', { name: /at 260 mm, (near|far) rail/ })
    .first()
    .click();
  await expect(page.locator('input:focus')).toHaveAttribute('data-path', /bar\.edges\.A\.stations\.\d+\.(near|far)/);
  await expect(page.getByRole('heading', { name: /Edge A, station 6/ })).toContainText('260 mm');
});

test('a long drawing tells how far it is, is stopped, and is begun again', async ({ page }) => {
  await openJob(page, 'L-0419', 'bar');
  await open(page);
  await panel(page).getByRole('button', { name: 'Draw ten times as many' }).click();
  await expect(panel(page).getByRole('progressbar', { name: 'Drawing 200,000 times' })).toBeVisible();
  await panel(page).getByRole('button', { name: 'Stop' }).click();
  await expect(panel(page).getByText('Stopped.')).toBeVisible();
  await page.waitForTimeout(1500);
  await expect(panel(page).getByText('By 200,000 draws')).toBeHidden();
  await panel(page).getByRole('button', { name: 'Draw again' }).click();
  await expect(panel(page).getByText('By 200,000 draws')).toBeVisible({ timeout: 60_000 });
});

test('an answer to what no longer stands is dropped: the panel tells of the reading that stands', async ({ page }) => {
  await freshJob(page, 'sprocket');
  const wear = page.locator('input[data-path="driveSprocket.wear"]');
  await wear.fill('0.49');
  await wear.press('Enter');
  await open(page);
  await panel(page).getByRole('button', { name: 'Draw ten times as many' }).click();
  await expect(panel(page).getByRole('progressbar')).toBeVisible();
  await wear.fill('0.52');
  await wear.press('Enter');
  await expect(panel(page).getByText(/By 200,000 draws: 28 % wrong/)).toBeVisible({ timeout: 60_000 });
  await page.waitForTimeout(1000);
  await expect(panel(page).getByText(/By 200,000 draws: 28 % wrong/)).toBeVisible();
});

test('without workers it is drawn in the page, and says the same', async ({ page }) => {
  await page.addInitScript(() => Reflect.deleteProperty(window, 'Worker'));
  const href = await openJob(page, 'L-0419', 'bar');
  expect(await page.evaluate(() => 'Worker' in window)).toBe(false);
  await open(page);
  const sheet: unknown = await (await page.request.get(`/api${href}/sheet.json`)).json();
  const percent = (100 * bySheet(sheet, 20_000).bar!.wrong).toFixed(0);
  await expect(panel(page).getByText(`By 20,000 draws: ${percent} % wrong`)).toBeVisible({ timeout: 60_000 });
  await expect(
    panel(page)
      .getByRole('button', { name: /at 260 mm, (near|far) rail/ })
      .first(),
  ).toBeVisible();
});

test('where no verdict waits for a reading the tag says stop', async ({ page }) => {
  await copyOf(page, 'L-0417', 'sprocket');
  await freshJob(page, 'sprocket');
  const wear = page.locator('input[data-path="driveSprocket.wear"]');
  await wear.fill('0.05');
  await wear.press('Enter');
  await expect(page.getByRole('region', { name: 'Measure next' })).toContainText(
    'Another reading would change nothing.',
  );
});

test('a study is made by keyboard alone, and counts in the readings of that hand', async ({ page }) => {
  await visit(page, '/shop?view=instruments');
  await page.getByLabel('At the bench').selectOption('Ines Holloway');
  await page.locator('select[name=instrument]').focus();
  await page.keyboard.press('f');
  await expect(page.locator('select[name=instrument]')).toHaveValue('feeler');
  await tabTo(page, 'Size of the block, if known');
  await page.keyboard.type('0.50');
  await tabTo(page, 'Take 1');
  for (const take of ['0.52', '0.53', '0.51', '0.52', '0.52', '0.54', '0.50', '0.52', '0.53', '0.51']) {
    await page.keyboard.type(take);
    await page.keyboard.press('Enter');
  }
  await expect(
    page.getByRole('img', { name: /^Plot of the takes: 10 takes, mean 0.520 mm, block 0.500 mm/ }),
  ).toBeVisible();
  await expect(page.getByText(/It shows 0.020 mm ± 0.007 mm too much/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Store the study' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Stored: it counts from now on.')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Ines Holloway' }).first()).toBeVisible();

  await freshJob(page, 'sprocket');
  const wear = page.locator('input[data-path="driveSprocket.wear"]');
  await wear.fill('0.52');
  await wear.press('Enter');
  const tag = page.getByRole('complementary', { name: 'Tag: verdicts' });
  await expect(tag).toContainText('0.50 mm');
  await expect(page.getByTitle(/^measured: a study of Ines Holloway on /).first()).toBeVisible();

  await visit(page, '/shop?view=instruments');
  const feeler = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Feeler blade' }) });
  await feeler.getByRole('button', { name: 'Set aside' }).click();
  await expect(feeler).toContainText('set aside by Ines Holloway');
});

test('the caliper fills a study, what was typed survives a reload, and a take that cannot be read is named', async ({
  page,
}) => {
  await visit(page, '/shop?view=instruments');
  await page.getByLabel('At the bench').selectOption('Tam Okoro');
  await page.getByRole('button', { name: 'Caliper', exact: true }).click();
  await expect(page.getByText('Caliper connected')).toBeVisible();
  await page.getByLabel('Take 1', { exact: true }).focus();
  // A hand is never quite still: the display wanders by two hundredths about where the jaws are, and these do not
  // overlap.
  for (const [take, jaw, display] of [
    ['Take 1', '8.06', /8\.0[4-8] mm/],
    ['Take 2', '8.01', /(7\.99|8\.0[0-3]) mm/],
    ['Take 3', '7.96', /7\.9[4-8] mm/],
  ] as const) {
    await page.getByLabel('Jaws at').fill(jaw);
    await expect(page.getByRole('complementary', { name: 'Simulated caliper' })).toContainText(display);
    await page.getByRole('button', { name: /Take reading/ }).click();
    await expect(page.getByLabel(take, { exact: true })).not.toHaveValue('');
  }
  await expect(page.getByLabel('Take 1', { exact: true })).toHaveValue(/^8\.0[4-8]/);
  await expect(page.getByLabel('Take 3', { exact: true })).toHaveValue(/^7\.9[4-8]/);
  await page.getByLabel('Take 4', { exact: true }).fill('eight');
  await revisit(page);
  await expect(page.getByLabel('Take 4', { exact: true })).toHaveValue('eight');
  await page.getByRole('button', { name: 'Store the study' }).click();
  await expect(page.getByRole('alert')).toContainText('eight');
  await page.getByLabel('Take 4', { exact: true }).fill('8.00');
  await page.getByRole('button', { name: 'Store the study' }).click();
  await expect(page.getByText('Stored: it counts from now on.')).toBeVisible();
  await expect(page.getByText('Too few takes to count: 7 or more are needed.').first()).toBeVisible();
});
