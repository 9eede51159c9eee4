import autocannon from 'autocannon';
import type { WatchedServer } from './answers';
import { loaded, READERS, WRITERS } from './load';
import { PARTS_IN_STOCK } from './big-store';
import type { Measured } from './table';

/** No request holds the main thread for longer, ms. */
const LONGEST_STALL = 100;
/** How often each kind of heavy work is asked for by itself. */
const TIMES = 3;

/** Work that used to hold everybody up: each is asked for anew, so that nothing kept answers it. */
interface Heavy {
  readonly name: string;
  readonly ask: (address: string, job: string) => Promise<Response>;
}

let asked = 0;
const post = (url: string, body: unknown): Promise<Response> =>
  fetch(url, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });

/** A reading more, so that the plans of a job are worked out anew. */
const moved = (address: string, job: string): Promise<Response> => {
  const reading = { id: crypto.randomUUID(), path: 'bar.checks.bow', text: `0.${(asked += 1) % 3}`, unit: 'mm' };
  return post(`${address}${job}/readings`, {
    by: 'Tam',
    readings: [{ ...reading, instrument: null, supersedes: null }],
  });
};

const HEAVY: readonly Heavy[] = [
  { name: 'plans', ask: async (at, job) => moved(at, job).then(() => fetch(`${at}${job}/plans.json`)) },
  { name: 'a PDF', ask: (at, job) => fetch(`${at}${job}/papers/customer.pdf`) },
  { name: 'the stock list as CSV', ask: (at) => fetch(`${at}/api/stock/list.csv`) },
  { name: 'an archive', ask: (at) => post(`${at}/api/archive`, {}) },
];

async function done({ name, ask }: Heavy, address: string, job: string): Promise<void> {
  const answer = await ask(address, job);
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`${name}: answered ${answer.status}.`);
}

/** The longest that the main thread answers nobody, for each kind of heavy work by itself. */
async function alone(server: WatchedServer, job: string): Promise<Measured[]> {
  const rows: Measured[] = [];
  for (const heavy of HEAVY) {
    await done(heavy, server.address, job);
    await server.longestStall();
    for (let i = 0; i < TIMES; i += 1) await done(heavy, server.address, job);
    const value = await server.longestStall();
    rows.push({ what: `longest stall by itself: ${heavy.name}`, value, budget: LONGEST_STALL, unit: 'ms' });
  }
  return rows;
}

/** The same while many read and some write, each kind of work again and again; and how long readers wait meanwhile. */
async function together(server: WatchedServer, bare: string, job: string): Promise<Measured[]> {
  let isOver = false;
  const again = async (heavy: Heavy): Promise<number> => {
    let times = 0;
    for (; !isOver; times += 1) await done(heavy, server.address, job);
    return times;
  };
  const plain = await autocannon({ url: bare, connections: READERS, duration: 8, workers: 1 });
  await server.longestStall();
  const heavy = Promise.all(HEAVY.map(again));
  const { page, failed } = await loaded(server.address, '/api/health');
  const stall = await server.longestStall();
  isOver = true;
  const times = await heavy;
  const beside = `${READERS} readers and ${WRITERS} writers beside ${HEAVY.map(({ name }, i) => `${name} (${times[i]} times)`).join(', ')}`;
  const ratio = (p: 'p50' | 'p99'): Measured => ({
    what: `the same: /api/health to a bare Node.js answer, ${p}`,
    value: page.latency[p] / Math.max(1, plain.latency[p]),
    budget: NaN,
    unit: '×',
  });
  return [
    { what: `longest stall: ${beside}`, value: stall, budget: LONGEST_STALL, unit: 'ms' },
    { what: 'the same: errors', value: page.errors + page.timeouts + page.non2xx + failed, budget: 0.5, unit: '' },
    { what: 'the same: /api/health, p50', value: page.latency.p50, budget: NaN, unit: 'ms' },
    { what: 'the same: /api/health, p99', value: page.latency.p99, budget: NaN, unit: 'ms' },
    ratio('p50'),
    ratio('p99'),
  ];
}

/** How long the server answers nobody, on a store of many jobs and parts. */
export async function stalls(server: WatchedServer, bare: string, jobs: number): Promise<Measured[]> {
  const [hit] = (await (await fetch(`${server.address}/api/search?q=L-0417`)).json()) as { href: string }[];
  const job = `/api${hit!.href}`;
  const shop = `${jobs.toLocaleString('en')} jobs, ${PARTS_IN_STOCK.toLocaleString('en')} parts`;
  const rows = [...(await alone(server, job)), ...(await together(server, bare, job))];
  return rows.map((row) => ({ ...row, what: `${row.what}${row.what.startsWith('the same') ? '' : ` (${shop})`}` }));
}
