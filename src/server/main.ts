import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import compression from 'compression';
import { settings } from '../data/settings';
import { openForUse } from '../data/keeping/opening';
import { openStore, storeFile, storeUrl } from '../data/store';
import { builtSite, drawAllIn } from './http/built-site';
import type { Misfit } from '../core/records';
import { misfitSentence } from '../wording';
import { freshContext } from './context';
import { bringToEnd } from './endings';
import { loadDemo } from './demo';
import { atTheDoor, isFromHere, ownAddress, shopNames } from './http/door';
import { oneEachTurn } from './http/each-turn';
import { SAFETY_HEADERS, type Turned } from './http/guard';
import { isTooMuch } from './http/pace';
import { boundSlowness } from './http/slow';
import { warmUp } from './http/warm-up';
import { runErrand } from './errands/run';
import { sent } from './errands/send';
import { complained } from './log';
import { keepDaily } from './errands/daily';

const USUAL_PORT = 4173;

/**
 * How long a connection that says nothing is kept open. Node.js closes it after 5 seconds, which is about how long
 * somebody measures between two readings: what is sent just then finds a door that is closing.
 */
const QUIET_CONNECTION_MS = 75_000;

/** Where to listen. */
function address(): { host: string; port: number; fixed: boolean } {
  const { HOST, PORT } = settings();
  return { host: ownAddress(HOST), port: PORT ?? USUAL_PORT, fixed: PORT !== undefined };
}

/** Listens on the wanted port, or on any free one when it is taken and was not asked for by name. */
function listen(server: ReturnType<typeof createServer>, host: string, port: number, fixed: boolean): Promise<number> {
  return new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code !== 'EADDRINUSE' || fixed) return reject(error);
      server.listen(0, host);
    });
    server.once('listening', () => {
      const bound = server.address();
      resolve(typeof bound === 'object' && bound ? bound.port : port);
    });
    server.listen(port, host);
  });
}

/** Answers who was turned away, and hears no more of them. */
function turnedAway(response: ServerResponse, { status, code, message }: Turned): void {
  response.writeHead(status, {
    'Content-Type': 'application/json; charset=utf-8',
    Connection: 'close',
    ...(status === 429 ? { 'Retry-After': '10' } : {}),
    ...SAFETY_HEADERS,
  });
  response.end(JSON.stringify({ code, message }));
}

/**
 * The store is looked through and brought up to date before anybody is let in. What is opened for it is closed again:
 * the pages open their own.
 * @returns what does not fit at the end of its records
 */
async function prepareStore(withDemo: boolean): Promise<readonly Misfit[]> {
  const prepared = freshContext();
  try {
    const misfits = await openForUse(prepared.store, prepared.now);
    if (!withDemo) return misfits;
    const { loaded } = await loadDemo(prepared);
    console.log(loaded > 0 ? `Demo data loaded: ${loaded} jobs.` : 'The store has jobs in it: kept as it is.');
    return misfits;
  } finally {
    prepared.store.close();
  }
}

/** Folds the log into the store's file, so that the file alone is the store. */
async function foldStore(): Promise<void> {
  const store = openStore();
  await store.fold();
  store.close();
}

/** Starts Serrata: the store first, then the door. */
export async function main(): Promise<void> {
  if (await runErrand(process.argv)) return;
  const { host, port, fixed } = address();
  const misfits = await prepareStore(process.argv.includes('--demo'));
  for (const misfit of misfits) complained(misfitSentence(misfit));
  const site = await builtSite();
  // Answers are made once: the least packing is the quickest in all, and none where they do not leave the machine.
  const compress = compression({ level: 1 });
  const names = shopNames();
  const answered = async (request: IncomingMessage, response: ServerResponse): Promise<void> => {
    const { method, headers, socket } = request;
    const turned = atTheDoor({ method, host: headers.host }, names) ?? (await isTooMuch(socket, method));
    if (turned) return turnedAway(response, turned);
    // Whoever asked has gone while it waited.
    if (response.destroyed) return;
    if (isFromHere(headers.host)) return site(request, response);
    compress(request as Parameters<typeof compress>[0], response as Parameters<typeof compress>[1], () =>
      site(request, response),
    );
  };
  const inTurn = oneEachTurn();
  let askedAt = performance.now();
  const server = createServer((request, response) => {
    const { socket } = request;
    askedAt = performance.now();
    if (!inTurn(socket, () => void answered(request, response))) socket.destroy();
  });
  server.keepAliveTimeout = QUIET_CONNECTION_MS;
  boundSlowness(server);
  const bound = await listen(server, host, port, fixed);
  // The simulated supplier ships with the server and answers at its own address, as a real one would. The pages are
  // another bundle: what they must know goes by the environment.
  const own = `http://${host === '::1' ? '[::1]' : host}:${bound}`;
  process.env.SERRATA_SUPPLIER = settings().SERRATA_SUPPLIER ?? `${own}/simulated/supplier`;
  console.log(`Serrata is open at ${own}/`);
  void drawAllIn()
    // Where it ends meanwhile, nothing is asked for any more.
    .then(() => warmUp(own, () => askedAt).catch(() => undefined))
    .catch(complained);
  const daily = keepDaily(storeFile(storeUrl()));
  // All of them are gone through, so that everybody can read where they do not fit.
  if (misfits.length > 0) void sent('verify').catch(() => undefined);
  const stop = () => {
    daily.stop();
    const end = () => process.exit(0);
    server.close(() => void bringToEnd().then(foldStore).then(end, end));
    server.closeIdleConnections();
    // Whoever still waits then is left; a thread at work is waited for, since torn off it would end the server its way.
    setTimeout(() => void bringToEnd().then(end, end), 3000).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
