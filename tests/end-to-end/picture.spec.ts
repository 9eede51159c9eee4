import { expect, test, type Page } from './bench';
import { axeFindsNothing } from './axe';
import { freshJob, visit } from './keyboard';
import { taken } from '../support/photographs/taken';
import { chainPiece } from '../support/photographs/things';

const PIECE = { x: 0, y: 6, turn: 0.1, pitch: 9.525, width: 0.483, rivets: 13, lift: 3.05, head: 205 };
let photograph: Buffer;

test.beforeAll(async () => {
  photograph = await taken({ on: 'A5', things: chainPiece(PIECE), seed: 5, blur: 0.8, noise: 3 });
});

const choose = (page: Page, buffer: Buffer, name = 'chain.jpg') =>
  page.getByLabel('Choose or take a photograph').setInputFiles({ name, mimeType: 'image/jpeg', buffer });
const told = (page: Page) => page.getByRole('region', { name: 'What it tells' });

test('a photograph tells pitch, family and rivets; taps and the print change it', async ({ page }) => {
  await visit(page, '/counter');
  await page.getByRole('link', { name: 'From a photograph' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Measure a photograph');
  await choose(page, photograph);
  await expect(told(page).getByText(/^9\.5[0-4]\d mm$/)).toBeVisible();
  await expect(told(page).getByText('Speaks for', { exact: false })).toContainText('3/8');
  await expect(told(page).getByText('13', { exact: true })).toBeVisible();
  await axeFindsNothing(page, 'a measured photograph');

  // A print of another size moves every length by its share.
  const line = page.getByLabel('The printed line of 100 mm measures, mm');
  await line.fill('ninety');
  await expect(page.getByText('A length in mm, such as 99.6.')).toBeVisible();
  await line.fill('102');
  await line.press('Tab');
  await expect(told(page).getByText(/^9\.7[0-3]\d mm$/)).toBeVisible();

  // Two taps off the chain find no run between them: it is refused, and says what to do.
  const svg = page.locator('main svg[viewBox="0 0 1200 900"]');
  const box = (await svg.boundingBox())!;
  await svg.click({ position: { x: box.width * 0.4, y: box.height * 0.4 } });
  const tap = page.getByRole('button', { name: 'Tap 1:' });
  await tap.focus();
  const from = await tap.locator('circle').getAttribute('cx');
  await page.keyboard.press('ArrowRight');
  await expect(tap.locator('circle')).toHaveAttribute('cx', String(Number(from) + 0.1));
  await svg.click({ position: { x: box.width * 0.425, y: box.height * 0.4 } });
  await page.getByRole('button', { name: 'Measure by the taps' }).click();
  await expect(page.getByRole('alert')).toContainText('The two taps are less than 10 mm apart.');
  await axeFindsNothing(page, 'a refused photograph');
  await page.getByRole('button', { name: 'Take the taps away' }).click();
  await expect(tap).toHaveCount(0);
  await expect(page.getByRole('group', { name: 'The photograph' })).toBeFocused();
  // By keyboard alone: a tap is added, moved, and taken away.
  await page.getByRole('button', { name: 'Add a tap in the middle' }).press('Enter');
  await expect(tap.locator('circle')).toHaveAttribute('cx', '600');
  await tap.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(tap.locator('circle')).toHaveAttribute('cx', '595');
  await page.keyboard.press('Delete');
  await expect(tap).toHaveCount(0);
  await expect(page.getByRole('group', { name: 'The photograph' })).toBeFocused();
});

test('on a phone a photograph is measured by touch, and what is none is said', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await visit(page, '/picture');
  await choose(page, Buffer.from('no picture'), 'notes.txt');
  await expect(page.getByRole('alert')).toContainText('notes.txt is no picture that can be read.');
  await choose(page, photograph);
  await expect(told(page).getByText(/^9\.5[0-4]\d mm$/)).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
});

test('what a photograph told is taken over into the job, and moves what is known of it', async ({ page }) => {
  const id = await freshJob(page, 'identify');
  await page.getByRole('tab', { name: 'Pitch' }).click();
  const link = page.getByRole('link', { name: 'Pitch from a photograph with the scale card' });
  await link.click();
  await choose(page, photograph);
  const takeOver = page.getByRole('button', { name: /^Take over: 13 rivets span 114\.\d\d mm$/ });
  await takeOver.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Taken over into Identify, as measured by picture.')).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'Taken over' })).toBeFocused();
  const sheet = (await (await page.request.get(`/api/jobs/${id}/sheet.json`)).json()) as {
    chain: { span: { rivets: number; length: { instrument: string } } };
  };
  expect(sheet.chain.span).toMatchObject({ rivets: 13, length: { instrument: 'picture' } });
  await page.getByRole('link', { name: 'The job', exact: true }).last().click();
  await page.getByRole('tab', { name: 'Pitch' }).click();
  await expect(page.locator('input[data-path="chain.span.rivets"], [data-path="chain.span.rivets"] input')).toHaveValue(
    '13',
  );

  // What stands there is not replaced in silence.
  await link.click();
  await choose(page, photograph);
  await takeOver.click();
  await expect(page.getByText('A span over rivets was read already', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: /^Replace what stands there/ }).click();
  await expect(page.getByText('Taken over into Identify, as measured by picture.')).toBeVisible();
});

test('the card is shown, and printed', async ({ page, request }) => {
  await page.goto('/card');
  await expect(page.getByRole('img', { name: 'The A5 card', exact: false })).toBeVisible();
  await axeFindsNothing(page, 'the card');
  const link = page.getByRole('link', { name: 'Card for Letter (PDF)' });
  const printed = await request.get((await link.getAttribute('href'))!);
  expect(printed.headers()['content-type']).toBe('application/pdf');
  const bytes = await printed.body();
  expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
});

test('the server refuses what is asked wrongly of a picture', async ({ request, baseURL }) => {
  const ask = (query: string, type = 'image/jpeg', data: Buffer = photograph) =>
    request.post(`${baseURL}/api/picture?${query}`, { headers: { 'Content-Type': type }, data });
  expect((await ask('find=teeth')).status()).toBe(400);
  expect((await ask('points=1,2;3')).status()).toBe(400);
  expect((await ask('line=wide')).status()).toBe(400);
  expect((await ask('find=rivets', 'application/json')).status()).toBe(415);
  expect((await ask('find=rivets', 'image/jpeg', Buffer.from('no picture'))).status()).toBe(400);
});
