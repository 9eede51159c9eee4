import { describe, expect, it } from 'vitest';
import { placeOfCode } from './scanned';

describe('a scanned code', () => {
  it('leads to a page of this shop, whichever of its addresses wrote it', () => {
    expect(placeOfCode('http://192.168.0.4:4173/jobs/17-a')).toBe('/jobs/17-a');
    expect(placeOfCode('https://saws.example/gear/pieces/chain.found.4-b')).toBe('/gear/pieces/chain.found.4-b');
  });

  it('leads to what is tagged so where it is no address', () => {
    expect(placeOfCode('K-17')).toBe('/gear?q=K-17');
    expect(placeOfCode('saw & chain')).toBe('/gear?q=saw+%26+chain');
  });

  it('leads nowhere else', () => {
    for (const text of [
      'https://elsewhere.example/',
      'javascript:alert(1)',
      '//elsewhere.example/jobs/x',
      '/gear/../shop',
      '/jobs/../api/shop',
      '/jobs/',
      '/jobs/..',
    ])
      expect(placeOfCode(text)).toMatch(/^\/gear\?q=[^/]*$/);
  });
});
