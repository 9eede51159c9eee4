import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { quantile, type Measured } from './table';

/** How long a server may take to open, and how often it is asked meanwhile, ms. */
const OPENS_WITHIN = 60_000;
const ASK_EVERY = 100;

/** A port that nobody listens on. */
function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      const port = typeof address === 'object' && address ? address.port : 0;
      probe.close(() => resolve(port));
    });
  });
}

/** A server of its own process that answers at an address, until it is stopped. */
export interface Answering {
  readonly address: string;
  readonly stop: () => void | Promise<void>;
}

/** A server whose main thread is watched. */
export interface WatchedServer extends Answering {
  /** The longest that its main thread answered nobody since this was asked last, ms. */
  readonly longestStall: () => Promise<number>;
}

/** Stops a server, and waits until it has gone. */
function ended(server: ChildProcess): Promise<void> {
  return new Promise((resolve) => {
    server.once('exit', () => resolve());
    server.kill();
  });
}

async function opened(start: (port: number) => ChildProcess, asked: string): Promise<WatchedServer> {
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  const server = start(port);
  const longestStall = () =>
    new Promise<number>((resolve) => {
      server.once('message', (said) => resolve((said as { longestMs: number }).longestMs));
      server.send('tell');
    });
  const until = Date.now() + OPENS_WITHIN;
  while (Date.now() < until) {
    const isOpen = await fetch(`${address}${asked}`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isOpen) return { address, longestStall, stop: () => ended(server) };
    await new Promise((resolve) => setTimeout(resolve, ASK_EVERY));
  }
  server.kill();
  throw new Error('The server did not open.');
}

/** The built application on a store. */
export const application = (store: string): Promise<WatchedServer> =>
  opened(
    (port) =>
      spawn(process.execPath, ['--import', './scripts/bench/watched.mjs', 'dist/server/main.mjs'], {
        env: { ...process.env, SERRATA_DB: store, PORT: String(port), SERRATA_MOST_REQUESTS: '0' },
        stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      }),
    '/api/health',
  );

const BARE = `
  const body = JSON.stringify({ status: 'open', memory: 100 });
  require('node:http').createServer((_, answer) => {
    answer.setHeader('Content-Type', 'application/json');
    answer.end(body);
  }).listen(Number(process.argv[1]), '127.0.0.1');`;

/** The plainest answer that Node.js gives by itself. */
export const bareNode = (): Promise<Answering> =>
  opened((port) => spawn(process.execPath, ['-e', BARE, String(port)], { stdio: 'ignore' }), '/');

/** Rounds in which every address is asked once: what disturbs the machine disturbs all of them alike. */
const ROUNDS = 300;
const WARM_UP = 60;

/** Milliseconds of the answers of each address, asked in turn. */
async function asked(addresses: readonly string[]): Promise<readonly (readonly number[])[]> {
  const times = addresses.map((): number[] => []);
  for (let round = -WARM_UP; round < ROUNDS; round += 1) {
    for (const [i, address] of addresses.entries()) {
      const start = performance.now();
      const answer = await fetch(address);
      await answer.arrayBuffer();
      if (!answer.ok) throw new Error(`${address} answered ${answer.status}.`);
      if (round >= 0) times[i]!.push(performance.now() - start);
    }
  }
  return times;
}

/** One page with the same page on a small and on a large store. */
export interface PagePair {
  readonly name: string;
  readonly small: string;
  readonly large: string;
}

/**
 * Times a page may take against the plainest answer of the application, that against a bare one, and a page of a large
 * store against that of a small one.
 */
const PAGE_BUDGET = 5;
const HEALTH_BUDGET = 4;
const LARGE_BUDGET = 1.2;

/**
 * How pages stand to the plainest answers there are, and to their own size, by medians and 95th percentiles of one run.
 */
export async function answerRatios(
  bare: string,
  health: string,
  pages: readonly PagePair[],
  jobs: number,
): Promise<Measured[]> {
  const all = await asked([bare, health, ...pages.flatMap(({ small, large }) => [small, large])]);
  const at = (i: number, p: number) => quantile(all[i]!, p);
  const shares = [
    [0.5, 'median'],
    [0.95, 'p95'],
  ] as const;
  const ratio = (what: string, over: number, under: number, budget: number) =>
    shares.map(([p, name]): Measured => ({
      what: `${what}, ${name}`,
      value: at(over, p) / at(under, p),
      budget,
      unit: '×',
    }));
  const big = jobs.toLocaleString('en');
  return [
    { what: 'a bare Node.js answer, median', value: at(0, 0.5), budget: NaN, unit: 'ms' },
    ...ratio('/api/health to a bare Node.js answer', 1, 0, HEALTH_BUDGET),
    ...pages.flatMap(({ name }, i) => [
      ...ratio(`${name} to /api/health, ${big} jobs`, 3 + 2 * i, 1, PAGE_BUDGET),
      ...ratio(`${name}: ${big} jobs to ten`, 3 + 2 * i, 2 + 2 * i, LARGE_BUDGET),
    ]),
  ];
}
