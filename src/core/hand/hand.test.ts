import { jStat } from 'jstat';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import { chiSquareQuantile, mm } from '../quantity';
import { entriesFromSheet, readSheet, sheetFromEntries } from '../sheet';
import { figuresOf, flawsOf, studiesThatCount, studyResult, writtenStudy, type Study } from '.';

const study = (over: Partial<Study> = {}): Study => ({
  by: 'Ines',
  instrument: 'caliper',
  on: '2026-11-20',
  takes: [8.01, 8.02, 7.99, 8.0, 8.03, 8.01, 7.98, 8.02, 8.0, 8.01].map(mm),
  known: null,
  ...over,
});
const codes = (over: Partial<Study>, today = '2026-11-26') => flawsOf(study(over), today).map(({ code }) => code);

describe('a study of a hand and its tool', () => {
  it('gives the standard deviation of a take with its interval, and the bias against a block', () => {
    const found = studyResult(study({ known: { value: mm(7.98), u: 0.002 } }));
    expect(found.takes).toBe(10);
    expect(found.mean).toBeCloseTo(8.007, 9);
    expect(found.sd).toBeCloseTo(0.01494, 5);
    const [lo, hi] = found.between!;
    expect(lo).toBeCloseTo(found.sd * Math.sqrt(9 / chiSquareQuantile(0.975, 9)), 9);
    expect(hi).toBeCloseTo(found.sd * Math.sqrt(9 / chiSquareQuantile(0.025, 9)), 9);
    expect(found.bias!.value).toBeCloseTo(0.027, 9);
    expect(found.bias!.u).toBeCloseTo(Math.hypot(found.sd / Math.sqrt(10), 0.002), 9);
    expect(studyResult({ takes: [mm(5)], known: null })).toEqual({
      takes: 1,
      mean: 5,
      sd: 0,
      between: null,
      bias: null,
    });
  });

  it('counts from seven takes on, and the newest of a hand with a tool counts', () => {
    expect(figuresOf(study({ takes: study().takes.slice(0, 6) }))).toBeNull();
    expect(figuresOf(study({ takes: study().takes.slice(0, 7) }))).not.toBeNull();
    const old = study({ on: '2025-01-01' });
    const few = study({ on: '2026-11-25', takes: [mm(8)] });
    expect(studiesThatCount([study(), old, few])).toEqual([study()]);
    expect(studiesThatCount([study(), study({ by: 'Tam' }), study({ instrument: 'feeler' })])).toHaveLength(3);
  });

  it('is not believed with a bias that no tool has: the block or the tool is wrong', () => {
    const beyond = { known: { value: mm(7.5), u: 0.001 } };
    expect(codes(beyond)).toContain('not-believed');
    expect(codes(beyond)).not.toContain('biased');
    expect(figuresOf(study(beyond))).toBeNull();
    const within = { known: { value: mm(7.9), u: 0.001 } };
    expect(codes(within)).toContain('biased');
    expect(figuresOf(study(within))?.bias?.value).toBeCloseTo(0.107, 9);
  });

  it('never claims less than the step of the tool', () => {
    expect(figuresOf(study({ takes: Array(10).fill(mm(8)) as Study['takes'] }))!.own).toBeCloseTo(
      0.01 / Math.sqrt(12),
      9,
    );
  });

  it('says what speaks against it', () => {
    expect(codes({})).toEqual([]);
    expect(codes({ takes: study().takes.slice(0, 5) })).toContain('too-few');
    expect(codes({ takes: study().takes.slice(0, 8) })).toEqual(['few']);
    expect(codes({}, '2028-01-01')).toEqual(['old']);
    expect(codes({ takes: Array(10).fill(mm(8)) as Study['takes'] })).toEqual(['no-scatter']);
    expect(codes({ takes: [...study().takes.slice(0, 9), mm(8.6)] })).toContain('stray');
    expect(codes({ known: { value: mm(7.9), u: 0 } })).toEqual(['biased']);
    expect(codes({ takes: study().takes.map((take, i) => mm(take + (i % 2 === 0 ? 0.08 : -0.08))) })).toEqual([
      'scatters',
    ]);
  });
});

describe('a stray take', () => {
  const SCATTER = 0.08;
  const BEYOND = 5;
  /** Normal takes lie this many standard deviations from their middle, in the median. */
  const MEDIAN_OF_NORMAL = 0.6745;
  const stray = (takes: readonly number[]) => codes({ takes: takes.map(mm) }).includes('stray');

  it('lies five usual scatters from the middle, by the median of distances', () => {
    // One more moves neither the middle of these nor the median of their distances from it.
    const about = [-1, -1, -1, -1, 0, 0, 0, 1, 1, 1, 1].map((side) => 8 + side * SCATTER);
    const usual = SCATTER / MEDIAN_OF_NORMAL;
    for (const [beyond, found] of [
      [BEYOND * 0.97, false],
      [BEYOND * 1.03, true],
    ] as const)
      expect(stray([...about, 8 + beyond * usual]), String(beyond)).toBe(found);
  });

  it('lies as many steps of the tool away where nothing scatters', () => {
    const still = Array(10).fill(8) as number[];
    const usual = 0.01 / Math.sqrt(12);
    expect(stray([...still, 8 + BEYOND * 0.97 * usual])).toBe(false);
    expect(stray([...still, 8 + BEYOND * 1.03 * usual])).toBe(true);
  });
});

describe('χ²', () => {
  it('has the quantiles of a registry package', () => {
    for (const degrees of [1, 2, 3, 6, 9, 24, 99, 240])
      for (const p of [0.001, 0.025, 0.5, 0.95, 0.975, 0.99])
        expect(chiSquareQuantile(p, degrees) / jStat.chisquare.inv(p, degrees)).toBeCloseTo(1, 7);
  });
});

describe('readings from a study on', () => {
  const document = (studies: unknown, by?: string) => ({
    format: 'serrata-bench-sheet',
    version: 1,
    ...(studies ? { studies } : {}),
    driveSprocket: { wear: { repeats: ['0.53 mm'], instrument: 'caliper', ...(by ? { by } : {}) }, type: 'rim' },
  });
  const wearOf = (given: unknown) => {
    const read = readSheet(given);
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    return appraise(read.value, DEFAULT_RULES, null).checks.find(({ id }) => id === 'sprocket.wear')!;
  };
  const ofInes = writtenStudy(study({ known: { value: mm(7.967), u: 0.002 } }));

  it('carry their own figures and not those of common practice: scatter, bias, and what is left of the tool’s error', () => {
    const usual = wearOf(document(null));
    expect(usual.uncertainty).toBeCloseTo(Math.hypot(0.02, 0.01 / Math.sqrt(12), 0.03 / Math.sqrt(3)), 9);
    const own = wearOf(document([ofInes], 'Ines'));
    expect(own.value).toBeCloseTo(0.49, 9);
    expect(own.uncertainty).toBeCloseTo(Math.hypot(0.01494, Math.hypot(0.01494 / Math.sqrt(10), 0.002)), 5);
    expect(own.probability).toBeGreaterThan(usual.probability!);
  });

  it('of somebody else stay as they were, and so does a reading with another tool', () => {
    expect(wearOf(document([ofInes], 'Tam'))).toEqual(wearOf(document(null)));
    expect(wearOf(document([ofInes]))).toEqual(wearOf(document(null)));
    expect(wearOf(document([{ ...ofInes, instrument: 'feeler' }], 'Ines'))).toEqual(wearOf(document(null)));
  });

  it('go into the sheet with the studies that they need, and are the same when it is read again', () => {
    const entries = [
      { path: 'driveSprocket.wear', text: '0.53', unit: 'mm', instrument: 'caliper', by: 'Ines' },
      { path: 'chain.tang', text: '5.2', unit: 'mm', by: 'Tam' },
    ] as const;
    const { sheet, written } = sheetFromEntries(entries, [study(), study({ by: 'Nobody' })]);
    expect(written).toMatchObject({ studies: [{ by: 'Ines' }], chain: { tang: '5.2 mm' } });
    const again = readSheet(JSON.parse(JSON.stringify(written)));
    expect(again).toEqual({ ok: true, value: sheet });
    expect(entriesFromSheet(written).map(({ path }) => path)).toEqual(['chain.tang', 'driveSprocket.wear']);
    expect(sheetFromEntries(entries).written).not.toHaveProperty('studies');
  });

  it('of a study that cannot be read are refused with where and what would be right', () => {
    const read = readSheet(document([{ ...ofInes, takes: ['eight'], on: 'yesterday' }], 'Ines'));
    expect(read.ok).toBe(false);
    if (read.ok) return;
    expect(read.error.map(({ path }) => path).sort()).toEqual(['studies[0].on', 'studies[0].takes[0]']);
  });
});
