import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ACCESS, AT_THE_SERVER, ruleOf } from '../../src/server/people/access';

const PAGES = 'src/pages';

/** Every page and endpoint by its pattern, with its methods, as its file has them. */
const routes = readdirSync(PAGES, { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.(astro|ts)$/.test(file))
  .map((file) => {
    const route = `/${file.replace(/\.(astro|ts)$/, '').replace(/(^|\/)index$/, '')}`.replace(/\/$/, '') || '/';
    const text = readFileSync(`${PAGES}/${file}`, 'utf8');
    const methods = file.endsWith('.astro')
      ? ['GET']
      : [...text.matchAll(/export const (GET|POST|PUT|DELETE|PATCH|ALL)\b/g)].map(([, method]) => method!);
    return { route, methods };
  });

describe('who may what', () => {
  it('is declared for every method of every page and endpoint, and for nothing else', () => {
    const declared = Object.entries(ACCESS).map(([route, methods]) => [route, Object.keys(methods).sort()]);
    const beside = AT_THE_SERVER.map((route) => ({ route, methods: ['GET'] }));
    const there = [...routes, ...beside].map(({ route, methods }) => [route, methods.toSorted()]);
    expect(declared.toSorted()).toEqual(there.toSorted());
  });

  it('lets a reader only look, at what names a customer of theirs', () => {
    for (const [route, methods] of Object.entries(ACCESS))
      for (const [method, { who, own, anyReader }] of Object.entries(methods)) {
        if (who === 'anyone' || !who.includes('reader')) continue;
        expect(own !== undefined || anyReader === true, `${method} ${route}`).toBe(true);
        if (own) expect(method, route).toBe('GET');
      }
  });

  it('lets nobody but owners near people, tokens and backups, and not by a PIN', () => {
    for (const [route, methods] of Object.entries(ACCESS))
      if (/^\/api\/(people\/|tokens|backups?|archive)/.test(route))
        for (const [method, rule] of Object.entries(methods)) {
          expect(rule.who, `${method} ${route}`).toEqual(['owner']);
          // Who came in may be looked at, and whoever was let in shut out, by whoever is at the bench of an owner.
          if (route !== '/api/people/accounts' && method !== 'DELETE')
            expect(rule.withPassword, `${method} ${route}`).toBe(true);
        }
  });

  it('asks for what may be looked at, and answers no other method', () => {
    expect(ruleOf('/shop', 'HEAD')).toBe(ruleOf('/shop', 'GET'));
    for (const method of ['POST', 'OPTIONS', 'PATCH', 'constructor']) expect(ruleOf('/shop', method)).toBeUndefined();
    expect(ruleOf('/nowhere', 'GET')).toBeUndefined();
  });
});
