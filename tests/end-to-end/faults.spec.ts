import { expect, test } from './bench';
import { READINGS, type ReadingId } from '../../src/core/sheet';
import { copyOf, freshJob, openJob, revisit, saved, visit } from './keyboard';

test('arrow keys go over the words of a finding and write none of them down', async ({ page }) => {
  const id = await freshJob(page, 'bar');
  await page.getByRole('tab', { name: 'Look it over' }).click();
  await page.getByRole('radio', { name: 'none found' }).focus();
  for (const word of ['cracked', 'not sure', 'none found', 'cracked', 'not sure']) {
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('radio', { name: word })).toBeFocused();
  }
  await page.keyboard.press('Enter');
  await saved(page);
  const { readings } = (await (await page.request.get(`/api/jobs/${id}`)).json()) as {
    readings: { path: string; text: string }[];
  };
  expect(readings.filter(({ path }) => path === 'bar.checks.crack').map(({ text }) => text)).toEqual(['unsure']);
});

test('Enter in the search waits for the words that stand there, and takes no hit of older ones', async ({ page }) => {
  await visit(page, '/');
  const search = page.getByRole('combobox', { name: /^Search/ });
  await search.fill('perry');
  await expect(page.getByRole('option').first()).toContainText('Perrydown');
  await page.route('**/api/search?q=tow*', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 800));
    await route.continue();
  });
  await search.fill('towpath');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Towpath');
});

test('arrow up before the first answer chooses nothing that is not there', async ({ page }) => {
  await visit(page, '/counter');
  const picker = page.getByRole('combobox', { name: 'Which saw, or whose' });
  await picker.fill('o');
  await page.keyboard.press('ArrowUp');
  await picker.pressSequentially('ndral');
  const saws = page.getByRole('listbox', { name: 'Saws' });
  await expect(saws.getByRole('option').first()).toContainText('Ondral');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Ask whether bar and chain are still the same|Nothing is remembered/)).toBeVisible();
});

test('a limit that is changed elsewhere reaches an open job, and photographs stay when a step is left', async ({
  page,
}) => {
  await copyOf(page, 'L-0419', 'bar');
  const tag = page.getByRole('complementary', { name: 'Tag: verdicts' });
  await expect(tag.getByRole('region', { name: 'Bar: Undecided' })).toBeVisible();
  const change = (value: string | null) =>
    page.request.put('/api/limits/bar.depth.325', { data: { by: 'Tam', value, source: null } });
  await change('5');
  await page.evaluate(() => window.dispatchEvent(new Event('focus')));
  await expect(tag.getByRole('region', { name: 'Bar: Keep' })).toBeVisible();
  await change(null);
  await page.keyboard.press('1');
  await page.locator('input[type=file]').setInputFiles('docs/screenshots/bench.png');
  const picture = page.getByRole('img', { name: /^Photograph 1/ });
  await expect(picture).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { name: 'Make safe and strip' })).toBeVisible();
  await page.keyboard.press('1');
  await expect(picture).toBeVisible();
});

test('a fault in drawing stays in its view, says what happened and leads back', async ({ page }) => {
  await page.addInitScript(() => {
    Intl.NumberFormat = function noNumbers() {
      throw new Error('no numbers today');
    } as unknown as typeof Intl.NumberFormat;
  });
  await visit(page, '/stock');
  const alert = page.getByRole('alert').filter({ hasText: 'This view could not be drawn' });
  await expect(alert).toContainText('no numbers today');
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
  await alert.getByRole('link', { name: 'To the Bench' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
});

test('a browser that tells no idleness, and an address that points nowhere, open a job all the same', async ({
  page,
}) => {
  await page.addInitScript(() => {
    delete (window as { requestIdleCallback?: unknown }).requestIdleCallback;
  });
  const href = await openJob(page, 'L-0417', 'bar');
  await visit(page, `${href}?step=bar#%`);
  await revisit(page);
  await expect(page.getByRole('region', { name: 'Bar: Recondition' })).toBeVisible();
  await expect(page.getByText('This view could not be drawn')).toHaveCount(0);
  await page.keyboard.press('6');
  await expect(page.getByRole('heading', { name: 'Chain', level: 2 })).toBeVisible();
});

test('a bracket typed with AltGr changes the edge', async ({ page }) => {
  await openJob(page, 'L-0417', 'bar');
  const press = (key: string) =>
    page.evaluate(
      (pressed) => window.dispatchEvent(new KeyboardEvent('keydown', { key: pressed, ctrlKey: true, altKey: true })),
      key,
    );
  await press(']');
  await expect(page.getByLabel('Edge B, station 1, near rail')).toBeVisible();
  await press('[');
  await expect(page.getByLabel('Edge A, station 1, near rail')).toBeVisible();
});

test('an empty bar opens with the caret in its first field, and its drawing says what is not measured', async ({
  page,
}) => {
  await freshJob(page, 'bar');
  await expect(page.getByLabel('Edge A, station 1, near rail')).toBeFocused();
  const section = page.getByRole('region', { name: 'Cross-section, edge A, station 1' }).getByRole('img');
  const cut = await section.evaluate((svg) => {
    const frame = svg.getBoundingClientRect();
    return [...svg.querySelectorAll('text')]
      .map((text) => text.getBoundingClientRect())
      .filter(({ left, right }) => left < frame.left - 1 || right > frame.right + 1).length;
  });
  expect(cut).toBe(0);
});

test('the slip for a new chain says that it takes the place of the condemned one', async ({ page }) => {
  const hits = (await (await page.request.get('/api/search?q=L-0418')).json()) as { href: string }[];
  await visit(page, `${hits[0]!.href}/slip`);
  await expect(page.getByText('does not go back on')).toHaveCount(0);
});

test('a shop says its currency, its zone and how it writes, and pages follow', async ({ page }) => {
  await visit(page, '/shop?view=about');
  await page.getByLabel('Currency').fill('XXXX');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('alert')).toContainText('A currency is three letters such as EUR.');
  await page.getByLabel('Currency').fill('EUR');
  await page.getByLabel('Time zone').fill('America/Denver');
  await page.getByLabel('Dates and numbers are written').selectOption('de-DE');
  await expect(page.getByText(/1\.234,50.€, 31\.12\.2026, 08:30/)).toBeVisible();
  await expect(page.getByLabel('Price on the customer’s page')).toHaveValue('told');
  await page.getByLabel('Price on the customer’s page').selectOption('left out');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Written down.')).toBeVisible();
  await visit(page, '/shop?view=about');
  await expect(page.getByLabel('Price on the customer’s page')).toHaveValue('left-out');
  await visit(page, '/stock');
  await expect(page.getByRole('table')).toContainText(/\d,\d\d.€/);
  const data = {
    name: 'Lockgate Depot saw room',
    currency: 'GBP',
    timeZone: 'Europe/London',
    style: 'en-GB',
    customerPrice: 'told',
  };
  expect((await page.request.put('/api/shop', { data })).status()).toBe(200);
});

/** Readings that are made otherwise than at a field of their own: by the log, by an import, by what others do. */
const WITHOUT_FIELD: readonly ReadingId[] = [
  'job.reference',
  'saw.turnLog.came',
  'saw.turnLog.went',
  // Where earlier jobs foresee something of a part; see returning.spec.ts.
  'saw.sameBar',
  'saw.sameChain',
  'saw.sameSprocket',
  'saw.foreseen.of',
  'saw.foreseen.value',
  'saw.foreseen.doubt',
  'saw.foreseen.edge',
  'saw.foreseen.at',
  'saw.foreseen.seen',
  'saw.foreseen.on',
  'chain.span.instrument',
  'bar.edges.stations.note',
  'bar.edges.stations.leaveLow',
  'job.kickbackChoice',
  'setAside',
  // Chosen on the ribbon; how far back, and where it sits, come once it is marked.
  'chain.damage.side',
  'chain.damage.cutter',
  'chain.damage.setBack',
  'chain.damage.place',
  // Shown where they are called for.
  'driveSprocket.renewed',
];

/** Places of the rework: they are there where the part calls for work. */
const ON_WORKED = /\.(reworkDone|after)/;

test('every reading has a control that is reached by its place', async ({ page }) => {
  const missing: string[] = [];
  let opened = '';
  for (const { id } of [...READINGS].sort((a, b) => Number(ON_WORKED.test(a.id)) - Number(ON_WORKED.test(b.id)))) {
    if (WITHOUT_FIELD.includes(id)) continue;
    const job = id.startsWith('bar.') || !ON_WORKED.test(id) ? 'L-0417' : 'L-0427';
    if (job !== opened) await copyOf(page, job, 'bar');
    opened = job;
    const path = id
      .replace('bar.edges.stations', 'bar.edges.A.stations.0')
      .replace('bar.edges.stands', 'bar.edges.A.stands')
      .replace(/^(chain\.(after\.)?(driveLinks|cutters(Left|Right)|depthGauges(Left|Right)))$/, '$1.0')
      .replace('chain.damage', 'chain.damage.0');
    // What belongs to the other kind of nose is shown for that kind.
    const nose = id === 'bar.checks.hardNose' || id === 'loop.noseRadius' ? 'hard' : 'sprocket';
    if ((await page.evaluate(() => document.body.dataset.nose)) !== nose) {
      await page.evaluate((kind) => {
        document.body.dataset.nose = kind;
        window.location.hash = 'bar.nose';
      }, nose);
      await page.locator('[data-path="bar.nose"]').getByText(nose, { exact: true }).click();
      await page.keyboard.press('Escape');
    }
    await page.evaluate((place) => (window.location.hash = place), path);
    const there = await page
      .locator(`[data-path="${path}"]`)
      .first()
      .waitFor({ state: 'attached', timeout: 60_000 })
      .then(
        () => true,
        () => false,
      );
    if (!there) missing.push(id);
  }
  expect(missing).toEqual([]);
});
