import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { matchSawColumns, missingSawColumns, readSawRow, SAW_COLUMNS } from '.';

const HEADINGS = ['Owner', 'Model', 'Inventory number', 'Bar mount', 'Max RPM', 'Chain pitch', 'Gauge', 'Drive links'];
const COLUMNS = matchSawColumns(HEADINGS);
const read = (...cells: readonly string[]) => readSawRow(cells, COLUMNS, 2);

describe('a list of saws', () => {
  it('has its columns found by their names, each once', () => {
    expect(SAW_COLUMNS.map((column) => COLUMNS[column])).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
    expect(missingSawColumns(matchSawColumns(['Saw', 'Tag']))).toEqual(['customer']);
  });

  it('tells each saw with its numbers as a bar would have them punched on', () => {
    expect(read('Towpath crew', 'Tarn 31', 'TP-70', 'M2', '12,500', '.325', '.050', '72')).toEqual({
      ok: true,
      line: 2,
      saw: {
        customer: 'Towpath crew',
        label: 'Tarn 31',
        tag: 'TP-70',
        mount: 'M2',
        maxRpm: 12_500,
        marks: '.325 .050 72DL',
      },
    });
    expect(read('Towpath crew', 'Tarn 31', '', '', '', '', '', '')).toMatchObject({
      saw: { tag: '', mount: null, maxRpm: null, marks: '' },
    });
    // What 3/8 is of is left open, as on a bar.
    expect(read('A', 'B', '', '', '', '3/8', '1.3 mm', '60 DL')).toMatchObject({ saw: { marks: '3/8 1.3mm 60DL' } });
  });

  it('says of each cell that cannot be read what would be right', () => {
    const row = read('', 'x'.repeat(121), '', '', 'fast', 'blue', '.055', '7');
    expect(row.ok ? [] : row.problems.map(({ column, code }) => [column, code])).toEqual([
      ['customer', 'missing'],
      ['saw', 'too-long'],
      ['pitch', 'not-understood'],
      ['gauge', 'not-understood'],
      ['links', 'not-understood'],
      ['rpm', 'no-revolutions'],
    ]);
  });

  it('is read whatever stands in it', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { maxLength: 10 }), (cells) => {
        const row = readSawRow(cells, COLUMNS, 7);
        expect(row.line).toBe(7);
        if (!row.ok) expect(row.problems.length).toBeGreaterThan(0);
      }),
      { seed: 2920 },
    );
  });
});
