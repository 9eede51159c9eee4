import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  FIELD_KINDS,
  formatLength,
  inches,
  mm,
  nearest64,
  parseLength,
  parseReading,
  probabilityWithin,
  toInches,
  type FieldKind,
} from '../../src/core/quantity';
import { readStamp } from '../../src/core/identify';
import { readSheetText } from '../../src/core/sheet';

const kinds = fc.constantFrom(...(Object.keys(FIELD_KINDS) as FieldKind[]));

describe('what people type', () => {
  it('never throws, whatever it is', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 30 }), kinds, (text, kind) => {
        const read = parseLength(text, kind);
        if (read.ok) expect(read.value.length).toBeGreaterThanOrEqual(FIELD_KINDS[kind].lo);
        parseReading(text, { kind, instrument: 'caliper' });
        readStamp(text);
        readSheetText(text);
      }),
      { seed: 3, numRuns: 600 },
    );
  });

  it('means the same in every unit', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 24 * 64 }), (sixtyFourths) => {
        const length = inches(sixtyFourths / 64);
        const texts = [
          `${sixtyFourths}/64`,
          `${sixtyFourths / 64} in`,
          `${sixtyFourths / 64}"`,
          `${length} mm`,
          `${length / 10} cm`,
          `${(sixtyFourths * 1000) / 64} thou`,
        ];
        for (const text of texts) {
          const read = parseLength(text, 'span');
          if (length < FIELD_KINDS.span.lo) expect(read.ok).toBe(false);
          else expect(read.ok && read.value.length).toBeCloseTo(length, 9);
        }
      }),
      { seed: 5, numRuns: 300 },
    );
  });

  it('comes back from being written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2500 }), (hundredths) => {
        const read = parseLength(formatLength(mm(hundredths / 100), 'mm'), 'depth');
        expect(read.ok && read.value.length).toBeCloseTo(hundredths / 100, 9);
        const rule = parseLength(`${nearest64(mm(hundredths))} in`, 'station');
        expect(rule.ok && Math.abs(rule.value.length - hundredths)).toBeLessThanOrEqual(25.4 / 128 + 1e-9);
      }),
      { seed: 6, numRuns: 300 },
    );
  });

  it('is converted there and back without loss', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (value) => {
        expect(inches(toInches(mm(value)))).toBeCloseTo(value, 6);
      }),
      { seed: 7, numRuns: 200 },
    );
  });
});

describe('conformity', () => {
  const value = fc.double({ min: -10, max: 10, noNaN: true });
  const u = fc.double({ min: 0, max: 2, noNaN: true });

  it('of a floor and a ceiling at the same place add up', () => {
    fc.assert(
      fc.property(value, value, fc.double({ min: 0.001, max: 2, noNaN: true }), (x, limit, doubt) => {
        const floor = probabilityWithin({ value: mm(x), u: doubt }, limit, 'min');
        const ceiling = probabilityWithin({ value: mm(x), u: doubt }, limit, 'max');
        expect(floor + ceiling).toBeCloseTo(1, 9);
      }),
      { seed: 8, numRuns: 300 },
    );
  });

  it('never falls as the value moves to the good side', () => {
    fc.assert(
      fc.property(value, value, u, fc.double({ min: 0, max: 5, noNaN: true }), (x, limit, doubt, better) => {
        const before = probabilityWithin({ value: mm(x), u: doubt }, limit, 'min');
        expect(probabilityWithin({ value: mm(x + better), u: doubt }, limit, 'min')).toBeGreaterThanOrEqual(
          before - 1e-12,
        );
      }),
      { seed: 9, numRuns: 300 },
    );
  });
});
