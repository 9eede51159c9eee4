import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { axeFindsNothing } from './axe';
import { expect, test } from './bench';
import { ready, visit } from './keyboard';
import { OwnServer } from './own-server';

const INES = 'gravel lantern spoon';
const TAM = 'willow ferry cabbage';
const PIN = '4821';

const server = new OwnServer(join(mkdtempSync(join(tmpdir(), 'serrata-people-')), 'store.db'), {
  SERRATA_MOST_REQUESTS: '0',
});
test.beforeAll(() => server.open());
test.afterAll(() => server.end('SIGKILL'));
// One after the other, on one store: a shop that begins to sign in does not go back.
test.describe.configure({ mode: 'serial' });

const at = (path: string): string => `${server.address}${path}`;
const isHere = (page: Page, name: string) => page.getByRole('button', { name: `${name} is here` });

async function signIn(page: Page, name: string, password: string): Promise<void> {
  await page.goto(at('/sign-in'));
  await ready(page);
  await page.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByRole('textbox', { name: 'Password' }).fill(password);
  await page.keyboard.press('Enter');
  await page.waitForURL((url) => url.pathname !== '/sign-in');
  await ready(page);
}

test('an owner gives the first password, and everybody signs in from then on', async ({ page, browser }) => {
  await visit(page, at('/shop?view=people'));
  await page.getByRole('textbox', { name: 'Password' }).fill('sunshine2026');
  await page.getByRole('button', { name: 'Let people sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('among those that are tried first');
  await expect(page.getByRole('textbox', { name: 'Password' })).toHaveValue('sunshine2026');
  await page.getByRole('textbox', { name: 'Password' }).fill(INES);
  await page.getByRole('button', { name: 'Let people sign in' }).click();
  await expect(isHere(page, 'Ines Holloway')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Signed in now' })).toBeVisible();
  await axeFindsNothing(page, 'people');

  // Tam gets a password, and finds his way to where he was going.
  await page.getByRole('button', { name: 'Give Tam Okoro a password' }).click();
  await page.getByRole('dialog').getByRole('textbox').fill(TAM);
  await page.getByRole('button', { name: 'Set the password' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  const tablet = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const his = await tablet.newPage();
  await his.goto(at('/stock?q=bar'));
  await ready(his);
  await expect(his).toHaveURL(/\/sign-in\?next=/);
  await axeFindsNothing(his, 'sign-in');
  await his.getByRole('textbox', { name: 'Name' }).fill('tam okoro');
  await his.getByRole('textbox', { name: 'Password' }).fill('not this one at all');
  await his.keyboard.press('Enter');
  await expect(his.getByRole('alert')).toContainText('Name and password do not go together.');
  await his.getByRole('textbox', { name: 'Password' }).fill(TAM);
  await his.keyboard.press('Enter');
  await his.waitForURL('**/stock?q=bar');
  await tablet.close();
});

test('a bench changes hands with a PIN, by keys or by touch', async ({ page, browser }) => {
  await signIn(page, 'Ines Holloway', INES);
  await isHere(page, 'Ines Holloway').click();
  await page.getByRole('button', { name: 'Password and PIN' }).click();
  await page.getByRole('textbox', { name: 'Your password' }).last().fill(INES);
  await page.getByRole('textbox', { name: /New PIN/ }).fill('1234');
  await page.getByRole('button', { name: 'Set the PIN' }).click();
  await expect(page.getByRole('alert')).toContainText('tried first');
  await page.getByRole('textbox', { name: /New PIN/ }).fill(PIN);
  await page.getByRole('button', { name: 'Set the PIN' }).click();
  await expect(page.getByText('The PIN is set.')).toBeVisible();
  await page.keyboard.press('Escape');

  const other = await browser.newContext();
  const his = await other.newPage();
  await signIn(his, 'Tam Okoro', TAM);
  await isHere(his, 'Tam Okoro').click();
  await his.getByRole('button', { name: 'Ines Holloway', exact: true }).click();
  await axeFindsNothing(his, 'taking over');
  await his.keyboard.type('9999');
  await his.keyboard.press('Enter');
  await expect(his.getByRole('alert')).toContainText('4 tries left');
  for (const digit of PIN) await his.getByRole('button', { name: digit, exact: true }).click();
  await his.getByRole('button', { name: 'Take over', exact: true }).click();
  await expect(isHere(his, 'Ines Holloway')).toBeVisible();
  await ready(his);
  // By PIN she sees the shop; what lets others in asks for the password.
  await visit(his, at('/shop?view=people'));
  await his.getByRole('button', { name: 'Change Wilf Arden' }).click();
  await his.getByRole('button', { name: 'Save' }).click();
  await expect(his.getByRole('alert')).toContainText('Sign in again with it');
  await other.close();
});

test('an owner signs a tablet out, and what is typed there is kept', async ({ page, browser }) => {
  await signIn(page, 'Ines Holloway', INES);
  const other = await browser.newContext();
  const tablet = await other.newPage();
  await signIn(tablet, 'Tam Okoro', TAM);
  await tablet
    .getByRole('link', { name: /L-0417/ })
    .first()
    .click();
  await tablet.waitForURL('**/jobs/**');
  await ready(tablet);
  const job = new URL(tablet.url()).pathname;
  await visit(tablet, at(`${job}?step=bar`));

  await visit(page, at('/shop?view=people'));
  await page
    .getByRole('button', { name: /Sign Tam Okoro out of/ })
    .last()
    .click();
  await expect(page.getByRole('button', { name: /Sign Tam Okoro out of/ })).toHaveCount(1);
  await page.getByRole('button', { name: /Sign Tam Okoro out of/ }).click();
  await expect(page.getByRole('button', { name: /Sign Tam Okoro out of/ })).toHaveCount(0);

  const note = tablet.getByLabel('Edge A, station 1, near rail');
  await note.fill('7.31');
  await note.press('Enter');
  await expect(tablet.getByText('You are signed out')).toBeVisible();
  await tablet.getByRole('link', { name: 'Sign in again' }).click();
  await ready(tablet);
  await tablet.getByRole('textbox', { name: 'Name' }).fill('Tam Okoro');
  await tablet.getByRole('textbox', { name: 'Password' }).fill(TAM);
  await tablet.keyboard.press('Enter');
  await tablet.waitForURL(`**${job}**`);
  // Kept in the browser, it is sent now.
  await expect
    .poll(async () => (await tablet.request.get(at(`/api/jobs/${job.split('/').at(-1)}`))).text())
    .toContain('7.31');
  await other.close();
});

test('a technician looks at limits that an owner changes, and a reader sees one customer', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Ines Holloway', INES);
  await visit(page, at('/shop?view=people'));
  await page.getByRole('textbox', { name: 'Name' }).fill('Rosa of the towpath');
  await page.getByRole('combobox', { name: 'Role' }).selectOption('reader');
  await page.getByRole('combobox', { name: 'Customer', exact: true }).fill('Towpath crew');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: 'Give Rosa of the towpath a password' }).click();
  await page.getByRole('dialog').getByRole('textbox').fill('kettle harbour moss');
  await page.getByRole('button', { name: 'Set the password' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();

  const other = await browser.newContext();
  const his = await other.newPage();
  await signIn(his, 'Tam Okoro', TAM);
  await visit(his, at('/shop'));
  await expect(his.getByText('An owner changes this.')).toBeVisible();
  await expect(his.getByRole('tab', { name: 'People' })).toHaveCount(0);
  await expect(his.locator('fieldset[disabled]').getByRole('textbox').first()).toBeDisabled();
  await other.close();

  const hers = await browser.newContext();
  const reading = await hers.newPage();
  await signIn(reading, 'Rosa of the towpath', 'kettle harbour moss');
  await expect(reading.getByRole('heading', { name: 'Towpath crew', level: 1 })).toBeVisible();
  await expect(reading.getByRole('navigation')).toHaveCount(0);
  await expect(reading.getByRole('searchbox')).toHaveCount(0);
  await expect(reading.getByRole('button', { name: 'Mend' })).toHaveCount(0);
  await axeFindsNothing(reading, 'a reader');
  await reading
    .getByRole('link', { name: /Brask 66/ })
    .first()
    .click();
  await ready(reading);
  await expect(reading.getByRole('heading', { level: 1 })).toContainText('Brask 66');
  await reading.goto(at('/gear/customers/c-orchard'));
  await expect(reading.getByRole('heading', { level: 1 })).toHaveText('There is nothing here');
  await reading.goto(at('/stock'));
  await expect(reading.getByRole('heading', { level: 1 })).toHaveText('This is not yours to see');
  await hers.close();
});

/** Answers one set of practice as whoever is signed in. */
const practise = (page: Page): Promise<string> =>
  page.evaluate(async () => {
    const post = async (path: string, body: object) => {
      const answer = await fetch(path, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ by: 'whoever', ...body }),
      });
      if (!answer.ok) throw new Error(await answer.text());
      return (await answer.json()) as { readonly id: string };
    };
    const keep = { action: 'keep', sure: 0.8 };
    const { id } = await post('/api/practice/rounds', { round: { kind: 'one', level: 'plain', theme: 'lean' } });
    await post(`/api/practice/rounds/${id}/answer`, {
      parts: { bar: keep, chain: keep, driveSprocket: keep },
      ...{ faults: [], causes: [], belongs: true, order: null },
    });
    return `/practice/rounds/${id}`;
  });

test('an owner sees how everybody practises, and everybody sees themselves', async ({ page, browser }) => {
  const other = await browser.newContext();
  const his = await other.newPage();
  await signIn(his, 'Tam Okoro', TAM);
  const hisRound = await practise(his);
  await visit(his, at('/practice'));
  await expect(his.getByRole('region', { name: 'Others who practise' })).toHaveCount(0);

  await signIn(page, 'Ines Holloway', INES);
  const herRound = await practise(page);
  await visit(page, at('/practice'));
  await page.getByRole('link', { name: 'Tam Okoro' }).click();
  await expect(page.getByRole('heading', { name: 'How Tam Okoro does' })).toBeVisible();
  await visit(page, at(hisRound));
  await expect(page.getByRole('heading', { name: 'What it came to' })).toBeVisible();
  await his.goto(at(herRound));
  await expect(his.getByRole('heading', { level: 1 })).toHaveText('There is nothing here');
  await visit(his, at('/practice?by=Ines%20Holloway'));
  await expect(his.getByRole('heading', { name: 'How you do' })).toBeVisible();
  await other.close();
});

test('who did what is narrowed, gone back through, and given out', async ({ page }) => {
  await signIn(page, 'Ines Holloway', INES);
  await visit(page, at('/shop?view=audit'));
  await expect(page.getByRole('cell', { name: /signed in with/ }).first()).toBeVisible();
  await axeFindsNothing(page, 'audit');
  await page.getByRole('combobox', { name: 'About' }).selectOption('jobs');
  await page.getByRole('combobox', { name: 'Who' }).selectOption('Tam Okoro');
  await expect(page.getByRole('cell', { name: 'Ines Holloway' })).toHaveCount(0);
  const rows = page.locator('tbody tr');
  await expect(rows).toHaveCount(100);
  await page.getByRole('button', { name: 'Look further back' }).click();
  await expect.poll(() => rows.count()).toBeGreaterThan(100);
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'As CSV' }).click()]);
  expect(file.suggestedFilename()).toBe('audit.csv');
});
