import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import compression from 'compression';
import { settings } from '../data/settings';
import { openForUse } from '../data/keeping/opening';
import { openStore, storeFile, storeUrl } from '../data/store';
import { builtSite, drawAllIn } from './http/built-site';
import type { Misfit } from '../core/records';
import { LIVE_ADDRESS } from '../contract';
import { misfitSentence } from '../wording';
import { freshContext } from './context';
import { bringToEnd } from './endings';
import { loadDemo } from './demo';
import { byProxy, fromWhere } from './http/by-proxy';
import { atTheDoor, isFromHere, isOwnAddress, shopNames } from './http/door';
import { doorIs } from './http/door-state';
import { oneEachTurn } from './http/each-turn';
import { ENCRYPTED_HEADERS, SAFETY_HEADERS, type Turned } from './http/guard';
import { openingFor, type Opening } from './http/opening';
import { isTooMuch } from './http/pace';
import { boundSlowness } from './http/slow';
import { warmUp } from './http/warm-up';
import { hasOwner } from './people/has-owner';
import { runErrand } from './errands/run';
import { sent } from './errands/send';
import { liveDoor } from './live/between';
import { answeredLine, complained } from './log';
import { keepDaily } from './errands/daily';

const USUAL_PORT = 4173;

/**
 * How long a connection that says nothing is kept open. Node.js closes it after 5 seconds, which is about how long
 * somebody measures between two readings: what is sent just then finds a door that is closing.
 */
const QUIET_CONNECTION_MS = 75_000;

/** Listens on the wanted port, or on any free one when it is taken and was not asked for by name. */
function listen(server: Server, host: string, port: number, fixed: boolean): Promise<number> {
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
function turnedAway(response: ServerResponse, { status, code, message }: Turned, method = ''): void {
  answeredLine({ method, route: 'door', status, ms: 0 });
  response.writeHead(status, {
    'Content-Type': 'application/json; charset=utf-8',
    Connection: 'close',
    ...(status === 429 ? { 'Retry-After': '10' } : {}),
    ...SAFETY_HEADERS,
  });
  response.end(JSON.stringify({ code, message }));
}

/** A store that is ready, what does not fit at the end of its records, and how the door may be opened to it. */
interface Prepared {
  readonly misfits: readonly Misfit[];
  readonly opening: Opening;
}

/**
 * The store is looked through and brought up to date before anybody is let in. What is opened for it is closed again:
 * the pages open their own.
 * @throws Error where the door may not be opened as it was asked for
 */
async function prepareStore(withDemo: boolean): Promise<Prepared> {
  const prepared = freshContext();
  try {
    const misfits = await openForUse(prepared.store, prepared.now);
    const opening = openingFor(settings(), { hasOwner: await hasOwner(prepared), now: prepared.now() });
    if (!withDemo) return { misfits, opening };
    const { loaded } = await loadDemo(prepared);
    console.log(loaded > 0 ? `Demo data loaded: ${loaded} jobs.` : 'The store has jobs in it: kept as it is.');
    return { misfits, opening };
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

/** Answers requests at the door: who comes by another way, too often, or under another name is turned away. */
async function answersAtDoor(opening: Opening) {
  const site = await builtSite();
  // Answers are made once: the least packing is the quickest in all, and none where they do not leave the machine.
  const compress = compression({ level: 1 });
  const names = new Set([...shopNames(), ...opening.names]);
  return async (request: IncomingMessage, response: ServerResponse): Promise<void> => {
    const { method, headers, socket } = request;
    const turned =
      byProxy(request, opening) ??
      atTheDoor({ method, host: headers.host }, names) ??
      (await isTooMuch({ remoteAddress: fromWhere(request), remotePort: socket.remotePort }, method));
    if (turned) return turnedAway(response, turned, method);
    // Whoever asked has gone while it waited.
    if (response.destroyed) return;
    if (opening.tls || headers['x-forwarded-proto'] === 'https')
      for (const [name, value] of Object.entries(ENCRYPTED_HEADERS)) response.setHeader(name, value);
    // A stream is open all day: it goes past the pages, which each answer once.
    const live = method === 'GET' && request.url?.split('?')[0] === LIVE_ADDRESS ? liveDoor() : null;
    if (live) return live.open(request, response);
    if (isFromHere(headers.host)) return site(request, response);
    compress(request as Parameters<typeof compress>[0], response as Parameters<typeof compress>[1], () =>
      site(request, response),
    );
  };
}

/** An address as browsers write it. */
const written = (protocol: 'http' | 'https', host: string, port: number): string =>
  `${protocol}://${host.includes(':') ? `[${host}]` : host}:${port}`;

/** Listens for requests and begins them in turn. */
async function opened({ host, isNetwork, tls, ...opening }: Opening) {
  const { PORT } = settings();
  const answered = await answersAtDoor({ host, isNetwork, tls, ...opening });
  const inTurn = oneEachTurn();
  let askedAt = performance.now();
  const onRequest = (request: IncomingMessage, response: ServerResponse): void => {
    const { socket } = request;
    askedAt = performance.now();
    if (!inTurn(socket, () => void answered(request, response))) socket.destroy();
  };
  const server = tls ? createSecureServer(tls, onRequest) : createServer(onRequest);
  // Where connections are encrypted, the server asks itself by a door that only this machine has.
  const inside = tls ? createServer(onRequest) : null;
  for (const each of inside ? [server, inside] : [server]) {
    each.keepAliveTimeout = QUIET_CONNECTION_MS;
    boundSlowness(each);
  }
  const bound = await listen(server, host, PORT ?? USUAL_PORT, PORT !== undefined);
  const own = inside
    ? written('http', '127.0.0.1', await listen(inside, '127.0.0.1', 0, true))
    : written('http', isOwnAddress(host) ? host : '127.0.0.1', bound);
  return {
    address: written(tls ? 'https' : 'http', host, bound),
    own,
    askedAt: () => askedAt,
    close: (ended: () => void) => {
      inside?.close();
      inside?.closeIdleConnections();
      server.close(ended);
      server.closeIdleConnections();
    },
  };
}

/** Starts Serrata: the store first, then the door. */
export async function main(): Promise<void> {
  if (await runErrand(process.argv)) return;
  const { misfits, opening } = await prepareStore(process.argv.includes('--demo'));
  for (const misfit of misfits) complained(misfitSentence(misfit));
  const door = doorIs({ isNetwork: opening.isNetwork, isEncrypted: opening.tls !== null });
  const { address, own, askedAt, close } = await opened(opening);
  // The simulated supplier ships with the server and answers at its own address, as a real one would. The pages are
  // another bundle: what they must know goes by the environment.
  process.env.SERRATA_SUPPLIER = settings().SERRATA_SUPPLIER ?? `${own}/simulated/supplier`;
  console.log(`Serrata is open at ${address}/`);
  void drawAllIn()
    // Where it ends meanwhile, nothing is asked for any more.
    .then(() => warmUp(own, door.inside, askedAt).catch(() => undefined))
    .catch(complained);
  const daily = keepDaily(storeFile(storeUrl()));
  // All of them are gone through, so that everybody can read where they do not fit.
  if (misfits.length > 0) void sent('verify').catch(() => undefined);
  const stop = () => {
    daily.stop();
    liveDoor()?.end();
    const end = () => process.exit(0);
    close(() => void bringToEnd().then(foldStore).then(end, end));
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
