import autocannon, { type Result } from 'autocannon';
import { NOTHING_SAID, type StockPart } from '../../src/core/stock';
import type { Measured } from './table';

export const READERS = 50;
export const WRITERS = 4;
const SECONDS = 8;
/** Nobody waits longer than this for long work of somebody else, ms. */
const LONGEST_WAIT = 200;

const post = async (address: string, path: string, body: unknown): Promise<Response> => {
  const answer = await fetch(`${address}${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}: ${await answer.text()}`);
  return answer;
};

/**
 * Writes readings one after the other until it is told to stop. @returns how many were acknowledged, and how many were
 * not
 */
async function writing(address: string, isOver: () => boolean): Promise<{ stored: number; failed: number }> {
  const job = { by: 'Tam', customer: { name: 'Load' }, saw: null, complaint: '', promisedFor: null };
  const { id } = (await (await post(address, '/api/jobs', job)).json()) as { id: string };
  let stored = 0;
  let failed = 0;
  while (!isOver()) {
    const reading = { id: crypto.randomUUID(), path: `bar.load.${stored % 1000}.${stored}`, text: '8', unit: 'mm' };
    const readings = [{ ...reading, instrument: null, supersedes: null }];
    await post(address, `/api/jobs/${id}/readings`, { by: 'Tam', readings }).then(
      () => (stored += 1),
      () => (failed += 1),
    );
  }
  return { stored, failed };
}

interface Loaded {
  readonly page: Result;
  readonly stored: number;
  readonly failed: number;
}

/** Readers of one page, and writers beside them. */
export async function loaded(address: string, path: string): Promise<Loaded> {
  let isOver = false;
  const writers = Array.from({ length: WRITERS }, () => writing(address, () => isOver));
  const page = await autocannon({ url: `${address}${path}`, connections: READERS, duration: SECONDS, workers: 1 });
  isOver = true;
  const written = await Promise.all(writers);
  return {
    page,
    stored: written.reduce((sum, { stored }) => sum + stored, 0),
    failed: written.reduce((sum, { failed }) => sum + failed, 0),
  };
}

const errors = ({ page, failed }: Loaded): number => page.errors + page.timeouts + page.non2xx + failed;

/** Many at once: what fails, and how a page stands to the plainest answer when both are asked by as many. */
export async function underLoad(address: string): Promise<Measured[]> {
  const plain = await loaded(address, '/api/health');
  const bench = await loaded(address, '/');
  const ms = (value: number) => ({ value, budget: NaN, unit: 'ms' });
  return [
    {
      what: `${READERS} readers and ${WRITERS} writers: errors`,
      value: errors(plain) + errors(bench),
      budget: 0.5,
      unit: '',
    },
    { what: 'the same: readings stored in a second', value: bench.stored / SECONDS, budget: NaN, unit: '' },
    { what: 'the same: /api/health, p99', ...ms(plain.page.latency.p99) },
    { what: 'the same: Bench, p99', ...ms(bench.page.latency.p99) },
    {
      what: 'the same: Bench to /api/health, p99',
      value: bench.page.latency.p99 / plain.page.latency.p99,
      budget: NaN,
      unit: '×',
    },
  ];
}

const part = (list: string, i: number): StockPart => ({
  ...NOTHING_SAID,
  sku: `${list}-${i}`,
  kind: 'chain',
  name: `Chain ${list} ${i}`,
  pitch: '325',
  gauge: '.050',
  driveLinks: 66,
  kickbackClass: 'low-kickback',
  quantity: 3,
  minimum: 1,
  priceCents: 1700,
});
const BATCH = 200;

/** Asks without a pause while some work goes on. @returns how long it took, and the longest that anybody waited, ms */
async function besides(address: string, work: () => Promise<unknown>): Promise<{ took: number; waited: number }> {
  let isOver = false;
  let waited = 0;
  const asking = (async () => {
    while (!isOver) {
      const asked = performance.now();
      await (await fetch(`${address}/api/search?q=zz`)).text();
      waited = Math.max(waited, performance.now() - asked);
    }
  })();
  const begun = performance.now();
  await work();
  const took = performance.now() - begun;
  isOver = true;
  await asking;
  return { took, waited };
}

/** A list is taken in and undone while somebody else asks. */
async function undoing(address: string, rows: number): Promise<{ took: number; waited: number; taking: number }> {
  const list = `UNDO${rows}`;
  const taken = await besides(address, async () => {
    for (let i = 0; i < rows; i += BATCH) {
      const parts = Array.from({ length: BATCH }, (_, n) => part(list, i + n));
      await post(address, `/api/stock/imports/${list}`, { by: 'Tam', name: list, parts });
    }
  });
  const undone = await besides(address, () => post(address, `/api/stock/imports/${list}/undo`, { by: 'Tam' }));
  return { ...undone, taking: taken.waited };
}

/** Long work on the shelf: how it grows, and how long others wait for it. */
export async function longWork(address: string): Promise<Measured[]> {
  const few = await undoing(address, 1000);
  const many = await undoing(address, 8000);
  return [
    { what: 'undoing a list of 1,000 rows', value: few.took, budget: NaN, unit: 'ms' },
    { what: 'undoing a list of 8,000 rows', value: many.took, budget: NaN, unit: 'ms' },
    { what: 'undoing 8,000 rows to 1,000', value: many.took / few.took, budget: 8, unit: '×' },
    { what: 'longest wait of others while it is undone', value: many.waited, budget: LONGEST_WAIT, unit: 'ms' },
    { what: 'longest wait of others while it is taken in', value: many.taking, budget: LONGEST_WAIT, unit: 'ms' },
  ];
}
