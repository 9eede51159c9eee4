/**
 * Opens Serrata where its server cannot be reached: a browser keeps the programme's files, and two pages that show what
 * it keeps of the shop. It keeps nothing that the server answered, and asks the server first.
 */

/** What the build puts in: its name, and the files of the programme. */
declare const BUILD: string;
declare const FILES: readonly string[];

/** Of what a service worker has, what this one uses. */
interface Extendable {
  waitUntil: (work: Promise<unknown>) => void;
}
interface Fetched extends Extendable {
  readonly request: Request;
  respondWith: (answer: Promise<Response>) => void;
}
interface Scope {
  readonly location: Location;
  readonly clients: { claim: () => Promise<void> };
  skipWaiting: () => Promise<void>;
  addEventListener: ((kind: 'install' | 'activate', heard: (event: Extendable) => void) => void) &
    ((kind: 'fetch', heard: (event: Fetched) => void) => void);
}
const scope = self as unknown as Scope;

const NAME = 'serrata-';
const CACHE = `${NAME}${BUILD}`;
/** Pages that are drawn of what the browser keeps. */
const JOB = '/offline/job';
const KEPT = '/offline/kept';
/** A server that says nothing for so long is not there, ms. */
const PATIENCE_MS = 6000;

/** Files whose names change with their content: what an older build has of them is not fetched anew. */
const isHashed = (path: string): boolean => path.startsWith('/_astro/');

async function keep(cache: Cache, path: string): Promise<void> {
  const known = isHashed(path) ? await caches.match(path) : undefined;
  const found = known ?? (await fetch(path, { cache: 'no-cache' }));
  if (!found.ok) throw new Error(`${path}: ${found.status}`);
  await cache.put(path, found);
}

async function install(): Promise<void> {
  const cache = await caches.open(CACHE);
  await Promise.all([...FILES, JOB, KEPT].map((path) => keep(cache, path)));
  await scope.skipWaiting();
}

/** Lets go of builds that no page can be of any more: those before the one before. */
async function activate(): Promise<void> {
  const own = (await caches.keys()).filter((name) => name.startsWith(NAME) && name !== CACHE);
  await Promise.all(own.slice(0, -1).map((name) => caches.delete(name)));
  await scope.clients.claim();
}

/** What the server answers; else a page of what is kept. */
async function page(request: Request): Promise<Response> {
  const leave = new AbortController();
  const timer = setTimeout(() => leave.abort(), PATIENCE_MS);
  try {
    return await fetch(request, { signal: leave.signal });
  } catch (error) {
    const { pathname } = new URL(request.url);
    const found = await caches.match(/^\/jobs\/[^/]+\/?$/.test(pathname) ? JOB : KEPT);
    if (!found) throw error;
    return found;
  } finally {
    clearTimeout(timer);
  }
}

scope.addEventListener('install', (event) => event.waitUntil(install()));
scope.addEventListener('activate', (event) => event.waitUntil(activate()));
scope.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== scope.location.origin) return;
  if (request.mode === 'navigate') return event.respondWith(page(request));
  if (isHashed(pathname) || FILES.includes(pathname))
    event.respondWith(caches.match(pathname).then((kept) => kept ?? fetch(request)));
});
