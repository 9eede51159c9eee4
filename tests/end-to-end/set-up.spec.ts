import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { axeFindsNothing } from './axe';
import { expect, test } from './bench';
import { fill, ready, tabTo, visit } from './keyboard';
import { OwnServer } from './own-server';

const folder = mkdtempSync(join(tmpdir(), 'serrata-set-up-'));
const EMPTY = { SERRATA_MOST_REQUESTS: '0' };

test('from an empty store to the first hand-over, by keyboard alone', async ({ page }) => {
  const server = new OwnServer(join(folder, 'empty.db'), EMPTY, undefined, []);
  await server.open();
  const at = (path: string) => `${server.address}${path}`;
  await visit(page, at('/'));
  await expect(page).toHaveURL(/\/set-up$/);
  await axeFindsNothing(page, 'set-up');
  await tabTo(page, 'Name of the shop');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Weir Lane saws');
  await page.getByRole('combobox', { name: 'Lengths are shown in' }).focus();
  await page.keyboard.type('inches');
  await expect(page.getByLabel('Name of the shop')).toHaveValue('Weir Lane saws');
  await tabTo(page, 'Write it down');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('tab', { name: 'The shop · done' })).toBeVisible();
  await page.keyboard.press('Shift+Tab');
  await page.getByRole('button', { name: 'Next: People' }).focus();
  await page.keyboard.press('Enter');
  // The keys go on where the next part begins.
  await expect(page.getByRole('group', { name: 'People' })).toBeFocused();
  await fill(page, 'Name', 'Una Weir');
  await expect(page.getByRole('tab', { name: 'People · done' })).toBeVisible();
  await page.getByRole('tab', { name: /Rates/ }).focus();
  await page.keyboard.press('Enter');
  await tabTo(page, 'They are right as they stand');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('tab', { name: 'Rates · done' })).toBeVisible();
  await expect(page.getByRole('group', { name: 'Rates' })).toBeFocused();
  await page.getByRole('tab', { name: /Saws/ }).focus();
  await page.keyboard.press('Enter');
  await tabTo(page, 'Leave it');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('tab', { name: 'Saws · left' })).toBeVisible();
  await page.getByRole('link', { name: 'To the bench', exact: true }).focus();
  await page.keyboard.press('Enter');
  await page.waitForURL(at('/'));
  await ready(page);
  await expect(page.getByText('Weir Lane saws')).toBeVisible();
  // The shop's unit counts where the device has chosen none.
  await expect(page.getByRole('radio', { name: 'in', exact: true })).toBeChecked();
  await page.getByRole('combobox', { name: 'At the bench' }).focus();
  await page.keyboard.type('Una');

  await page.evaluate(() => document.body.focus());
  await takeInAt(page, server.address);
  await page.keyboard.press('Escape');
  await visit(page, `${page.url().split('?')[0]}?step=hand-over`);
  await fill(page, 'Why it goes all the same', 'Only looked at');
  await tabTo(page, 'Hand over as Una Weir');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Only looked at')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Open again' })).toBeVisible();

  // What is still open is said under Shop, and leads back.
  await visit(page, at('/shop'));
  await expect(page.getByText(/Still open of the set-up/)).toContainText('limits, stock list and sign-in');
  await page.getByRole('link', { name: 'Set-up' }).click();
  await page.waitForURL('**/set-up');
  await server.end('SIGKILL');
});

/** Takes in a job at a server of its own. */
async function takeInAt(page: Page, address: string): Promise<void> {
  await visit(page, `${address}/`);
  await page.keyboard.press('n');
  await expect(page.getByRole('dialog').locator('input:focus')).toHaveCount(1);
  await page.keyboard.type('First customer');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Ondral 52');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/jobs\//);
  await ready(page);
}

test('a demo says that it is one on every page, and is left for an empty shop by one press', async ({ page }) => {
  const server = new OwnServer(join(folder, 'demo.db'), EMPTY);
  await server.open();
  const at = (path: string) => `${server.address}${path}`;
  for (const path of ['/', '/counter', '/stock', '/gear', '/shop']) {
    await visit(page, at(path));
    await expect(page.getByRole('button', { name: 'This is a demo shop' })).toBeVisible();
  }
  await visit(page, at('/'));
  const steps = page.getByRole('region', { name: 'Three things to try' });
  await expect(steps.getByRole('listitem').getByRole('link')).toHaveCount(3);
  for (const link of await steps.getByRole('link').all())
    expect((await page.request.get(at((await link.getAttribute('href'))!))).status()).toBe(200);
  await steps.getByRole('button', { name: 'Enough of this' }).click();
  await expect(steps).toHaveCount(0);
  await page.reload();
  await ready(page);
  await expect(steps).toHaveCount(0);

  await page.getByRole('button', { name: 'This is a demo shop' }).click();
  await expect(page.getByRole('dialog')).toContainText('Everything in it is invented');
  await axeFindsNothing(page, 'leaving the demo');
  await page.getByRole('button', { name: 'Begin an empty shop' }).click();
  await page.waitForURL('**/set-up');
  await ready(page);
  await expect(page.getByRole('button', { name: 'This is a demo shop' })).toHaveCount(0);
  // Nobody loads the demo into it when it is started again, and the demo is kept.
  await server.end('SIGTERM');
  await server.open();
  await visit(page, at('/?show=done'));
  await expect(page.getByText(/L-0/)).toHaveCount(0);
  await visit(page, at('/shop?view=backup'));
  await expect(page.getByRole('button', { name: /Put/ }).first()).toBeVisible();
  const answer = await page.request.post(at('/api/set-up/leave-demo'), { data: {} });
  expect(answer.status()).toBe(409);
  await server.end('SIGKILL');
});
