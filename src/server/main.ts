import { existsSync } from 'node:fs';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { fileURLToPath, pathToFileURL } from 'node:url';
import compression from 'compression';
import { migrateStore } from '../data/migrate';
import { context } from './context';
import { loadDemo } from './demo';
import { atTheDoor, shopNames } from './http/door';
import { SAFETY_HEADERS, type Turned } from './http/guard';
import { backup, BACKUP_ARGUMENT } from './use-cases/backup';

/** Addresses that only this machine can reach. */
const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost']);
const USUAL_PORT = 4173;

type Handler = (request: IncomingMessage, response: ServerResponse, next: (error?: unknown) => void) => void;

async function builtHandler(): Promise<Handler> {
  const entry = fileURLToPath(new URL('../../dist/server/entry.mjs', import.meta.url));
  if (!existsSync(entry)) throw new Error('The application is not built yet: run npm run build.');
  process.env.ASTRO_NODE_AUTOSTART = 'disabled';
  // Without this React renders with its development checks, several times slower.
  process.env.NODE_ENV ??= 'production';
  const built = (await import(pathToFileURL(entry).href)) as { handler: Handler };
  return built.handler;
}

/** Where to listen. Sign-in does not exist yet, so the door stays closed to the network. */
function address(): { host: string; port: number; fixed: boolean } {
  const host = process.env.HOST ?? '127.0.0.1';
  if (!LOOPBACK.has(host))
    throw new Error(
      `HOST=${host} would open Serrata to the network, which needs sign-in, and there is none yet. Use 127.0.0.1.`,
    );
  const port = process.env.PORT;
  return { host, port: port === undefined ? USUAL_PORT : Number(port), fixed: port !== undefined };
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
    ...SAFETY_HEADERS,
  });
  response.end(JSON.stringify({ code, message }));
}

/** Starts Serrata: the store first, then the door. */
export async function main(): Promise<void> {
  const asked = process.argv.indexOf(BACKUP_ARGUMENT);
  if (asked !== -1) return backup(process.argv[asked + 1]!);
  const { host, port, fixed } = address();
  const shared = context();
  await migrateStore(shared.store);
  if (process.argv.includes('--demo')) {
    const { loaded } = await loadDemo(shared);
    console.log(loaded > 0 ? `Demo data loaded: ${loaded} jobs.` : 'The store has jobs in it: kept as it is.');
  }
  const handler = await builtHandler();
  const compress = compression();
  const names = shopNames(process.env.SERRATA_NAMES);
  const server = createServer((request, response) => {
    const { method, url, headers } = request;
    const turned = atTheDoor({ method, url, host: headers.host }, names);
    if (turned) return turnedAway(response, turned);
    compress(request as Parameters<typeof compress>[0], response as Parameters<typeof compress>[1], () => {
      handler(request, response, () => {
        response.statusCode = 404;
        response.end('Not found');
      });
    });
  });
  const bound = await listen(server, host, port, fixed);
  // The simulated supplier ships with the server and answers at its own address, as a real one would.
  process.env.SERRATA_SUPPLIER ??= `http://${host === '::1' ? '[::1]' : host}:${bound}/simulated/supplier`;
  console.log(`Serrata is open at http://${host === '::1' ? '[::1]' : host}:${bound}/`);
  const stop = () => {
    const end = () => {
      shared.store.close();
      process.exit(0);
    };
    server.close(() => void shared.store.fold().then(end, end));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), 3000).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
