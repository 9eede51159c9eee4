import type { APIResponse, Page } from '@playwright/test';
import { expect, test } from './bench';
import { copyOf, freshJob, openJob, revisit, saved, tick, visit } from './keyboard';

test('a wrong entry stays in its field with its reason, survives a reload, and can be put right', async ({ page }) => {
  await freshJob(page, 'bar');
  const near = page.getByLabel('Edge A, station 1, near rail');
  for (const [text, reason] of [
    ['five', 'is not a length'],
    ['-3', 'is below zero'],
    ['80 mm', 'lies between 0.00 mm and 25.00 mm'],
  ] as const) {
    await near.fill(text);
    await near.press('Enter');
    await expect(near).toBeFocused();
    await expect(near).toHaveValue(text);
    await expect(near).toHaveAttribute('aria-invalid', 'true');
    await expect(page.getByText(reason)).toBeVisible();
  }
  await saved(page);
  await revisit(page);
  await expect(near).toHaveValue('80 mm');
  await expect(page.getByText('lies between 0.00 mm and 25.00 mm')).toBeVisible();
  await near.fill('8.0');
  await near.press('Enter');
  await expect(near).toHaveAttribute('aria-invalid', 'false');
  await expect(page.getByLabel('Edge A, station 1, far rail')).toBeFocused();
});

test('the drawings follow each keystroke', async ({ page }) => {
  await openJob(page, 'L-0417', 'bar');
  const section = page.getByRole('img', { name: /^Cross-section of the edge/ });
  await page.getByLabel('Edge A, station 4, near rail').fill('7.5');
  await expect(section).toHaveAccessibleName(/near rail 7\.50 mm, far rail 6\.90 mm/);
  await page.getByLabel('Edge A, station 4, near rail').press('Backspace');
  await expect(section).toHaveAccessibleName(/near rail 7\.00 mm/);
  await expect(
    page.getByRole('button', { name: 'Edge A, station 4 at 300 mm: near 7.0 mm, far 6.9 mm' }),
  ).toBeVisible();
});

test('the unit switch changes every figure and keeps what was typed', async ({ page }) => {
  await openJob(page, 'L-0417', 'bar');
  await tick(page.getByRole('radio', { name: 'in', exact: true }));
  await expect(page.getByRole('complementary', { name: 'Tag: verdicts' })).toContainText('0.026 in');
  await expect(page.getByLabel('Edge A, station 1, near rail')).toHaveValue('8.1 mm');
  await revisit(page);
  await expect(page.getByRole('complementary', { name: 'Tag: verdicts' })).toContainText('0.026 in');
  await tick(page.getByRole('radio', { name: 'mm', exact: true }));
});

/**
 * Lets a page fall asleep: it hears nothing more of a job than it has heard, by whatever way it is told to look. What it
 * sends goes out.
 */
async function asleepFor(page: Page, id: string): Promise<() => Promise<() => void>> {
  let isAsleep = false;
  let looking = 0;
  let heard: APIResponse | null = null;
  await page.route(`**/api/jobs/${id}`, async (route) => {
    if (isAsleep && heard) return route.fulfill({ response: heard });
    looking += 1;
    const response = await route.fetch();
    looking -= 1;
    heard = response;
    await route.fulfill({ response });
  });
  return async () => {
    await expect.poll(() => looking).toBe(0);
    await expect.poll(() => heard !== null).toBe(true);
    isAsleep = true;
    return () => {
      isAsleep = false;
    };
  };
}

test('a second tab shows the same, and two who write at one place are both shown', async ({ page, context }) => {
  const id = await freshJob(page, 'take-in');
  const other = await context.newPage();
  const sleep = await asleepFor(other, id);
  await visit(other, `/jobs/${id}?step=take-in`);
  await page.getByLabel('Mount', { exact: true }).fill('M2');
  await page.getByLabel('Mount', { exact: true }).press('Enter');
  await expect(other.getByLabel('Mount', { exact: true })).toHaveValue('M2');

  const wake = await sleep();
  await page.getByLabel('Mount', { exact: true }).fill('M4');
  await page.getByLabel('Mount', { exact: true }).press('Enter');
  await saved(page);
  await other.getByLabel('Mount', { exact: true }).fill('M5');
  await other.getByLabel('Mount', { exact: true }).press('Enter');
  wake();
  await expect(other.getByText('wrote “M4” here meanwhile; you wrote “M5”')).toBeVisible();
  // Nobody has chosen yet: both are still there when the page is opened again.
  await visit(other, `/jobs/${id}?step=chain`);
  await expect(other.getByRole('status')).toContainText('One place was written elsewhere too.');
  await other.getByRole('button', { name: 'Choose' }).click();
  await expect(other.getByLabel('Mount', { exact: true })).toBeFocused();
  await expect(other.getByText('wrote “M4” here meanwhile; you wrote “M5”')).toBeVisible();
  await other.getByRole('button', { name: 'Put M5' }).click();
  await saved(other);
  await revisit(page);
  await expect(page.getByLabel('Mount', { exact: true })).toHaveValue('M5');
});

test('the next best measurement leads to its field', async ({ page }) => {
  await copyOf(page, 'L-0426', 'identify');
  const next = page.getByRole('region', { name: 'Measure next' });
  await expect(next).toContainText('A look for cracks in the bar');
  await page.getByRole('button', { name: 'Go there' }).click();
  const cracks = page.locator('[data-path="bar.checks.crack"]');
  await expect(cracks.locator(':focus')).toHaveCount(1);
  await cracks.getByText('none found', { exact: true }).click();
  await expect(next).not.toContainText('A look for cracks in the bar');
});

test('an arrow and Enter of a quick hand take the word that the arrow went to, however busy the page is', async ({
  page,
}) => {
  await freshJob(page, 'sprocket');
  const kind = page.locator('[data-path="driveSprocket.type"]');
  await kind.getByRole('radio').first().focus();
  // Both come in one turn of the page, as they do where its thread was held.
  await page.evaluate(() => {
    const press = (key: string) =>
      document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    press('ArrowRight');
    press('Enter');
  });
  await expect(kind.getByRole('radio').nth(1)).toBeChecked();
  await expect(kind.locator(':focus')).toHaveCount(0);
});
