import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { get } from 'node:https';
import { createServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addDays } from 'date-fns';
import { afterAll, describe, expect, it } from 'vitest';
import { settings } from '../../src/data/settings';
import { certificateIn } from '../../src/server/certificate';
import { byProxy, fromWhere } from '../../src/server/http/by-proxy';
import { openingFor } from '../../src/server/http/opening';

const folder = mkdtempSync(join(tmpdir(), 'serrata-door-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const now = new Date();
const made = certificateIn(join(folder, 'own'), ['saws.shop'], now);

const opening = (env: Record<string, string>, hasOwner = true, at = now) =>
  openingFor(settings(env), { hasOwner, now: at });

describe('the door to the network', () => {
  it('stays shut until there is an owner and connections are encrypted, and says all that is missing', () => {
    expect(opening({}, false)).toMatchObject({ host: '127.0.0.1', isNetwork: false, tls: null });
    expect(() => opening({ HOST: '0.0.0.0' }, false)).toThrow(/HOST=0\.0\.0\.0.*an owner.*; and connections/);
    expect(() => opening({ HOST: '0.0.0.0' })).toThrow(/SERRATA_CERTIFICATE/);
    expect(() => opening({ HOST: '0.0.0.0', SERRATA_PROXY: '10.0.0.2' }, false)).toThrow(/an owner/);
    // A proxy on this machine opens it as well.
    expect(() => opening({ SERRATA_PROXY: '127.0.0.1' }, false)).toThrow(/an owner/);
    expect(opening({ HOST: '0.0.0.0', SERRATA_PROXY: '10.0.0.2, 10.0.0.3' })).toMatchObject({
      isNetwork: true,
      proxies: new Set(['10.0.0.2', '10.0.0.3']),
    });
  });

  it('opens with a certificate that fits its key and has not run out', async () => {
    const { certificate, key, names } = await made;
    const env = { HOST: '0.0.0.0', SERRATA_CERTIFICATE: certificate, SERRATA_KEY: key };
    const open = opening(env);
    expect(open.tls).not.toBeNull();
    expect(new Set(open.names)).toEqual(new Set(names));
    expect(names).toEqual(expect.arrayContaining(['saws.shop', 'localhost', '127.0.0.1']));
    expect(() => opening(env, true, addDays(now, 400))).toThrow(/ran out on/);
    expect(() => opening({ ...env, SERRATA_KEY: join(folder, 'own', 'authority.key') })).toThrow(/of another one/);
    expect(() => opening({ ...env, SERRATA_CERTIFICATE: join(folder, 'none.pem') })).toThrow(
      /none\.pem cannot be used/,
    );
    const { SERRATA_KEY: _key, ...half } = env;
    expect(() => opening(half)).toThrow(/go together/);
    writeFileSync(join(folder, 'bad.pem'), 'no certificate');
    expect(() => opening({ ...env, SERRATA_CERTIFICATE: join(folder, 'bad.pem') })).toThrow(/cannot be used/);
  });
});

describe('a certificate of the shop’s own', () => {
  it('is taken by whoever trusts the authority, under its names, and by nobody else', async () => {
    const { authority, certificate, key, isNew } = await made;
    expect(isNew).toBe(true);
    for (const file of [key, join(folder, 'own', 'authority.key')]) expect(statSync(file).mode & 0o077).toBe(0);
    const server = createServer({ cert: readFileSync(certificate), key: readFileSync(key) }, (_, response) =>
      response.end('heard'),
    ).listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    const { port } = server.address() as AddressInfo;
    const asked = (options: object) =>
      new Promise<string>((resolve) => {
        get({ host: '127.0.0.1', port, agent: false, ...options }, (response) => {
          response.resume();
          resolve(String(response.statusCode));
        }).once('error', ({ message }) => resolve(message));
      });
    const ca = readFileSync(authority);
    expect(await asked({ ca, servername: 'saws.shop' })).toBe('200');
    expect(await asked({ ca })).toBe('200');
    expect(await asked({ ca, servername: 'evil.example' })).toMatch(/altnames/);
    expect(await asked({ servername: 'saws.shop' })).toMatch(/verify|issuer|self-signed/);
    server.close();
  });

  it('is renewed under the authority that the tablets trust already', async () => {
    const { authority } = await made;
    const before = readFileSync(authority, 'utf8');
    const again = await certificateIn(join(folder, 'own'), ['saws.shop', '192.168.7.2'], now);
    expect(again.isNew).toBe(false);
    expect(again.names).toContain('192.168.7.2');
    expect(readFileSync(authority, 'utf8')).toBe(before);
  });
});

describe('what is said of a request on the way', () => {
  const request = (remoteAddress: string, headers: Record<string, string>) =>
    ({ headers: { host: 'saws.shop', ...headers }, socket: { remoteAddress } }) as unknown as Parameters<
      typeof byProxy
    >[0];
  const proxies = new Set(['10.0.0.2']);
  const said = {
    'x-forwarded-for': '6.6.6.6, 10.0.0.9',
    'x-forwarded-proto': 'https',
    'x-forwarded-host': 'saws.shop',
  };

  it('is believed of a named proxy, as far as that proxy itself has seen', () => {
    const by = request('::ffff:10.0.0.2', { ...said, host: 'inner:4173' });
    expect(byProxy(by, { proxies, tls: null })).toBeNull();
    expect(by.headers).toMatchObject({ host: 'saws.shop', 'x-forwarded-proto': 'https' });
    expect(fromWhere(by)).toBe('10.0.0.9');
    expect(
      byProxy(request('10.0.0.2', { ...said, 'x-forwarded-proto': 'http' }), { proxies, tls: null }),
    ).toMatchObject({
      code: 'not-encrypted',
    });
  });

  it('is taken off where nobody was named, and nobody goes round the proxy', () => {
    const claimed = request('10.0.0.7', said);
    expect(byProxy(claimed, { proxies: new Set(), tls: null })).toBeNull();
    expect(claimed.headers).toEqual({ host: 'saws.shop' });
    expect(fromWhere(claimed)).toBe('10.0.0.7');
    for (const from of ['10.0.0.7', '127.0.0.1'])
      expect(byProxy(request(from, said), { proxies, tls: null })).toMatchObject({ code: 'not-by-proxy' });
    expect(byProxy(request('10.0.0.2', {}), { proxies, tls: null })).toMatchObject({ code: 'not-by-proxy' });
    expect(byProxy(request('127.0.0.1', {}), { proxies, tls: null })).toBeNull();
  });
});
