import { expect, test } from './bench';
import { axeFindsNothing } from './axe';
import { ready, visit } from './keyboard';

test('a model is entered as its saws were measured, answers a call, is mended, and all of it is undone', async ({
  page,
}) => {
  await visit(page, '/gear');
  await page.getByRole('link', { name: 'Models of saws' }).click();
  await page.waitForURL('**/gear/models');
  await ready(page);
  await page.getByRole('button', { name: 'Enter a model' }).click();
  const form = page.getByRole('dialog', { name: 'Enter a model' });
  await form.getByRole('button', { name: 'Enter', exact: true }).click();
  await expect(form.getByRole('alert').first()).toHaveText('Write what the model is called.');
  await form.getByLabel('Model').fill('Brask 66');
  await form.getByLabel(/^Bar, such as/).fill('50 cm');
  await form.getByRole('button', { name: 'Take what was measured on saws of that name' }).click();
  await expect(form.getByRole('status')).toHaveText('As measured on 1 saw of that name: look it over.');
  await expect(form.getByLabel('Pitch')).toHaveValue('.325');
  await form.getByLabel('Links').fill('many');
  await form.getByRole('button', { name: 'Enter', exact: true }).click();
  await expect(form.getByRole('alert')).toHaveText('A count, such as 72, or nothing.');
  await form.getByLabel('Links').fill('78');
  await axeFindsNothing(page, 'a model of saws');
  await form.getByRole('button', { name: 'Enter', exact: true }).click();
  const row = page.getByRole('row').filter({ hasText: 'Brask 66 · 50 cm' });
  for (const number of ['.325', '.050', '78DL']) await expect(row.getByRole('cell', { name: number })).toBeVisible();
  await ready(page);

  await visit(page, '/counter');
  await page.getByRole('combobox', { name: 'Which saw, or whose' }).fill('brask 66');
  await page.getByRole('option', { name: /Brask 66, 50 cm.*model: usual, not measured/ }).click();
  await expect(page.getByText('Usual for the model Brask 66, 50 cm, not measured: count the links')).toBeVisible();
  await expect(page.getByText('The links stand on the stamp only: count them')).toBeVisible();

  await visit(page, '/gear/models');
  await row.getByRole('button', { name: 'Mend Brask 66, 50 cm' }).click();
  const mend = page.getByRole('dialog', { name: 'Mend Brask 66, 50 cm' });
  await mend.getByLabel('Links').fill('79');
  await mend.getByRole('button', { name: 'Save' }).click();
  const said = page.getByRole('region', { name: 'Said of it' }).getByRole('listitem');
  await expect(said.first()).toContainText('Brask 66, 50 cm: Mended: links “79DL”, before “78DL”.');
  await ready(page);
  for (const what of ['Mended', 'entered']) {
    const undo = said.filter({ hasText: what }).filter({ hasText: 'Brask 66, 50 cm' }).getByRole('button');
    await undo.click();
    await expect(said.filter({ hasText: what }).filter({ hasText: /undone by/ })).toHaveCount(1);
    await ready(page);
  }
  await expect(row).toContainText('offered no more');
});

test('a list of models is taken in with its columns matched, what is wrong told, and undone as one', async ({
  page,
}) => {
  await visit(page, '/gear/models');
  await page.getByRole('button', { name: 'Take in a list of models' }).click();
  const form = page.getByRole('dialog', { name: 'Take in a list of models' });
  const list = ['Machine;Length;Chain pitch;Gauge;DL', 'Fell 30;30 cm;3/8LP;.043;44', 'Fell 30;35 cm;blue;.043;50'];
  const file = { name: 'fells.csv', mimeType: 'text/csv', buffer: Buffer.from(list.join('\n')) };
  await form.getByLabel('The list of models').setInputFiles(file);
  await expect(form.getByRole('region', { name: 'Rows that stay out' })).toContainText('line 3 Pitch “blue” is none');
  await expect(form.getByText('Fell 30, 30 cm')).toBeVisible();
  await axeFindsNothing(page, 'a list of models');
  await form.getByRole('button', { name: 'Take in 1 model' }).click();
  await expect(page.getByText('fells.csv: 1 model.')).toBeVisible();
  await ready(page);
  await page.getByRole('button', { name: /^Undo: fells.csv/ }).click();
  await expect(page.getByRole('row').filter({ hasText: 'Fell 30 · 30 cm' })).toContainText('offered no more');
});
