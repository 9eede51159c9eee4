import { describe, expect, it } from 'vitest';
import { atTheDoor, isFromHere, isOurs, shopNames } from './door';
import { turnAway } from './guard';

const asked = { method: 'GET', host: 'bench:4173' };

describe('the door', () => {
  it('knows the names it was told of, in any case and with any port', () => {
    const names = shopNames(' saws.example , Bench');
    for (const host of ['bench', 'BENCH:80', 'saws.example:4173', '127.0.0.1:1', '[::1]:4173', 'localhost'])
      expect(atTheDoor({ ...asked, host }, names), host).toBeNull();
    for (const host of ['bench.evil.example', 'xbench', '', undefined, '[::1', 'bench:x', 'bench/', '127.0.0.2'])
      expect(atTheDoor({ ...asked, host }, names)?.status, host).toBe(421);
  });

  it('tells who is on this machine by the name they use', () => {
    for (const host of ['127.0.0.1:4173', 'localhost', 'LOCALHOST:80', '[::1]:1']) expect(isFromHere(host)).toBe(true);
    for (const host of ['bench', 'localhost.evil.example', '', undefined]) expect(isFromHere(host)).toBe(false);
  });

  it('answers the methods that it has', () => {
    const at = (over: Partial<typeof asked>) => atTheDoor({ ...asked, host: 'localhost', ...over }, shopNames());
    expect(at({ method: 'TRACE' })?.status).toBe(405);
    expect(at({ method: 'DELETE' })).toBeNull();
  });

  it('knows its own pages from those that the framework brings', () => {
    for (const route of ['/', '/404', '/jobs/[id]', '/api/search']) expect(isOurs(route), route).toBe(true);
    for (const route of ['/_image', '/_server-islands/[name]', '/_actions/[...path]'])
      expect(isOurs(route), route).toBe(false);
  });

  it('takes no origin that contradicts the site', () => {
    const headers = (more: Record<string, string>) =>
      new Headers({ host: 'bench:1', 'content-type': 'application/json', 'content-length': '2', ...more });
    expect(turnAway('POST', headers({ 'sec-fetch-site': 'same-origin', origin: 'http://bench:1' }))).toBeNull();
    expect(turnAway('POST', headers({ 'sec-fetch-site': 'same-origin', origin: 'http://other' }))?.status).toBe(403);
    expect(turnAway('POST', headers({ 'sec-fetch-site': 'cross-site', origin: 'http://bench:1' }))?.status).toBe(403);
  });
});
