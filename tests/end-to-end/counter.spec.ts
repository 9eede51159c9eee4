import { expect, test, type Page } from './bench';
import { axeFindsNothing } from './axe';
import { ready, revisit, visit } from './keyboard';

async function counter(page: Page): Promise<void> {
  await visit(page, '/counter');
  await expect(page.getByRole('region', { name: 'Ask next' })).toBeVisible();
}

const mood = (page: Page, next: string) => page.request.put('/api/supplier/mood', { data: { mood: next } });

test('from “18 inch bar, no idea” to a fitting part by keyboard', async ({ page }) => {
  await counter(page);
  await page.getByLabel('Bar length').focus();
  await page.keyboard.type('18 in');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Bars sold as 18 in often carry 62 links')).toBeVisible();
  await expect(page.getByLabel('Punched on the bar')).toBeFocused();
  await page.keyboard.type('325 .050 72DL');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toContainText('.325');
  await expect(page.getByRole('radio', { name: 'trained', exact: true })).toBeFocused();
  await page.keyboard.press('ArrowRight');
  // An arrow goes to a word and chooses nothing.
  await expect(page.getByRole('radio', { name: 'not trained' })).toBeFocused();
  await expect(page.getByRole('radio', { name: 'not trained' })).not.toBeChecked();
  await page.keyboard.press('Space');
  await expect(page.getByRole('radio', { name: 'not trained' })).toBeChecked();
  const shelf = page.getByRole('region', { name: 'On the shelf' });
  await expect(shelf.getByRole('listitem').first()).toContainText('LD-3250-72K');
  await expect(shelf.getByRole('listitem').first()).toContainText('fits');
  await expect(page.getByText('count them before the chain leaves the shop')).toBeVisible();
  await page.getByLabel('Drive links', { exact: true }).fill('72');
  await page.getByLabel('Again', { exact: true }).fill('72');
  await expect(page.getByText('Nothing left to ask')).toBeVisible();
  await page.getByRole('link', { name: 'Order slip' }).click();
  await expect(page.getByRole('article')).toContainText('LD-3250-72K');
  await page.goBack();
  await ready(page);
  await expect(page.getByLabel('Bar length')).toHaveValue('18 in');
});

test('an unmarked 3/8 is not sold until its build is known', async ({ page }) => {
  await counter(page);
  await page.getByLabel('Punched on the bar').fill('16 in 3/8 .050 56DL');
  await expect(page.getByRole('region', { name: 'Pitch: open' })).toBeVisible();
  await expect(page.getByText('hand nothing over until it is known which')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Ask next' })).toContainText('small links and cutters, or large ones');
  await page.getByRole('radio', { name: 'small' }).check();
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toContainText('3/8 low profile');
});

test('standard chain instead of low-kickback takes a reason', async ({ page }) => {
  await counter(page);
  await page.getByLabel('Punched on the bar').fill('325 .050 72DL');
  await page.getByRole('radio', { name: 'not trained' }).check();
  const standard = page.getByRole('listitem').filter({ hasText: 'LD-3250-72P' });
  await expect(standard).toContainText('would step up from low-kickback');
  await page.getByText('standard chain instead?').click();
  await page.getByLabel('Standard chain is chosen because').fill('climber with papers, asked for it');
  await expect(standard).toContainText('fits');
});

test('a saw is remembered and recalled, and a call becomes a job', async ({ page }) => {
  await counter(page);
  await page.getByLabel('Punched on the bar').fill('.325 .058 66DL');
  // The answer stands above the buttons and makes room for itself.
  await expect(page.getByRole('region', { name: 'Drive links: settled' })).toBeVisible();
  await page.getByRole('button', { name: 'Remember the saw' }).click();
  const dialog = page.getByRole('dialog', { name: 'Remember the saw' });
  await dialog.getByLabel('Customer').fill('Sluice wardens');
  await dialog.getByLabel('Saw').fill('Ondral 47');
  await dialog.getByRole('button', { name: 'Remember it' }).click();
  await expect(page.getByText('Ondral 47 of Sluice wardens is remembered')).toBeVisible();
  await page.getByRole('button', { name: 'Next caller' }).click();
  await expect(page.getByLabel('Punched on the bar')).toHaveValue('');
  await page.getByRole('combobox', { name: 'Which saw, or whose' }).fill('sluice');
  await expect(page.getByRole('listbox', { name: 'Saws' }).getByRole('option')).toContainText('remembered');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Punched on the bar')).toHaveValue('.325 .058 66DL');
  await expect(page.getByText('Ask whether bar and chain are still the same.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Drive links: settled' })).toBeVisible();
  await page.getByRole('button', { name: 'Make it a job' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Put it on the bench' }).click();
  await page.waitForURL(/\/jobs\//);
  await ready(page);
  await expect(page.getByRole('textbox', { name: 'On the bar' })).toHaveValue('.325 .058 66DL');
});

test('the supplier is asked for what the shelf lacks; down, silent or empty it blocks nothing', async ({ page }) => {
  await mood(page, 'slow');
  await counter(page);
  await page.getByLabel('Punched on the bar').fill('3/8LP .050 62DL');
  // What is settled comes while one types, and moves what stands below it.
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toBeVisible();
  await page.getByRole('radio', { name: 'not trained' }).check();
  const supplier = page.getByRole('region', { name: 'Supplier' });
  await expect(supplier).toContainText('Asking price and delivery');
  await expect(supplier).toContainText('did not answer within 4 s', { timeout: 60_000 });
  await mood(page, 'unreachable');
  await revisit(page);
  await expect(supplier).toContainText('line is down (502)');
  await expect(supplier).toContainText('The three numbers hold all the same');
  await expect(page.getByRole('link', { name: 'Order slip' })).toBeVisible();
  await mood(page, 'out-of-stock');
  await revisit(page);
  await expect(supplier).toContainText('has none at present');
  await mood(page, 'usual');
});

test('works on a phone, and axe finds nothing', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await counter(page);
  await page.getByLabel('Punched on the bar').fill('325 .050 72DL');
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
  await axeFindsNothing(page, 'the counter');
});
