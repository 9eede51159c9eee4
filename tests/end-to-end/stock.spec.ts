import { expect, test, type Page } from './bench';
import { ready, revisit, visit } from './keyboard';

const LIST = [
  'Part No;Type;Description;Pitch;Gauge;Links;Kickback;Qty;Min;Price',
  'EX-1;chain;Chain .325 .050 66 links;.325;.050;66;low-kickback;4;2;17,20',
  'EX-2;chain;Chain 3/8 56 links;3/8;.050;56;low-kickback;2;1;15,00',
  'EX-3;chain;Chain .404 84 links;.404;.063;84;standard;x;1;27',
  'EX-1;chain;The same again;.325;.050;66;low-kickback;1;1;1',
].join('\n');

async function openList(page: Page, text: string | Buffer = LIST): Promise<void> {
  await visit(page, '/stock');
  await page.getByRole('button', { name: 'Take in a list' }).click();
  await page.getByLabel('The list', { exact: true }).setInputFiles({
    name: 'spring.csv',
    mimeType: 'text/csv',
    buffer: typeof text === 'string' ? Buffer.from(text) : text,
  });
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
  await visit(page, '/stock?q=EX');
  await expect(page.getByText('3 parts', { exact: true })).toBeVisible();
  await ready(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('3 parts are as before.')).toBeVisible();
  await revisit(page);
  await expect(page.getByText('0 parts', { exact: true })).toBeVisible();
});

test('a list of prices changes prices and nothing else', async ({ page }) => {
  const line = page.getByRole('row', { name: /LD-3250-72 / });
  await visit(page, '/stock?q=LD-3250-72');
  const before = await line.innerText();
  expect(before).toContain('£17.90');
  await openList(page, 'Part No;Type;Description;Price\nLD-3250-72;chain;Chain .325 .050 72 links;18,40');
  const changes = page.getByRole('region', { name: 'What it would change' });
  await expect(changes).toContainText('1 row reads well: 1 part changed');
  await expect(changes).toContainText('Price: 17.90 → 18.40');
  await expect(changes).not.toContainText('lost');
  await page.getByRole('button', { name: 'Take 1 row in' }).click();
  await expect(page.getByText('1 of 1')).toBeVisible();
  await visit(page, '/stock?q=LD-3250-72');
  expect(await line.innerText()).toBe(before.replace('£17.90', '£18.40'));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('1 part is as before.')).toBeVisible();
});

test('what is taken from the shelf while a list is looked at stays taken, and is told', async ({ page }) => {
  const sku = 'LD-3250-72';
  const now = async () =>
    ((await (await page.request.get(`/api/stock/parts/${sku}`)).json()) as { part: { quantity: number } }).part
      .quantity;
  await openList(page, `Part No;Type;Description;Qty\n${sku};chain;Chain .325 .050 72 links;50`);
  const changes = page.getByRole('region', { name: 'What it would change' });
  await expect(changes).toContainText('1 row reads well: 1 part changed');
  const before = await now();
  const taking = { id: crypto.randomUUID(), by: 'Ines Holloway', kind: 'booked', pieces: 1, note: '' };
  expect((await page.request.post(`/api/stock/parts/${sku}`, { data: taking })).status()).toBe(200);
  await page.getByRole('button', { name: 'Take 1 row in' }).click();
  await expect(page.getByText('One part has moved since it was shown, and stands as it is')).toBeVisible();
  expect(await now()).toBe(before + 1);
});

test('a list that would empty what is there says so, field by field, and keeps it when told to', async ({ page }) => {
  await openList(
    page,
    'Part No;Type;Description;Pitch;Gauge;Links;Qty;Price\nLD-3250-72;chain;Chain .325 .050 72 links;;.050;72;;18,40\nNEW-77;chain;A new one;.325;.050;66;1;20',
  );
  const changes = page.getByRole('region', { name: 'What it would change' });
  await expect(changes).toContainText('1 part new, 1 part changed');
  await expect(changes).toContainText('2 entries would be lost');
  const lost = changes.getByText('Pitch: lost, 325');
  await expect(lost).toBeVisible();
  await expect(changes.getByText(/On the shelf: lost, \d+ becomes 0/)).toBeVisible();
  expect(await lost.evaluate((line) => getComputedStyle(line).color)).not.toBe(
    await changes.getByText('Price: 17.90').evaluate((line) => getComputedStyle(line).color),
  );
  await expect(page.getByRole('button', { name: 'Take 2 rows in, losing 2' })).toBeEnabled();
  const columns = page.getByRole('group', { name: 'Which heading is which' });
  await columns.getByRole('combobox', { name: /^Pitch/ }).selectOption('');
  await columns.getByRole('combobox', { name: /^On the shelf/ }).selectOption('');
  await expect(changes).not.toContainText('lost');
  await expect(page.getByRole('button', { name: 'Take 2 rows in', exact: true })).toBeEnabled();
});

test('a list in another encoding keeps its letters, and one that cannot be read says what would be right', async ({
  page,
}) => {
  const refusal = page.getByRole('region', { name: 'Take in a list' }).getByRole('alert');
  const rows = 'sku;kind;name;price\nENC-1;chain;Chaîne dégraissée;18,40';
  await openList(page, Buffer.from(rows, 'latin1'));
  await expect(page.getByText('was read as Latin-1')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take 1 row in' })).toBeEnabled();
  await page.getByRole('button', { name: 'Take 1 row in' }).click();
  await expect(page.getByText('1 of 1')).toBeVisible();
  await visit(page, '/stock?q=ENC-1');
  await expect(page.getByText('Chaîne dégraissée')).toBeVisible();
  await ready(page);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText('1 part is as before.')).toBeVisible();

  await openList(page, Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(rows, 'utf16le')]));
  await expect(page.getByText('was read as UTF-16')).toBeVisible();
  await openList(page, 'sku,kind,name\nA-1,chain,One\nA-2,chain,"Two\nA-3,chain,Three\n');
  await expect(refusal).toContainText('Line 3 opens a quotation mark that is never closed');
  await openList(page, Buffer.from('PK\u0003\u0004 a workbook', 'latin1'));
  await expect(refusal).toContainText('workbook of a table program');
  await openList(page, 'sku,kind,name\nA-1,chain,"One" bar, two"\nA-2,chain,Two\n');
  const mend = page.getByRole('region', { name: 'Rows to mend' });
  await expect(mend).toContainText('line 2');
  await expect(mend).toContainText('stands where none may');
});

test('a list that is too large is refused at once', async ({ page }) => {
  await openList(page);
  await page.getByLabel('The list', { exact: true }).evaluate((input: HTMLInputElement) => {
    const large = new DataTransfer();
    large.items.add(new File([new ArrayBuffer(60_000_000)], 'large.csv', { type: 'text/csv' }));
    input.files = large.files;
    input.dispatchEvent(new Event('change', { bubbles: true }));
  });
  await expect(page.getByText('It has 60 MB, more than the 48 MB that are taken in at once')).toBeVisible();
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
  await visit(page, '/stock?q=LF-40');
  await expect(page.getByText('below 4')).toBeVisible();
  await page.getByRole('button', { name: /^Round file 4.0/ }).click();
  const card = page.getByRole('dialog');
  await card.getByLabel('Counted on the shelf').fill('many');
  await card.getByRole('button', { name: 'Put it right' }).click();
  await expect(card.getByRole('alert')).toContainText('A whole number, such as 4');
  await expect(card.getByLabel('Counted on the shelf')).toHaveValue('many');
  await card.getByLabel('Counted on the shelf').fill('6');
  await card.getByRole('button', { name: 'Put it right' }).click();
  await expect(page.getByText('below 4')).toHaveCount(0);
  await visit(page, '/stock?low=yes');
  await expect(page.getByText('LF-40')).toHaveCount(0);
});

test('pieces are taken and booked in, with who and when, and a card changed meanwhile is not overwritten', async ({
  page,
  request,
}) => {
  await visit(page, '/stock?q=LD-3250-72');
  const line = page.getByRole('row', { name: /LD-3250-72 / });
  const open = () => page.getByRole('button', { name: 'Chain .325 .050 72 links LD-3250-72', exact: true }).click();
  const onShelf = async () =>
    Number(
      await line
        .getByRole('cell')
        .nth(6)
        .innerText()
        .then((text) => /\d+/.exec(text)![0]),
    );
  const before = await onShelf();
  const card = page.getByRole('dialog');
  await open();
  await card.getByLabel('Pieces').fill('500');
  await card.getByRole('button', { name: 'Take from the shelf' }).click();
  await expect(card.getByRole('alert')).toContainText(`Only ${before} on the shelf: 500 cannot be taken`);
  await expect(card.getByLabel('Pieces')).toHaveValue('500');
  await card.getByLabel('Pieces').fill('2');
  await card.getByLabel(/For what/).fill('job L-0431');
  await card.getByRole('button', { name: 'Take from the shelf' }).click();
  await expect(card).toHaveCount(0);
  await expect.poll(onShelf).toBe(before - 2);
  await open();
  await expect(card).toContainText(`−2taken${before - 2} left, job L-0431Ines Holloway`);
  await card.getByLabel('Pieces').fill('3');
  await card.getByRole('button', { name: 'Book in' }).click();
  await expect.poll(onShelf).toBe(before + 1);

  await open();
  // Somebody else takes one while the card is open.
  const elsewhere = { id: crypto.randomUUID(), by: 'Tam', kind: 'taken', pieces: 1 };
  expect((await request.post('/api/stock/parts/LD-3250-72', { data: elsewhere })).ok()).toBe(true);
  await card.getByLabel('Counted on the shelf').fill(String(before));
  await card.getByRole('button', { name: 'Put it right' }).click();
  await expect(card.getByRole('alert')).toContainText('Somebody has changed this part since you opened it');
  await expect(card.getByLabel('Counted on the shelf')).toHaveValue(String(before));
  await card.getByRole('button', { name: 'Put it right' }).click();
  await expect(card).toHaveCount(0);
  await expect.poll(onShelf).toBe(before);
});

test('a learned code is read in jobs and at the counter, and forgotten', async ({ page }) => {
  await visit(page, '/shop?view=codes');
  await page.getByRole('button', { name: 'Learn it' }).click();
  await expect(page.getByRole('alert')).toContainText('Write the code');
  await page.getByLabel('Code', { exact: true }).fill('T77');
  await page.getByRole('button', { name: 'Learn it' }).click();
  await expect(page.getByRole('alert')).toContainText('what the code stands for');
  await page.getByRole('combobox', { name: /^Pitch/ }).selectOption('404');
  await page.getByRole('combobox', { name: /^Gauge/ }).selectOption('.063');
  await page.getByRole('button', { name: 'Learn it' }).click();
  await expect(page.getByRole('button', { name: 'Forget T77' })).toBeVisible();
  await visit(page, '/counter');
  await page.getByLabel('Mark on the chain').fill('t77');
  await expect(page.getByRole('region', { name: 'Pitch: settled' })).toContainText('.404');
  await visit(page, '/shop?view=codes');
  await page.getByRole('button', { name: 'Forget T77' }).click();
  await expect(page.getByRole('button', { name: 'Forget T77' })).toHaveCount(0);
});
