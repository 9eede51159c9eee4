import type { APIRequestContext } from '@playwright/test';
import { expect, test } from './bench';
import { axeFindsNothing } from './axe';
import { ready, visit } from './keyboard';

const depth = (at: string) => ({ at, near: '7.60 mm', far: '7.65 mm', mouth: '1.55 mm' });
const edge = { stations: ['80 mm', '200 mm', '320 mm'].map(depth) };
const SHEET = {
  ...{ format: 'serrata-bench-sheet', version: 1 },
  job: { brought: ['whole-saw'], hoursPerWeek: 4 },
  bar: { stamp: '.325 .050 72DL', nose: 'sprocket', edges: { A: edge, B: edge } },
  chain: {
    ...{ stamp: '.325 .050', driveLinks: [72, 72], driveLinkThickness: '1.27 mm' },
    pushPull: { joints: 60, closed: '495 mm', pulled: '500 mm' },
  },
  driveSprocket: { pitch: '325', wear: '0.20 mm' },
};
const STAMP = [{ path: 'bar.stamp', text: '.325 .050 72DL', unit: 'mm' }];

/** A saw comes twice; the address of its second job. */
async function comesAgain(request: APIRequestContext): Promise<string> {
  const told = { by: 'Ines Holloway', complaint: '', promisedFor: null };
  const own = { customer: { name: 'Culvert menders' }, saw: { label: 'Tarn 50', mount: '' } };
  const first = (await (await request.post('/api/jobs', { data: { ...told, ...own, sheet: SHEET } })).json()) as {
    id: string;
  };
  const { customer, saw } = (await (await request.get(`/api/jobs/${first.id}`)).json()) as {
    customer: { id: string };
    saw: { id: string };
  };
  const again = { ...told, customer: { id: customer.id }, saw: { id: saw.id } };
  const entries = [{ path: 'job.brought', text: 'whole-saw', unit: 'mm' }, ...STAMP];
  const { id } = (await (await request.post('/api/jobs', { data: { ...again, entries } })).json()) as { id: string };
  return `/jobs/${id}`;
}

test('a bar that comes again is not measured all along, unless one depth says otherwise', async ({ page, request }) => {
  const job = await comesAgain(request);
  await visit(page, `${job}?step=take-in`);
  const bar = page.getByRole('region', { name: 'Parts that come again' }).getByRole('region', { name: 'Bar' });
  await expect(bar).toContainText('Depth at the weakest place: 7.5');
  await expect(bar).toContainText('If it is the same, this need not be measured: depth from both rails, edge A');
  const next = page.getByRole('region', { name: 'Measure next' });
  await expect(next).toContainText('Whether it is the same bar: if so, depth from both rails, edge A');
  await axeFindsNothing(page, 'parts that come again');
  for (const same of ['saw.sameBar', 'saw.sameChain', 'saw.sameSprocket'])
    await expect(page.locator(`[data-path="${same}"]`).first()).toBeAttached();
  await bar.getByRole('radio', { name: 'yes' }).check({ force: true });
  await expect(bar).toContainText('Not asked for any more: depth from both rails, edge A');
  const plan = page.getByRole('region', { name: 'Measuring plan' });
  await expect(plan).toContainText('bears out what was foreseen, and spares measuring it all');
  await page.reload();
  await ready(page);
  await bar.getByRole('radio', { name: 'no' }).check({ force: true });
  await expect(bar).toContainText('Another part: none of it counts.');
  await expect(plan).not.toContainText('bears out');
});

test('a depth far from what was foreseen counts alone, and is asked for once more', async ({ page, request }) => {
  const job = await comesAgain(request);
  const put = await request.post(`/api${job}/readings`, {
    data: {
      by: 'Ines Holloway',
      readings: [
        ['saw.sameBar', 'yes'],
        ['bar.edges.A.stations.0.at', '80'],
        ['bar.edges.A.stations.0.near', '6.40'],
      ].map(([path, text]) => ({
        id: crypto.randomUUID(),
        path,
        text,
        unit: 'mm',
        instrument: null,
        supersedes: null,
      })),
    },
  });
  expect(put.ok()).toBe(true);
  await visit(page, `${job}?step=bar`);
  await expect(page.getByText(/was foreseen from job L-.*it wore faster, something happened/).first()).toBeVisible();
  for (const width of [1024, 390]) {
    await page.setViewportSize({ width, height: 800 });
    await visit(page, `${job}?step=take-in`);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide, `${width}`).toBeLessThanOrEqual(0);
  }
});
