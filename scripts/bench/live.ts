import autocannon from 'autocannon';
import { get, type IncomingMessage } from 'node:http';
import { quantile, type Measured } from './table';

const STREAMS = 200;
const READERS = 50;
const SECONDS = 60;
/** Somebody writes this often meanwhile, ms. */
const WRITE_EVERY = 500;

/** A stream that is open, and how long each change took until it was heard. */
interface Listening {
  readonly response: IncomingMessage;
  readonly heard: number[];
}

/** Opens a stream; each change that it hears is timed from when it was written. */
function listen(address: string, writtenAt: () => number | null): Promise<Listening> {
  return new Promise((resolve, reject) => {
    const asked = get(`${address}/api/live`, (response) => {
      const heard: number[] = [];
      response.setEncoding('utf8');
      response.on('data', (text: string) => {
        const at = writtenAt();
        if (at !== null && text.includes('event: changed')) heard.push(performance.now() - at);
        if (text.includes('event: hello')) resolve({ response, heard });
      });
    });
    asked.on('error', reject);
  });
}

const post = (address: string, path: string, body: unknown): Promise<Response> =>
  fetch(`${address}${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });

/** Writes a reading from time to time. @returns how many were not stored */
async function writing(address: string, wrote: (at: number) => void, isOver: () => boolean): Promise<number> {
  const job = { by: 'Tam', customer: { name: 'Live' }, saw: null, complaint: '', promisedFor: null };
  const { id } = (await (await post(address, '/api/jobs', job)).json()) as { id: string };
  let failed = 0;
  for (let i = 0; !isOver(); i += 1) {
    await new Promise((resolve) => setTimeout(resolve, WRITE_EVERY));
    const reading = { id: crypto.randomUUID(), path: `bar.load.${i % 1000}.${i}`, text: '8', unit: 'mm' };
    wrote(performance.now());
    const message = { by: 'Tam', readings: [{ ...reading, instrument: null, supersedes: null }] };
    const answer = await post(address, `/api/jobs/${id}/readings`, message).catch(() => null);
    if (!answer?.ok) failed += 1;
  }
  return failed;
}

const reading = (address: string, seconds: number) =>
  autocannon({ url: `${address}/`, connections: READERS, duration: seconds, workers: 1 });

/** Many streams and readers, with somebody who writes: what fails, what a page waits, and when a change is heard. */
export async function manyStreams(address: string): Promise<Measured[]> {
  const plain = await autocannon({ url: `${address}/api/health`, connections: READERS, duration: 5, workers: 1 });
  const without = await reading(address, 10);
  let at: number | null = null;
  let isOver = false;
  const streams = await Promise.all(Array.from({ length: STREAMS }, () => listen(address, () => at)));
  let cut = 0;
  for (const { response } of streams) response.on('close', () => (cut += isOver ? 0 : 1));
  const writer = writing(
    address,
    (now) => (at = now),
    () => isOver,
  );
  const page = await reading(address, SECONDS);
  isOver = true;
  const failed = await writer;
  const heard = streams.flatMap((each) => each.heard);
  for (const { response } of streams) response.destroy();
  const what = `${STREAMS} streams and ${READERS} readers for ${SECONDS} s`;
  return [
    { what: `${what}: errors`, value: page.errors + page.timeouts + page.non2xx + failed + cut, budget: 0.5, unit: '' },
    {
      what: 'the same: Bench to the plain answer, p99',
      value: page.latency.p99 / plain.latency.p99,
      budget: NaN,
      unit: '×',
    },
    {
      what: 'the same: Bench to itself without streams, p99',
      value: page.latency.p99 / without.latency.p99,
      budget: NaN,
      unit: '×',
    },
    { what: 'the same: a change is heard, median', value: quantile(heard, 0.5), budget: NaN, unit: 'ms' },
    { what: 'the same: a change is heard, p99', value: quantile(heard, 0.99), budget: 1000, unit: 'ms' },
  ];
}
