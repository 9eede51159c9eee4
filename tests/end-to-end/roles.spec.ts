import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import fc from 'fast-check';
import { ROLES, type Role } from '../../src/core/people';
import * as contract from '../../src/contract';
import { ACCESS, type Rule } from '../../src/server/people/access';
import { fromSchema, strange } from '../support/from-schema';
import { ASKED, TAKES, WORDS } from '../support/takes';
import { expect, test } from './bench';
import { OwnServer } from './own-server';

const SEED = 1877;
const PASSWORD = 'gravel lantern spoon';
const CUSTOMER = 'c-towpath';

const server = new OwnServer(join(mkdtempSync(join(tmpdir(), 'serrata-roles-')), 'store.db'), {
  SERRATA_MOST_REQUESTS: '0',
});
test.beforeAll(async () => {
  await server.open();
  await peopled();
});
test.afterAll(() => server.end('SIGKILL'));

/** What somebody shows with a request. */
type Shows = Readonly<Record<string, string>>;
const NOTHING: Shows = {};

interface Asked {
  readonly method?: string;
  readonly body?: unknown;
}

/** What an address takes. */
function typeOf(path: string): string {
  if (path.endsWith('/photos') || path === '/api/picture') return 'image/png';
  return path === '/api/backups/bring' ? 'application/zip' : 'application/json';
}

function asks(shows: Shows, path: string, { method = 'GET', body }: Asked = {}): Promise<Response> {
  const sent = body === undefined ? {} : { body: JSON.stringify(body) };
  const type = body === undefined ? {} : { 'Content-Type': typeOf(path) };
  return fetch(`${server.address}${path}`, { method, headers: { ...shows, ...type }, ...sent, redirect: 'manual' });
}

const put = (shows: Shows, path: string, body: unknown) => asks(shows, path, { method: 'PUT', body });
const post = (shows: Shows, path: string, body: unknown) => asks(shows, path, { method: 'POST', body });

/** What a browser shows once it was given a cookie. */
const cookieOf = (response: Response): Shows => ({ Cookie: response.headers.get('set-cookie')!.split(';')[0]! });

async function signedIn(name: string): Promise<Shows> {
  const response = await post(NOTHING, '/api/session', { name, password: PASSWORD });
  expect(response.status, name).toBe(200);
  return cookieOf(response);
}

const nameOf = (role: Role): string => `The ${role}`;

/** Somebody of each role, each with a password. */
async function peopled(): Promise<void> {
  await post(NOTHING, '/api/people', { name: nameOf('owner'), role: 'owner' });
  const shop = (await (await asks(NOTHING, '/api/people/accounts')).json()) as contract.PeopleView;
  const owner = shop.accounts.find(({ name }) => name === nameOf('owner'))!;
  const first = await put(NOTHING, `/api/people/${owner.id}/password`, { password: PASSWORD });
  const shows = cookieOf(first);
  for (const role of ROLES) {
    if (role === 'owner') continue;
    await post(shows, '/api/people', {
      name: nameOf(role),
      role,
      ...(role === 'reader' ? { customerId: CUSTOMER } : {}),
    });
    const { accounts } = (await (await asks(shows, '/api/people/accounts')).json()) as contract.PeopleView;
    const { id } = accounts.find(({ name }) => name === nameOf(role))!;
    expect((await put(shows, `/api/people/${id}/password`, { password: PASSWORD })).status).toBe(200);
  }
}

const accountsOf = async (): Promise<contract.PeopleView> =>
  (await (await asks(await signedIn(nameOf('owner')), '/api/people/accounts')).json()) as contract.PeopleView;

/** The session that was begun last of somebody, with the file in hand. */
async function inStore(sql: string, ...args: string[]): Promise<void> {
  const store = createClient({ url: `file:${server.store}`, timeout: 5000 });
  await store.execute({ sql, args });
  store.close();
}

/** Whoever may ask: by a session or a token of each role, and by what counts no more. */
async function askers(): Promise<
  readonly { readonly who: string; readonly role: Role | null; readonly shows: Shows }[]
> {
  const owner = await signedIn(nameOf('owner'));
  const sessions = await Promise.all(
    ROLES.map(async (role) => ({ who: role as string, role, shows: await signedIn(nameOf(role)) })),
  );
  const tokens = await Promise.all(
    (['counter', 'reader', 'owner'] as const).map(async (role) => {
      const made = await post(owner, '/api/tokens', { name: `token of ${role}`, role, customerId: CUSTOMER, days: 1 });
      const { token } = (await made.json()) as contract.MadeToken;
      return { who: `token, ${role}`, role, shows: { Authorization: `Bearer ${token}` } };
    }),
  );
  const expired = await signedIn(nameOf('technician'));
  await inStore(
    `UPDATE session SET ends_at = '2020-01-01T00:00:00.000Z' WHERE rowid = (SELECT max(rowid) FROM session)`,
  );
  const revoked = await signedIn(nameOf('technician'));
  const { sessions: open } = await accountsOf();
  const newest = open
    .filter(({ name }) => name === nameOf('technician'))
    .toSorted((a, b) => b.startedAt.localeCompare(a.startedAt))[0]!;
  expect((await asks(owner, `/api/sessions/${newest.id}`, { method: 'DELETE' })).status).toBe(200);
  const gone = (await (
    await post(owner, '/api/tokens', { name: 'gone', role: 'owner', days: 1 })
  ).json()) as contract.MadeToken;
  const { id } = gone.people.tokens.find(({ name }) => name === 'gone')!;
  await asks(owner, `/api/tokens/${id}`, { method: 'DELETE' });
  return [
    ...sessions,
    ...tokens,
    { who: 'nobody', role: null, shows: NOTHING },
    { who: 'a session that ran out', role: null, shows: expired },
    { who: 'a session that was revoked', role: null, shows: revoked },
    { who: 'a revoked token', role: null, shows: { Authorization: `Bearer ${gone.token}` } },
    { who: 'a token of another shop', role: null, shows: { Authorization: `Bearer serrata_${'A'.repeat(43)}` } },
  ];
}

type Expected = 'let in' | 'sign in' | 'not for you' | 'not there';

/** What a cell of the table is: a reader finds nothing of an id that nobody has. */
function expected({ who, own, byToken }: Rule, role: Role | null, asker: string): Expected {
  if (who === 'anyone') return 'let in';
  if (role === null) return 'sign in';
  if (!who.includes(role)) return 'not for you';
  if (byToken && !asker.startsWith('token')) return 'not for you';
  return role === 'reader' && own ? 'not there' : 'let in';
}

const isPage = (route: string): boolean => !/^\/(api|simulated)\//.test(route);

/** What the server made of it. */
function found(route: string, { status, headers }: Response): Expected {
  if (status === 401 && route === '/api/session') return 'let in';
  if (status === 401 || (status === 303 && headers.get('location')?.startsWith('/sign-in'))) return 'sign in';
  // A reader is led from the first page to what is theirs.
  if (status === 303 && route === '/') return 'not for you';
  if (status === 403 && route !== '/403') return 'not for you';
  return 'let in';
}

test('every endpoint and page, for every role, and for what counts no more, answers as the table says', async () => {
  const all = await askers();
  const wrong: string[] = [];
  let cells = 0;
  // What signs somebody out comes last.
  const routes = Object.entries(ACCESS).toSorted(
    ([a], [b]) => Number(a === '/api/session') - Number(b === '/api/session'),
  );
  for (const [route, methods] of routes)
    for (const [method, rule] of Object.entries(methods) as [string, Rule][])
      for (const { who, role, shows } of all) {
        if (['/404', '/500'].includes(route)) continue;
        // Whoever may leave the demo would leave it.
        if (route === '/api/set-up/leave-demo' && expected(rule, role, who) === 'let in') continue;
        const path = route.replace('[paper]', 'customer').replace(/\[\w+\]/g, 'none');
        const response = await asks(shows, path, {
          method,
          ...(method === 'POST' || method === 'PUT' ? { body: {} } : {}),
        });
        await response.body?.cancel();
        const wanted = expected(rule, role, who);
        const got = found(route, response);
        cells += 1;
        if (role === null && rule.who !== 'anyone' && !isPage(route) && response.status !== 401)
          wrong.push(`${path}, ${who}`);
        const isRight =
          wanted === 'not there'
            ? response.status === 404
            : got === wanted && (wanted !== 'let in' || response.status < 500 || /supplier/.test(route));
        if (!isRight) wrong.push(`${method} ${path}, ${who}: ${response.status}, ${wanted} was meant`);
      }
  expect(wrong).toEqual([]);
  expect(cells).toBeGreaterThan(900);
});

test('a reader finds all of one customer and nothing of another', async () => {
  const [reader, owner] = [await signedIn(nameOf('reader')), await signedIn(nameOf('owner'))];
  const text = async (path: string) => (await asks(reader, path)).text();
  const page = await text(`/gear/customers/${CUSTOMER}`);
  expect(page).toContain('Towpath crew');
  const links = [...new Set([...page.matchAll(/\/gear\/(?:saws|pieces)\/[^"&\\\s]+/g)].map(([link]) => link!))];
  expect(links.length).toBeGreaterThan(5);
  for (const link of links) expect((await asks(reader, link)).status, link).toBe(200);
  const theirs = [page, ...(await Promise.all(links.map(text)))].join();
  // Neither other customers nor the people of the shop.
  for (const other of ['Perrydown', 'Tidewater', 'Fenwick', 'Tam Okoro', 'Wilf Arden', 'OR-02'])
    expect(theirs).not.toContain(other);
  const others = await (await asks(owner, '/gear/customers/c-orchard')).text();
  const foreign = [...new Set([...others.matchAll(/\/gear\/(?:saws|pieces)\/[^"&\\\s]+/g)].map(([link]) => link!))];
  expect(foreign.length).toBeGreaterThan(1);
  for (const link of [...foreign, '/gear/customers/c-orchard', '/api/gear/customers/c-orchard/due.csv'])
    expect((await asks(reader, link)).status, link).toBe(404);
  expect((await asks(reader, `/api/gear/customers/${CUSTOMER}/due.csv`)).status).toBe(200);
  // The first page leads to what is theirs.
  expect((await asks(reader, '/')).headers.get('location')).toBe(`/gear/customers/${CUSTOMER}`);
  const job = /\/jobs\/([\w-]+)\/customer/.exec(theirs)![1]!;
  expect((await asks(reader, `/jobs/${job}/customer`)).status).toBe(200);
  for (const path of [`/jobs/${job}`, `/jobs/${job}/slip`, `/api/jobs/${job}`, '/api/search?q=orchard'])
    expect([403, 404], path).toContain((await asks(reader, path)).status);
});

test('a session is a cookie that no script reads, anew at each sign-in, and of no use once somebody has signed out', async () => {
  const fixed = { Cookie: 'serrata-session=chosen-by-somebody-else' };
  const begun = await post(fixed, '/api/session', { name: nameOf('technician'), password: PASSWORD });
  const cookie = begun.headers.get('set-cookie')!;
  expect(cookie).toMatch(/^serrata-session=[\w-]{43}; Max-Age=\d+; Path=\/; HttpOnly; SameSite=Strict$/);
  expect(cookie).not.toContain('chosen');
  const first = cookieOf(begun);
  // Signing in again, by the browser that is signed in, ends what it showed.
  const second = cookieOf(await post(first, '/api/session', { name: nameOf('technician'), password: PASSWORD }));
  expect((await asks(first, '/api/shop')).status).toBe(401);
  expect((await asks(second, '/api/shop')).status).toBe(200);
  const out = await asks(second, '/api/session', { method: 'DELETE' });
  expect(out.headers.get('set-cookie')).toContain('Max-Age=0');
  expect((await asks(second, '/api/shop')).status).toBe(401);
  // A foreign page signs nobody in.
  const foreign = { Origin: 'http://evil.example', 'Sec-Fetch-Site': 'cross-site' };
  expect((await post(foreign, '/api/session', { name: nameOf('owner'), password: PASSWORD })).status).toBe(403);
});

test('what is written bears the name of who is signed in', async () => {
  const shows = await signedIn(nameOf('technician'));
  const taken = await post(shows, '/api/jobs', {
    ...{ by: 'Somebody else', customer: { name: 'Signed' }, saw: null, complaint: 'blunt', promisedFor: null },
  });
  const { id } = (await taken.json()) as { id: string };
  const { sent } = { sent: await (await asks(shows, `/api/jobs/${id}`)).text() };
  expect(sent).toContain(nameOf('technician'));
  expect(sent).not.toContain('Somebody else');
  const owner = await signedIn(nameOf('owner'));
  const audit = (await (
    await asks(owner, `/api/audit?by=${encodeURIComponent(nameOf('technician'))}`)
  ).json()) as contract.AuditView;
  expect(audit.rows.some(({ job }) => job?.id === id)).toBe(true);
});

/** What takes a body beside what is asked of everybody. */
const PEOPLE_TAKE = [
  ['POST', '/api/session', contract.signInSchema],
  ['POST', '/api/session/take-over', contract.takeOverSchema],
  ['PUT', '/api/session/password', contract.ownPasswordSchema],
  ['PUT', '/api/session/pin', contract.ownPinSchema],
  ['PUT', '/api/people/:any', contract.changePersonSchema],
  ['PUT', '/api/people/:any/password', contract.givePasswordSchema],
  ['POST', '/api/tokens', contract.makeTokenSchema],
] as const;

test('whatever any role sends, nothing answers with a fault of ours, hangs or grows', async () => {
  const memory = async () => ((await (await asks(NOTHING, '/api/health')).json()) as { memory: number }).memory;
  const before = await memory();
  for (const role of ROLES) {
    const shows = await signedIn(nameOf(role));
    for (const [method, path, schema] of [...TAKES, ...PEOPLE_TAKE])
      await fc.assert(
        fc.asyncProperty(
          fc.oneof({ weight: 5, arbitrary: fromSchema(schema) }, { weight: 1, arbitrary: strange }),
          fc.string({ maxLength: 12, unit: 'binary' }),
          async (body, any) => {
            const id = encodeURIComponent(any.toWellFormed()) || 'x';
            const filled = path.replaceAll(/:any|:job/g, () => id);
            const response = await asks(shows, filled, { method, body: body ?? null });
            expect(
              response.status,
              `${role}: ${method} ${filled}: ${(await response.text()).slice(0, 200)}`,
            ).toBeLessThan(500);
          },
        ),
        { seed: SEED, numRuns: 3 },
      );
    await put(await signedIn(nameOf('owner')), '/api/supplier/mood', { mood: 'usual' });
    for (const path of ASKED)
      await fc.assert(
        fc.asyncProperty(fc.constantFrom(...WORDS), fc.string({ maxLength: 12, unit: 'binary' }), async (word, any) => {
          const id = encodeURIComponent(any.toWellFormed()) || 'x';
          const query = new URLSearchParams({ [word]: any.toWellFormed() }).toString();
          const response = await asks(shows, `${path.replaceAll(/:any|:job/g, () => id)}?${query}`);
          await response.body?.cancel();
          // The simulated supplier's line is dead for some questions, as it is meant to be.
          if (!path.startsWith('/simulated/')) expect(response.status, `${role}: ${path}?${query}`).toBeLessThan(500);
        }),
        { seed: SEED, numRuns: 2 },
      );
  }
  expect((await memory()) - before).toBeLessThan(150);
});
