import { expect, test } from './bench';
import { axeFindsNothing } from './axe';
import { ready, visit } from './keyboard';

test('what the records teach is taken over by a person, who sees first what it changes', async ({ page }) => {
  await visit(page, '/shop?view=figures');
  await expect(page.getByText(/^Found behind complaints:/)).toBeVisible();
  const table = page.getByRole('table', { name: 'What the records teach' });
  const loss = table.getByRole('row').filter({ hasText: 'Depth a usual dressing takes' });
  await expect(loss).toContainText('0.3 mm');
  await expect(page.getByText(/jobs taken in from .* until /)).toBeVisible();
  await expect(page.getByText(/^Wrong parts nearly bought, and caught:/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Where verdicts were overridden' })).toContainText('came again');
  await expect(page.getByRole('region', { name: 'Money kept by mending parts' })).toContainText('£');
  await page.getByLabel('Taken in from').fill('2020-01-01');
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page.getByRole('region', { name: 'How long work takes' })).toContainText('min, known to');
  await axeFindsNothing(page, 'figures');
  await loss.getByRole('button', { name: /^Take over/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Take over' });
  await expect(dialog).toContainText('instead of 0.3 mm');
  await expect(dialog.getByRole('status')).toBeVisible();
  await dialog.getByRole('button', { name: 'Take over' }).click();
  await expect(loss).toContainText('in force');
  // As it was, for whoever comes next.
  const { figures } = (await (await page.request.get('/api/figures')).json()) as {
    figures: { id: string; inForce: { value: number } }[];
  };
  const taken = figures.find(({ id }) => id === 'bar.dress.loss')!.inForce.value;
  expect(taken).not.toBe(0.3);
  await page.request.put('/api/limits/bar.dress.loss', { data: { by: 'Ines', value: null, source: null } });
});

test('figures are of the time that is chosen, fit a phone, and print without what is pressed', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await visit(page, '/shop?view=figures');
  await page.getByLabel('Taken in from').fill('2023-01-01');
  await page.getByLabel('until').fill('2023-12-31');
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page.getByText(/taken in from 1 Jan 2023 until 31 Dec 2023/)).toBeVisible();
  await ready(page);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Show' })).toBeHidden();
  await expect(page.getByRole('heading', { name: 'How the shop did' })).toBeVisible();
});
