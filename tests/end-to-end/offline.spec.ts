import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import type { JobView } from '../../src/contract';
import { axeFindsNothing } from './axe';
import { expect, test } from './bench';
import { revisit, saved, visit } from './keyboard';
import { OwnServer } from './own-server';

const folder = mkdtempSync(join(tmpdir(), 'serrata-offline-'));
const SETTINGS = { SERRATA_MOST_REQUESTS: '0' };

/** A tablet: a browser that may open Serrata without its server. */
async function tablet(browser: Browser): Promise<BrowserContext> {
  const context = await browser.newContext({
    serviceWorkers: 'allow',
    storageState: { cookies: [], origins: [] },
    viewport: { width: 1024, height: 768 },
  });
  await context.addCookies([{ name: 'serrata-who', value: 'Tam%20Okoro', domain: '127.0.0.1', path: '/' }]);
  return context;
}

/** What is kept in a browser under names that begin so. */
const keptNames = (page: Page, prefix: string): Promise<string[]> =>
  page.evaluate(async (begins) => {
    const db = await new Promise<IDBDatabase | null>((resolve) => {
      const opening = indexedDB.open('serrata');
      opening.onupgradeneeded = () => opening.transaction?.abort();
      opening.onsuccess = () => resolve(opening.result);
      opening.onerror = () => resolve(null);
    });
    if (!db) return [];
    const keys = await new Promise<IDBValidKey[]>((resolve) => {
      const asked = db.transaction('views').objectStore('views').getAllKeys();
      asked.onsuccess = () => resolve(asked.result);
    });
    db.close();
    return keys.map(String).filter((key) => key.startsWith(begins));
  }, prefix);

/** Opens the Bench until the browser keeps what stands on it. */
async function takeAlong(page: Page, address: string): Promise<void> {
  await visit(page, address);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await revisit(page);
  const jobs = await page.locator('a[data-job]').count();
  await expect.poll(() => keptNames(page, ''), { timeout: 120_000 }).toContain('stock');
  expect((await keptNames(page, 'job/')).length).toBeGreaterThanOrEqual(jobs);
}

/** The id of a demo job by its tag. */
async function idOf(page: Page, address: string, tag: string): Promise<string> {
  const hits = (await (await page.request.get(`${address}/api/search?q=${tag}`)).json()) as {
    title: string;
    href: string;
  }[];
  return hits
    .find(({ title, href }) => href.startsWith('/jobs/') && title.startsWith(tag))!
    .href.split('/')
    .at(-1)!;
}

const near = (station: number) => `[data-path="bar.edges.A.stations.${station}.near"]`;

async function enter(page: Page, station: number, text: string): Promise<void> {
  await page.locator(near(station)).fill(text);
  await page.locator(near(station)).press('Enter');
}

test('a tablet goes on without the shop from a job to its hand-over, and brings all in once', async ({ browser }) => {
  const server = new OwnServer(join(folder, 'tablet.db'), SETTINGS);
  await server.open();
  const context = await tablet(browser);
  const page = await context.newPage();
  await takeAlong(page, `${server.address}/`);
  const id = await idOf(page, server.address, 'L-0427');
  const job = `${server.address}/jobs/${id}`;
  await visit(page, `${job}?step=bar`);
  await enter(page, 0, '6.5');
  await saved(page);

  await server.end('SIGKILL');
  // Opened anew with the server down: the job is there, with what was typed before, and says since when.
  await revisit(page);
  await expect(page.getByText(/This job as the shop told it last/)).toBeVisible();
  await expect(page.getByText(/The shop cannot be reached since/)).toBeVisible();
  await expect(page.locator(near(0))).toHaveValue('6.5');
  await axeFindsNothing(page, 'a job without the shop');
  await enter(page, 1, '1.1');
  // It is judged here.
  await expect(page.getByRole('complementary', { name: /Tag/ })).toContainText('Replace');
  await page.locator(near(2)).fill('6.2');
  await page.locator(near(2)).press('Enter');
  await visit(page, `${job}?step=decide`);
  await expect(page.getByText(/Planned in this browser, with the shelf as it stood/)).toBeVisible();
  await expect(page.getByRole('radio').first()).toBeVisible();
  await visit(page, `${job}?step=take-in`);
  await page.locator('input[type=file]').setInputFiles({
    name: 'bar.png',
    mimeType: 'image/png',
    buffer: readFileSync('public/icon-192.png'),
  });
  await expect(page.getByText('kept here, brought in with the shop')).toBeVisible();
  await visit(page, `${job}?step=bar`);
  await expect(page.locator(near(1))).toHaveValue('1.1');

  // What is kept can be looked at.
  await page.goto(`${server.address}/offline/kept`);
  await expect(page.getByText(/^\d readings wait$/).first()).toBeVisible();
  await expect(page.getByText('1 picture waits')).toBeVisible();
  await axeFindsNothing(page, 'what is kept');
  await page.getByRole('tab', { name: 'Stock' }).click();
  await expect(page.getByRole('row').nth(3)).toBeVisible();
  await page.getByRole('tab', { name: 'Limits' }).click();
  await expect(page.getByRole('row').nth(3)).toBeVisible();

  // It goes back to its customer only with the shop, and says so; so do parts of the plan.
  await visit(page, `${job}?step=hand-over`);
  await expect(page.getByText('A job is handed over when the shop can be reached')).toBeVisible();
  await axeFindsNothing(page, 'hand-over without the shop');
  await visit(page, `${job}?step=order`);
  await expect(page.getByText('Parts are taken from the shelf and ordered when the shop can be reached')).toBeVisible();
  await page.goto(`${server.address}/offline/kept`);

  // The shop is back: all comes in by itself, in order, each once, though no page has the job open.
  await server.open();
  const readings = async () => (await server.ask<JobView>(`/api/jobs/${id}`)).readings;
  await expect
    .poll(async () => (await readings()).filter(({ path }) => path.endsWith('.near')).map(({ text }) => text), {
      timeout: 60_000,
    })
    .toEqual(expect.arrayContaining(['6.5', '1.1', '6.2']));
  await expect
    .poll(async () => (await server.ask<JobView>(`/api/jobs/${id}`)).photos.length, { timeout: 60_000 })
    .toBe(1);
  await expect(page.getByText(/The shop cannot be reached/)).toHaveCount(0);
  expect((await readings()).find(({ text }) => text === '1.1')?.by).toBe('Tam Okoro');
  expect(
    await page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('serrata:outbox'))),
  ).toEqual([]);
  await visit(page, `${job}?step=hand-over`);
  await page.getByLabel('Why it goes all the same').fill('Goes back tonight');
  await page.getByRole('button', { name: 'Hand over as Tam Okoro' }).click();
  await expect(page.getByText('Goes back tonight')).toBeVisible();
  expect((await server.ask<JobView>(`/api/jobs/${id}`)).job.state).toBe('handed-over');
  await context.close();
  await server.end('SIGKILL');
});

test('a job that is not kept says so, and what is opened elsewhere leads to what is kept', async ({ browser }) => {
  const server = new OwnServer(join(folder, 'kept.db'), SETTINGS);
  await server.open();
  const context = await tablet(browser);
  const page = await context.newPage();
  await takeAlong(page, `${server.address}/`);
  await server.end('SIGKILL');
  await visit(page, `${server.address}/jobs/nowhere`);
  await expect(page.getByText('This job is not kept in this browser')).toBeVisible();
  await visit(page, `${server.address}/stock`);
  await expect(page.getByRole('heading', { name: 'Kept in this browser' })).toBeVisible();
  await page.getByRole('link', { name: /^L-0427/ }).click();
  await expect(page.getByText(/This job as the shop told it last/)).toBeVisible();
  await context.close();
});

/** Outboxes as the last three versions of the store were written with, by what a tablet of theirs left in its storage. */
const OLDER = [
  { since: '0012', entry: { unit: 'mm', supersedes: null } },
  { since: '0013', entry: { unit: 'mm', instrument: null, supersedes: null } },
  { since: '0014', entry: { unit: 'in', instrument: 'caliper', supersedes: null } },
] as const;

test('a newer Serrata takes the place of the one that is installed, and brings in what older ones kept', async ({
  browser,
}) => {
  const store = join(folder, 'update.db');
  const older = new OwnServer(store, SETTINGS);
  await older.open();
  const context = await tablet(browser);
  const page = await context.newPage();
  await takeAlong(page, `${older.address}/`);
  const id = await idOf(page, older.address, 'L-0427');
  await older.end('SIGTERM');
  const boxes = OLDER.map(({ entry }, i) => ({
    name: `serrata:outbox:${id}:tab-${i}`,
    text: JSON.stringify([
      {
        id: crypto.randomUUID(),
        path: `bar.edges.B.stations.${i}.near`,
        text: String(6 + i / 10),
        by: 'Tam Okoro',
        ...entry,
      },
    ]),
  }));
  await page.evaluate((all) => {
    for (const { name, text } of all) localStorage.setItem(name, text);
  }, boxes);

  // The next build, as far as a browser can tell.
  const next = 'dist-next';
  rmSync(next, { recursive: true, force: true });
  cpSync('dist', next, { recursive: true });
  const worker = `${next}/client/worker.js`;
  for (const packed of ['.br', '.gz']) rmSync(worker + packed);
  writeFileSync(
    worker,
    readFileSync(worker, 'utf8').replace(/serrata-[^`"']*|`serrata-/, (found) => `${found}next-`),
  );
  const newer = new OwnServer(store, SETTINGS, `${next}/server/main.mjs`);
  newer.address = older.address;
  await newer.open();
  const before = await page.evaluate(() => caches.keys());
  await visit(page, `${newer.address}/`);
  await page.evaluate(() => navigator.serviceWorker.getRegistration().then((each) => each?.update()));
  await expect.poll(() => page.evaluate(() => caches.keys()), { timeout: 60_000 }).not.toEqual(before);
  await expect
    .poll(
      async () =>
        (await newer.ask<JobView>(`/api/jobs/${id}`)).readings.filter(({ path }) => path.startsWith('bar.edges.B'))
          .length,
      { timeout: 60_000 },
    )
    .toBe(OLDER.length);
  await newer.end('SIGKILL');
  await revisit(page);
  await expect(page.getByRole('heading', { name: 'Kept in this browser' })).toBeVisible();
  await context.close();
  rmSync(next, { recursive: true, force: true });
});

test('whoever signs out, or is shut out, leaves nothing of the shop in the browser', async ({ browser }) => {
  const server = new OwnServer(join(folder, 'wipe.db'), SETTINGS);
  await server.open();
  const post = (path: string, body: unknown) => server.ask(path, body);
  await post('/api/people', { name: 'Una', role: 'owner' });
  const { accounts } = await server.ask<{ accounts: { id: string; name: string }[] }>('/api/people/accounts');
  const { id } = accounts.find(({ name }) => name === 'Una')!;
  const password = 'gravel lantern spoon';
  const context = await tablet(browser);
  const page = await context.newPage();
  await page.request.put(`${server.address}/api/people/${id}/password`, { data: { password } });
  await takeAlong(page, `${server.address}/`);
  await page.getByRole('button', { name: /Una/ }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.waitForURL('**/sign-in*');
  expect(await keptNames(page, '')).toEqual([]);

  const signIn = async () => {
    await page.request.post(`${server.address}/api/session`, { data: { name: 'Una', password } });
    await takeAlong(page, `${server.address}/`);
  };
  await signIn();
  // Somebody shuts the tablet out from elsewhere: it is wiped though nobody touches it.
  const elsewhere = await browser.newContext();
  await elsewhere.request.post(`${server.address}/api/session`, { data: { name: 'Una', password } });
  const { sessions } = (await (await elsewhere.request.get(`${server.address}/api/people/accounts`)).json()) as {
    sessions: { id: string; startedAt: string }[];
  };
  const oldest = sessions.toSorted((one, other) => one.startedAt.localeCompare(other.startedAt))[0]!;
  expect((await elsewhere.request.delete(`${server.address}/api/sessions/${oldest.id}`)).ok()).toBe(true);
  await elsewhere.close();
  await expect.poll(() => keptNames(page, ''), { timeout: 30_000 }).toEqual([]);
  await context.close();
  await server.end('SIGKILL');
});
