import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILY_IDS, GAUGE_IDS } from '../families';
import { matchColumns, readStockRow, writeStockRow } from './stock-row';
import { STOCK_KINDS } from './stock-kind';
import type { StockPart } from './stock-part';

const least = { sku: 'A1', kind: 'chain', name: 'A chain' };
const problems = (row: Parameters<typeof readStockRow>[0]) => {
  const read = readStockRow(row);
  return read.ok ? [] : read.error.map(({ column, code }) => `${column}: ${code}`);
};
const part = (row: Parameters<typeof readStockRow>[0]) => {
  const read = readStockRow({ ...least, ...row });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

describe('a row of a stock list', () => {
  it('needs a number, a kind and a name; the rest may be empty', () => {
    expect(part({})).toMatchObject({ pitch: null, gauge: null, driveLinks: null, quantity: 0, priceCents: 0 });
    expect(problems({})).toEqual(['sku: missing', 'kind: missing', 'name: missing']);
  });

  it.each([
    ['pitch', '.325', '325'],
    ['pitch', '3/8 LP', '38lp'],
    ['pitch', '3/8 standard', '38'],
    ['pitch', '404', '404'],
    ['gauge', '0.050', '.050'],
    ['gauge', '1,3 mm', '.050'],
    ['gauge', '.063 in', '.063'],
    ['listedInches', '18"', 18],
  ] as const)('reads %s %s as the trade writes it', (column, text, value) => {
    expect(part({ [column]: text })).toMatchObject({ [column]: value });
  });

  it('reads prices with a point, a comma or a sign', () => {
    expect(part({ price: '17.90' }).priceCents).toBe(1790);
    expect(part({ price: '17,9' }).priceCents).toBe(1790);
    expect(part({ price: '£ 17.90' }).priceCents).toBe(1790);
  });

  it('says everything that is wrong with it at once', () => {
    expect(
      problems({
        ...least,
        kind: 'blade',
        pitch: '3/8',
        gauge: '.055',
        driveLinks: '7x',
        quantity: '-1',
        price: 'ask',
      }),
    ).toEqual([
      'kind: not-one-of',
      'pitch: build-not-said',
      'gauge: not-one-of',
      'driveLinks: not-a-whole-number',
      'quantity: not-a-whole-number',
      'price: not-a-number',
    ]);
    expect(problems({ ...least, teeth: '40', name: 'x'.repeat(200) })).toEqual([
      'name: too-long',
      'teeth: out-of-bounds',
    ]);
  });

  it('written and read again is the same part', () => {
    const any = fc.record({
      sku: fc.stringMatching(/^[A-Z0-9-]{1,12}$/),
      kind: fc.constantFrom(...STOCK_KINDS),
      name: fc.stringMatching(/^[A-Za-z][A-Za-z0-9 ,.]{0,20}[a-z]$/),
      pitch: fc.constantFrom(...FAMILY_IDS, null),
      gauge: fc.constantFrom(...GAUGE_IDS, null),
      driveLinks: fc.option(fc.integer({ min: 1, max: 400 })),
      kickbackClass: fc.constantFrom('low-kickback' as const, 'standard' as const, null),
      mount: fc.constantFrom('M2', null),
      oilHole: fc.constantFrom('O1', null),
      listedInches: fc.constantFrom(18, 15.5, null),
      sequence: fc.constantFrom('full-complement', 'semi-skip', 'full-skip', null),
      sprocketKind: fc.constantFrom('spur', 'rim', null),
      splines: fc.option(fc.integer({ min: 2, max: 60 })),
      bore: fc.constantFrom(10, 12.7, null),
      saw: fc.constantFrom('Ondral 52; Brask', null),
      teeth: fc.option(fc.integer({ min: 4, max: 20 })),
      quantity: fc.nat(500),
      minimum: fc.nat(20),
      priceCents: fc.nat(100_000),
    });
    fc.assert(
      fc.property(any, (given: StockPart) => {
        expect(readStockRow(writeStockRow(given))).toEqual({ ok: true, value: given });
      }),
      { seed: 31, numRuns: 200 },
    );
  });
});

describe('headings', () => {
  it('are matched by name, by other names, and used once', () => {
    expect(matchColumns(['Part No', 'Description', 'TYPE', 'Qty', 'driveLinks', 'Colour'])).toMatchObject({
      sku: 0,
      name: 1,
      kind: 2,
      quantity: 3,
      driveLinks: 4,
      pitch: null,
    });
    const { sku, name } = matchColumns(['code', 'code', 'label']);
    expect([sku, name]).toEqual([0, 2]);
  });
});
