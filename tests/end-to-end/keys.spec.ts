import { expect, test, type Page } from './bench';
import { ready, saved, takeIn, tabTo } from './keyboard';

/** Most keys that a whole job may take: what is typed, what walks, what takes. */
const MOST_KEYS = 300;

/** Counts every key that goes down, over all pages of a job. */
const countKeys = async (page: Page): Promise<void> =>
  void (await page.addInitScript(() => {
    window.addEventListener(
      'keydown',
      () => window.sessionStorage.setItem('keys', String(1 + Number(window.sessionStorage.getItem('keys') ?? 0))),
      true,
    );
  }));

const keysSoFar = (page: Page): Promise<number> =>
  page.evaluate(() => Number(window.sessionStorage.getItem('keys') ?? 0));

/** The place of the sheet that has the focus. */
const placeNow = (page: Page): Promise<string | null> =>
  page.evaluate(() => document.activeElement?.closest<HTMLElement>('[data-path]')?.dataset.path ?? null);

/** Goes to a step by its key, and by its key once more to its first open field. */
async function toStep(page: Page, key: string, step: string): Promise<void> {
  await page.keyboard.press('Escape');
  const shown = page.locator(`[data-step=${step}]`);
  if (!(await shown.isVisible())) await page.keyboard.press(key);
  await expect(shown).toBeVisible();
  await expect(page.locator('[data-zone=step] h2, [data-zone=step] h3').first()).toBeVisible();
  await page.keyboard.press(key);
  await expect(page.locator('[data-zone=step] :focus')).toHaveCount(1);
}

/** Walks by Enter and Tab to a place: Enter passes what is taken, Tab what is left as it is. */
async function tabToPlace(page: Page, place: string): Promise<void> {
  for (let i = 0; i < 60 && (await placeNow(page)) !== place; i += 1) await page.keyboard.press('Tab');
  expect(await placeNow(page), `${place} is reached by Tab`).toBe(place);
}

async function enter(page: Page, place: string, text: string): Promise<void> {
  await tabToPlace(page, place);
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

/** Takes the word of a group that stands so many words after its first. */
async function take(page: Page, place: string, after = 0): Promise<void> {
  await tabToPlace(page, place);
  for (let i = 0; i < after; i += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
}

/** Ticks off every act of a card: each Enter takes one and walks to the next. */
async function tickOff(page: Page, place: string): Promise<void> {
  await tabToPlace(page, place);
  const acts = await page.locator(`[data-path="${place}"] [type=checkbox]`).count();
  for (let i = 0; i < acts; i += 1) await page.keyboard.press('Enter');
}

/** Goes back to the tabs of a step, and so many on. */
async function toTab(page: Page, on: number): Promise<void> {
  const isOnTab = () => page.evaluate(() => document.activeElement?.getAttribute('role') === 'tab');
  for (let i = 0; i < 20 && !(await isOnTab()); i += 1) await page.keyboard.press('Shift+Tab');
  for (let i = 0; i < on; i += 1) await page.keyboard.press('ArrowRight');
}

/** What stands at each place that the plan of measuring asks for before the bar is looked at: a text, or words to pass. */
const ANSWERS: Readonly<Record<string, string | number>> = {
  'driveSprocket.wear': '.8',
  'driveSprocket.type': 1,
  'driveSprocket.teeth': '7',
  'saw.splines': '7',
  'chain.driveLinks.0': '72',
  'chain.driveLinks.1': '72',
};

/** Answers what has the focus, and what Enter walks on to, as far as it is known. */
async function answerOn(page: Page, from: string, asked: Set<string>): Promise<void> {
  let place: string | null = from;
  while (place !== null && ANSWERS[place] !== undefined && !asked.has(place)) {
    asked.add(place);
    const said: string | number = ANSWERS[place]!;
    if (typeof said === 'string') await page.keyboard.type(said);
    else for (let i = 0; i < said; i += 1) await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await expect.poll(() => placeNow(page), `Enter walks on from ${place}`).not.toBe(place);
    place = await placeNow(page);
  }
}

/** Asks what is next, and waits until the caret is led to another place than the last. */
async function ledFrom(page: Page, last: string): Promise<string> {
  await page.keyboard.press('Escape');
  await page.keyboard.press('m');
  await expect.poll(() => placeNow(page)).not.toBeNull();
  await expect.poll(() => placeNow(page)).not.toBe(last);
  return (await placeNow(page))!;
}

/** Of each part that the plan will want there is one on the shelf, whatever other tests took. */
async function stocked(page: Page): Promise<void> {
  for (const sku of ['LB-M2-3250-72', 'LD-3250-72K', 'LS-325-7R']) {
    const data = { id: crypto.randomUUID(), by: 'Ines Holloway', kind: 'booked', pieces: 1, note: '' };
    const booked = await page.request.post(`/api/stock/parts/${sku}`, { data });
    expect(booked.status(), sku).toBe(200);
  }
}

test('a worn bar, a grown chain and a dead sprocket go from take-in to hand-over in 300 keys', async ({ page }) => {
  await countKeys(page);
  await stocked(page);
  await takeIn(page, 'Kim', 'Ondral 52', 'M2');
  await expect.poll(() => placeNow(page)).not.toBeNull();
  await take(page, 'job.brought');
  await take(page, 'job.operatorTrained', 1);

  await toStep(page, '3', 'identify');
  await enter(page, 'bar.stamp', '18 in 325 .050 72DL');
  await enter(page, 'chain.stamp', '325 .050');
  await expect(page.getByRole('list', { name: 'On the bar, taken apart' }).getByRole('listitem')).toHaveCount(4);

  // The plan leads through the rest; Enter walks over what belongs together.
  const asked = new Set<string>();
  for (let place = await ledFrom(page, 'chain.stamp'); ANSWERS[place] !== undefined; place = await ledFrom(page, place))
    await answerOn(page, place, asked);
  expect([...asked]).toEqual(expect.arrayContaining(['driveSprocket.wear', 'chain.driveLinks.1']));

  await toStep(page, '5', 'bar');
  await enter(page, 'bar.edges.A.stations.0.near', '4.8');
  await expect(page.getByRole('region', { name: 'Bar: Replace' })).toBeVisible();
  await toStep(page, '6', 'chain');
  await toTab(page, 2);
  await enter(page, 'chain.pushPull.joints', '36');
  await enter(page, 'chain.pushPull.closed', '297');
  await enter(page, 'chain.pushPull.pulled', '309');
  await expect(page.getByRole('region', { name: 'Chain: Replace' })).toBeVisible();

  await page.keyboard.press('Escape');
  await page.keyboard.press('8');
  await saved(page);
  await expect(page.getByRole('region', { name: 'Plans' }).getByRole('heading', { name: /Least today/ })).toBeVisible();
  await tabTo(page, 'Sign off as Ines Holloway');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Signed off by Ines Holloway on/)).toBeVisible();
  await ready(page);

  await toStep(page, '0', 'order');
  const takeIt = page.getByRole('button', { name: 'Take it' });
  for (let left = 3; left > 0; left -= 1) {
    await expect(takeIt).toHaveCount(left);
    // What was taken is gone: the focus is on the next.
    await expect(takeIt.first()).toBeFocused();
    await page.keyboard.press('Enter');
  }
  await expect(page.getByRole('region', { name: 'Parts of the plan' }).getByText('Taken')).toHaveCount(3);

  await toStep(page, 'f', 'refit');
  await tickOff(page, 'refit.done');
  await enter(page, 'refit.lift', '8');
  await toStep(page, 'p', 'prove');
  await take(page, 'proof.oil');
  await enter(page, 'proof.cut.depth', '300');
  await enter(page, 'proof.cut.drift', '1');
  await take(page, 'proof.cut.side');
  await take(page, 'proof.swarf');
  await page.keyboard.press('Escape');
  await saved(page);

  await page.keyboard.press('h');
  await expect(page.getByText('Nothing is open: it can go.')).toBeVisible();
  await tabTo(page, 'Hand over as Ines Holloway');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Handed over by Ines Holloway on/)).toBeVisible();
  expect(await keysSoFar(page)).toBeLessThanOrEqual(MOST_KEYS);
});
