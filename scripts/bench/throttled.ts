import { chromium, type Browser, type Page } from '@playwright/test';
import { LAUNCH } from '../lib/chromium.mjs';
import { quantile, type Measured } from './table';

/** How many times slower the page's processor is made. */
const SLOWER = 4;
/** Opened so often; the median counts. */
const OPENINGS = 5;
const KEYS = 100;
/** A quick hand's time from one key to the next, ms. */
const BETWEEN_KEYS_MS = 120;
/** What a task may take before it counts as blocking, ms; only what lies above counts. */
const TASK_MS = 50;

const LARGEST_PAINT_MS = 1000;
const BLOCKED_MS = 200;
const KEY_MS = 100;

/** What a page says once it answers: looking for it from outside would be work of the page's own processor. */
const READY = 'the page answers';

interface Opened {
  readonly largestPaint: number;
  readonly blocked: number;
}

interface Felt extends Opened {
  /** Milliseconds from each key to the screen that shows it. */
  readonly keys: readonly number[];
}

/** What a person feels of a page on a slow processor, each beside the same page at full speed. */
export async function throttled(url: string): Promise<Measured[]> {
  const browser = await chromium.launch(LAUNCH);
  try {
    const full = await felt(browser, url, 1);
    const slow = await felt(browser, url, SLOWER);
    const late = slow.keys.filter((ms) => ms > KEY_MS).length;
    const on = `Job, at the bar, ${SLOWER} times slower`;
    return [
      ...beside(`${on}: largest paint`, slow.largestPaint, full.largestPaint, LARGEST_PAINT_MS),
      ...beside(`${on}: blocked while it opens`, slow.blocked, full.blocked, BLOCKED_MS),
      ...beside(`${on}: key to screen, 98th of 100`, quantile(slow.keys, 0.97), quantile(full.keys, 0.97), KEY_MS),
      { what: `${on}: keys later than ${KEY_MS} ms`, value: (100 * late) / slow.keys.length, budget: 2, unit: '%' },
    ];
  } finally {
    await browser.close();
  }
}

/** A time against its budget, and how many times longer it is than at full speed. */
const beside = (what: string, slow: number, full: number, budget: number): Measured[] => [
  { what, value: slow, budget, unit: 'ms' },
  { what: `${what}, to full speed (${full.toFixed(0)} ms)`, value: slow / Math.max(full, 1), budget: NaN, unit: '×' },
];

async function felt(browser: Browser, url: string, slower: number): Promise<Felt> {
  const opened: Opened[] = [];
  for (let i = 0; i < OPENINGS; i += 1) {
    const page = await pageAt(browser, slower);
    opened.push(await open(page, url));
    await page.context().close();
  }
  const page = await pageAt(browser, slower);
  await open(page, url);
  const keys = await typed(page);
  await page.context().close();
  const median = (of: (one: Opened) => number) => quantile(opened.map(of), 0.5);
  return { largestPaint: median((one) => one.largestPaint), blocked: median((one) => one.blocked), keys };
}

async function pageAt(browser: Browser, slower: number): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: slower });
  return page;
}

/** Opens a page with an empty cache, until it answers. */
async function open(page: Page, url: string): Promise<Opened> {
  await page.addInitScript((ready) => {
    const seen = { paint: 0, tasks: [] as number[] };
    Object.assign(window, { seen });
    new PerformanceObserver((list) => {
      for (const { startTime } of list.getEntries()) seen.paint = startTime;
    }).observe({ type: 'largest-contentful-paint', buffered: true });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) seen.tasks.push(duration);
    }).observe({ type: 'longtask', buffered: true });
    const watch = new MutationObserver(() => {
      if (!document.querySelector('[data-ready=true]')) return;
      watch.disconnect();
      console.log(ready);
    });
    watch.observe(document, { subtree: true, attributes: true, attributeFilter: ['data-ready'] });
  }, READY);
  const ready = page.waitForEvent('console', (message) => message.text() === READY);
  await page.goto(url);
  await ready;
  await page.waitForLoadState('networkidle');
  const { paint, tasks } = await page.evaluate(
    () => (window as unknown as { seen: { paint: number; tasks: number[] } }).seen,
  );
  return { largestPaint: paint, blocked: tasks.reduce((sum, ms) => sum + Math.max(0, ms - TASK_MS), 0) };
}

/**
 * Presses keys in a reading of the sixth station as a hand does.
 * @returns milliseconds from each key to the moment after the frame that shows it
 */
async function typed(page: Page): Promise<readonly number[]> {
  await page.evaluate(() => {
    const shown: number[] = [];
    Object.assign(window, { shown });
    const { port1, port2 } = new MessageChannel();
    const began: number[] = [];
    port1.onmessage = () => shown.push(performance.now() - began.shift()!);
    addEventListener(
      'keydown',
      ({ timeStamp }) => {
        began.push(timeStamp);
        requestAnimationFrame(() => port2.postMessage(null));
      },
      true,
    );
  });
  await page.locator('[data-cell="5:1"]').fill('7.0');
  for (let i = 0; i < KEYS; i += 1) {
    await page.keyboard.press(i % 2 === 1 ? 'Backspace' : String((i / 2) % 10));
    await page.waitForTimeout(BETWEEN_KEYS_MS);
  }
  return page.evaluate(() => (window as unknown as { shown: readonly number[] }).shown);
}
