import type { Page } from '@playwright/test';
import { axeFindsNothing } from './axe';
import { expect, test } from './bench';
import { ready, tabTo, visit } from './keyboard';

const PARTS = ['Bar', 'Chain', 'Drive sprocket'] as const;
const choice = (page: Page, group: string, word: string) =>
  page.getByRole('radiogroup', { name: group, exact: true }).getByRole('radio', { name: word, exact: true });
const field = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });
const minutes = (page: Page) =>
  page
    .getByRole('complementary')
    .getByText(/^\d+\.\d min$/)
    .first();

/** Waits for a round's instruments. */
async function atTheSet(page: Page): Promise<void> {
  await page.waitForURL(/\/practice\/rounds\//);
  await ready(page);
  await expect(page.getByRole('tab', { name: 'Answer' })).toBeVisible();
}

/** Says of every part the same, and gives the answer. */
async function answerAll(page: Page, word: string, how: 'tap' | 'click' = 'click'): Promise<void> {
  const press = (locator: ReturnType<typeof choice>) => (how === 'tap' ? locator.tap() : locator.click());
  for (const part of PARTS) {
    await press(choice(page, part, word));
    await press(choice(page, `${part}: how sure?`, '80 %'));
  }
  await press(choice(page, 'Do bar and chain belong together?', 'Yes'));
  await press(choice(page, 'Must a chain be ordered?', 'No'));
}

test('a round by keyboard: from its choice over readings and a hint to what it came to', async ({ page }) => {
  await visit(page, '/practice');
  await page.getByLabel('About').selectOption('Leaning rails');
  await tabTo(page, 'Begin');
  await page.keyboard.press('Enter');
  await atTheSet(page);
  await axeFindsNothing(page, 'a round of practice');
  await expect(minutes(page)).toHaveText('0.0 min');

  // Enter reads what a field would hold; nothing is typed.
  await page.getByRole('tab', { name: 'Marks' }).focus();
  await page.keyboard.press('Enter');
  await tabTo(page, 'On the bar');
  await page.keyboard.type('99');
  await expect(field(page, 'On the bar')).toHaveValue('');
  await page.keyboard.press('Enter');
  await expect(field(page, 'On the bar')).toHaveValue(/DL$/);
  await expect(minutes(page)).toHaveText('0.5 min');
  // Read once, Enter walks on and takes no more time.
  await page.keyboard.press('Enter');
  await expect(field(page, 'On the chain')).toBeFocused();
  await expect(minutes(page)).toHaveText('0.5 min');

  await page.getByRole('tab', { name: 'Bar: Measure' }).focus();
  await page.keyboard.press('Enter');
  await field(page, 'Edge A, station 2, near rail').focus();
  await page.keyboard.press('Enter');
  await expect(field(page, 'Edge A, station 2, near rail')).toHaveValue(/^\d\.\d\d$/);
  await expect(field(page, 'Edge A, station 2, far rail')).toHaveValue(/^\d\.\d\d$/);
  await axeFindsNothing(page, 'rails that are read in practice');
  // The bench's own judgement is held back.
  await expect(page.getByText(/Recondition|Replace the/)).toHaveCount(0);

  await tabTo(page, 'A hint, for 3 min');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Read next: /)).toBeVisible();
  // The hint leads to its field.
  await tabTo(page, 'Go there');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('tabpanel').locator(':focus')).toHaveCount(1);

  await page.getByRole('tab', { name: 'Answer' }).focus();
  await page.keyboard.press('Enter');
  await axeFindsNothing(page, 'the answer of a round');
  await page.getByRole('button', { name: 'That is my answer' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toHaveText(/Say of each part/);
  for (const [group, word] of [
    ['Bar', 'Recondition'],
    ['Bar: how sure?', '90 %'],
    ['Chain', 'Keep'],
    ['Chain: how sure?', '90 %'],
    ['Drive sprocket', 'Keep'],
    ['Drive sprocket: how sure?', '90 %'],
    ['Do bar and chain belong together?', 'Yes'],
    ['Must a chain be ordered?', 'No'],
  ] as const) {
    await choice(page, group, word).focus();
    await page.keyboard.press('Enter');
    await expect(choice(page, group, word)).toBeChecked();
  }
  await page.getByRole('checkbox', { name: 'One rail is lower than the other' }).focus();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'That is my answer' }).focus();
  await page.keyboard.press('Enter');

  await expect(page.getByRole('heading', { name: 'What it came to' })).toBeFocused();
  await expect(page.getByRole('row', { name: /^Bar Recondition Recondition right/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'What was wrong' })).toContainText('One rail is lower than the other');
  await axeFindsNothing(page, 'what a round came to');
  // What was not read is there to be seen now.
  await tabTo(page, 'Show it on the bench’s own drawings');
  await page.keyboard.press('Enter');
  await expect(field(page, 'Edge A, station 1, near rail')).toHaveValue(/^\d\.\d+$/);
  await axeFindsNothing(page, 'a set as it was made');
  await tabTo(page, 'Back to Practice');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/practice$/);
  await ready(page);
  await expect(page.getByRole('row', { name: /One rail is lower than the other 1\/1/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^said 90 %/ })).toBeVisible();
  await axeFindsNothing(page, 'practice, with how one does');
});

test.describe('on a tablet', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } });

  test('a round by touch: a tap on a word looks, a tap on a field and Read reads', async ({ page }) => {
    await visit(page, '/practice');
    await page.getByRole('button', { name: 'Begin', exact: true }).tap();
    await atTheSet(page);
    // A tap on any of the words looks, and the part answers what is there.
    await choice(page, 'Cracks', 'none found')
      .or(choice(page, 'Crack', 'none found'))
      .first()
      .tap();
    await expect(page.locator('[data-path="bar.checks.crack"]').getByRole('radio', { checked: true })).toHaveCount(1);
    await page.getByRole('tab', { name: 'Gauge', exact: true }).tap();
    const groove = page.locator('input[data-path="bar.groove"]');
    await groove.tap();
    await expect(groove).toHaveValue('');
    await page.getByRole('button', { name: /^Read: / }).tap();
    await expect(groove).toHaveValue(/^\d\.\d\d$/);
    // What is half said is kept while one reads on.
    await page.getByRole('tab', { name: 'Answer' }).tap();
    await choice(page, 'Bar', 'Keep').tap();
    await page.getByRole('tab', { name: 'Gauge', exact: true }).tap();
    await page.getByRole('tab', { name: 'Answer' }).tap();
    await expect(choice(page, 'Bar', 'Keep')).toBeChecked();
    await choice(page, 'Bar', 'Keep').tap();
    // Every instrument opens and fits, on a phone, too.
    const tabs = await page.getByRole('tab').allInnerTexts();
    for (const size of [
      { width: 390, height: 844 },
      { width: 1024, height: 768 },
    ]) {
      await page.setViewportSize(size);
      for (const name of tabs) {
        await page.getByRole('tab', { name, exact: true }).tap();
        const panel = page.getByRole('tabpanel', { name, exact: true });
        await expect(panel.locator('[data-path], [role=radiogroup]').first(), name).toBeVisible();
        const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
        expect(over, `${name} at ${size.width}`).toBe(0);
      }
    }
    await page.getByRole('tab', { name: 'Test cut', exact: true }).tap();
    await page.locator('input[data-path="proof.cut.drift"]').tap();
    await page.getByRole('button', { name: /^Read: / }).tap();
    await expect(page.locator('input[data-path="proof.cut.depth"]')).not.toHaveValue('');
    await expect(page.locator('[data-path="proof.cut.side"]').getByRole('radio', { checked: true })).toHaveCount(1);
    await page.getByRole('tab', { name: 'Answer' }).tap();
    await answerAll(page, 'Keep', 'tap');
    await page.getByRole('button', { name: 'That is my answer' }).tap();
    await expect(page.getByRole('heading', { name: 'What it came to' })).toBeVisible();
  });
});

test('an assessor’s paper has no hints, is compared at its end, and is printed', async ({ page }) => {
  await visit(page, '/practice');
  await page.getByRole('button', { name: 'Sit it: First paper: plain faults' }).click();
  for (let set = 1; set <= 4; set += 1) {
    await atTheSet(page);
    await expect(page.getByRole('complementary', { name: `Set ${set} of 4` })).toBeVisible();
    await expect(page.getByRole('button', { name: /hint/ })).toHaveCount(0);
    await page.getByRole('tab', { name: 'Answer' }).click();
    await answerAll(page, 'Keep');
    await page.getByRole('button', { name: 'That is my answer' }).click();
    if (set === 4) break;
    await expect(page.getByText('Your answer is taken.')).toBeVisible();
    await expect(page.getByRole('table')).toHaveCount(0);
    const here = page.url();
    await page.getByRole('button', { name: 'The next set' }).click();
    await expect.poll(() => page.url()).not.toBe(here);
  }
  await page.getByRole('link', { name: 'Result of this paper, to print' }).click();
  await ready(page);
  await expect(page.getByRole('heading', { name: 'First paper: plain faults' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Set 4 of 4' })).toContainText('Answered');
  await axeFindsNothing(page, 'the result of a paper');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation').first()).toBeHidden();
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
});
