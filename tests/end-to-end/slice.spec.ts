import { expect, test, type Page } from './bench';
import { fill, freshJob, revisit, saved, takeIn, tabTo } from './keyboard';

const NEAR_A = ['8.1', '8.0', '7.9', '7.6', '7.8'];
const FAR_A = ['8.0', '7.7', '7.2', '6.9', '7.5'];

/** Leaves the field and goes to the next way of identifying. */
async function nextWay(page: Page): Promise<void> {
  await page.keyboard.press('Escape');
  await page.keyboard.press(']');
}

test('from an empty job to the order slip by keyboard alone, and a reload keeps it', async ({ page }) => {
  await takeIn(page, 'Keyboard crew', 'Ondral 52', 'M2');
  await expect(page.getByText('Nothing measured yet')).toBeVisible();

  // Taken in, the caret is in the first open field of the step.
  const inField = () => page.evaluate(() => document.activeElement?.closest('[data-zone=step] [data-path]') !== null);
  await expect.poll(inField).toBe(true);
  await tabTo(page, 'In the customer’s words');
  await page.keyboard.type('pulls to the left');
  await tabTo(page, 'cuts in a curve, left');
  await page.keyboard.press('Space');
  await tabTo(page, 'trained');
  await page.keyboard.press('Space');

  await page.keyboard.press('3');
  await fill(page, 'On the bar', '18 in 325 .050 1.3 72DL');
  await expect(page.getByRole('list', { name: 'On the bar, taken apart' }).getByRole('listitem')).toHaveCount(5);
  await nextWay(page);
  await fill(page, 'Rivets', '11');
  await fill(page, 'Length', '82.7');
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toContainText('.325');
  await nextWay(page);
  await fill(page, 'Thickness', '1.26');
  await nextWay(page);
  await fill(page, 'Count', '72');
  await expect(page.getByRole('region', { name: 'Drive links: open' })).toBeVisible();
  await fill(page, 'Count again', '72');
  await expect(page.getByRole('region', { name: 'Drive links: settled' })).toContainText('72');

  await page.keyboard.press('Escape');
  await page.keyboard.press('5');
  await tabTo(page, 'Edge A, station 1, near rail');
  for (let i = 0; i < NEAR_A.length; i += 1) {
    await page.keyboard.type(NEAR_A[i]!);
    await page.keyboard.press('Enter');
    await page.keyboard.type(FAR_A[i]!);
    await page.keyboard.press('Enter');
    await page.keyboard.type('1.40');
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText(/Dress edge A\. Most comes off the near rail/)).toBeVisible();
  await page.keyboard.press(']');
  await expect(page.getByLabel('Edge B, station 1, near rail')).toBeFocused();
  await page.keyboard.type('8.2');
  await page.keyboard.press('Enter');
  await page.keyboard.type('8.2');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');

  await tabTo(page, 'Measure');
  await page.keyboard.press('ArrowRight');
  for (const choice of ['sound', 'clear', 'none found']) {
    await tabTo(page, choice);
    await page.keyboard.press('Space');
  }
  await fill(page, 'Bow', '0.1');
  await tabTo(page, 'freely');
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Bar: Recondition' })).toContainText('Dress the rails');

  await page.keyboard.press('8');
  await expect(page.getByRole('main')).toContainText('rests on step between the rails, edge A at 210 mm');
  await page.keyboard.press('0');
  await expect(page.getByRole('main')).toContainText('LD-3250-72');
  await saved(page);
  await tabTo(page, 'Page to print');
  await page.keyboard.press('Enter');
  await page.waitForURL(/slip$/);
  const slip = page.getByRole('article');
  for (const text of ['Keyboard crew', '.325', '.050 1.3 mm', '72', 'LD-3250-72K'])
    await expect(slip).toContainText(text);

  await page.goBack();
  await revisit(page);
  await page.keyboard.press('5');
  await expect(page.getByLabel('Edge A, station 4, far rail')).toHaveValue('6.9');
  await expect(page.getByRole('region', { name: 'Bar: Recondition' })).toBeVisible();
});

test('signing off is recorded with who and when, and can be opened again', async ({ page }) => {
  await freshJob(page, 'bar');
  await page.getByRole('tab', { name: 'Look it over' }).click();
  await page.getByRole('radio', { name: 'cracked' }).check();
  await expect(page.getByRole('region', { name: 'Bar: Replace' })).toContainText('a crack always condemns');
  await saved(page);
  await page.getByRole('button', { name: /^Decide/ }).click();
  await page.getByRole('button', { name: /^Sign off as/ }).click();
  await expect(page.getByText(/Signed off by Ines Holloway/)).toBeVisible();
  // The focus stands on the way to the next step; the key of the step that is shown goes to its first open field.
  const next = page.locator('nav [data-step-next] button');
  await expect(next).toBeFocused();
  await page.keyboard.press('f');
  await page.keyboard.press('f');
  await expect(page.locator('[data-zone=step] :focus')).toHaveCount(1);
  await page.getByRole('button', { name: /^Decide/ }).click();
  await page.getByRole('button', { name: 'Open again' }).click();
  await expect(page.getByRole('button', { name: /^Sign off as/ })).toBeVisible();
});

test('nobody signs for another: until somebody says who is here, nothing can be signed off', async ({
  page,
  context,
}) => {
  await context.clearCookies();
  await freshJob(page, 'take-in');
  await page.getByLabel('Mount', { exact: true }).fill('M2');
  await page.getByLabel('Mount', { exact: true }).press('Enter');
  await saved(page);
  await page.getByRole('button', { name: /^Decide/ }).click();
  await expect(page.getByRole('button', { name: 'Say who is here to sign off' })).toBeDisabled();
  await page.getByRole('combobox', { name: 'At the bench' }).selectOption('Tam Okoro');
  await page.getByRole('button', { name: 'Sign off as Tam Okoro' }).click();
  await expect(page.getByText(/Signed off by Tam Okoro/)).toBeVisible();
});
