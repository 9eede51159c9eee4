import { expect, test, type Page } from './bench';
import { STEPS } from '../../src/core/reading';
import { axeFindsNothing } from './axe';
import { freshJob, openJob, saved, visit } from './keyboard';

const PHONE = { width: 390, height: 844 };
const TABLET = { width: 1024, height: 768 };

/** Controls that lie over one another or reach out of the page. */
async function misplaced(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const name = (element: Element) =>
      element.getAttribute('aria-label') ?? element.textContent?.trim().slice(0, 40) ?? element.tagName;
    // The strip at the foot lies over whatever scrolls beneath it.
    const fixed = innerWidth < 768 ? document.querySelector('aside') : null;
    const controls = [...document.querySelectorAll('main :is(button, select, summary, input:not(.sr-only), a)')]
      .filter((element) => element.checkVisibility() && !fixed?.contains(element))
      .map((element) => ({ element, box: element.getBoundingClientRect() }))
      .filter(({ box }) => box.width > 1 && box.height > 1);
    // A wide table scrolls by itself.
    const outside = controls.filter(
      ({ element, box }) =>
        (box.left < 0 || box.right > innerWidth + 1) && !element.closest('.overflow-x-auto, [class*=overflow-x-auto]'),
    );
    const over = controls.flatMap((one, i) =>
      controls.slice(i + 1).flatMap((other) => {
        if (one.element.contains(other.element) || other.element.contains(one.element)) return [];
        const width = Math.min(one.box.right, other.box.right) - Math.max(one.box.left, other.box.left);
        const height = Math.min(one.box.bottom, other.box.bottom) - Math.max(one.box.top, other.box.top);
        return width > 2 && height > 2 ? [`${name(one.element)} over ${name(other.element)}`] : [];
      }),
    );
    return [...outside.map(({ element }) => `${name(element)} out of the page`), ...over];
  });
}

/** Steps that have most to show of a chain with every cutter measured. */
const WITH_CHAIN = (['chain', 'sprocket', 'why', 'rework', 'order'] as const).map((step) => ['L-0427', step] as const);

for (const [what, size] of [
  ['phone', PHONE],
  ['tablet', TABLET],
] as const)
  test(`every step of a job can be read on a ${what}`, async ({ page }) => {
    await page.setViewportSize(size);
    for (const [tag, step] of [...STEPS.map((each) => ['L-0417', each] as const), ...WITH_CHAIN]) {
      await openJob(page, tag, step);
      expect(await misplaced(page), step).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth), step).toBe(0);
      await axeFindsNothing(page, step);
    }
  });

/** Where the first field of a step begins, and where the strip at the foot does; nothing of a step without a field. */
const firstField = (page: Page) =>
  page.evaluate(() => {
    const field = [...document.querySelectorAll('main [data-path]')].find((each) => each.checkVisibility());
    const strip = document.querySelector('aside')!.getBoundingClientRect();
    return field ? { below: field.getBoundingClientRect().top, strip: strip.top } : null;
  });

test('on a phone the step comes first: its first field stands in the first screen, whatever the step', async ({
  page,
}) => {
  await page.setViewportSize(PHONE);
  const seen: string[] = [];
  for (const step of STEPS) {
    await openJob(page, 'L-0417', step);
    const found = await firstField(page);
    if (!found) continue;
    seen.push(step);
    expect(found.below + 44, step).toBeLessThanOrEqual(found.strip);
  }
  expect(seen.length).toBeGreaterThan(8);
});

test('on a phone the verdict is a strip at the foot that opens upward, and goes where it says', async ({ page }) => {
  await page.setViewportSize(PHONE);
  await openJob(page, 'L-0417', 'bar');
  const tag = page.getByRole('complementary', { name: 'Tag: verdicts' });
  const strip = tag.getByRole('button', { expanded: false });
  await expect(strip).toContainText('Bar: Recondition');
  await expect(strip).toContainText('Next: ');
  expect((await strip.boundingBox())!.height).toBeGreaterThanOrEqual(44);
  await expect(page.getByRole('region', { name: 'Bar: Recondition' })).toBeHidden();
  await strip.click();
  await expect(page.getByRole('region', { name: 'Bar: Recondition' })).toBeInViewport();
  await axeFindsNothing(page, 'the tag, laid open');
  await tag.getByRole('button', { name: 'Go there' }).click();
  await expect(page.getByRole('region', { name: 'Bar: Recondition' })).toBeHidden();
  await expect(page.locator(':focus')).toBeInViewport();
});

test('on a phone steps are a menu, and a reading is typed with its tool', async ({ page }) => {
  await page.setViewportSize(PHONE);
  await freshJob(page, 'identify');
  await page.getByLabel('Step', { exact: true }).selectOption({ label: '5 Bar, open' });
  await expect(page).toHaveURL(/step=bar/);
  await page.getByLabel('Depths: measured with').selectOption('depth-marks');
  const near = page.getByLabel('Edge A, station 1, near rail');
  await near.fill('7.5');
  await near.press('Enter');
  await expect(page.getByLabel('Edge A, station 1, far rail')).toBeFocused();
  await page.getByText('Finer readings').click();
  await page.getByRole('radiogroup', { name: 'Square on the rails' }).getByText('level', { exact: true }).click();
  await page
    .getByRole('radiogroup', { name: 'The clean bar stood on edge A' })
    .getByText('stands', { exact: true })
    .click();
  await saved(page);
  const id = /\/jobs\/([^/?]+)/.exec(page.url())![1]!;
  const { bar } = (await (await page.request.get(`/api/jobs/${id}/sheet.json`)).json()) as {
    bar: { edges: { A: { stands: string; stations: { near: unknown; square: string }[] } } };
  };
  expect(bar.edges.A).toMatchObject({
    stands: 'yes',
    stations: [{ near: { repeats: ['7.5 mm'], instrument: 'depth-marks' }, square: 'level' }],
  });
});

/** As high as a fingertip in a glove, pixels. */
const GLOVE = 44;

test('on a phone nothing that is pressed is lower than a gloved fingertip, whatever the step or the page', async ({
  page,
}) => {
  await page.setViewportSize(PHONE);
  await openJob(page, 'L-0427', 'take-in');
  const job = new URL(page.url()).pathname;
  const pages = [
    ...STEPS.map((step) => `${job}?step=${step}`),
    '/',
    '/counter',
    '/stock',
    '/gear',
    '/gear/saws/s-brask-66',
    '/gear/models',
    '/gear/saws',
    '/gear/customers',
    '/practice',
    '/practice/pocket',
    '/shop',
    '/shop?view=codes',
    '/shop?view=people',
    '/shop?view=shops',
    '/shop?view=audit',
    '/set-up',
    '/offline/kept',
  ];
  for (const address of pages) {
    await visit(page, address);
    const low = await page.evaluate((least) => {
      const pressed = 'button, select, textarea, input, summary, a, [role=tab], [role=radio]';
      // Links within a sentence are read, and drawings are tapped by what lies beside them.
      const isLoose = (each: Element) => each.checkVisibility() && !each.closest('svg') && !each.matches('p a, td a');
      const box = (each: Element) => (each.matches('[type=checkbox], [type=radio]') && each.closest('label')) || each;
      return [...document.querySelectorAll(pressed)]
        .filter(isLoose)
        .map((each) => ({ name: each.outerHTML.slice(0, 90), height: box(each).getBoundingClientRect().height }))
        .filter(({ height }) => height > 1 && height < least - 0.5);
    }, GLOVE);
    expect.soft(low, address).toEqual([]);
  }
});
