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
  await expect(page.getByText('A length of 18 in settles nothing')).toBeVisible();
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

test('what is pressed while an answer comes is pressed, though the answer moves it', async ({ page }) => {
  await counter(page);
  let answer: () => void = () => undefined;
  const pressed = new Promise<void>((resolve) => (answer = resolve));
  await page.route('/api/counter/answer', async (route) => {
    await pressed;
    await route.continue();
  });
  await page.getByLabel('Punched on the bar').fill('325 .050 72DL');
  const choice = page.getByRole('radio', { name: 'not trained' });
  await choice.hover();
  await page.mouse.down();
  const answered = page.waitForResponse('/api/counter/answer');
  answer();
  await (await answered).finished();
  // What came is drawn only once nothing is pressed any more: drawn before, it would be drawn in this frame.
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
  await page.mouse.up();
  await expect(choice).toBeChecked();
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toBeVisible();
});

test('standard chain instead of low-kickback takes a reason', async ({ page }) => {
  await counter(page);
  await page.getByLabel('Punched on the bar').fill('325 .050 72DL');
  // The answer moves what stands below it.
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toBeVisible();
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

test('a drive sprocket is sold by its kind and by what it sits on', async ({ page }) => {
  await counter(page);
  await page.getByRole('radio', { name: 'drive sprocket' }).click();
  await page.getByLabel('Punched on the bar').fill('325 .050 72DL');
  await expect(page.getByRole('region', { name: 'Ask next' })).toContainText('a ring that slides on a hub?');
  await page.getByRole('radio', { name: 'rim and drum' }).click();
  await page.getByLabel('Teeth', { exact: true }).fill('7');
  const first = page.getByRole('region', { name: 'On the shelf' }).getByRole('listitem').first();
  await expect(first).toContainText('LS-325-7R');
  await expect(first).toContainText('fit to the saw not known');
  await page.getByLabel('Splines', { exact: true }).fill('7');
  await expect(first).toContainText('fits');
  // A rim never answers for a spur.
  await page.getByRole('radio', { name: 'spur' }).click();
  await expect(page.getByText('Nothing on the shelf comes near')).toBeVisible();
  await axeFindsNothing(page, 'the counter for a drive sprocket');
});

test('what each mount is can be seen and taken, and a code that is not read says how it is learned', async ({
  page,
}) => {
  await counter(page);
  await page.getByText('What each mount is').click();
  const mount = page.getByRole('button', { name: /^M4/ });
  await expect(mount).toContainText('Brask 70');
  await mount.click();
  await expect(page.getByLabel('Mount', { exact: true })).toHaveValue('M4');
  await page.getByLabel('Mark on the chain').fill('ZZ9 56K');
  await expect(page.getByText('LD-9050-56 takes its place')).toBeVisible();
  await page.getByRole('link', { name: 'teach it under Shop' }).click();
  await expect(page.getByRole('heading', { name: 'Shop' })).toBeVisible();
  await ready(page);
  await expect(page.getByLabel('Links of the loop')).toBeVisible();
});

test('a chain is sold with the sequence that its counts give', async ({ page }) => {
  await counter(page);
  await page.getByLabel('Punched on the bar').fill('325 .050 72DL');
  await page.getByRole('radio', { name: 'not trained' }).click();
  await page.getByLabel('Drive links', { exact: true }).fill('72');
  await expect(page.getByText('Counted once, and the stamp says 72 too')).toBeVisible();
  await page.getByLabel('Again', { exact: true }).fill('72');
  await page.getByLabel('Cutters', { exact: true }).fill('24');
  await page.getByRole('radio', { name: 'full complement' }).click();
  await expect(page.getByText(/^Sequence: links and cutters: .*the ticked sequence is what is doubted/)).toBeVisible();
  await page.getByRole('link', { name: 'Order slip' }).click();
  await expect(page.getByRole('article')).toContainText('Sequence: full skip');
});
