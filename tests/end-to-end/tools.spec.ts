import { expect, test, type Page } from './bench';
import { axeFindsNothing } from './axe';
import { freshJob, ready, revisit, saved } from './keyboard';

interface Sheet {
  readonly bar?: {
    readonly edges?: {
      readonly A?: { readonly stations: readonly Record<string, unknown>[]; readonly stands?: string };
    };
  };
}

/** The sheet of the job on the screen, as it is exported. */
async function exported(page: Page): Promise<Sheet> {
  const id = /\/jobs\/([^/?]+)/.exec(page.url())![1]!;
  return (await (await page.request.get(`/api/jobs/${id}/sheet.json`)).json()) as Sheet;
}

const stationOne = async (page: Page) => (await exported(page)).bar!.edges!.A!.stations[0]!;

test('the tool in hand is taken once, stays, changes the doubt on the spot, and is kept by the export', async ({
  page,
}) => {
  await freshJob(page, 'bar');
  await page.getByLabel('Depths: measured with').selectOption('depth-marks');
  const near = page.getByLabel('Edge A, station 1, near rail');
  await near.fill('7.5');
  await near.press('Enter');
  await saved(page);
  expect((await stationOne(page)).near).toEqual({ repeats: ['7.5 mm'], instrument: 'depth-marks' });
  const said = page.locator('p', { hasText: 'All readings together say' });
  const doubt = async () => Number(/± (\d\.\d+)/.exec((await said.textContent())!)![1]);
  expect(await doubt()).toBeGreaterThan(0.4);
  await revisit(page);
  await expect(page.getByLabel('Depths: measured with')).toHaveValue('depth-marks');
  // The key changes the reading that the caret stands in: marks, caliper, and round to the rod.
  await near.focus();
  await page.keyboard.press('F8');
  await page.keyboard.press('F8');
  await saved(page);
  expect((await stationOne(page)).near).toBe('7.5 mm');
  await expect.poll(doubt).toBeLessThan(0.2);
  await expect(page.getByLabel('Depths: measured with')).toHaveValue('depth-rod');
});

test('the caliper says that it is a caliper', async ({ page }) => {
  await page.request.post('/simulated/caliper/command', { data: { line: 'up', battery: 90, jaw: 8 } });
  await freshJob(page, 'bar');
  await page.getByRole('button', { name: 'Caliper' }).click();
  await expect(page.getByText('Caliper connected')).toBeVisible();
  await page.getByLabel('Edge A, station 1, near rail').focus();
  await page.keyboard.press('F9');
  await expect(page.getByLabel('Edge A, station 1, near rail')).toHaveValue(/^8\.\d\d$|^7\.9\d$/);
  await page.getByLabel('Edge A, station 1, far rail').fill('8.0');
  await page.getByLabel('Edge A, station 1, far rail').press('Enter');
  await saved(page);
  const { near, far } = await stationOne(page);
  expect(near).toMatchObject({ instrument: 'caliper' });
  expect(far).toBe('8.0 mm');
});

test('a field on its own says its tool and its doubt beside it', async ({ page }) => {
  await freshJob(page, 'sprocket');
  await page.getByLabel('Wear depth', { exact: true }).fill('0.4');
  await expect(page.getByText('± 0.07 mm')).toBeVisible();
  await page.getByLabel('Measured with').first().selectOption('rule');
  await expect(page.getByText('± 0.07 mm')).toBeHidden();
  await expect(page.getByRole('region', { name: /^Drive sprocket: Undecided/ })).toBeVisible();
});

test('the hand’s own tests of level are one tap each, and count', async ({ page }) => {
  await freshJob(page, 'bar');
  for (const [i, far] of ['7.9', '7.88'].entries()) {
    await page.getByLabel(`Edge A, station ${i + 1}, near rail`).fill('8.0');
    await page.getByLabel(`Edge A, station ${i + 1}, near rail`).press('Enter');
    await page.getByLabel(`Edge A, station ${i + 1}, far rail`).fill(far);
    await page.getByLabel(`Edge A, station ${i + 1}, far rail`).press('Enter');
  }
  await page
    .getByRole('radiogroup', { name: /^The clean bar stood on edge A/ })
    .getByText('stands', { exact: true })
    .click();
  await page.getByText('Finer readings').click();
  await page
    .getByRole('radiogroup', { name: /^Square on the rails/ })
    .getByText('level', { exact: true })
    .click();
  await saved(page);
  const { bar } = await exported(page);
  expect(bar!.edges!.A).toMatchObject({ stands: 'yes' });
  expect(bar!.edges!.A!.stations.some(({ square }) => square === 'level')).toBe(true);
  await expect(page.getByText('Edge A needs no dressing')).toBeVisible();
  await axeFindsNothing(page, 'tools in hand');
});

test('a verdict that was looked at by other rules than stand now is not signed', async ({ page }) => {
  await freshJob(page, 'bar');
  await page.getByRole('tab', { name: 'Look it over' }).click();
  await page.getByRole('radiogroup', { name: 'Cracks' }).getByText('cracked', { exact: true }).click();
  await saved(page);
  await page.getByRole('button', { name: /Decide/ }).click();
  const changed = await page.request.put('/api/limits/bar.bow', {
    data: { by: 'Tam', value: '0.45', source: null },
  });
  expect(changed.ok()).toBe(true);
  await page.getByRole('button', { name: /^Sign off as/ }).click();
  await expect(page.getByText(/changed since this verdict was shown/)).toBeVisible();
  await page.getByRole('button', { name: 'Show it as it stands now' }).click();
  await ready(page);
  await page.getByRole('button', { name: /^Sign off as/ }).click();
  await expect(page.getByText(/^Signed off by/)).toBeVisible();
  await page.request.put('/api/limits/bar.bow', { data: { by: 'Tam', value: null, source: null } });
});
