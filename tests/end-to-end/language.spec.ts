import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { createClient } from '@libsql/client';
import type { Page } from '@playwright/test';
import { stepsOfBuild } from '../../scripts/lib/build.mjs';
import { pseudo, PSEUDO, writePseudo } from '../../scripts/pseudo-language';
import * as counter from '../../src/wording/en/screens/counter';
import { expect, test } from './bench';
import { ready, visit } from './keyboard';
import { OwnServer } from './own-server';

/**
 * A second language is a folder: one is made of the English one, each vowel accented and doubled, built, and looked at.
 * A word of plain letters that no person wrote was left in English; a text that runs over its edge has no room for a
 * longer language.
 */
const BUILT = 'dist-xx';
const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
];

/** What people wrote, and names that no language changes. */
const NAMES =
  'Serrata PDF CSV JSON PNG JPEG Esc Enter EUR GBP USD Jan Feb Mar Apr May Jun Jul Aug Sep Sept Oct Nov Dec AM PM UTC min deg';
const WRITTEN = [
  'SELECT name FROM person',
  'SELECT value FROM shop_fact',
  'SELECT name, contact FROM customer',
  'SELECT label, tag, mount FROM saw',
  'SELECT tag FROM job',
  "SELECT text FROM reading WHERE path = 'job.complaint' OR path LIKE '%mark%' OR path LIKE '%note%'",
  'SELECT name, sku, mount, oil_hole FROM stock_part',
  'SELECT note FROM stock_movement',
  'SELECT note FROM hand_study',
  'SELECT code, note FROM learned_code',
];

/** Jobs that have much to say, and the steps that are looked at in each. */
const JOBS = {
  'L-0417': ['take-in', 'strip', 'identify', 'clean', 'bar', 'rework', 'refit', 'prove', 'hand-over'],
  'L-0418': ['decide', 'order'],
  'L-0427': ['chain', 'sprocket', 'why', 'rework'],
};
/** Pages beside the jobs, empty ones among them. */
const PLACES = [
  '/',
  '/?show=done',
  '/?waits=to-measure',
  '/counter',
  '/stock',
  '/stock?q=nothing-of-the-kind',
  '/gear',
  '/gear?q=nothing-of-the-kind',
  '/gear/customers/c-towpath',
  '/gear/saws/s-brask-66',
  '/gear/models',
  '/gear/saws',
  '/gear/customers',
  '/gear/saws?q=nothing-of-the-kind',
  '/practice',
  '/practice/pocket',
  '/picture',
  '/shop',
  '/set-up',
  '/offline/kept',
];
const PAPERS = ['customer', 'slip', 'tag', 'work-card', 'condemned'];

const server = new OwnServer('./test-results/pseudo-store/demo.db', {}, `${BUILT}/server/main.mjs`);
let known: ReadonlySet<string>;
let jobs: ReadonlyMap<string, string>;

const wordsOf = (text: string): readonly string[] => text.match(/[\p{L}]{3,}/gu) ?? [];

/** Names of limits, as files and the command line have them. */
const isId = (text: string): boolean => /^[a-zA-Z]+(\.[\w-]+)+$/.test(text);

/** Words that stand in plain letters though the language has none. */
const leftInEnglish = (texts: readonly string[]): readonly string[] => [
  ...new Set(
    texts.filter(
      (text) =>
        !isId(text) &&
        wordsOf(text).some((word) => /[aeiouy]/.test(word) && /^[a-z]+$/i.test(word) && !known.has(word.toLowerCase())),
    ),
  ),
];

/** Runs a tool of the project, or says what it said. */
function run(tool: string, args: readonly string[], env: Readonly<Record<string, string>> = {}): void {
  const { status, stdout, stderr } = spawnSync(`node_modules/.bin/${tool}`, args, { env: { ...process.env, ...env } });
  if (status !== 0) throw new Error(`${tool} failed: ${stdout} ${stderr}`);
}

/** Words that people wrote, as the store has them, and names. */
async function wordsWritten(): Promise<ReadonlySet<string>> {
  const store = createClient({ url: `file:${server.store}` });
  const rows = await Promise.all(WRITTEN.map(async (query) => (await store.execute(query)).rows));
  const texts = rows.flat().flatMap((row) => Object.values(row).map(String));
  return new Set([NAMES, ...texts].flatMap(wordsOf).map((word) => word.toLowerCase()));
}

/** What is said on the page: its texts, and what only assistive technology says. */
const saidOn = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const isShown = (element: Element | null) =>
      element !== null && !element.closest('script, style, noscript, template') && element.checkVisibility();
    const texts: string[] = [document.title];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      if (isShown(node.parentElement)) texts.push(node.textContent!.trim());
    for (const element of document.querySelectorAll('[aria-label], [placeholder], [title]'))
      for (const name of ['aria-label', 'placeholder', 'title'])
        if (isShown(element)) texts.push(element.getAttribute(name) ?? '');
    return texts.filter(Boolean);
  });

/** Texts that run over the edge of what holds them, where nobody can scroll to their end. */
const cutOffOn = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const SLACK = 2;
    const cut: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const range = document.createRange();
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const text = node.textContent!.trim();
      const parent = node.parentElement!;
      if (text === '' || !parent.checkVisibility() || parent.closest('script, style, noscript, .sr-only')) continue;
      range.selectNodeContents(node);
      const { left, right, width } = range.getBoundingClientRect();
      if (width === 0) continue;
      for (let holder: Element | null = parent; holder; holder = holder.parentElement) {
        const { overflowX, position } = getComputedStyle(holder);
        const isDrawing = holder instanceof SVGSVGElement;
        if (overflowX === 'auto' || overflowX === 'scroll') break;
        const edge = holder.getBoundingClientRect();
        const isClipped = overflowX === 'hidden' || overflowX === 'clip' || isDrawing || holder === document.body;
        if (isClipped && (right > edge.right + SLACK || left < edge.left - SLACK)) {
          cut.push(text);
          break;
        }
        if (position === 'fixed') break;
      }
    }
    return [...new Set(cut)];
  });

/** What people wrote may be shortened where it is told whole elsewhere; what Serrata says may not. */
const ACCENTED = /[áéíóúý]/;

/** Looks at what stands on the page, at every size. */
async function look(page: Page, where: string): Promise<void> {
  for (const size of SIZES) {
    await page.setViewportSize(size);
    expect.soft(leftInEnglish(await saidOn(page)), `${where} at ${size.width}: left in English`).toEqual([]);
    const cut = (await cutOffOn(page)).filter((text) => ACCENTED.test(text));
    expect.soft(cut, `${where} at ${size.width}: cut off`).toEqual([]);
  }
  await page.setViewportSize(SIZES[0]!);
}

/** Papers have nothing that answers: they are drawn, and that is all. */
const isDrawnOnly = (address: string): boolean => /\/jobs\/[^/?]+\/[a-z-]+$/.test(address);

/** Looks at a page as it opens, with all that can be laid open, and behind each of its tabs. */
async function lookThrough(page: Page, address: string): Promise<void> {
  await (isDrawnOnly(address) ? page.goto(address) : visit(page, address));
  const tabs = page.locator('main [role=tab]');
  const count = await tabs.count();
  for (let i = 0; i < Math.max(count, 1); i++) {
    if (count > 0) {
      await tabs.nth(i).click();
      await expect(page.locator('main [role=tabpanel]')).not.toBeEmpty();
    }
    await page.evaluate(() => document.querySelectorAll('details').forEach((each) => (each.open = true)));
    if (!isDrawnOnly(address)) await ready(page);
    await look(page, `${address}${count > 0 ? `, ${await tabs.nth(i).textContent()}` : ''}`);
  }
}

test.describe('in a made-up language', () => {
  test.beforeAll(async () => {
    writePseudo();
    try {
      for (const step of stepsOfBuild('xx', BUILT)) run(...step);
    } finally {
      rmSync(PSEUDO, { recursive: true, force: true });
    }
    rmSync('test-results/pseudo-store', { recursive: true, force: true });
    await server.open();
    known = await wordsWritten();
    const rows = await createClient({ url: `file:${server.store}` }).execute('SELECT tag, id FROM job');
    jobs = new Map(rows.rows.map(({ tag, id }) => [String(tag), String(id)]));
  });
  test.afterAll(() => server.end('SIGTERM'));

  test('the language itself is told from English', () => {
    expect(pseudo('Order by these')).toBe('Órdéér býý thééséé');
    expect(leftInEnglish([pseudo('Nothing is to be done'), 'Nothing is to be done'])).toEqual([
      'Nothing is to be done',
    ]);
  });

  test('every place says all it says in that language, and nothing is cut off', async ({ page }) => {
    for (const address of PLACES) await lookThrough(page, server.address + address);
    await page.goto(`${server.address}/nowhere`);
    await look(page, 'an address that leads nowhere');
  });

  test('a piece tells its life in that language', async ({ page }) => {
    await visit(page, `${server.address}/gear/saws/s-brask-66`);
    const pieces = await page.locator('main a[href^="/gear/pieces/"]').all();
    const addresses = await Promise.all(pieces.map((piece) => piece.getAttribute('href')));
    for (const address of [addresses[0], addresses[1], addresses[3]]) await lookThrough(page, server.address + address);
  });

  test('a caller is answered in that language', async ({ page }) => {
    await visit(page, `${server.address}/counter`);
    await page.getByLabel(pseudo(counter.punchedOnTheBar)).fill('18 in 3/8LP .050 62DL');
    const supplier = page.getByRole('region', { name: pseudo(counter.supplier), exact: true });
    await expect(supplier.getByRole('listitem').first()).toBeVisible();
    await look(page, 'the counter with an answer');
  });

  for (const [tag, steps] of Object.entries(JOBS))
    test(`job ${tag} does so at each step`, async ({ page }) => {
      for (const step of steps) await lookThrough(page, `${server.address}/jobs/${jobs.get(tag)}?step=${step}`);
    });

  test('papers do so', async ({ page }) => {
    for (const paper of PAPERS) await lookThrough(page, `${server.address}/jobs/${jobs.get('L-0418')}/${paper}`);
  });
});
