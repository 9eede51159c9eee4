import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { packView, unpackView } from './sent';

describe('a view in its page', () => {
  it('comes out as it went in', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.jsonValue({ maxDepth: 2 }), { maxKeys: 5 }), (view) => {
        const sent = packView(view);
        expect(unpackView(structuredClone(sent))).toEqual(JSON.parse(JSON.stringify(view)));
        expect(unpackView(sent)).toBe(view);
      }),
      { seed: 12, numRuns: 100 },
    );
  });
});
