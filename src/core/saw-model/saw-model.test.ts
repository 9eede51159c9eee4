import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answerCounter } from '../counter';
import { sheetFromEntries } from '../sheet';
import { DEFAULT_SCHOOLS } from '../schools';
import {
  entriesOfModel,
  keyOfModel,
  matchModelColumns,
  MODEL_COLUMNS,
  NUMBER_NAMES,
  punched,
  readModelRow,
  type SawModel,
} from './index';

const model: SawModel = {
  ...{ name: 'Brask 66', bar: '45 cm', mount: 'M2', pitch: '.325', gauge: '.050', links: '72DL' },
  ...{ sprocketKind: 'rim', teeth: 7, splines: 7 },
};
const HEADINGS = ['Machine', 'Bar length', 'Mount', 'Pitch', 'Gauge', 'DL', 'Drive sprocket', 'Teeth', 'Splines'];
const CELLS = ['Brask 66', '45 cm', 'M2', '.325', '.050', '72', 'Rim', '7', '7'];

describe('a list of models', () => {
  const columns = matchModelColumns(HEADINGS);
  const row = (over: Readonly<Record<number, string>>) =>
    readModelRow(
      CELLS.map((cell, i) => over[i] ?? cell),
      columns,
      2,
    );

  it('is read by its headings, whatever they are called', () => {
    expect(MODEL_COLUMNS.map((column) => columns[column])).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
    expect(row({})).toEqual({ ok: true, line: 2, model });
  });

  it('tells what is wrong with each cell, and all of it', () => {
    expect(row({ 0: ' ', 3: 'blue', 5: 'x', 6: 'chain', 7: '3', 8: '7.5' })).toMatchObject({
      ok: false,
      problems: [
        { column: 'model', code: 'missing' },
        { column: 'pitch', text: 'blue', code: 'not-understood' },
        { column: 'links', text: 'x', code: 'not-understood' },
        { column: 'sprocket', text: 'chain', code: 'not-understood' },
        { column: 'teeth', code: 'no-count', from: 4, to: 20 },
        { column: 'splines', code: 'no-count', from: 2, to: 60 },
      ],
    });
  });

  it('holds what is not told for not known', () => {
    const bare = readModelRow(['Velm'], matchModelColumns(['model']), 3);
    expect(bare).toMatchObject({ ok: true, model: { name: 'Velm', bar: '', mount: null, pitch: '', teeth: null } });
  });

  it('takes models of one name and bar for one, whatever their capitals and spaces', () => {
    expect(keyOfModel({ name: ' brask  66', bar: '45 CM' })).toBe(keyOfModel(model));
    expect(keyOfModel({ name: 'Brask 66', bar: '38 cm' })).not.toBe(keyOfModel(model));
  });

  it('keeps a number as it is punched, once and twice', () => {
    const typed = fc.constantFrom('.325', '3/8', '3/8 LP', '1/4', '.404', '.050', '.063', '1.3', '72', '72 DL', '84dl');
    fc.assert(
      fc.property(typed, fc.constantFrom(...NUMBER_NAMES), (text, name) => {
        const once = punched(name, text);
        if (once !== null) expect(punched(name, once)).toBe(once);
      }),
      { seed: 48, numRuns: 100 },
    );
  });
});

describe('a call that names a model', () => {
  it('begins with its numbers, and is asked for a count before anything is sold by them', () => {
    const { sheet, refused } = sheetFromEntries(entriesOfModel(model));
    expect(refused).toEqual([]);
    expect(sheet.saw).toMatchObject({ label: 'Brask 66', mount: 'M2', sprocketKind: 'rim', splines: 7 });
    const { numbers, question } = answerCounter(
      { ...sheet, job: { operatorTrained: true }, chain: { ...sheet.chain, kickbackClass: 'low-kickback' } },
      'chain',
      false,
      [],
      DEFAULT_SCHOOLS,
    );
    expect([numbers.pitch.values, numbers.gauge.values, numbers.driveLinks.values]).toEqual([['325'], ['.050'], [72]]);
    expect(question).toMatchObject({ asks: 'chain.driveLinks', settles: 'driveLinks' });
  });
});
