import { expect, type Locator, type Page } from './bench';

/** Waits until a page answers: before that, tests would press what is only drawn. */
export const ready = async (page: Page): Promise<void> => void (await page.waitForSelector('[data-ready=true]'));

/** Opens a page, and waits until it answers. */
export async function visit(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await ready(page);
}

/** Loads the page again, and waits until it answers. */
export async function revisit(page: Page): Promise<void> {
  await page.reload();
  await ready(page);
}

/** What the focused element is called, as a screen reader would say it. */
async function focusedName(page: Page): Promise<string> {
  return page.evaluate(() => {
    const element = document.activeElement;
    if (!(element instanceof HTMLElement)) return '';
    const labels = 'labels' in element ? [...((element as HTMLInputElement).labels ?? [])] : [];
    return (element.getAttribute('aria-label') ?? labels[0]?.textContent ?? element.textContent ?? '').trim();
  });
}

const MOST_TABS = 120;

/** Walks with the Tab key until the focus is on the element of that name. */
export async function tabTo(page: Page, name: string): Promise<void> {
  // Enter may have walked there already.
  if ((await focusedName(page)) === name) return;
  for (let i = 0; i < MOST_TABS; i += 1) {
    await page.keyboard.press('Tab');
    if ((await focusedName(page)) === name) return;
  }
  expect(await focusedName(page), `no element called “${name}” is reached by Tab`).toBe(name);
}

/** Takes in a job by keyboard alone, from the bench to the first step of the job. */
export async function takeIn(page: Page, customer: string, model: string, tag: string): Promise<void> {
  await visit(page, '/');
  await page.keyboard.press('n');
  // Keys that come before its first field has the caret are nobody's.
  await expect(page.getByRole('dialog').locator('input:focus')).toHaveCount(1);
  await page.keyboard.type(customer);
  await page.keyboard.press('Tab');
  await page.keyboard.type(model);
  await page.keyboard.press('Tab');
  await page.keyboard.type(tag);
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/jobs\//);
  await ready(page);
}

/** Goes to a field by Tab, types and enters. */
export async function fill(page: Page, name: string, text: string): Promise<void> {
  await tabTo(page, name);
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

/** Where a job of the demo is, by its tag: saws of its copies are called after it too. */
async function jobOf(page: Page, tag: string): Promise<string> {
  const hits = (await (await page.request.get(`/api/search?q=${tag}`)).json()) as { title: string; href: string }[];
  return hits.find(({ title, href }) => href.startsWith('/jobs/') && title.startsWith(tag))!.href;
}

/** Opens a job of the demo by its tag, at a step. */
export async function openJob(page: Page, tag: string, step: string): Promise<string> {
  const href = await jobOf(page, tag);
  await visit(page, `${href}?step=${step}`);
  return href;
}

/** Takes in a fresh job for a test of its own and opens it. */
export async function freshJob(page: Page, step: string): Promise<string> {
  const data = { by: 'Ines Holloway', customer: { name: 'Test bench' }, saw: null, complaint: '', promisedFor: null };
  const { id } = (await (await page.request.post('/api/jobs', { data })).json()) as { id: string };
  await visit(page, `/jobs/${id}?step=${step}`);
  return id;
}

/** Takes in a copy of a demo job for a test that changes it, and opens it. */
export async function copyOf(page: Page, tag: string, step: string): Promise<string> {
  const sheet: unknown = await (await page.request.get(`/api${await jobOf(page, tag)}/sheet.json`)).json();
  const saw = { label: `Copy of ${tag}`, mount: null };
  const data = { by: 'Ines Holloway', customer: { name: 'Test bench' }, saw, complaint: '', promisedFor: null, sheet };
  const { id } = (await (await page.request.post('/api/jobs', { data })).json()) as { id: string };
  await visit(page, `/jobs/${id}?step=${step}`);
  return id;
}

/**
 * Ticks a box or chooses a word whose own mark is drawn by its label, by its label as a hand does, and waits until it
 * is ticked.
 */
export async function tick(box: Locator): Promise<void> {
  if (!(await box.isChecked())) await box.locator('xpath=ancestor::label').click();
  await expect(box).toBeChecked();
}

/** Waits until everything typed is acknowledged by the server. */
export const saved = (page: Page): Promise<void> =>
  expect(page.getByRole('status').getByText('Saved', { exact: true })).toBeVisible();
