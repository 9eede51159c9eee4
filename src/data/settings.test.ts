import { describe, expect, it } from 'vitest';
import { settings } from './settings';

describe('settings', () => {
  it('are as usual where nothing is said, or nothing but an empty word', () => {
    const usual = { SERRATA_DB: './data/serrata.db', SERRATA_MOST_REQUESTS: 20_000, HOST: '127.0.0.1' };
    expect(settings({})).toMatchObject(usual);
    expect(settings({ SERRATA_DB: '', PORT: '', SERRATA_MOST_REQUESTS: '' })).toMatchObject(usual);
    expect(settings({}).PORT).toBeUndefined();
  });

  it('are read as what they mean', () => {
    expect(settings({ PORT: '4391', SERRATA_MOST_REQUESTS: '0' })).toMatchObject({
      PORT: 4391,
      SERRATA_MOST_REQUESTS: 0,
    });
    expect(settings({ SERRATA_SUPPLIER: 'http://127.0.0.1:9/nobody' }).SERRATA_SUPPLIER).toContain('nobody');
  });

  it.each([
    ['PORT', 'http', 'PORT=http must be a whole number from 0 to 65535.'],
    ['PORT', '70000', 'PORT=70000 must be a whole number from 0 to 65535.'],
    ['SERRATA_MOST_REQUESTS', '-1', 'SERRATA_MOST_REQUESTS=-1 must be a whole number, 0 for no bound.'],
    ['SERRATA_MOST_REQUESTS', 'many', 'SERRATA_MOST_REQUESTS=many must be a whole number, 0 for no bound.'],
    ['SERRATA_SUPPLIER', 'next door', 'SERRATA_SUPPLIER=next door must be an address such as'],
  ])('that cannot be used are said: %s=%s', (name, value, said) => {
    expect(() => settings({ [name]: value })).toThrow(said);
  });

  it('that cannot be used are said all at once', () => {
    expect(() => settings({ PORT: 'x', SERRATA_SUPPLIER: 'y' })).toThrow(/SERRATA_SUPPLIER=y[\s\S]*PORT=x/);
  });
});
