import { expect, test, type Page } from './bench';
import { axeFindsNothing } from './axe';
import { copyOf, freshJob, openJob, revisit, saved, visit } from './keyboard';

const verdict = (page: Page, text: string) =>
  expect(page.getByRole('region', { name: text, exact: true })).toBeVisible();

/** A step by its name in the list. */
const step = (page: Page, name: RegExp) =>
  page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name }).click();

test('36 cutters typed at the pace of number and Enter, damage marked by key and by touch, and the verdict flips where it should', async ({
  page,
}) => {
  await freshJob(page, 'chain');
  await expect(page.getByLabel('Left 1', { exact: true })).toBeVisible();
  await page.getByLabel('Left 1', { exact: true }).focus();
  for (let i = 0; i < 18; i += 1) {
    await expect(page.getByLabel(`Left ${i + 1}`, { exact: true })).toBeFocused();
    await page.keyboard.type(`8.${i % 3}`);
    await page.keyboard.press('Enter');
  }
  await page.getByRole('button', { name: 'To the right side' }).click();
  for (let i = 0; i < 18; i += 1) {
    await expect(page.getByLabel(`Right ${i + 1}`, { exact: true })).toBeFocused();
    await page.keyboard.type(`8.${i % 3}`);
    await page.keyboard.press('Enter');
  }
  await saved(page);
  const ribbon = page.getByRole('group', { name: 'The loop unrolled: cutters left and right' });
  await expect(ribbon.getByRole('button', { name: 'Left 18, 8.20 mm' })).toBeVisible();
  await expect(ribbon.getByRole('button', { name: 'Right 18, 8.20 mm' })).toBeVisible();
  await verdict(page, 'Chain: Undecided');

  // A flat spot by key: the letter marks it, the number says how far back it reaches, Enter goes on.
  await ribbon.getByRole('button', { name: 'Left 5, 8.10 mm' }).focus();
  await ribbon.getByRole('button', { name: 'Left 5, 8.10 mm' }).click();
  await expect(page.getByLabel('Left 5', { exact: true })).toBeFocused();
  await ribbon.getByRole('button', { name: /^Left 5, / }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(ribbon.getByRole('button', { name: /^Left 6, / })).toBeFocused();
  await page.keyboard.press('f');
  await expect(page.getByLabel('Set-back that clears it')).toBeFocused();
  await page.keyboard.type('1.5');
  await page.keyboard.press('Enter');
  await expect(ribbon.getByRole('button', { name: 'Left 6, 8.20 mm, flat spot, set back 1.50 mm' })).toBeVisible();
  await expect(page.getByText('by left 6; the mark is at 4.00 mm')).toBeVisible();
  await verdict(page, 'Chain: Undecided');

  // A deep chip by touch: a young chain with deep damage can be scrap.
  await ribbon.getByRole('button', { name: 'Right 3, 8.20 mm' }).click();
  await page.getByRole('radio', { name: 'chipped' }).click();
  await expect(page.getByLabel('Set-back that clears it')).toBeFocused();
  await page.keyboard.type('5');
  await page.keyboard.press('Enter');
  await verdict(page, 'Chain: Replace');
  await expect(page.getByText('At half:')).toBeVisible();

  // Taken back, the chain is open again.
  await ribbon.getByRole('button', { name: /^Right 3, / }).click();
  await page.getByRole('radio', { name: 'chipped' }).click();
  await verdict(page, 'Chain: Undecided');
  await saved(page);
  await revisit(page);
  await expect(ribbon.getByRole('button', { name: 'Left 6, 8.20 mm, flat spot, set back 1.50 mm' })).toBeVisible();
  await expect(ribbon.getByRole('button', { name: 'Right 3, 8.20 mm', exact: true })).toBeVisible();
});

test('a wrong length stays with its reason and the caret stays with it', async ({ page }) => {
  await freshJob(page, 'chain');
  await page.getByLabel('Left 1', { exact: true }).fill('81');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Left 1', { exact: true })).toHaveValue('81');
  await expect(page.getByLabel('Left 1', { exact: true })).toBeFocused();
  await expect(page.getByLabel('Left 1', { exact: true })).toHaveAttribute('aria-invalid', 'true');
});

test('push and pull: the drawing says what counts, over what it showed when new, and a contradiction is said', async ({
  page,
}) => {
  await copyOf(page, 'L-0427', 'chain');
  await page.getByRole('tab', { name: 'Push and pull' }).click();
  await expect(page.getByRole('img', { name: /Grown by 0\.76 percent, watch from 1\.5, limit 3/ })).toBeVisible();
  await expect(page.getByText(/It showed 0\.28 % when it was new and 1\.04 % now/)).toBeVisible();
  await page.getByLabel('Pulled apart', { exact: true }).fill('548');
  await page.keyboard.press('Enter');
  await verdict(page, 'Chain: Replace');
  await page.getByLabel('Pulled apart', { exact: true }).fill('520');
  await page.keyboard.press('Enter');
  await verdict(page, 'Chain: Undecided');
  await expect(page.locator('main').getByText('Closed came out longer than pulled').first()).toBeVisible();
  await page.getByRole('button', { name: 'whole: 128' }).click();
  await expect(page.getByLabel('Joints', { exact: true })).toHaveValue('128');
});

test('shape and underside: gauges against their setting, undercut by its picture, and what a derailment asks for', async ({
  page,
}) => {
  await copyOf(page, 'L-0427', 'chain');
  await page.getByRole('tab', { name: 'Shape and gauges' }).click();
  await expect(page.getByText('4.80 mm round')).toBeVisible();
  await expect(page.getByRole('img', { name: /Highest depth gauge 0\.44 mm below the edge/ })).toBeVisible();
  await page.getByRole('radio', { name: 'hooked' }).click();
  await expect(page.getByText('The file that mends it: 4.80 mm round.')).toBeVisible();
  await page.getByRole('radio', { name: 'carbide' }).click();
  await expect(page.getByText('Ground, not filed')).toBeVisible();
  await expect(page.getByRole('complementary').getByText(/grind all cutters back/i)).toBeVisible();
  await page.getByRole('tab', { name: 'Underside' }).click();
  await expect(page.getByRole('region', { name: 'What it may have hurt' })).toBeVisible();
  await page.getByLabel('Burred tangs').fill('20');
  await page.keyboard.press('Enter');
  await verdict(page, 'Chain: Replace');
});

test('a drive sprocket past its limit orders no chain alone, and its card says how another one goes on', async ({
  page,
}) => {
  await copyOf(page, 'L-0417', 'sprocket');
  await page.getByRole('radio', { name: 'deep' }).click();
  await expect(page.locator('main').getByText('The measured wear says that it is sound').first()).toBeVisible();
  await verdict(page, 'Drive sprocket: Undecided');
  await page.getByRole('radio', { name: 'deep' }).click();
  await page.getByLabel('Wear depth').fill('0.5');
  await page.keyboard.press('Enter');
  const tag = page.getByRole('complementary', { name: 'Tag: verdicts' });
  await expect(
    tag.getByText(/^By all readings together it may deserve: (keep|replace) \d+ % and (keep|replace) \d+ %\.$/),
  ).toBeVisible();
  await tag.getByText('Why so unsure').click();
  await tag.getByRole('button', { name: 'Wear of the drive sprocket' }).click();
  await expect(page.getByLabel('Wear depth')).toBeFocused();
  await page.getByLabel('Wear depth').fill('0.9');
  await page.keyboard.press('Enter');
  await verdict(page, 'Drive sprocket: Replace');
  await expect(page.getByText('A new chain on it would be ruined')).toBeVisible();
  const card = page.getByRole('region', { name: 'Replace the sprocket, in this order' });
  await card.getByText('Chain brake released', { exact: false }).click();
  await expect(card.getByText('1 of 8')).toBeVisible();
  await step(page, /^Order slip/);
  await expect(page.getByText('No order yet')).toBeVisible();
  await expect(page.getByText('would ruin a chain alone')).toBeVisible();
  await page.getByRole('radio', { name: 'yes' }).click();
  await expect(page.getByText(/With it: a drive sprocket, \.325, 7 teeth, rim and drum, /)).toBeVisible();
  await expect(page.getByText('Drive links', { exact: true })).toBeVisible();
  await saved(page);
  await page.getByRole('link', { name: 'Page to print' }).click();
  await expect(page.getByText(/With it: a drive sprocket, \.325, 7 teeth, rim and drum, /)).toBeVisible();
});

test('what ails it: ranked causes move with a finding, the next check leads there, both schools are shown', async ({
  page,
}) => {
  await copyOf(page, 'L-0420', 'take-in');
  await page.getByRole('button', { name: 'What ails it' }).first().click();
  const shares = page.getByRole('list', { name: 'Causes' }).getByRole('listitem').filter({ hasText: '%' });
  await expect(shares.first()).toContainText('29 %');
  await expect(shares.first()).toContainText('The chain runs slack');
  await page.getByRole('region', { name: 'Next check' }).getByRole('button', { name: 'Go there' }).click();
  await expect(page.getByRole('heading', { name: 'Make safe and strip' })).toBeVisible();
  await page.getByRole('radio', { name: 'slack' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('y');
  await expect(shares.first()).toContainText('65 %');
  await expect(shares.first()).toContainText('Tension of the chain as it came: slack.');
  await page.getByText('cuts in a curve, left').click();
  await page.getByRole('tab', { name: 'Cuts in a curve, left' }).click();
  await expect(page.getByText('Practitioners disagree')).toBeVisible();
  await expect(shares.filter({ hasText: 'other school' }).first()).toBeVisible();
  await axeFindsNothing(page, 'why');
});

test('the measuring plan stands at the end of take-in, grows shorter with a reading, and leads to each', async ({
  page,
}) => {
  await copyOf(page, 'L-0420', 'take-in');
  const plan = page.getByRole('region', { name: 'Measuring plan' });
  await expect(plan.getByText('16 readings, about 23 min in all')).toBeVisible();
  await expect(plan.getByRole('listitem').first()).toContainText('Drive-link thickness: settles the gauge');
  await expect(page.getByRole('region', { name: 'Measure next' })).toContainText('Drive-link thickness');
  await page.keyboard.press('m');
  await expect(page.locator('[data-path="chain.driveLinkThickness"]')).toBeFocused();
  await page.keyboard.type('1.27');
  await page.keyboard.press('Enter');
  await step(page, /^Take in/);
  await expect(plan.getByText(/^15 readings, about 2[23] min in all/)).toBeVisible();
  await plan.getByRole('button', { name: /Bow of the bar/ }).click();
  await expect(page.getByLabel('Bow', { exact: true })).toBeFocused();
  await page.keyboard.type('0');
  await page.keyboard.press('Enter');
  await step(page, /^Take in/);
  await expect(plan.getByRole('button', { name: /Bow of the bar/ })).toHaveCount(0);
  await axeFindsNothing(page, 'take-in with its plan');
});

test('rework of the chain: set-backs, the acts, and the second measurement that takes the damage off', async ({
  page,
}) => {
  await copyOf(page, 'L-0427', 'rework');
  await expect(page.getByRole('heading', { name: 'Rework the chain' })).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'Off each cutter' }).getByText('Left 4', { exact: true }),
  ).toBeVisible();
  const ribbon = page.getByRole('group', { name: 'The loop unrolled: cutters left and right' });
  await expect(ribbon.getByRole('img', { name: /^Left 6, 7\.80 mm, flat spot/ })).toBeVisible();
  await expect(ribbon.getByRole('button')).toHaveCount(0);
  const acts = page.getByRole('region', { name: 'In this order' });
  await acts.getByText('File all cutters back to the worst').click();
  await expect(
    page
      .getByRole('complementary')
      .getByText(/cutter lengths after the rework/)
      .first(),
  ).toBeVisible();
  for (const side of ['Left', 'Right'])
    for (let i = 1; i <= 6; i += 1) {
      await page.getByLabel(`${side} cutter after ${i}`, { exact: true }).fill('6.3');
      await page.keyboard.press('Enter');
    }
  await expect(acts.getByText('Even the two sides')).toHaveCount(0);
  for (const side of ['Left', 'Right']) {
    await page.getByLabel(`${side} gauge after 1`, { exact: true }).fill('0.65');
    await page.keyboard.press('Enter');
  }
  await expect(acts.getByText('Lower the depth gauges')).toHaveCount(0);
  await acts.getByText('File the burred tangs').click();
  await acts.getByText('Sharpen').click();
  await verdict(page, 'Chain: Keep');
  await saved(page);
});

test('schools: each says what it changes, and a choice changes the verdict', async ({ page }) => {
  const id = await copyOf(page, 'L-0423', 'chain');
  await visit(page, '/shop');
  await page.getByRole('tab', { name: 'Schools' }).click();
  for (const question of [
    'What makes it cut in a curve',
    'Turning the bar over',
    'Greasing the nose',
    'Levelling the rails',
    'Splayed rails',
    'A slightly bent bar',
    'Deep flat spots and chips',
    'Outer edges of the rails',
    'Low-kickback chain',
  ])
    await expect(page.getByRole('radiogroup', { name: question, exact: true })).toBeVisible();
  await expect(page.getByText('Changes the chain’s verdict and what its page says of damage.')).toBeVisible();
  await axeFindsNothing(page, 'schools');
  await page.getByRole('radio', { name: 'plain deburr' }).click();
  await expect(page.getByRole('radio', { name: 'plain deburr' })).toBeChecked();
  const assessment = (await (await page.request.get(`/api/jobs/${id}/assessment.json`)).json()) as {
    checks: { id: string }[];
  };
  expect(assessment.checks.some((check) => check.id === 'chain.half')).toBe(true);
  await page.getByRole('radio', { name: 'always file back' }).click();
  await expect(page.getByRole('radio', { name: 'always file back' })).toBeChecked();
  const after = (await (await page.request.get(`/api/jobs/${id}/assessment.json`)).json()) as {
    checks: { id: string }[];
  };
  expect(after.checks.some((check) => check.id === 'chain.half')).toBe(false);
  await page.getByRole('radio', { name: 'file back, advise at half' }).click();
  await page.getByRole('radio', { name: 'slight bevel' }).click();
  await expect(page.getByRole('radio', { name: 'slight bevel' })).toBeChecked();
});

test('chain and sprocket can be used by those who cannot see or point', async ({ page }) => {
  await openJob(page, 'L-0427', 'chain');
  for (const tab of ['Cutters', 'Shape and gauges', 'Push and pull', 'Underside']) {
    await page.getByRole('tab', { name: tab }).click();
    await axeFindsNothing(page, tab);
  }
  for (const name of ['sprocket', 'rework', 'strip']) {
    await openJob(page, 'L-0427', name);
    await axeFindsNothing(page, name);
  }
});
