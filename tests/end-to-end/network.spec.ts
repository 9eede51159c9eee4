import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { request as httpsRequest } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import type { MadeToken, PeopleView } from '../../src/contract';
import { expect, test } from './bench';
import { OwnServer } from './own-server';

const folder = mkdtempSync(join(tmpdir(), 'serrata-network-'));
const store = join(folder, 'store.db');
const JSON_TYPE = { 'Content-Type': 'application/json' };
const PASSWORD = 'gravel lantern spoon';

/** Runs the command line on the store. */
function serrata(...args: string[]): string {
  const { status, stdout, stderr } = spawnSync('node_modules/.bin/tsx', ['src/cli/serrata.ts', ...args], {
    env: { ...process.env, SERRATA_DB: store },
    encoding: 'utf8',
  });
  expect(status, stderr).toBe(0);
  return stdout;
}

/** What a server says that is not to be started so. */
function refused(env: Record<string, string>): string {
  const { status, stderr } = spawnSync(process.execPath, ['dist/server/main.mjs', '--demo'], {
    env: { ...process.env, SERRATA_DB: store, PORT: '0', ...env },
    encoding: 'utf8',
    timeout: 120_000,
  });
  expect(status).toBe(1);
  return stderr;
}

test('the network is let in with an owner and encrypted, and a browser is signed in by a cookie that is sent so alone', async () => {
  expect(refused({ HOST: '0.0.0.0' })).toContain('an owner with a password');
  const [, password] = /\n\s+(\S+)\n/.exec(serrata('owner', 'Una Weir'))!;
  expect(refused({ HOST: '0.0.0.0' })).not.toContain('an owner with a password');
  serrata('certificate', 'saws.shop', '--folder', join(folder, 'own'));
  const own = (name: string) => join(folder, 'own', name);
  const server = new OwnServer(store, {
    HOST: '0.0.0.0',
    SERRATA_CERTIFICATE: own('certificate.pem'),
    SERRATA_KEY: own('certificate.key'),
  });
  await server.open();
  const ca = readFileSync(own('authority.pem'));
  const { port } = new URL(server.address);
  const asked = (path: string, headers: Record<string, string> = {}, body?: string) =>
    new Promise<{ status: number; headers: Record<string, string | string[] | undefined> }>((resolve, reject) => {
      const length = body === undefined ? {} : { ...JSON_TYPE, 'Content-Length': Buffer.byteLength(body) };
      const sent = httpsRequest(
        {
          ...{
            host: '127.0.0.1',
            port,
            path,
            ca,
            servername: 'saws.shop',
            method: body === undefined ? 'GET' : 'POST',
          },
          headers: { Host: `saws.shop:${port}`, ...length, ...headers },
        },
        (response) => {
          response.resume();
          resolve({ status: response.statusCode!, headers: response.headers });
        },
      );
      sent.on('error', reject);
      sent.end(body);
    });
  expect(server.address).toMatch(/^https:/);
  expect((await asked('/')).status).toBe(303);
  // Its own names are the certificate's.
  expect((await asked('/', { Host: 'evil.example' })).status).toBe(421);
  // What somebody says of a proxy counts for nothing.
  const claimed = { 'X-Forwarded-For': '127.0.0.1', 'X-Forwarded-Proto': 'http', 'X-Forwarded-Host': 'evil.example' };
  expect((await asked('/', claimed)).status).toBe(303);
  const begun = await asked('/api/session', {}, JSON.stringify({ name: 'una weir', password }));
  expect(begun.status).toBe(200);
  expect(begun.headers['strict-transport-security']).toContain('max-age');
  const [cookie] = begun.headers['set-cookie'] as string[];
  expect(cookie).toMatch(/^__Host-serrata-session=[\w-]{43}; .*HttpOnly; SameSite=Strict; Secure$/);
  expect((await asked('/shop', { Cookie: cookie!.split(';')[0]! })).status).toBe(200);
  // The supplier that ships with it is asked by a door of this machine's own.
  expect(
    (await asked('/api/supplier/quote?pitch=325&gauge=.050&links=72', { Cookie: cookie!.split(';')[0]! })).status,
  ).toBe(200);
  await server.end('SIGKILL');
});

test('the log has a line for each request, with an id that the answer bears, and nobody’s name', async () => {
  const file = join(folder, 'logged.db');
  const server = new OwnServer(file, { LOG_LEVEL: 'info' });
  await server.open();
  const post = (path: string, body: unknown, headers = {}) =>
    fetch(`${server.address}${path}`, {
      method: 'POST',
      headers: { ...JSON_TYPE, ...headers },
      body: JSON.stringify(body),
    });
  const answer = await fetch(`${server.address}/gear/customers/c-towpath?q=Towpath%20crew`, {
    headers: { 'X-Request-Id': 'ours-0123456789' },
  });
  expect(answer.headers.get('x-request-id')).toBe('ours-0123456789');
  const odd = await fetch(`${server.address}/`, { headers: { 'X-Request-Id': 'x y "z' } });
  expect(odd.headers.get('x-request-id')).toMatch(/^[\w-]{36}$/);
  // A day of work, some of it refused, and some that cannot be done.
  await post('/api/jobs', {
    by: 'Tam Okoro',
    customer: { name: 'Fenwick Lode botanic garden' },
    saw: null,
    complaint: 'Pulls to the left since spring',
    promisedFor: null,
  });
  await post('/api/people', { name: 'Tam Okoro' });
  await fetch(`${server.address}/api/search?q=Tidewater`);
  await fetch(`${server.address}/api/stock/parts/NOBODY-${'x'.repeat(20)}`);
  await post('/api/session', { name: 'Ines Holloway', password: 'gravel lantern spoon' });
  const { accounts } = (await (await fetch(`${server.address}/api/people/accounts`)).json()) as PeopleView;
  const ines = accounts.find(({ name }) => name === 'Ines Holloway')!;
  const first = await fetch(`${server.address}/api/people/${ines.id}/password`, {
    method: 'PUT',
    headers: JSON_TYPE,
    body: JSON.stringify({ password: PASSWORD }),
  });
  const cookie = first.headers.get('set-cookie')!.split(';')[0]!;
  await post('/api/session', { name: 'Ines Holloway', password: 'Wrong-0-wrong-wrong' });
  // A store that cannot be written to is told of without what was being written.
  const made = (await (
    await post('/api/tokens', { name: 'Watch', role: 'owner', days: 2 }, { Cookie: cookie })
  ).json()) as MadeToken;

  const metrics = await fetch(`${server.address}/api/metrics`, { headers: { Authorization: `Bearer ${made.token}` } });
  expect(metrics.headers.get('content-type')).toContain('text/plain; version=0.0.4');
  const counted = await metrics.text();
  expect(counted).toMatch(/serrata_request_seconds_count\{method="POST",route="\/api\/jobs",status="200"\} 1/);
  expect((await fetch(`${server.address}/api/metrics`, { headers: { Cookie: cookie } })).status).toBe(403);
  await server.end('SIGTERM');

  const lines = server.log
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);
  expect(lines.length).toBeGreaterThan(10);
  expect(lines).toContainEqual(
    expect.objectContaining({ request: 'ours-0123456789', method: 'GET', route: '/gear/customers/[id]', status: 200 }),
  );
  const kept = createClient({ url: `file:${file}` });
  const named = await kept.execute(
    'SELECT name FROM person UNION SELECT name FROM customer UNION SELECT label FROM saw UNION SELECT tag FROM saw UNION SELECT name FROM access_token',
  );
  kept.close();
  const names = named.rows.map(({ name }) => String(name)).filter((name) => name.length > 3);
  expect(names.length).toBeGreaterThan(15);
  for (const name of [...names, PASSWORD, 'Wrong-0-wrong', made.token, cookie.split('=')[1]!, 'Pulls to the left'])
    expect(`${server.log}${counted}`.includes(name), name).toBe(false);
});
