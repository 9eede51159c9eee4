import { expect, test, type Page } from './bench';
import { axeFindsNothing } from './axe';
import { copyOf, freshJob, openJob, ready, revisit, saved, visit } from './keyboard';

const hand = (page: Page, command: object) => page.request.post('/simulated/caliper/command', { data: command });

/** More than a hand-held caliper strays, mm. */
const CALIPER_WOBBLE_MM = 0.03;

/** Turns the wheel of the caliper to a value and presses its button. */
async function read(page: Page, mm: number): Promise<void> {
  await hand(page, { jaw: mm });
  await page.keyboard.press('F9');
}

test('the caliper fills a bar, drops out, comes back, and its battery runs low', async ({ page }) => {
  await hand(page, { line: 'up', battery: 90 });
  await freshJob(page, 'bar');
  await page.getByRole('button', { name: 'Caliper' }).click();
  const panel = page.getByRole('complementary', { name: 'Simulated caliper' });
  await expect(panel.getByText('Caliper connected')).toBeVisible();
  await page.getByLabel('Edge A, station 1, near rail').focus();
  for (const [label, mm] of [
    ['Edge A, station 1, near rail', 8.1],
    ['Edge A, station 1, far rail', 7.7],
    ['Edge A, station 1, groove width', 1.4],
    ['Edge A, station 2, near rail', 8.0],
  ] as const) {
    await expect(page.getByLabel(label)).toBeFocused();
    await read(page, mm);
    await expect(page.getByLabel(label)).toHaveValue(/^\d\.\d\d$/);
    expect(Math.abs(parseFloat(await page.getByLabel(label).inputValue()) - mm)).toBeLessThan(CALIPER_WOBBLE_MM);
  }
  await expect(page.getByLabel('Edge A, station 2, far rail')).toBeFocused();
  await hand(page, { line: 'down' });
  await expect(panel.getByText('line lost, trying again')).toBeVisible();
  await expect(panel.getByRole('button', { name: /^Take reading/ })).toBeDisabled();
  await page.getByLabel('Edge A, station 2, far rail').fill('7.6');
  await hand(page, { line: 'up', battery: 9 });
  await expect(panel.getByText('battery low, 9 %')).toBeVisible();
  await page.getByLabel('Edge A, station 3, near rail').focus();
  await page.getByLabel('add as repeats').check();
  await page.getByLabel('Edge A, station 3, near rail').focus();
  await read(page, 7.9);
  await expect(page.getByLabel('Edge A, station 3, near rail')).toHaveValue(/^7\.\d\d( mm)?$/);
  await read(page, 7.9);
  await expect(page.getByLabel('Edge A, station 3, near rail')).toHaveValue(/mm; 7\.\d\d mm$/);
  await page.getByLabel('Edge A, station 3, near rail').press('Enter');
  await saved(page);
  await revisit(page);
  await expect(page.getByLabel('Edge A, station 3, near rail')).toHaveValue(/mm; 7\.\d\d mm$/);
  await expect(page.getByLabel('Edge A, station 2, far rail')).toHaveValue('7.6');
  await hand(page, { battery: 90 });
});

test('rework: the card, the second measurement in the same drawing, and a bar that fails after dressing says so', async ({
  page,
}) => {
  await copyOf(page, 'L-0417', 'rework');
  const edgeA = page.getByRole('region', { name: 'Work on edge A' });
  await expect(edgeA).toContainText(/0\.6[2-5] mm/);
  await page.getByText('Dress the rails', { exact: true }).last().click();
  await expect(page.getByRole('region', { name: /^Bar: Undecided/ })).toContainText('second measurement');
  for (let i = 1; i <= 6; i += 1) {
    for (const rail of ['near', 'far'] as const) {
      const field = page.getByLabel(`Edge A, station ${i}, ${rail} after`);
      await field.fill('7.0');
      await field.press('Enter');
    }
  }
  const summary = page.getByRole('region', { name: 'Before and after' });
  await expect(summary).toContainText('Largest step');
  await expect(summary).toContainText('more dressings');
  await saved(page);
  await page.getByRole('link', { name: 'Work card to print' }).click();
  await expect(page.getByRole('article')).toContainText('Bar: Recondition');
  await expect(page.getByRole('article')).toContainText('Edge B');
  await page.getByRole('link', { name: /^Back to/ }).click();
  await page.waitForURL(/step=rework/);
  await expect(page.getByRole('heading', { name: 'Rework the bar' })).toBeVisible();
  await ready(page);
  await page.getByLabel('Edge A, station 4, far after').fill('5.1');
  await page.getByLabel('Edge A, station 4, far after').press('Enter');
  await expect(page.getByRole('alert')).toContainText('Finished after the rework: replace');
  await page.getByLabel('Edge A, station 4, far after').fill('7.0');
  await page.getByLabel('Edge A, station 4, far after').press('Enter');
  await page.getByRole('radio', { name: 'B', exact: true }).check();
  await expect(page.getByText('Turned over: A → B.')).toBeVisible();
  await saved(page);
  await revisit(page);
  await expect(page.getByText('came A down, went back B down')).toBeVisible();
});

test('what was contradicted among the finer readings is found from anywhere', async ({ page }) => {
  const id = await copyOf(page, 'L-0418', 'bar');
  const path = 'bar.edges.A.stations.1.deep';
  await page.getByLabel('Edge A, station 2, near rail').focus();
  await page.getByText('Finer readings').click();
  const deep = page.getByLabel('Width lower down');
  const { readings } = (await (await page.request.get(`/api/jobs/${id}`)).json()) as {
    readings: { id: string; path: string }[];
  };
  const supersedes = readings.find((reading) => reading.path === path)?.id ?? null;
  const theirs = { id: crypto.randomUUID(), path, text: '1.38 mm', unit: 'mm', instrument: null, supersedes };
  await page.request.post(`/api/jobs/${id}/readings`, { data: { by: 'Tam Brook', readings: [theirs] } });
  await deep.fill('1.33');
  await deep.press('Enter');
  await page.getByRole('button', { name: /^Chain/ }).click();
  await page.getByRole('button', { name: 'Choose' }).click();
  await expect(deep).toBeFocused();
  await page.getByRole('button', { name: 'Put 1.33' }).click();
  await expect(page.getByRole('button', { name: 'Choose' })).toBeHidden();
  await saved(page);
});

test('a bar that is finished gets no work and no edge to put down', async ({ page }) => {
  await copyOf(page, 'L-0417', 'bar');
  await page.getByLabel('Edge A, station 3, far rail').fill('5.4');
  await page.getByLabel('Edge A, station 3, far rail').press('Enter');
  await expect(page.getByRole('region', { name: /^Bar: Replace/ })).toBeVisible();
  await expect(page.getByText('Edge A cannot be dressed')).toBeVisible();
  await expect(page.getByText('Dress edge B')).toBeHidden();
  await page.getByRole('button', { name: /^Rework/ }).click();
  await expect(page.getByText('This bar is finished')).toBeVisible();
  await expect(page.getByText('Goes back with this edge down')).toBeHidden();
  await page.getByRole('link', { name: 'The counter' }).click();
  await expect(page.getByRole('heading', { name: 'Counter' })).toBeVisible();
});

test('why it cuts crooked is answered with its causes, both schools and one curve of them all', async ({ page }) => {
  await openJob(page, 'L-0417', 'bar');
  await page.getByRole('tab', { name: 'Why crooked?' }).click();
  await expect(page.getByText(/^The set lean is 1\.6°/)).toBeVisible();
  await expect(page.getByText(/^All of it together draws the cut about 23 mm to the left in 300 mm/)).toBeVisible();
  await expect(page.getByText('One school: it is the bar.')).toBeVisible();
  await expect(page.getByText('The other: it is the cutters.')).toBeVisible();
  await expect(page.getByRole('img', { name: /^At 300 mm deep the cut drifts about 23 mm to the left/ })).toBeVisible();
  await page.getByRole('button', { name: '200 mm' }).click();
  await expect(page.getByRole('img', { name: /^At 200 mm deep/ })).toBeVisible();
});

test('findings of the walk have their effect: a torn hole condemns, bare paint says nothing', async ({ page }) => {
  await freshJob(page, 'bar');
  await page.getByRole('tab', { name: 'Look it over' }).click();
  await page.getByRole('radio', { name: 'bare in places' }).check();
  await expect(page.getByRole('region', { name: /^Bar: Undecided/ })).toBeVisible();
  await page.getByRole('radio', { name: 'torn out' }).check();
  await expect(page.getByRole('region', { name: 'Bar: Replace' })).toContainText('no longer holds the tension');
});

test('drawings are given out as SVG and PNG', async ({ page }) => {
  await openJob(page, 'L-0417', 'bar');
  for (const kind of ['SVG', 'PNG'] as const) {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: `${kind} of profile` }).click();
    expect((await download).suggestedFilename()).toBe(`rail-profile.${kind.toLowerCase()}`);
  }
});

test('a station is taken off, and the schools of the shop are followed', async ({ page }) => {
  await copyOf(page, 'L-0418', 'bar');
  const first = page.getByLabel('Edge A, station 1, near rail');
  const before = await first.inputValue();
  await first.focus();
  await page.getByText('Finer readings').click();
  await page.getByRole('button', { name: 'Take this station off' }).click();
  await expect(first).not.toHaveValue(before);
  await saved(page);
  await visit(page, '/shop?view=schools');
  await page.getByText('file in a wood block').click();
  await expect(page.getByRole('radio', { name: 'file in a wood block' })).toBeChecked();
  await openJob(page, 'L-0417', 'rework');
  await expect(page.getByText('File set square into a wood block.')).toBeVisible();
  await page.request.put('/api/schools', { data: { school: 'levelling', answer: 'guided-file' } });
});

test('a hard nose is judged by its facing', async ({ page }) => {
  await freshJob(page, 'bar');
  await page.getByRole('tab', { name: 'Look it over' }).click();
  const nose = page.getByRole('radiogroup', { name: 'Kind' });
  await nose.getByText('hard', { exact: true }).click();
  await page.getByText('worn through or chipped').click();
  await page.getByRole('radiogroup', { name: 'Nose can be replaced' }).getByText('no', { exact: true }).click();
  await expect(page.getByRole('region', { name: /^Bar: Replace/ })).toContainText('cannot be replaced');
});

test('the log of a saw counts before what is told, unless another bar is on it', async ({ page }) => {
  const edge = (near: string, far: string) => ({ stations: [{ at: '60 mm', near, far }] });
  const sheet = {
    format: 'serrata-bench-sheet',
    version: 1,
    job: { turnOver: 'never' },
    saw: { turnLog: [{ came: 'A', went: 'B' }] },
    bar: { edges: { A: edge('8 mm', '7.4 mm'), B: edge('7.4 mm', '8 mm') } },
  };
  const saw = { label: 'Turned saw', mount: null };
  const data = { by: 'Ines Holloway', customer: { name: 'Test bench' }, saw, complaint: '', promisedFor: null, sheet };
  const { id } = (await (await page.request.post('/api/jobs', { data })).json()) as { id: string };
  await visit(page, `/jobs/${id}?step=take-in`);
  await expect(page.getByText('1 of 1 times. That counts before what was told.')).toBeVisible();
  const same = page.getByRole('radiogroup', { name: 'Same bar as at the last service' });
  await same.getByText('no', { exact: true }).click();
  await expect(page.getByText('That counts before what was told.')).toBeHidden();
  await saved(page);
  const { bar } = (await (await page.request.get(`/api/jobs/${id}/assessment.json`)).json()) as {
    bar: { wearPattern: string };
  };
  expect(bar.wearPattern).toContain('a bar never turned over');
});

test.describe('on a tablet, by touch', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true });

  test('a bar is measured and reworked without the page scrolling sideways, and axe finds nothing', async ({
    page,
  }) => {
    await copyOf(page, 'L-0417', 'bar');
    await page
      .getByRole('group', { name: 'Edge', exact: true })
      .getByRole('button', { name: /^Edge B/ })
      .tap();
    await page.getByLabel('Edge B, station 2, near rail').tap();
    // Room for a reading with its unit, and the tabs in one row.
    expect((await page.getByLabel('Edge B, station 2, near rail').boundingBox())!.width).toBeGreaterThan(85);
    expect((await page.getByRole('tablist', { name: 'Bar' }).boundingBox())!.height).toBeLessThan(60);
    await page.keyboard.type('8.25');
    await page.getByLabel('Edge B, station 2, far rail').tap();
    await saved(page);
    for (const step of ['bar', 'rework']) {
      await openJob(page, 'L-0417', step);
      expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
      await axeFindsNothing(page, step);
    }
  });
});

/** Marks every element on the page with what React last drew it from. */
const rememberDrawn = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const drawnFrom = (element: Element): unknown =>
      Object.entries(element).find(([name]) => name.startsWith('__reactProps'))?.[1];
    const drawn = new Map([...document.querySelectorAll('main *')].map((each) => [each, drawnFrom(each)]));
    Object.assign(window, {
      redrawnIn: (within: string) =>
        [...document.querySelectorAll(`${within} *`)].filter((each) => drawnFrom(each) !== drawn.get(each)).length,
    });
  });

/** How many elements within were drawn anew since then. */
const redrawnIn = (page: Page, within: string): Promise<number> =>
  page.evaluate((place) => (window as unknown as { redrawnIn: (place: string) => number }).redrawnIn(place), within);

test('a key redraws the station it is typed at, and not the others, the plan, the plates or the steps', async ({
  page,
}) => {
  await copyOf(page, 'L-0417', 'bar');
  const near = page.getByLabel('Edge A, station 2, near rail');
  const text = (await near.inputValue()).replace(' mm', '');
  await near.fill(text);
  await rememberDrawn(page);
  await near.press('End');
  await page.keyboard.type('1');
  await expect(near).toHaveValue(`${text}1`);
  for (const within of [
    '[aria-label^="The bar from its stamped side"]',
    '[aria-label^="Linked plates"]',
    '[aria-label="Steps"] li',
    '[aria-label="Unrolled rail profile"] [aria-label^="Edge B, station"]',
    '[aria-label="Unrolled rail profile"] [aria-label^="Edge A, station 3"]',
    'tr:has([aria-label^="Edge A, station 3"])',
  ]) {
    expect(await page.locator(`${within} *`).count(), within).toBeGreaterThan(0);
    expect(await redrawnIn(page, within), within).toBe(0);
  }
  for (const within of [
    '[aria-label="Unrolled rail profile"] [aria-label^="Edge A, station 2"]',
    'tr:has([aria-label^="Edge A, station 2"])',
  ])
    expect(await redrawnIn(page, within), within).toBeGreaterThan(0);
});
