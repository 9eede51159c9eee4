import { stockPart } from '../../../tests/support/stock-part';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILY_IDS, GAUGE_IDS } from '../families';
import type { ChainNumbers } from '../order';
import { chainNeed, need, settled, type Need } from './need';
import { fitToSaw } from './saw-fit';
import { equalSubstitutes, searchStock, stockMisses } from './search';
import { stockPartSchema, type StockPart } from './stock-part';

const order: ChainNumbers = {
  pitch: '325',
  gauge: '.050',
  driveLinks: 72,
  kickbackClass: 'low-kickback',
  sequence: null,
};

const part = stockPart;

const codes = (given: Partial<StockPart>, wanted = order) =>
  stockMisses(chainNeed(wanted), part(given)).map((miss) => (miss.code === 'differs' ? miss.property : miss.code));
const matchStock = (wanted: ChainNumbers, parts: readonly StockPart[]) => searchStock(chainNeed(wanted), parts);

describe('a chain in stock against an order', () => {
  it.each<[string, Partial<StockPart>, string[]]>([
    ['the very chain', {}, []],
    ['another pitch', { pitch: '38' }, ['pitch']],
    ['the other 3/8', { pitch: '38lp' }, ['pitch']],
    ['a thinner one', { gauge: '.043' }, ['gauge']],
    ['one link more', { driveLinks: 73 }, ['driveLinks']],
    ['none on the shelf', { quantity: 0 }, ['out-of-stock']],
    ['a standard one for low-kickback', { kickbackClass: 'standard' }, ['kickback-stepped-up']],
    ['one of no known class for low-kickback', { kickbackClass: null }, ['kickback-stepped-up']],
    ['wrong in everything', { pitch: '404', gauge: '.063', driveLinks: 84 }, ['pitch', 'gauge', 'driveLinks']],
  ])('%s', (_name, given, wanted) => {
    expect(codes(given)).toEqual(wanted);
  });

  it('asks for the class before it offers a standard chain, and offers both where standard was run', () => {
    expect(codes({ kickbackClass: 'standard' }, { ...order, kickbackClass: null })).toEqual(['kickback-not-asked']);
    expect(codes({ kickbackClass: 'standard' }, { ...order, kickbackClass: 'standard' })).toEqual([]);
    expect(codes({}, { ...order, kickbackClass: 'standard' })).toEqual([]);
  });
});

describe('the shelf', () => {
  const skus = (parts: readonly StockPart[]) => matchStock(order, parts).map(({ part: { sku } }) => sku);

  it('gives what fits first, the cheaper before the dearer, then what narrowly misses', () => {
    expect(
      skus([
        part({ sku: 'dear', priceCents: 2000 }),
        part({ sku: 'near', driveLinks: 73 }),
        part({ sku: 'far', driveLinks: 84 }),
        part({ sku: 'cheap', priceCents: 500 }),
        part({ sku: 'gone', quantity: 0, priceCents: 1 }),
        part({ sku: 'bar', kind: 'bar' }),
      ]),
    ).toEqual(['cheap', 'dear', 'gone', 'near']);
  });

  it('agrees with a plain search over any stock', () => {
    const any = fc.record({
      pitch: fc.constantFrom(...FAMILY_IDS),
      gauge: fc.constantFrom(...GAUGE_IDS),
      driveLinks: fc.integer({ min: 70, max: 74 }),
      kickbackClass: fc.constantFrom('low-kickback' as const, 'standard' as const, null),
      quantity: fc.integer({ min: 0, max: 2 }),
      priceCents: fc.integer({ min: 1, max: 5000 }),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 40 }), (list) => {
        const parts = list.map((each, i) => part({ ...each, sku: `S${i}` }));
        const plain = parts.filter(
          (each) =>
            each.pitch === '325' &&
            each.gauge === '.050' &&
            each.driveLinks === 72 &&
            each.kickbackClass === 'low-kickback' &&
            each.quantity > 0,
        );
        const fitting = matchStock(order, parts).filter(({ misses }) => misses.length === 0);
        expect(new Set(fitting.map(({ part: { sku } }) => sku))).toEqual(new Set(plain.map(({ sku }) => sku)));
        expect(matchStock(order, parts).every(({ misses }) => misses.length <= 1)).toBe(true);
      }),
      { seed: 21, numRuns: 150 },
    );
  });

  it('with nothing known offers nothing, and with one number offers what may fit', () => {
    const parts = [part({ sku: 'a' }), part({ sku: 'b', gauge: '.058' })];
    expect(searchStock(need('chain', {}), parts)).toEqual([]);
    const answers = searchStock(need('chain', { pitch: settled('325'), kickbackClass: 'standard' }), parts);
    expect(answers.map(({ answer }) => answer)).toEqual(['may-fit', 'may-fit']);
  });

  it('lets an open number keep every value still in question', () => {
    const open: Need = need('chain', {
      pitch: { values: ['38', '38lp'], settled: false },
      gauge: settled('.050'),
      driveLinks: settled(56),
      kickbackClass: 'standard',
    });
    const parts = ['38', '38lp', '325'].map((pitch) =>
      part({ sku: pitch, pitch: pitch as StockPart['pitch'], driveLinks: 56 }),
    );
    expect(searchStock(open, parts).map(({ part: { sku }, answer }) => `${sku} ${answer}`)).toEqual([
      '38 may-fit',
      '38lp may-fit',
      '325 near',
    ]);
  });

  it('asks a bar for its mount and oil hole, a sprocket for its teeth', () => {
    const bar = part({ kind: 'bar', mount: 'M2', oilHole: 'O1', kickbackClass: null, listedInches: 18 });
    const wanted = need('bar', {
      pitch: settled('325'),
      gauge: settled('.050'),
      driveLinks: settled(72),
      mount: 'm2 ',
      oilHole: 'O1',
      listedInches: [18],
    });
    expect(stockMisses(wanted, bar)).toEqual([]);
    expect(stockMisses(wanted, { ...bar, mount: 'M4' })).toMatchObject([{ code: 'differs', property: 'mount' }]);
    expect(stockMisses(wanted, { ...bar, oilHole: 'O2' })).toMatchObject([{ code: 'differs', property: 'oilHole' }]);
    expect(stockMisses(wanted, { ...bar, listedInches: 20 })).toMatchObject([{ property: 'listedInches' }]);
    expect(stockMisses({ ...wanted, mount: null }, bar)).toMatchObject([{ code: 'not-settled', property: 'mount' }]);
    const rim = part({ kind: 'drive-sprocket', teeth: 7, sprocketKind: 'rim', splines: 7 });
    const takesRim = need('drive-sprocket', { pitch: settled('325'), teeth: 8, sprocketKind: 'rim', splines: 7 });
    expect(stockMisses(takesRim, rim)).toMatchObject([{ property: 'teeth' }]);
    expect(stockMisses({ ...takesRim, teeth: 7 }, rim)).toEqual([]);
  });

  it('names the near misses that are least off first', () => {
    const answers = matchStock(order, [
      part({ sku: 'pitch', pitch: '38' }),
      part({ sku: 'gauge', gauge: '.058' }),
      part({ sku: 'gone', quantity: 0 }),
      part({ sku: 'longer', driveLinks: 74 }),
    ]);
    expect(answers.map(({ part: { sku } }) => sku)).toEqual(['gone', 'longer', 'gauge', 'pitch']);
  });

  it('finds equal parts, and never a standard one for a low-kickback one', () => {
    const gone = part({ sku: 'gone', quantity: 0 });
    const shelf = [
      gone,
      part({ sku: 'same', priceCents: 900 }),
      part({ sku: 'standard', kickbackClass: 'standard', priceCents: 1 }),
      part({ sku: 'empty', quantity: 0 }),
      part({ sku: 'other', gauge: '.058' }),
    ];
    expect(equalSubstitutes(gone, shelf).map(({ sku }) => sku)).toEqual(['same']);
    const standard = part({ sku: 's', kickbackClass: 'standard', quantity: 0 });
    expect(equalSubstitutes(standard, shelf).map(({ sku }) => sku)).toEqual(['standard', 'same']);
  });

  it('keeps only parts that make sense', () => {
    expect(stockPartSchema.safeParse(part()).success).toBe(true);
    expect(stockPartSchema.safeParse(part({ quantity: -1 })).success).toBe(false);
    expect(stockPartSchema.safeParse({ ...part(), colour: 'red' }).success).toBe(false);
  });
});

describe('a drive sprocket', () => {
  const rim = part({ sku: 'RIM', kind: 'drive-sprocket', teeth: 7, sprocketKind: 'rim', splines: 7 });
  const spur = part({ sku: 'SPUR', kind: 'drive-sprocket', teeth: 7, sprocketKind: 'spur', bore: 10, priceCents: 1 });
  const takes = (over: Partial<Need>) => need('drive-sprocket', { pitch: settled('325'), teeth: 7, ...over });
  const answers = (over: Partial<Need>) =>
    searchStock(takes(over), [rim, spur]).map(({ part: { sku }, answer, misses }) => [
      sku,
      answer,
      ...misses.map(({ code }) => code),
    ]);

  it('of one kind never answers for the other, not even nearly', () => {
    expect(answers({ sprocketKind: 'rim', splines: 7 })).toEqual([['RIM', 'fits']]);
    expect(answers({ sprocketKind: 'spur', bore: 10 })).toEqual([['SPUR', 'fits']]);
  });

  it('whose splines, bore and saw are not known does not fit, it may', () => {
    expect(answers({ sprocketKind: 'rim' })).toEqual([['RIM', 'may-fit', 'saw-not-known']]);
    expect(answers({ sprocketKind: 'spur' })).toEqual([['SPUR', 'may-fit', 'saw-not-known']]);
  });

  it('with other splines or another bore is another part', () => {
    expect(answers({ sprocketKind: 'rim', splines: 9 })).toEqual([]);
    expect(answers({ sprocketKind: 'spur', bore: 12 })).toEqual([]);
    // A caliper in a bore reads a little small.
    expect(answers({ sprocketKind: 'spur', bore: 9.85 })).toEqual([['SPUR', 'fits']]);
  });

  it('fits a saw that it is named for, by whole words', () => {
    const named = { ...spur, bore: null, saw: 'Velm E18; Ondral 38' };
    const on = (saw: string | null) => fitToSaw({ splines: null, bore: null, saw }, named);
    expect([on('Ondral 38'), on('ondral 38, red'), on('Ondral 380'), on('Velm'), on(null)]).toEqual([
      'fits',
      'fits',
      'not-known',
      'not-known',
      'not-known',
    ]);
  });
});

describe('a chain of another sequence', () => {
  const chains = [
    part({ sku: 'FULL', sequence: 'full-complement' }),
    part({ sku: 'SKIP', sequence: 'full-skip' }),
    part({ sku: 'UNSAID' }),
  ];
  const answers = (sequence: Need['sequence']) =>
    Object.fromEntries(
      matchStock({ ...order, sequence }, chains).map(({ part: { sku }, answer }) => [sku, answer] as const),
    );

  it('is a near miss; one that does not say it is full complement', () => {
    expect(answers('full-complement')).toEqual({ FULL: 'fits', UNSAID: 'fits', SKIP: 'near' });
    expect(answers('full-skip')).toEqual({ SKIP: 'fits', UNSAID: 'may-fit', FULL: 'near' });
    expect(answers(null)).toEqual({ FULL: 'fits', UNSAID: 'fits', SKIP: 'may-fit' });
  });
});

describe('small parts of the drive', () => {
  it('are all worth seeing, those that are known to sit first', () => {
    const clips = [part({ sku: 'C1', kind: 'clip', priceCents: 1 }), part({ sku: 'C2', kind: 'clip', saw: 'Brask' })];
    const found = searchStock(need('clip', { saw: 'Brask 70' }), clips);
    expect(found.map(({ part: { sku }, answer }) => [sku, answer])).toEqual([
      ['C2', 'fits'],
      ['C1', 'may-fit'],
    ]);
  });
});
