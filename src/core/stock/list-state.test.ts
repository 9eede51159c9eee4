import { describe, expect, it } from 'vitest';
import { missingColumns, proposedColumns, readRows } from './list-state';
import type { ListRows } from './list-rows';

const list: ListRows = {
  headings: ['Part No', 'Type', 'Description', 'Pitch'],
  rows: [
    ['A1', 'chain', 'One', '.325'],
    ['A2', 'blade', 'Two', '.325'],
    ['A1', 'chain', 'One again', '.325'],
    ['A4', 'chain', 'Four', '3/8'],
  ].map((cells, i) => ({ line: i + 2, cells, hasStrayQuote: false })),
};

describe('a list on its way into stock', () => {
  it('has its columns proposed by their headings', () => {
    const columns = proposedColumns(list.headings);
    expect(missingColumns(columns)).toEqual([]);
    expect(missingColumns({ ...columns, sku: null })).toEqual(['sku']);
  });

  it('reads every row, names its line in the file, and keeps what is bad as it was', () => {
    const rows = readRows(list, proposedColumns(list.headings), {});
    expect(rows.map(({ line, part }) => [line, part !== null])).toEqual([
      [2, true],
      [3, false],
      [4, false],
      [5, false],
    ]);
    expect(rows[1]!.problems).toMatchObject([{ column: 'kind', code: 'not-one-of' }]);
    expect(rows[2]!.problems).toMatchObject([{ code: 'twice', line: 2 }]);
    expect(rows[3]!.row).toMatchObject({ sku: 'A4', pitch: '3/8' });
  });

  it('takes mended cells over those of the file', () => {
    const rows = readRows(list, proposedColumns(list.headings), {
      3: { kind: 'chain' },
      4: { sku: 'A3' },
      5: { pitch: '38lp' },
    });
    expect(rows.every(({ part }) => part !== null)).toBe(true);
    expect(rows[3]!.part).toMatchObject({ pitch: '38lp' });
  });

  it('a column that no heading goes to is empty', () => {
    const rows = readRows(list, { ...proposedColumns(list.headings), pitch: null }, {});
    expect(rows[0]!.part).toMatchObject({ pitch: null });
  });
});
