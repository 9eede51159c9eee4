import { expect, test } from './bench';
import { freshJob, openJob, revisit, saved, tick, visit } from './keyboard';

test('evidence set aside shows its effect, stays on the sheet, and counts again when it is put back', async ({
  page,
}) => {
  await openJob(page, 'L-0417', 'identify');
  await page.getByRole('tab', { name: 'Evidence' }).click();
  const row = page.getByRole('listitem').filter({ hasText: '11 rivets span 10 pitches' });
  await expect(row).toContainText('Without it: Pitch of the chain: .325 → open');
  await row.getByRole('button', { name: 'Set aside' }).click();
  await expect(page.getByRole('region', { name: 'Pitch: open' })).toBeVisible();
  await saved(page);
  await revisit(page);
  await page.getByRole('tab', { name: 'Evidence' }).click();
  await row.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toContainText('.325');
  await saved(page);
});

test('links are tapped by space bar, taken back, marked, and settled by two equal counts', async ({ page }) => {
  await freshJob(page, 'identify');
  await page.getByRole('tab', { name: 'Links' }).click();
  const counter = page.getByRole('button', { name: /^Count a link/ });
  await counter.focus();
  for (let i = 0; i < 53; i += 1) await page.keyboard.press('Space');
  await expect(page.getByText('53 is odd so far')).toBeVisible();
  await page.keyboard.press('Backspace');
  await page.keyboard.press('m');
  await expect(counter).toContainText('marked at 52');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Kept. Once more from the marked link.')).toBeVisible();
  await expect(page.getByLabel('Count', { exact: true })).toHaveValue('52');
  for (let i = 0; i < 51; i += 1) await page.keyboard.press('Space');
  await page.keyboard.press('Enter');
  await expect(page.getByText('51 now, 52 before.')).toBeVisible();
  for (let i = 0; i < 52; i += 1) await page.keyboard.press('Space');
  await page.keyboard.press('Enter');
  await expect(page.getByText('52 again: two equal counts settle it.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Drive links: settled' })).toContainText('52');
  await saved(page);
});

test('a slot and a tab picked by one touch catch the thin chain in the wide groove', async ({ page }) => {
  await freshJob(page, 'identify');
  await page.getByRole('tab', { name: 'Gauge' }).click();
  await page
    .getByRole('group', { name: 'Slot it fills without wobble' })
    .getByRole('button', { name: /\.043/ })
    .click();
  await page
    .getByRole('group', { name: 'Largest tab that goes in to the floor' })
    .getByRole('button', { name: /\.050/ })
    .click();
  await expect(page.getByText('goes in and looks right')).toBeVisible();
  await page.locator('summary', { hasText: 'gauge' }).click();
  await expect(page.getByRole('region', { name: /^Linked plates/ })).toContainText('Goes in, must not'.toLowerCase());
  await page.getByRole('button', { name: 'Bar', exact: true }).first().click();
  await expect(page.getByRole('region', { name: 'Gauge: settled' })).toContainText('.050');
});

test('a loop that will not take up tension is computed, and a length no custom makes is said', async ({ page }) => {
  await openJob(page, 'L-0424', 'identify');
  await page.getByRole('tab', { name: 'Length and tension' }).click();
  await expect(page.getByRole('alert')).toContainText('Will not take up tension: 84 links');
  await page.getByLabel('Cover to tip').fill('17 in');
  await page.getByLabel('Cover to tip').press('Enter');
  await expect(page.getByText('which no custom makes of the measured length')).toBeVisible();
});

test('refitting is ticked off in order, open while a whole saw waits for it', async ({ page }) => {
  await freshJob(page, 'take-in');
  await tick(page.getByRole('checkbox', { name: 'whole saw' }));
  await page.keyboard.press('Escape');
  await page.keyboard.press('f');
  await page.getByText('Chain on, cutters on top facing the nose').click();
  await expect(page.getByText('1 of 8')).toBeVisible();
  await page.getByRole('radio', { name: 'B', exact: true }).check();
  await saved(page);
  await revisit(page);
  await page.keyboard.press('f');
  await expect(page.getByText('1 of 8')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Refit.*open/ })).toHaveAttribute('aria-current', 'step');
  for (const act of await page.getByRole('checkbox').all()) await tick(act);
  await page.getByLabel('Lift at mid-bar').fill('8');
  await page.getByLabel('Lift at mid-bar').press('Enter');
  // How far it may lift goes by its pitch: until that is known the tension is not found right.
  await expect(page.getByRole('button', { name: /^Refit.*open/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('3');
  await page.getByLabel('On the bar', { exact: true }).fill('18 in 325 .050 72DL');
  await page.getByLabel('On the bar', { exact: true }).press('Enter');
  await expect(page.getByRole('button', { name: /^Refit.*done/ })).toBeVisible();
});

test('the sheet of keys tells those of the view that is open, and no others', async ({ page }) => {
  await openJob(page, 'L-0424', 'identify');
  await page.keyboard.press('?');
  const sheet = page.getByRole('dialog', { name: 'Keys' });
  await expect(sheet).toContainText('the way to identify before this one');
  await expect(sheet).not.toContainText('edge A');
  await page.keyboard.press('Escape');
  await page.keyboard.press('5');
  await page.getByRole('tab', { name: 'Measure' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(sheet).toContainText('edge A');
  await expect(sheet).not.toContainText('the way to identify before this one');
});

test('stripping and cleaning are ticked off in order, with what was seen', async ({ page }) => {
  await freshJob(page, 'strip');
  await page.getByText('Battery out, or spark lead off').click();
  await page.getByText('Gloves on: a worn rail cuts like a knife').click();
  await expect(page.getByText('2 of 6')).toBeVisible();
  await page.getByRole('radio', { name: 'B', exact: true }).check();
  await page.keyboard.press('4');
  await expect(page.getByText('never spin the nose sprocket with air')).toBeVisible();
  await page.getByRole('radio', { name: 'blocked' }).check();
  await saved(page);
  await revisit(page);
  await expect(page.getByRole('radio', { name: 'blocked' })).toBeChecked();
  await page.keyboard.press('2');
  await expect(page.getByText('2 of 6')).toBeVisible();
});

test('photographs are kept with the job; what is no picture is refused by name', async ({ page }) => {
  const id = await freshJob(page, 'take-in');
  const input = page.locator('input[type=file]');
  await input.setInputFiles('docs/screenshots/order.png');
  await expect(page.getByRole('img', { name: 'Photograph 1, by Ines Holloway' })).toBeVisible();
  await input.setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('not a picture') });
  await expect(page.getByRole('alert')).toContainText('notes.png is no picture');
  await visit(page, `/jobs/${id}?step=take-in`);
  await page.getByRole('button', { name: 'Take photograph 1 away' }).click();
  await expect(page.getByRole('img', { name: /^Photograph/ })).toHaveCount(0);
});
