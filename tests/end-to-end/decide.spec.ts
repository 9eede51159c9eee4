import { expect, test, type Page } from './bench';
import { copyOf, tabTo, visit } from './keyboard';

const who = (page: Page, name: string) => page.getByLabel('At the bench').selectOption(name);
const plans = (page: Page) => page.getByRole('region', { name: 'Plans' });
const card = (page: Page, name: string) =>
  plans(page)
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name }) });

test('a job is decided to recondition: the plan is chosen by keyboard alone, signed, and stays when it is opened again', async ({
  page,
}) => {
  await copyOf(page, 'L-0417', 'decide');
  await who(page, 'Ines Holloway');
  await expect(card(page, 'Least today')).toContainText('Recondition bar');
  await tabTo(page, 'Sign off as Ines Holloway');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Signed off by Ines Holloway on/)).toContainText('Recondition bar');
  await page.getByRole('button', { name: 'Open again' }).click();
  await expect(page.getByRole('button', { name: 'Sign off as Ines Holloway' })).toBeVisible();
  await expect(page.getByText(/Signed off by Ines Holloway on/)).toContainText('Recondition bar');
});

test('a job is decided to replace: the bar that must go is named with what is on the shelf, and no plan puts it back on', async ({
  page,
}) => {
  await copyOf(page, 'L-0418', 'decide');
  await who(page, 'Ines Holloway');
  await expect(card(page, 'Least per hour')).toContainText('LB-M4-3858-72');
  await expect(card(page, 'Least per hour')).toContainText('on the shelf');
  await expect(plans(page).getByRole('button', { name: 'Bar: keep' })).toBeDisabled();
  await plans(page).getByText('combinations are ruled out').click();
  await expect(plans(page)).toContainText('a part that is condemned or undecided would go back on');
  await card(page, 'Fresh set').getByRole('button', { name: 'Choose this' }).click();
  await page.getByRole('button', { name: 'Sign off as Ines Holloway' }).click();
  await expect(page.getByText(/Signed off by Ines Holloway on/)).toContainText(
    'Replace bar, chain, drive sprocket and nose',
  );
});

test('the order covers every part that must be replaced: the bar with what the shelf answers, near misses with their rule', async ({
  page,
}) => {
  await copyOf(page, 'L-0418', 'order');
  const bar = page.getByRole('region', { name: 'Order: bar' });
  await expect(bar).toContainText('Pitch 3/8 standard, gauge .058 in, 72 drive links, mount M4');
  await expect(bar.getByRole('listitem').filter({ hasText: 'LB-M4-3858-72' })).toContainText('fits');
});

test('the supplier is asked for the chain when one wishes, and says when it comes; the printed slip names every part', async ({
  page,
}) => {
  const id = await copyOf(page, 'L-0418', 'decide');
  await who(page, 'Ines Holloway');
  await plans(page).getByRole('checkbox', { name: 'ask the supplier for the chain too' }).check();
  await plans(page).getByRole('button', { name: 'Chain: replace' }).click();
  await expect(plans(page)).toContainText(/from the supplier in \d+ working days?|on the shelf/);
  await visit(page, `/jobs/${id}/slip`);
  const bar = page.getByRole('region', { name: 'Order: bar' });
  await expect(bar).toContainText('mount M4');
  await expect(bar).toContainText('LB-M4-3858-72');
});

test('what was signed stands beside what the readings say since', async ({ page }) => {
  const id = await copyOf(page, 'L-0417', 'decide');
  await who(page, 'Ines Holloway');
  await expect(card(page, 'Least today')).toBeVisible();
  await page.getByRole('button', { name: 'Sign off as Ines Holloway' }).click();
  await expect(page.getByText(/Signed off by Ines Holloway on/)).toBeVisible();
  await visit(page, `/jobs/${id}?step=sprocket`);
  const wear = page.locator('input[data-path="driveSprocket.wear"]');
  await wear.fill('0.9');
  await wear.press('Enter');
  await visit(page, `/jobs/${id}?step=decide`);
  await expect(page.getByRole('list', { name: 'Changed since it was signed' })).toContainText(
    'Drive sprocket: signed as keep, now replace.',
  );
});

test('one click on a part’s choice goes to the plan that has it; one that another beats takes a reason', async ({
  page,
}) => {
  await copyOf(page, 'L-0417', 'decide');
  await who(page, 'Ines Holloway');
  await plans(page).getByRole('button', { name: 'Chain: replace' }).click();
  await expect(card(page, 'Your own choice')).toContainText('Replace chain');
  const sign = page.getByRole('button', { name: 'Sign off as Ines Holloway' });
  await expect(sign).toBeDisabled();
  await page.getByLabel(/Why this one\?/).fill('The customer wants a new chain with it.');
  await sign.click();
  await expect(page.getByText(/Signed off by Ines Holloway on/)).toContainText(
    'because: The customer wants a new chain with it.',
  );
});

test('of two who sign the same job one is told', async ({ page, context }) => {
  const id = await copyOf(page, 'L-0417', 'decide');
  const other = await context.newPage();
  await visit(other, `/jobs/${id}?step=decide`);
  for (const each of [page, other]) {
    await who(each, 'Ines Holloway');
    await expect(card(each, 'Least today')).toBeVisible();
  }
  await page.getByRole('button', { name: 'Sign off as Ines Holloway' }).click();
  await expect(page.getByText(/Signed off by Ines Holloway on/)).toBeVisible();
  const late = other.getByRole('button', { name: 'Sign off as Ines Holloway' });
  if (await late.isVisible()) {
    await late.click();
    await expect(other.getByText(/has signed|signed it off|already/i).first()).toBeVisible();
  } else await expect(other.getByText(/Signed off by Ines Holloway on/)).toBeVisible();
});

test('a rate is tried on the open jobs before it is saved, and limits are found by their words', async ({ page }) => {
  await visit(page, '/shop?view=rates');
  const row = page.getByRole('textbox', { name: /^What an hour of work costs/ });
  await expect(page.getByText('invented, until the shop sets it').first()).toBeVisible();
  await expect(row).toHaveValue('42.00');
  await row.fill('90');
  await expect(page.getByRole('status').filter({ hasText: 'open jobs' })).toContainText('Least today up by');
  await row.fill('42.00');
  await expect(page.getByRole('status').filter({ hasText: 'open jobs' })).toBeHidden();
  await page.getByRole('tab', { name: 'Limits' }).click();
  await page.getByRole('searchbox', { name: 'Find' }).fill('chain elongation');
  await expect(page.getByRole('region', { name: 'Chain' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Bar' })).toBeHidden();
});

for (const [what, size] of [
  ['phone', { width: 390, height: 844 }],
  ['tablet', { width: 1024, height: 768 }],
] as const)
  test(`plans can be read and chosen on a ${what}`, async ({ page }) => {
    await page.setViewportSize(size);
    await copyOf(page, 'L-0418', 'decide');
    await card(page, 'Fresh set').getByRole('button', { name: 'Choose this' }).click();
    await expect(card(page, 'Fresh set').getByRole('button', { name: 'Chosen' })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
  });

test('a bar whose nose is gone shows both ways of saving it, and either is one click', async ({ page }) => {
  await copyOf(page, 'L-0425', 'decide');
  await who(page, 'Ines Holloway');
  const ways = plans(page).getByRole('region', { name: 'Both ways of saving it' });
  const way = (name: string) => ways.getByRole('row').filter({ hasText: name });
  await expect(way('New nose')).toContainText('LN-325-10, on the shelf');
  await expect(way('New bar')).toContainText('LB-M2-3258-66, to be ordered');
  for (const name of ['New nose', 'New bar'])
    await expect(way(name)).toContainText(/£\d+\.\d\d.*about \d+ h.*about \d+ h/);
  await ways.getByRole('button', { name: 'Bar: New bar' }).click();
  await expect(ways.getByRole('button', { name: 'Bar: New bar' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Sign off as Ines Holloway' }).click();
  await expect(page.getByText(/Signed off by Ines Holloway on/)).toContainText('Replace bar');
});

test('where no plan is possible it says what is missed, and goes there', async ({ page }) => {
  // Of these numbers the shelf has standard chain alone, and nobody has said who runs the saw.
  const sheet = {
    format: 'serrata-bench-sheet',
    version: 1,
    job: { brought: ['chain'] },
    chain: { stamp: '3/8 .058', chassis: 'large', driveLinks: [72, 72], cutters: 36, checks: { crack: 'yes' } },
  };
  const data = {
    by: 'Ines Holloway',
    customer: { name: 'Test bench' },
    saw: null,
    complaint: '',
    promisedFor: null,
    sheet,
  };
  const made = await page.request.post('/api/jobs', { data });
  const { id } = (await made.json()) as { id: string };
  await visit(page, `/jobs/${id}?step=decide`);
  const missed = plans(page).getByRole('list', { name: 'What is missed' });
  await expect(missed).toContainText('who runs the saw decides the kickback class');
  await missed.getByRole('button').click();
  await expect(page.getByRole('radio', { name: 'trained', exact: true })).toBeFocused();
  await page.keyboard.press('Enter');
  // A trained one is asked which class was on it.
  await page.getByRole('button', { name: /^Decide/ }).click();
  await missed.getByRole('button', { name: 'Go to: kickback class' }).click();
  await page.getByRole('radio', { name: 'standard', exact: true }).click();
  await page.getByRole('button', { name: /^Decide/ }).click();
  await expect(plans(page)).toContainText('LD-3858-72');
});
