import { chromium, type Page } from '@playwright/test';
import type { WrittenBenchSheet } from '../../src/core/sheet';
import { LAUNCH } from '../lib/chromium.mjs';
import { quantile, type Measured } from './table';

/** Stations on each edge of the bar that is typed into. */
export const KEYSTROKE_STATIONS = 24;
const FRAME_MS = 1000 / 60;
const KEYS = 60;
/** A machine shared with others stalls for a while: the keys are pressed in rounds, and the quietest one counts. */
const ROUNDS = 6;

/**
 * From a key to the field that shows it, on a bar of 2×24 stations: layout included, but not the browser's own painting,
 * nor what the key means, which is drawn after it. The share of keys that missed a frame stands in the second row.
 */
export async function keystrokes(address: string, sheet: WrittenBenchSheet): Promise<Measured[]> {
  const id = await newJob(address, sheet);
  const browser = await chromium.launch(LAUNCH);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${address}/jobs/${id}?step=bar`);
    await page.waitForSelector('[data-ready=true]');
    const rounds: number[][] = [];
    for (let i = 0; i < ROUNDS; i += 1) rounds.push(await round(page));
    const all = rounds.flat();
    const what = `key to the field that shows it, 2×${KEYSTROKE_STATIONS} stations`;
    return [
      {
        what: `${what}, median of the quietest round`,
        value: Math.min(...rounds.map((times) => quantile(times, 0.5))),
        budget: FRAME_MS,
        unit: 'ms',
      },
      {
        what: `${what}: keys that missed a frame`,
        value: (100 * all.filter((time) => time > FRAME_MS).length) / all.length,
        budget: 50,
        unit: '%',
      },
    ];
  } finally {
    await browser.close();
  }
}

async function newJob(address: string, sheet: WrittenBenchSheet): Promise<string> {
  const response = await fetch(`${address}/api/jobs`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({
      by: 'bench',
      customer: { name: 'Bench' },
      saw: null,
      complaint: '',
      promisedFor: null,
      sheet,
    }),
  });
  const { id } = (await response.json()) as { id: string };
  return id;
}

/** Milliseconds of each key of one round, typed into a reading of the sixth station. */
const round = (page: Page): Promise<number[]> =>
  page.evaluate(async (keys) => {
    const field = document.querySelector<HTMLInputElement>('[data-cell="5:1"]')!;
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
    field.focus();
    const taken: number[] = [];
    for (let i = 0; i < keys; i += 1) {
      const start = performance.now();
      set.call(field, `7.${i % 10}`);
      field.dispatchEvent(new Event('input', { bubbles: true }));
      // React has drawn by the next microtask; asking for a size makes the browser lay it out.
      await Promise.resolve();
      document.body.getBoundingClientRect();
      taken.push(performance.now() - start);
      await new Promise((resolve) => requestAnimationFrame(resolve));
    }
    return taken;
  }, KEYS);
