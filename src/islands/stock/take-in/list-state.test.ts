import { describe, expect, it } from 'vitest';
import { undoneSentence } from '../Imports';
import { missingColumns, proposed, readRows, type RawList } from './list-state';

const list: RawList = {
  name: 'spring.csv',
  headings: ['Part No', 'Type', 'Description', 'Pitch'],
  rows: [
    ['A1', 'chain', 'One', '.325'],
    ['A2', 'blade', 'Two', '.325'],
    ['A1', 'chain', 'One again', '.325'],
    ['A4', 'chain', 'Four', '3/8'],
  ],
};

describe('a list on its way into stock', () => {
  it('has its columns proposed by their headings', () => {
    const columns = proposed(list);
    expect(missingColumns(columns)).toEqual([]);
    expect(missingColumns({ ...columns, sku: null })).toEqual(['sku']);
  });

  it('reads every row, names its line in the file, and keeps what is bad as it was', () => {
    const rows = readRows(list, proposed(list), {});
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
    const rows = readRows(list, proposed(list), { 3: { kind: 'chain' }, 4: { sku: 'A3' }, 5: { pitch: '38lp' } });
    expect(rows.every(({ part }) => part !== null)).toBe(true);
    expect(rows[3]!.part).toMatchObject({ pitch: '38lp' });
  });

  it('a column that no heading goes to is empty', () => {
    const rows = readRows(list, { ...proposed(list), pitch: null }, {});
    expect(rows[0]!.part).toMatchObject({ pitch: null });
  });
});

describe('an undoing', () => {
  it('names what was changed since and stays', () => {
    expect(undoneSentence({ restored: 1, kept: [] })).toBe('1 part is as before.');
    expect(undoneSentence({ restored: 3, kept: ['A', 'B'] })).toBe(
      '3 parts are as before. Changed since, and left as they are: A, B.',
    );
  });
});
