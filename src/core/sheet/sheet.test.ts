import { describe, expect, it } from 'vitest';
import {
  entriesFromSheet,
  readEntry,
  readingAt,
  readSheet,
  readSheetText,
  sheetFromEntries,
  type Entry,
  type WrittenBenchSheet,
} from './index';

const entry = (path: string, text: string, unit: 'mm' | 'in' = 'mm'): Entry => ({ path, text, unit });
const problems = (document: unknown) => {
  const read = readSheet(document);
  return read.ok ? [] : read.error.map(({ path, code }) => `${path}: ${code}`);
};
const head = { format: 'serrata-bench-sheet', version: 1 } as const;

describe('the bench sheet', () => {
  it('may be almost empty', () => {
    expect(readSheet(head).ok).toBe(true);
  });

  it('names every problem with its path', () => {
    const sheet = {
      ...head,
      version: 2,
      bar: {
        edges: { A: { stations: [{ at: '40 mm', near: 8.1, far: '80 mm', mouth: 'five' }] } },
        colour: 'red',
        thickness: { width: 4 },
      },
      chain: { span: { rivets: 1, length: '82 mm' }, sequence: 'sometimes', driveLinks: [7.5] },
    };
    expect(problems(sheet).sort()).toEqual([
      'bar.colour: unknown-key',
      'bar.edges.A.stations[0].far: quantity',
      'bar.edges.A.stations[0].mouth: quantity',
      'bar.edges.A.stations[0].near: bare-number',
      'bar.thickness.width: unknown-key',
      'chain.driveLinks[0]: wrong-type',
      'chain.sequence: not-one-of',
      'chain.span.rivets: out-of-bounds',
      'version: not-one-of',
    ]);
  });

  it('refuses what is not JSON, and a quantity whose repeats hold a stranger', () => {
    expect(readSheetText('{')).toMatchObject({ ok: false, error: [{ code: 'not-json' }] });
    for (const [open, close] of ['[]', '{"bar":}'].map((pair) => [pair.slice(0, -1), pair.slice(-1)]))
      expect(readSheetText(`${open!.repeat(5000)}1${close!.repeat(5000)}`)).toMatchObject({
        error: [{ code: 'too-deep' }],
      });
    expect(readSheetText(`{"job":{"complaint":"${'[{'.repeat(300)}\\"["}}`)).toMatchObject({
      error: [{ code: 'missing' }, { code: 'missing' }],
    });
    expect(problems({ ...head, bar: { thickness: { repeats: ['4 mm'], tool: 'eye' } } })).toEqual([
      'bar.thickness.tool: unknown-key',
    ]);
  });
});

describe('entries', () => {
  it('know what each place of the sheet expects', () => {
    expect(readingAt('bar.edges.A.stations.12.near')).toMatchObject({
      id: 'bar.edges.stations.near',
      kind: { kind: 'length', spec: { kind: 'depth', instrument: 'depth-rod' } },
    });
    expect(readingAt('chain.driveLinks.3')?.kind).toEqual({ kind: 'count', from: 1, to: 400 });
    expect(readingAt('job.symptoms')?.kind.kind).toBe('choices');
    expect(readingAt('job.operatorTrained')?.kind.kind).toBe('yes-no');
    expect(readingAt('saw.maxRpm')?.kind.kind).toBe('number');
    expect(readingAt('bar.edges')).toBeNull();
    expect(readingAt('bar.colour')).toBeNull();
    expect(readingAt('bar.constructor')).toBeNull();
  });

  it.each([
    ['bar.edges.A.stations.0.near', 'five', 'reading'],
    ['bar.edges.A.stations.0.near', '-3', 'reading'],
    ['bar.edges.A.stations.0.near', '80 mm', 'reading'],
    ['chain.driveLinks.0', '7.5', 'not-a-count'],
    ['chain.span.rivets', '1', 'out-of-bounds'],
    ['chain.driveLinks.0', '9000', 'out-of-bounds'],
    ['saw.maxRpm', 'fast', 'not-a-number'],
    ['bar.nose', 'soft', 'not-one-of'],
    ['job.operatorTrained', 'perhaps', 'not-one-of'],
    ['job.symptoms', 'vibrates, sings', 'not-one-of'],
    ['bar.colour', 'red', 'no-such-place'],
  ])('%s = %s is refused as %s and kept', (path, text, code) => {
    expect(readEntry(entry(path, text))).toMatchObject({ ok: false, error: { code } });
    const { refused, written } = sheetFromEntries([entry(path, text)]);
    expect(refused).toMatchObject([{ path, text }]);
    expect(written).toEqual(head);
  });

  it('add the unit that stood beside the field', () => {
    const { written } = sheetFromEntries([
      entry('bar.thickness', '0.165', 'in'),
      entry('bar.checks.bow', '0.2'),
      entry('chain.tang', '5.2 mm', 'in'),
    ]);
    expect(written.bar).toEqual({ thickness: '0.165 in', checks: { bow: '0.2 mm' } });
    expect(written.chain).toEqual({ tang: '5.2 mm' });
  });

  it('order stations by position and remember which field they came from', () => {
    const { written, stationKeys } = sheetFromEntries([
      entry('bar.edges.A.stations.0.at', '300'),
      entry('bar.edges.A.stations.0.near', '7'),
      entry('bar.edges.A.stations.4.at', '60'),
      entry('bar.edges.A.stations.4.near', '8'),
      entry('bar.edges.A.stations.7.near', '9'),
    ]);
    expect(written.bar?.edges?.A?.stations?.map(({ near }) => near)).toEqual(['8 mm', '7 mm']);
    expect(stationKeys.A).toEqual(['4', '0']);
  });

  it('leave an unfinished group out until it is whole', () => {
    expect(sheetFromEntries([entry('chain.span.rivets', '11'), entry('chain.cutters', '36')]).written.chain).toEqual({
      cutters: 36,
    });
    expect(
      sheetFromEntries([entry('chain.pushPull.joints', '60'), entry('chain.pushPull.closed', '495')]).written.chain,
    ).toEqual({});
  });

  it('are withdrawn by an empty text, and count once with their last', () => {
    const { written } = sheetFromEntries([
      entry('chain.cutters', '36'),
      entry('chain.cutters', '35'),
      entry('bar.mount', 'M2'),
      entry('bar.mount', ' '),
    ]);
    expect(written).toEqual({ ...head, chain: { cutters: 35 } });
  });

  it('give back the sheet they were taken from', () => {
    const sheet: WrittenBenchSheet = {
      ...head,
      job: { symptoms: ['vibrates', 'runs-hot'], operatorTrained: false, complaint: 'two\nlines' },
      saw: { label: 'Velm E18', maxRpm: 9000 },
      bar: {
        stamp: '',
        noseReplaceable: true,
        thickness: { repeats: ['4.1 mm', '4.2 mm'], instrument: 'caliper' },
        edges: {
          A: {
            stations: [
              {
                at: '40 mm',
                near: { repeats: ['8.0 mm'], instrument: 'depth-marks' },
                mouth: { enters: '0.050 in', refuses: '0.058 in' },
              },
            ],
          },
        },
      },
      chain: { template: ['325'], driveLinks: [72, 71, 72], damage: [{ side: 'left', cutter: 2, setBack: '0.5 mm' }] },
    };
    const before = readSheet(sheet);
    const after = sheetFromEntries(entriesFromSheet(sheet));
    expect(after.refused).toEqual([]);
    expect({ ...after.sheet, bar: { ...after.sheet.bar, stamp: '' } }).toEqual(before.ok && before.value);
  });
});
