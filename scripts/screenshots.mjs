// Takes one current picture of each main view from the demo data into docs/screenshots/.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { LAUNCH } from './lib/chromium.mjs';
import { build, installChromium, installPackages, must, ROOT, say, startServer, tool } from './lib/run.mjs';

const PORT = '4394';
const SIZE = { width: 1280, height: 800 };
/** A caller who can read the stamp of a bar. */
async function caller(page) {
  await page.getByLabel('Punched on the bar').fill('18 in 3/8LP .050 62DL');
  await page.getByRole('radio', { name: 'not trained' }).check({ force: true });
  await page.getByRole('region', { name: 'Supplier' }).getByRole('listitem').first().waitFor();
  await page.evaluate(() => globalThis.scrollTo(0, 0));
  await page.waitForTimeout(300);
}

const ADDRESS = `http://127.0.0.1:${PORT}`;

/** Opens the bar of the saw that is shown. */
async function openBar(page) {
  await page.getByRole('link', { name: 'Bar', exact: true }).click();
  await page.waitForURL('**/gear/pieces/**');
  await page.getByRole('img', { name: /^Plot/ }).first().waitFor();
}

/** The owner of the demo gives the first password. */
async function letPeopleSignIn(page) {
  await page.getByRole('textbox', { name: 'Password' }).fill('gravel lantern spoon');
  await page.getByRole('button', { name: 'Let people sign in' }).click();
  await page.getByRole('heading', { name: 'Signed in now' }).waitFor();
}

/** The first round, whose set is the same for everybody, with some rails read. */
async function readRails(page) {
  const by = 'Ines Holloway';
  const begun = await page.request.post(`${ADDRESS}/api/practice/rounds`, { data: { by, round: { kind: 'first' } } });
  const { id } = await begun.json();
  await page.goto(`${ADDRESS}/practice/rounds/${id}`, { waitUntil: 'networkidle' });
  await page.getByRole('tab', { name: 'Bar: Measure' }).click();
  for (const station of [1, 2, 3, 4]) {
    const near = page.getByRole('textbox', { name: `Edge A, station ${station}, near rail` });
    await near.focus();
    await near.press('Enter');
    await page.waitForFunction((field) => field.value !== '', await near.elementHandle());
  }
}

/** A photograph of a chain on its card, drawn and measured. */
async function measurePhotograph(page) {
  const photograph = join(folder, 'chain.jpg');
  must(tool('tsx', ['scripts/photograph.ts', photograph]), 'Drawing a photograph');
  await page.getByLabel('Choose or take a photograph').setInputFiles(photograph);
  await page.getByText('Pitch of the chain').waitFor();
}

/** Pictures that are named are retaken; all where none is. */
const WANTED = process.argv.slice(2);

/** Each picture: its name, the job or address, the step, and what to do before it is taken. */
const PICTURES = [
  { name: 'bench', address: '/' },
  {
    name: 'take-in',
    job: 'L-0420',
    step: 'take-in',
    prepare: (page) =>
      page.getByRole('region', { name: 'Measuring plan' }).evaluate((plan) => plan.scrollIntoView({ block: 'start' })),
  },
  {
    name: 'identify',
    job: 'L-0422',
    step: 'identify',
    prepare: (page) => page.getByRole('tab', { name: 'Pitch' }).click(),
  },
  { name: 'counter', address: '/counter', prepare: caller },
  {
    name: 'bar',
    job: 'L-0417',
    step: 'bar',
    prepare: (page) => page.getByLabel('Edge A, station 4, near rail').focus(),
  },
  {
    name: 'doubt',
    job: 'L-0419',
    step: 'bar',
    prepare: async (page) => {
      await page.getByText('Why so unsure, and what would help').click();
      await page.getByText('What another reading would buy').waitFor();
    },
  },
  { name: 'chain', job: 'L-0427', step: 'chain' },
  { name: 'why', job: 'L-0427', step: 'why' },
  { name: 'decide', job: 'L-0418', step: 'decide' },
  { name: 'order', job: 'L-0423', step: 'order' },
  { name: 'stock', address: '/stock?kind=chain' },
  {
    name: 'figures',
    address: '/shop?view=figures',
    prepare: (page) => page.getByRole('table', { name: 'What the records teach' }).waitFor(),
  },
  { name: 'gear', address: '/gear' },
  { name: 'piece', address: '/gear/saws/s-brask-66', prepare: openBar },
  { name: 'prove', job: 'L-0415', step: 'prove' },
  { name: 'hand-over', job: 'L-0407', step: 'hand-over' },
  { name: 'practice', address: '/practice', prepare: readRails },
  { name: 'picture', address: '/picture', prepare: measurePhotograph },
  // The last of all: from then on people sign in.
  { name: 'people', address: '/shop?view=people', prepare: letPeopleSignIn },
];

installPackages();
installChromium();
say('Building');
build();
const folder = mkdtempSync(join(tmpdir(), 'serrata-pictures-'));
const server = startServer(['--demo'], { SERRATA_DB: join(folder, 'store.db'), PORT });
const { chromium } = await import('@playwright/test');
const browser = await chromium.launch(LAUNCH);
try {
  for (let i = 0; i < 100; i += 1) {
    if (
      await fetch(`${ADDRESS}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      break;
    await new Promise((done) => setTimeout(done, 200));
  }
  const out = resolve(ROOT, 'docs/screenshots');
  mkdirSync(out, { recursive: true });
  for (const { name, address, job, step, page: sub, bench = 'light', size = SIZE, prepare } of PICTURES) {
    if (WANTED.length > 0 && !WANTED.includes(name)) continue;
    const context = await browser.newContext({ viewport: size });
    await context.addCookies([
      { name: 'serrata-bench', value: bench, url: ADDRESS },
      { name: 'serrata-who', value: 'Ines%20Holloway', url: ADDRESS },
    ]);
    const page = await context.newPage();
    const found = job && (await (await fetch(`${ADDRESS}/api/search?q=${job}`)).json())[0].href;
    await page.goto(ADDRESS + (address ?? (sub ? `${found}/${sub}` : `${found}?step=${step}`)), {
      waitUntil: 'networkidle',
    });
    await page.waitForSelector('[data-ready=true]');
    await prepare?.(page);
    await page.screenshot({ path: join(out, `${name}.png`) });
    process.stdout.write(`${name}.png\n`);
    await context.close();
  }
} finally {
  await browser.close();
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}
