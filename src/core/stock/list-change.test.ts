import { describe, expect, it } from 'vitest';
import { fieldChanges } from './list-change';
import { readStockRow, STOCK_COLUMNS, writeStockRow, type StockRow } from './stock-row';

const part = (over: Partial<StockRow> = {}) => {
  const row = {
    sku: 'K-1',
    kind: 'chain',
    name: 'Chain',
    pitch: '325',
    gauge: '.050',
    driveLinks: '64',
    price: '18.00',
    quantity: '3',
  };
  const read = readStockRow({ ...row, ...over });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

describe('what a list changes of a part', () => {
  it('names each field that differs, and no other', () => {
    const [before, listed] = [part(), part({ price: '19.50', quantity: '5' })];
    const row = writeStockRow(listed);
    expect(fieldChanges(before, listed, row, STOCK_COLUMNS).map(({ column, isLost }) => [column, isLost])).toEqual([
      ['quantity', false],
      ['price', false],
    ]);
    expect(fieldChanges(before, part(), writeStockRow(part()), STOCK_COLUMNS)).toEqual([]);
  });

  it('an empty cell of a column that is there loses what stands; a column that is not there loses nothing', () => {
    const [before, listed] = [part({ minimum: '2' }), part({ minimum: '' })];
    expect(fieldChanges(before, listed, { ...writeStockRow(listed), minimum: '' }, STOCK_COLUMNS)).toMatchObject([
      { column: 'minimum', before: '2', after: writeStockRow(listed).minimum, isLost: true },
    ]);
    const others = STOCK_COLUMNS.filter((column) => column !== 'minimum');
    expect(fieldChanges(before, listed, writeStockRow(listed), others)).toEqual([]);
  });
});
