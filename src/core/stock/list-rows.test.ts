import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { CSV_AS_IT_STANDS, listRows, strayCell } from './list-rows';

const rowsOf = (text: string) => listRows(Papa.parse<string[]>(text, CSV_AS_IT_STANDS));

describe('the rows of a list', () => {
  it('know the line that they begin in, blank lines and broken cells counted', () => {
    const read = rowsOf('sku,note\n\nK-1,"two\nlines"\nK-2,one\n');
    expect(read.ok && read.value.rows.map(({ line, cells }) => [line, cells[0]])).toEqual([
      [3, 'K-1'],
      [5, 'K-2'],
    ]);
  });

  it('a quotation mark that is never closed is refused with the line it is opened in', () => {
    expect(rowsOf('sku,note\nK-1,fine\nK-2,"open\nK-3,swallowed\n')).toMatchObject({
      error: { code: 'quote-not-closed', line: 3 },
    });
  });

  it('a mark out of place is told of its row, and its cell', () => {
    const data = [
      ['sku', 'note'],
      ['K-1', '15" bar'],
      ['K-2', 'fine'],
    ];
    const read = listRows({ data, errors: [{ code: 'InvalidQuotes', row: 1 }] });
    if (!read.ok) throw new Error('refused');
    expect(read.value.rows[0]).toMatchObject({ line: 2, hasStrayQuote: true });
    expect(read.value.rows[1]).toMatchObject({ hasStrayQuote: false });
    expect(strayCell(['K', '15" bar'])).toBe(1);
    expect(strayCell(['K', 'bar'])).toBe(0);
  });

  it('headings alone, or nothing, are no list', () => {
    expect(rowsOf('sku,note\n')).toMatchObject({ error: { code: 'empty' } });
    expect(rowsOf('')).toMatchObject({ error: { code: 'empty' } });
  });
});
