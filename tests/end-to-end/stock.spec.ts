import { expect, test, type Page } from '@playwright/test';

const LIST = [
  'Part No;Type;Description;Pitch;Gauge;Links;Kickback;Qty;Min;Price',
  'EX-1;chain;Chain .325 .050 66 links;.325;.050;66;low-kickback;4;2;17,20',
  'EX-2;chain;Chain 3/8 56 links;3/8;.050;56;low-kickback;2;1;15,00',
  'EX-3;chain;Chain .404 84 links;.404;.063;84;standard;x;1;27',
  'EX-1;chain;The same again;.325;.050;66;low-kickback;1;1;1',
].join('\n');

async function openList(page: Page, text = LIST): Promise<void> {
  await page.goto('/stock');
  await page.waitForSelector('[data-ready=true]');
  await page.getByRole('button', { name: 'Take in a list' }).click();
  await page
    .getByLabel('The list', { exact: true })
    .setInputFiles({ name: 'spring.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
}

test('a list with bad rows loses nothing: the good are taken in, the bad mended here, and all undone as one', async ({
  page,
}) => {
  await openList(page);
  await expect(page.getByRole('heading', { name: '1 row reads well' })).toBeVisible();
  const mend = page.getByRole('region', { name: 'Rows to mend' });
  await expect(mend).toContainText('3 rows cannot be read yet');
  await expect(mend).toContainText('does not say which 3/8');
  await expect(mend).toContainText('“x” is not a whole number');
  await expect(mend).toContainText('EX-1 stands in line 2 already');
  await page.getByRole('button', { name: 'Take 1 row in' }).click();
  await expect(page.getByText('1 of 1')).toBeVisible();
  await mend.getByLabel('Line 3, Pitch').fill('38lp');
  await mend.getByLabel('Line 3, Pitch').press('Enter');
  await mend.getByLabel('Line 4, On the shelf').fill('5');
  await mend.getByLabel('Line 4, On the shelf').press('Enter');
  await expect(mend).toContainText('1 row cannot be read yet');
  await page.getByRole('button', { name: 'Take 2 rows in' }).click();
  await expect(page.getByText('2 of 2')).toBeVisible();
  await page.getByRole('link', { name: 'Show the shelf' }).click();
  await page.goto('/stock?q=EX');
  await expect(page.getByText('3 parts', { exact: true })).toBeVisible();
  await page.waitForSelector('[data-ready=true]');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('3 parts are as before.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('0 parts', { exact: true })).toBeVisible();
});

test('a list of prices changes prices and nothing else', async ({ page }) => {
  const line = page.getByRole('row', { name: /LD-3250-72 / });
  await page.goto('/stock?q=LD-3250-72');
  const before = await line.innerText();
  expect(before).toContain('£17.90');
  await openList(page, 'Part No;Type;Description;Price\nLD-3250-72;chain;Chain .325 .050 72 links;18,40');
  await expect(page.getByText('stays').first()).toBeVisible();
  await page.getByRole('button', { name: 'Take 1 row in' }).click();
  await expect(page.getByText('1 of 1')).toBeVisible();
  await page.goto('/stock?q=LD-3250-72');
  await page.waitForSelector('[data-ready=true]');
  expect(await line.innerText()).toBe(before.replace('£17.90', '£18.40'));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('1 part is as before.')).toBeVisible();
});

test('a list whose headings say nothing waits for its columns', async ({ page }) => {
  await openList(page, 'a,b,c\nQX-1,chain,Chain of no known heading');
  await expect(page.getByText('Say which heading holds part number, kind and name')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Take/, disabled: true }).last()).toBeDisabled();
  for (const [column, i] of [
    ['Part number', '0'],
    ['Kind', '1'],
    ['Name', '2'],
  ] as const)
    await page
      .getByRole('group', { name: 'Which heading is which' })
      .getByRole('combobox', { name: new RegExp(`^${column}`) })
      .selectOption(i);
  await expect(page.getByRole('heading', { name: '1 row reads well' })).toBeVisible();
});

test('a part is put right on its card, and what makes no sense is refused', async ({ page }) => {
  await page.goto('/stock?q=LF-40');
  await page.waitForSelector('[data-ready=true]');
  await expect(page.getByText('below 4')).toBeVisible();
  await page.getByRole('button', { name: /^Round file 4.0/ }).click();
  const card = page.getByRole('dialog');
  await card.getByLabel('On the shelf').fill('many');
  await card.getByRole('button', { name: 'Put it right' }).click();
  await expect(card.getByRole('alert')).toContainText('A whole number, such as 4');
  await expect(card.getByLabel('On the shelf')).toHaveValue('many');
  await card.getByLabel('On the shelf').fill('6');
  await card.getByRole('button', { name: 'Put it right' }).click();
  await expect(page.getByText('below 4')).toHaveCount(0);
  await page.goto('/stock?low=yes');
  await expect(page.getByText('LF-40')).toHaveCount(0);
});

test('a learned code is read in jobs and at the counter, and forgotten', async ({ page }) => {
  await page.goto('/shop?view=codes');
  await page.waitForSelector('[data-ready=true]');
  await page.getByRole('button', { name: 'Learn it' }).click();
  await expect(page.getByRole('alert')).toContainText('Write the code');
  await page.getByLabel('Code', { exact: true }).fill('T77');
  await page.getByRole('button', { name: 'Learn it' }).click();
  await expect(page.getByRole('alert')).toContainText('what the code stands for');
  await page.getByRole('combobox', { name: /^Pitch/ }).selectOption('404');
  await page.getByRole('combobox', { name: /^Gauge/ }).selectOption('.063');
  await page.getByRole('button', { name: 'Learn it' }).click();
  await expect(page.getByRole('button', { name: 'Forget T77' })).toBeVisible();
  await page.goto('/counter');
  await page.waitForSelector('[data-ready=true]');
  await page.getByLabel('Mark on the chain').fill('t77');
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toContainText('.404');
  await page.goto('/shop?view=codes');
  await page.waitForSelector('[data-ready=true]');
  await page.getByRole('button', { name: 'Forget T77' }).click();
  await expect(page.getByRole('button', { name: 'Forget T77' })).toHaveCount(0);
});
