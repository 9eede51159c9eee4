import type { Page } from '@playwright/test';
import QRCode from 'qrcode';
import { expect, test } from './bench';
import { axeFindsNothing } from './axe';
import { ready, visit } from './keyboard';

const SAW = '/gear/saws/s-brask-66';
const CUSTOMER = '/gear/customers/c-towpath';

/** Opens what may be said by its button. */
async function open(page: Page, name: string) {
  await page.getByRole('button', { name, exact: true }).click();
  return page.getByRole('dialog', { name });
}

/** Enters a saw of the crew, and stands on its page. */
async function enterSaw(page: Page, name: string): Promise<void> {
  await visit(page, CUSTOMER);
  const form = await open(page, 'Enter a saw');
  await form.getByLabel('What it is called').fill(name);
  await form.getByRole('button', { name: 'Enter' }).click();
  await page.waitForURL(/\/gear\/saws\/(?!s-)/);
  await ready(page);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(name);
}

/** Undoes what was said last. */
async function undoLast(page: Page): Promise<void> {
  const said = page.getByRole('region', { name: 'Said of it' }).getByRole('listitem').first();
  await said.getByRole('button', { name: /^Undo/ }).click();
  await expect(
    page
      .getByRole('region', { name: 'Said of it' })
      .getByText(/undone by/)
      .first(),
  ).toBeVisible();
  await ready(page);
}

test('a customer and a saw are entered and mended, with who and when, and undone', async ({ page }) => {
  await visit(page, '/gear');
  const customer = await open(page, 'Enter a customer');
  await customer.getByRole('button', { name: 'Enter' }).click();
  await expect(customer.getByRole('alert')).toHaveText('Write the customer’s name.');
  await customer.getByLabel('Name').fill('Stopplank gang');
  await customer.getByRole('button', { name: 'Enter' }).click();
  await page.waitForURL('**/gear/customers/*');
  await ready(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Stopplank gang');
  const mend = await open(page, 'Mend');
  await mend.getByLabel('How they are reached').fill('at the sluice');
  await axeFindsNothing(page, 'what is said of gear');
  await mend.getByRole('button', { name: 'Save' }).click();
  const said = page.getByRole('region', { name: 'Said of it' });
  await expect(said.getByRole('listitem').first()).toContainText('Mended: contact “at the sluice”, before nothing.');
  await ready(page);
  const saw = await open(page, 'Enter a saw');
  await saw.getByLabel('What it is called').fill('Quern 40');
  await saw.getByLabel('Most revolutions a minute').fill('fast');
  await saw.getByRole('button', { name: 'Enter' }).click();
  await expect(saw.getByRole('alert')).toContainText('Four or five figures');
  await saw.getByLabel('Most revolutions a minute').fill('12500');
  await saw.getByRole('button', { name: 'Enter' }).click();
  await page.waitForURL('**/gear/saws/*');
  await ready(page);
  await expect(page.getByText('12500 rpm at most')).toBeVisible();
  const retire = await open(page, 'Mend');
  await retire.getByLabel('Offered no more, at take-in and at the counter').check();
  await retire.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/offered no more/).first()).toBeVisible();
  await ready(page);
  await undoLast(page);
  await expect(page.getByText('12500 rpm at most', { exact: false })).not.toContainText('offered no more');
});

test('two records of one saw become one, and two again', async ({ page }) => {
  await enterSaw(page, 'Brask sixty-six');
  const form = await open(page, 'Two records of one saw');
  await expect(form).toContainText('The jobs of this record go to the one that stays');
  await form.getByLabel('The record that stays').selectOption({ label: 'Brask 66 TP-02' });
  await form.getByRole('button', { name: 'Make them one' }).click();
  await page.waitForURL(`**${SAW}`);
  await ready(page);
  await expect(page.getByRole('region', { name: 'Said of it' })).toContainText(
    'Brask sixty-six is one saw with Brask 66 TP-02: 0 jobs went there.',
  );
  await undoLast(page);
  await visit(page, '/gear?q=sixty');
  await expect(page.getByRole('link', { name: 'Brask sixty-six' })).toBeVisible();
});

test('a tag that is read off a piece leads to it, and it goes over to another saw and back', async ({ page }) => {
  await enterSaw(page, 'Brask twin');
  await visit(page, '/gear?q=k-17');
  await expect(page).toHaveURL(/\/gear\/pieces\/chain\./);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Chain of Brask 66 TP-02');
  const tag = await open(page, 'Write its tag');
  await expect(tag.getByLabel('Tag on the piece')).toHaveValue('K-17');
  await tag.getByLabel('Tag on the piece').fill('K-18');
  await tag.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/^tag K-18/)).toBeVisible();
  await ready(page);
  await undoLast(page);
  await expect(page.getByText(/^tag K-17/)).toBeVisible();
  const move = await open(page, 'It went to another saw');
  await move.getByLabel('The saw that it went to').selectOption({ label: 'Brask twin' });
  await move.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Chain of Brask twin');
  await expect(page.getByText(/came from Brask 66 TP-02/)).toBeVisible();
  await ready(page);
  await visit(page, SAW);
  await expect(page.getByRole('region', { name: 'Was on it' })).toContainText('went over to Brask twin');
  await axeFindsNothing(page, 'what is said of gear');
  await undoLast(page);
  await expect(page.getByRole('region', { name: 'On it now' }).getByRole('listitem')).toHaveCount(4);
});

test('a tag is scanned with a phone: the picture of its code opens what it names', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await visit(page, '/gear');
  const picture = async (says: string) => ({
    name: 'tag.png',
    mimeType: 'image/png',
    buffer: await QRCode.toBuffer(says, { width: 700 }),
  });
  const camera = page.locator('input[type=file]');
  await expect(page.getByText('Scan a tag')).toBeVisible();
  await camera.setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: await page.screenshot() });
  await expect(page.getByRole('alert')).toContainText('There is no code to read in that picture');
  await axeFindsNothing(page, 'scanning');
  await camera.setInputFiles(await picture('K-17'));
  await page.waitForURL('**/gear/pieces/chain.*');
  await ready(page);
  // What its page prints is scanned, too.
  await page.emulateMedia({ media: 'print' });
  const code = page.getByRole('img', { name: 'Code that opens the page: Chain' });
  await expect(code).toBeVisible();
  const printed = { name: 'printed.png', mimeType: 'image/png', buffer: await code.screenshot() };
  const address = new URL(page.url()).pathname;
  await page.emulateMedia({ media: 'screen' });
  await visit(page, '/gear');
  await camera.setInputFiles(printed);
  await page.waitForURL(`**${address}`);
});

test('which piece it was is said where it is doubted, on a phone, too', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await visit(page, SAW);
  const was = page.getByRole('region', { name: 'Was on it' }).getByRole('listitem');
  await expect(was).toHaveCount(3);
  await page.getByRole('button', { name: 'It is the one before: Chain' }).click();
  await expect(was).toHaveCount(2);
  await ready(page);
  await undoLast(page);
  await expect(was).toHaveCount(3);
});

test('chains that go in turn are said to, which came is said at its job, and all of it undone', async ({ page }) => {
  await visit(page, SAW);
  const form = await open(page, 'Chains that go in turn');
  const boxes = form.getByRole('checkbox');
  await expect(boxes).toHaveCount(3);
  await axeFindsNothing(page, 'chains that go in turn');
  await boxes.nth(0).check();
  await boxes.nth(1).check();
  await form.getByRole('button', { name: 'Save' }).click();
  const set = page.getByRole('region', { name: 'On it now' });
  await expect(set.getByRole('heading', { name: 'In turn with it' })).toBeVisible();
  await expect(set.getByText(/one of 2 that go in turn/)).toHaveCount(2);
  await axeFindsNothing(page, 'a saw whose chains go in turn');
  const job = page.getByRole('region', { name: 'Jobs' }).getByRole('listitem').first();
  const came = await job.getByText(/^Came with/).textContent();
  await job.getByRole('button', { name: /^Which chain came with/ }).click();
  const which = page.getByRole('dialog', { name: /^Which chain came with/ });
  const select = which.getByLabel('The chain that it came with');
  const now = await select.inputValue();
  const other = await select
    .getByRole('option')
    .evaluateAll(
      (options, chosen) =>
        options.map((option) => (option as HTMLOptionElement).value).find((value) => value !== chosen)!,
      now,
    );
  await select.selectOption(other);
  await which.getByRole('button', { name: 'Save' }).click();
  await expect(job.getByText(/^Came with/)).not.toHaveText(came!);
  const said = page.getByRole('region', { name: 'Said of it' });
  for (const text of [/^Undo: The chain of L-0/, /^Undo: 2 chains go in turn/]) {
    await said.getByRole('button', { name: text }).click();
    await expect(said.getByRole('button', { name: text })).toHaveCount(0);
    await ready(page);
  }
  await expect(page.getByRole('heading', { name: 'In turn with it' })).toHaveCount(0);
});

test('a list of saws is taken in with its columns matched, told first, and undone as one', async ({ page }) => {
  await visit(page, '/gear');
  const form = await open(page, 'Take in a list of saws');
  const heading = (column: string) => form.getByRole('combobox', { name: new RegExp(`^${column}`) });
  const list = [
    'Whose;Machine;Inventory number;Chain pitch;Gauge;Drive links;Colour',
    'Stopplank gang of the list;Quern 50;WL-1;.325;.050;72;green',
    'Stopplank gang of the list;Quern 51;WL-2;blue;.050;72;green',
    'Stopplank gang of the list;Quern 52;WL-3;;;;red',
  ].join('\n');
  const file = { name: 'saws.csv', mimeType: 'text/csv', buffer: Buffer.from(list) };
  await form.getByLabel('The list of saws').setInputFiles(file);
  await expect(heading('Customer')).toHaveValue('0');
  await expect(form.getByRole('status')).toHaveText('2 new saws, 1 new customer');
  await expect(form.getByRole('region', { name: 'Rows that stay out' })).toContainText('line 3 Pitch “blue” is none');
  await heading('Pitch').selectOption({ label: 'not in the list' });
  await expect(form.getByRole('status')).toHaveText('3 new saws, 1 new customer');
  await heading('Customer').selectOption({ label: 'not in the list' });
  await expect(form.getByText('Say which heading is Customer.')).toBeVisible();
  await heading('Customer').selectOption({ label: 'Whose' });
  await heading('Pitch').selectOption({ label: 'Chain pitch' });
  await expect(form.getByRole('status')).toHaveText('2 new saws, 1 new customer');
  await axeFindsNothing(page, 'a list of saws');
  await form.getByRole('button', { name: 'Take in 2 saws' }).click();
  await expect(form).toBeHidden();
  await ready(page);
  const lists = page.getByRole('region', { name: 'Lists taken in' });
  await expect(lists).toContainText('saws.csv: 2 saws and 1 customer.');
  await visit(page, '/gear?q=Quern+50');
  await expect(page.getByText('.325 .050 72DL, told')).toBeVisible();
  await visit(page, '/gear');
  await lists.getByRole('button', { name: /^Undo: saws.csv/ }).click();
  await expect(lists.getByText(/undone by/).first()).toBeVisible();
  await visit(page, '/gear?q=Quern+50');
  await expect(page.getByText('No saw answers that')).toBeVisible();
});
