import { describe, expect, it } from 'vitest';
import {
  conformity,
  estimate,
  formatLength,
  measured,
  mm,
  nearest64,
  outcomeOf,
  outcomeWithin,
  parseReading,
  readingWithin,
  standardUncertainty,
} from './index';

const depth = { kind: 'depth', instrument: 'depth-rod' } as const;

describe('readings', () => {
  it('averages repeats, and is surer of their mean', () => {
    const read = parseReading('7.9; 8.1; 8.0', depth, 'mm');
    expect(read.ok && estimate(read.value)?.value).toBeCloseTo(8, 12);
    const three = standardUncertainty(measured([mm(7.9), mm(8.1), mm(8)], 'depth-rod'));
    const one = standardUncertainty(measured([mm(8)], 'depth-rod'));
    const shared = 0.03 ** 2 / 3;
    expect(three ** 2 - shared).toBeCloseTo((one ** 2 - shared) / 3, 12);
  });

  it('reads tabs as bounds of a groove and slots as bounds of a link', () => {
    const tab = parseReading('enters .050, refuses .058', {
      kind: 'grooveWidth',
      instrument: 'caliper',
      goNoGo: 'tab',
    });
    expect(tab).toMatchObject({ ok: true, value: { kind: 'bounded', lo: 1.27 } });
    const slot = parseReading('enters .050, refuses .043', {
      kind: 'thickness',
      instrument: 'caliper',
      goNoGo: 'slot',
    });
    expect(slot).toMatchObject({ ok: true, value: { kind: 'bounded', hi: 1.27 } });
  });

  it('refuses bounds that cross', () => {
    expect(parseReading('enters .058, refuses .050', { kind: 'grooveWidth', instrument: 'caliper' })).toMatchObject({
      ok: false,
      error: { code: 'bounds-crossed' },
    });
  });

  it('lies in the middle between two marks, as likely anywhere between (JCGM 100:2008 4.3.7)', () => {
    const between = estimate({ kind: 'bounded', lo: mm(1.27), hi: mm(1.47) })!;
    expect(between.value).toBeCloseTo(1.37, 12);
    expect(between.u).toBeCloseTo(0.2 / Math.sqrt(12), 12);
  });

  it('has no middle for half a statement', () => {
    expect(estimate({ kind: 'bounded', lo: mm(1.27), hi: null })).toBeNull();
  });
});

describe('conformity', () => {
  it('has four outcomes, and calls nothing missing ok', () => {
    expect(conformity({ value: mm(6.4), u: 0.2 }, 6, 'min').outcome).toBe('ok');
    expect(conformity({ value: mm(6.4), u: 0.2 }, 6, 'min', true).outcome).toBe('watch');
    expect(conformity({ value: mm(6.1), u: 0.2 }, 6, 'min').outcome).toBe('undecided');
    expect(conformity({ value: mm(5.5), u: 0.2 }, 6, 'min').outcome).toBe('fail');
  });

  it('counts the limit itself as good when there is no doubt', () => {
    expect(conformity({ value: mm(6), u: 0 }, 6, 'min')).toEqual({ probability: 1, outcome: 'ok' });
    expect(conformity({ value: mm(6), u: 0 }, 6, 'max')).toEqual({ probability: 1, outcome: 'ok' });
  });

  it('judges an interval by its share, and an open one only when all of it lies on one side', () => {
    const between = { kind: 'bounded', lo: mm(1), hi: mm(2) } as const;
    expect(readingWithin(between, 1.25, 'min').least).toBeCloseTo(0.75, 12);
    expect(readingWithin(between, 1.25, 'max').most).toBeCloseTo(0.25, 12);
    const from = (lo: number) => readingWithin({ kind: 'bounded', lo: mm(lo), hi: null, u: 0.05 }, 2, 'min');
    expect(from(1)).toEqual({ least: expect.closeTo(0, 9) as number, most: 1 });
    expect(from(3)).toEqual({ least: expect.closeTo(1, 9) as number, most: 1 });
    // A mark at the limit itself clears nothing: a reading made there would not either.
    expect(outcomeWithin(from(2))).toBe('undecided');
    // A mark that refuses at the limit condemns: what is refused lies below it.
    expect(readingWithin({ kind: 'bounded', lo: null, hi: mm(2), u: 0.05 }, 2, 'min')).toEqual({ least: 0, most: 0 });
  });

  it('fails at exactly five per cent and is ok at ninety-five', () => {
    expect(outcomeOf(0.05)).toBe('fail');
    expect(outcomeOf(0.95)).toBe('ok');
  });
});

describe('writing lengths', () => {
  it.each([
    [5.159375, '13/64'],
    [38.1, '1 1/2'],
    [0, '0'],
    [25.4, '1'],
    [-9.525, '-3/8'],
  ])('%s mm is %s in', (value, text) => {
    expect(nearest64(mm(value))).toBe(text);
  });

  it('writes both units without a minus before zero', () => {
    expect(formatLength(mm(7.9), 'mm')).toBe('7.90 mm');
    expect(formatLength(mm(7.9), 'in')).toBe('0.311 in');
    expect(formatLength(mm(-0.001), 'mm')).toBe('0.00 mm');
  });
});
