import fc from 'fast-check';
import { mean, sampleCorrelation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { DESERVED, drawnDoubt, dropOf, seeded, sharesOf, WORTH_MEASURING, type Factor } from '../../src/core/doubt';
import { gainOfRepeat } from '../../src/core/next';
import { normalCdf } from '../../src/core/quantity';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';
import { anySheet } from '../support/sheets';

type Parts = Omit<WrittenBenchSheet, 'format' | 'version'>;
function appraised(parts: Parts) {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return appraise(read.value, DEFAULT_RULES, null);
}

const factor = (over: Partial<Factor>): Factor => ({
  group: 'one',
  calls: 'replace',
  well: 0.9,
  measure: 'bar.checks.bow',
  repeat: null,
  rests: null,
  ...over,
});
const chance = fc.double({ min: 0, max: 1, noNaN: true });
const factors = fc.array(
  fc
    .record({
      group: fc.constantFrom('a', 'b', 'c', 'd'),
      calls: fc.constantFrom('replace', 'recondition', 'clean'),
      well: chance,
    })
    .map(({ group, calls, well }) => factor({ group: `${group} ${calls}`, calls: calls as Factor['calls'], well })),
  { maxLength: 8 },
);

describe('the chance of each verdict', () => {
  it('of one reading is the probability of conformity of JCGM 106:2012 (propagation of distributions by draws: JCGM 101:2008)', () => {
    // Wear read as 0.55 with a blade against 0.50 at most: the chance that it is within is Φ((0.50 − 0.55)/u).
    const { checks, doubts, verdicts } = appraised({ driveSprocket: { wear: '0.55 mm' } });
    const check = checks.find(({ id }) => id === 'sprocket.wear')!;
    expect(verdicts.driveSprocket.action).toBe('undecided');
    expect(doubts.driveSprocket!.shares.replace).toBeCloseTo(1 - check.probability!, 12);
    expect(doubts.driveSprocket!.wrong).toBeCloseTo(Math.min(check.probability!, 1 - check.probability!), 12);
  });

  it('of a reading between two marks is the share of the interval', () => {
    const { doubts } = appraised({ driveSprocket: { wear: { enters: '0.4 mm', refuses: '0.6 mm' } } });
    expect(doubts.driveSprocket!.shares.replace).toBeCloseTo(0.5, 9);
  });

  it('a crack that somebody was not sure of is a share, not a blank', () => {
    const station = { at: '60 mm', near: '9 mm', far: '9 mm', mouth: '1.3 mm' };
    const { doubts } = appraised({
      bar: {
        stamp: '325 .050',
        checks: { crack: 'unsure', bow: '0 mm', noseTurns: 'free' },
        edges: { A: { stations: [station] }, B: { stations: [station] } },
      },
    });
    expect(doubts.bar!.shares.replace).toBeGreaterThan(0.45);
  });

  it('is none while readings are missing that the verdict waits for', () => {
    const { doubts } = appraised({ chain: { cuttersLeft: ['8 mm'] } });
    expect(doubts.chain).toBeNull();
    expect(doubts.bar).toBeNull();
  });

  it('sums to one on any factors and any sheet', () => {
    fc.assert(
      fc.property(factors, (given) => {
        const shares = sharesOf(given);
        expect(DESERVED.reduce((sum, each) => sum + shares[each], 0)).toBeCloseTo(1, 9);
      }),
      { seed: 88, numRuns: 100 },
    );
    fc.assert(
      fc.property(anySheet, (sheet) => {
        for (const doubt of Object.values(appraised(sheet).doubts)) {
          if (!doubt) continue;
          expect(DESERVED.reduce((sum, each) => sum + doubt.shares[each], 0)).toBeCloseTo(1, 9);
          expect(doubt.wrong).toBeGreaterThanOrEqual(0);
          expect(doubt.wrong).toBeLessThanOrEqual(1);
        }
      }),
      { seed: 89, numRuns: 30 },
    );
  });

  it('what is read off one thing comes out together: two limits on one depth are no two risks', () => {
    const one = [factor({ well: 0.9 })];
    const two = [factor({ well: 0.9 }), factor({ well: 0.95 })];
    expect(sharesOf(two).replace).toBeCloseTo(sharesOf(one).replace, 12);
    expect(sharesOf([factor({ well: 0.9 }), factor({ group: 'two', well: 0.9 })]).replace).toBeCloseTo(0.19, 12);
  });
});

/** Five standard deviations of a share by so many draws. */
const bySo = (share: number, draws: number): number => 5 * Math.sqrt(Math.max(share * (1 - share), 1e-4) / draws);

describe('draws against the analytic probability (JCGM 101:2008, propagation of distributions)', () => {
  const DRAWS = 200_000;
  it('of a normal reading', () => {
    const { doubts, ...rest } = appraised({ driveSprocket: { wear: '0.52 mm' } });
    const { replace } = drawnDoubt(rest, DRAWS, 7).parts.driveSprocket!.shares;
    const analytic = 1 - normalCdf((0.5 - 0.52) / Math.hypot(0.03, 0.05 / Math.sqrt(12), 0.01 / Math.sqrt(3)));
    expect(doubts.driveSprocket!.shares.replace).toBeCloseTo(analytic, 12);
    expect(Math.abs(replace - analytic)).toBeLessThan(bySo(analytic, DRAWS));
  });

  it('of a uniform reading: between two marks, the share of the interval', () => {
    const appraisal = appraised({ driveSprocket: { wear: { enters: '0.4 mm', refuses: '0.55 mm' } } });
    const { replace } = drawnDoubt(appraisal, DRAWS, 8).parts.driveSprocket!.shares;
    expect(Math.abs(replace - 1 / 3)).toBeLessThan(bySo(1 / 3, DRAWS));
  });

  it('of the shortest of many cutters, one question of all', () => {
    const cutters = Array.from({ length: 18 }, (_, i) => `${(4.06 + 0.01 * (i % 5)).toFixed(2)} mm`);
    const appraisal = appraised({
      chain: {
        checks: { crack: 'no' },
        cuttersLeft: cutters,
        cuttersRight: cutters,
        pushPull: { joints: 60, closed: '495.0 mm', pulled: '498.0 mm' },
      },
    });
    const check = appraisal.checks.find(({ id }) => id === 'chain.cutter')!;
    const { replace } = drawnDoubt(appraisal, 20_000, 9).parts.chain!.shares;
    expect(check.probability).toBeLessThan(0.999);
    // Few pieces deep the closed form sums the common error by nine points.
    expect(Math.abs(replace - (1 - check.probability!))).toBeLessThan(bySo(1 - check.probability!, 20_000) + 0.002);
  });

  it('of a bar on its stamp alone: a stamp may be misread, and a wrong pitch changes the limit', () => {
    const station = (depth: string) => ({ at: '60 mm', near: depth, far: depth, mouth: '1.34 mm', deep: '1.32 mm' });
    const bar = (depth: string): NonNullable<Parts['bar']> => ({
      stamp: '3/8LP .050',
      checks: { crack: 'no', bow: '0 mm', noseTurns: 'free' },
      edges: {
        A: { stations: [station(depth)], stands: 'yes' },
        B: { stations: [station(depth)], stands: 'yes' },
      },
    });
    // 5.5 mm is deep enough for 3/8 low profile (5 mm), and not for .325 or 3/8 standard (6 mm).
    const between = appraised({ bar: bar('5.5 mm') });
    const { candidates } = between.identity.bar.pitch;
    const misread = candidates.filter(({ value }) => value === '325' || value === '38');
    const expected = misread.reduce((sum, { weight }) => sum + weight, 0);
    expect(between.verdicts.bar.action).toBe('keep');
    expect(expected).toBeGreaterThan(0.005);
    expect(between.doubts.bar!.shares.replace).toBeCloseTo(expected, 3);
    const drawn = drawnDoubt(between, 20_000, 10).parts.bar!.shares.replace;
    expect(Math.abs(drawn - expected)).toBeLessThan(bySo(expected, 20_000));
    // 7 mm is deep enough for all of them.
    expect(appraised({ bar: bar('7 mm') }).doubts.bar!.shares.replace).toBeLessThan(1e-4);
  });

  it('is the same for the same seed, and another for another', () => {
    const appraisal = appraised({ driveSprocket: { wear: '0.48 mm' } });
    expect(drawnDoubt(appraisal, 2000, 3)).toEqual(drawnDoubt(appraisal, 2000, 3));
    expect(drawnDoubt(appraisal, 2000, 3)).not.toEqual(drawnDoubt(appraisal, 2000, 4));
  });
});

describe('the next best measurement (expected value of sample information: Raiffa & Schlaifer 1961, from memory)', () => {
  const FEELER = { shared: 0.01 / Math.sqrt(3), own: Math.hypot(0.03, 0.05 / Math.sqrt(12)) };
  const CALIPER = { shared: 0.03 / Math.sqrt(3), own: Math.hypot(0.02, 0.01 / Math.sqrt(12)) };

  it('is what preposterior analysis of a normal mean gives', () => {
    const { normal } = seeded(11);
    for (const [margin, u, v] of [
      [0.02, 0.04, 0.02],
      [0.04, 0.034, 0.027],
      [0, 0.03, 0.03],
    ] as const) {
      const [read, deserved] = [new Float64Array(100_000), new Uint8Array(100_000)];
      for (let i = 0; i < read.length; i += 1) {
        const truth = margin + u * normal();
        read[i] = truth + v * normal();
        deserved[i] = truth > 0 ? 0 : 3;
      }
      expect(Math.abs(dropOf(read, deserved) - gainOfRepeat(margin, u, v))).toBeLessThan(0.005);
    }
  });

  it('counts no chance agreement as knowledge: a reading of something else buys nothing', () => {
    const { normal, uniform } = seeded(12);
    const read = Float64Array.from({ length: 20_000 }, normal);
    const deserved = Uint8Array.from({ length: 20_000 }, () => (uniform() < 0.4 ? 3 : 0));
    expect(dropOf(read, deserved)).toBeLessThan(WORTH_MEASURING);
  });

  it('agrees with brute force: readings simulated, with the blade again and with the caliper', () => {
    const { normal } = seeded(13);
    const shown = 0.47;
    const before = appraised({ driveSprocket: { wear: `${shown} mm` } });
    const { next } = drawnDoubt(before, 20_000, 14).parts.driveSprocket!;
    const best = next[0]!;
    expect(best).toMatchObject({ measure: 'driveSprocket.wear', tool: 'caliper' });
    const now = Math.min(before.doubts.driveSprocket!.shares.replace, before.doubts.driveSprocket!.shares.keep);
    const simulate = (another: (truth: number, error: number) => { value: number; u: number }) => {
      let wrong = 0;
      const RUNS = 20_000;
      for (let i = 0; i < RUNS; i += 1) {
        const error = FEELER.shared * normal();
        const truth = shown + FEELER.own * normal() - error;
        const { value, u } = another(truth, error);
        const isBad = normalCdf((value - 0.5) / u) > 0.5;
        wrong += Number(isBad !== truth > 0.5);
      }
      return now - wrong / RUNS;
    };
    // With the blade again: both readings share the blade's own error.
    const again = simulate((truth, error) => {
      const second = truth + error + FEELER.own * normal();
      const value = (shown + second) / 2;
      return { value, u: Math.hypot(FEELER.shared, FEELER.own / Math.SQRT2) };
    });
    expect(
      Math.abs(again - gainOfRepeat(shown - 0.5, Math.hypot(FEELER.shared, FEELER.own), FEELER.own, FEELER.shared)),
    ).toBeLessThan(0.01);
    // With the caliper: the two say as much as their doubts allow.
    const other = simulate((truth) => {
      const [a, b] = [FEELER.shared ** 2 + FEELER.own ** 2, CALIPER.shared ** 2 + CALIPER.own ** 2];
      const second = truth + Math.sqrt(b) * normal();
      return { value: (shown / a + second / b) / (1 / a + 1 / b), u: Math.sqrt(1 / (1 / a + 1 / b)) };
    });
    expect(Math.abs(other - best.drop)).toBeLessThan(0.01);
  });

  it('asks a bar for its weakest places, and stops where another reading changes nothing', () => {
    const stations = (depth: number) =>
      [60, 200, 340].map((at) => ({
        at: `${at} mm`,
        near: `${depth} mm`,
        far: `${depth} mm`,
        mouth: '1.34 mm',
        deep: '1.32 mm',
      }));
    const bar = (depth: number) =>
      appraised({
        bar: {
          stamp: '325 .050',
          checks: { crack: 'no', bow: '0 mm', noseTurns: 'free' },
          edges: { A: { stations: stations(depth), stands: 'yes' }, B: { stations: stations(9), stands: 'yes' } },
        },
      });
    const close = drawnDoubt(bar(6.03), 20_000, 15).parts.bar!;
    expect(close.next.length).toBeGreaterThan(0);
    for (const { measure } of close.next.slice(0, 2))
      expect(measure).toMatch(/^bar\.edges\.A\.stations\.\d\.(near|far)$/);
    const sound = drawnDoubt(bar(8), 20_000, 15).parts.bar!;
    expect(sound.next).toEqual([]);
  });
});

describe('what draws say of a bar agrees with its whole assessment by brute force', () => {
  /** A bar read with a caliper, level by the square, the near rail of edge A as given. */
  const sheet = (...near: readonly number[]): Parts => {
    const read = (...repeats: readonly number[]) => ({
      instrument: 'caliper' as const,
      repeats: repeats.map((each) => `${each.toFixed(4)} mm`),
    });
    const station = (depth: ReturnType<typeof read>, other: ReturnType<typeof read>) => ({
      at: '60 mm',
      near: depth,
      far: other,
      mouth: '1.34 mm',
      square: 'level' as const,
    });
    return {
      bar: {
        stamp: '325 .050',
        checks: { crack: 'no', bow: '0 mm', noseTurns: 'free' },
        edges: {
          A: { stations: [station(read(...near), read(6.02))], stands: 'yes' },
          B: { stations: [station(read(6.6), read(6.6))], stands: 'yes' },
        },
      },
    };
  };

  it('one more depth at its weakest station', () => {
    const SHOWN = 6.01;
    const before = appraised(sheet(SHOWN));
    const replaces = (appraisal: typeof before) => appraisal.doubts.bar!.shares.replace;
    const { draws, common } = before.bar.belief.least!;
    const place = before.bar.belief.along().A[0]!;
    const { normal, uniform } = seeded(16);
    let [rightBefore, right] = [0, 0];
    const RUNS = 500;
    for (let i = 0; i < RUNS; i += 1) {
      const draw = Math.floor(uniform() * draws.length);
      const isBad = draws[draw]! - common * normal() < 6;
      const after = appraised(
        sheet(SHOWN, place.rails.near[draw]! + Math.hypot(0.02, 0.01 / Math.sqrt(12)) * normal()),
      );
      rightBefore += Number(replaces(before) > 0.5 === isBad);
      right += Number(replaces(after) > 0.5 === isBad);
    }
    const found = drawnDoubt(before, 20_000, 17).parts.bar!.next.find(
      ({ measure }) => measure === 'bar.edges.A.stations.0.near',
    );
    expect(found?.tool).toBe('caliper');
    expect(Math.abs((right - rightBefore) / RUNS - found!.drop)).toBeLessThan(0.05);
  });
});

/** Standard uncertainty of a reading by feeler blade, mm, as the shop's figures have it. */
const BLADE_U = 0.0338;

describe('stated doubt on simulated sprockets with known truth', () => {
  it('is right within 3 points per tenth, and does not stray with the truth', () => {
    const { uniform, normal } = seeded(2026);
    const tenths = new Map<number, { stated: number[]; wrong: number[] }>();
    const all: [number, number][] = [];
    for (let i = 0; i < 8000; i += 1) {
      const truth = 0.33 + 0.34 * uniform();
      const read = truth + BLADE_U * normal();
      const { doubts, verdicts } = appraised({ driveSprocket: { wear: `${Math.max(0, read).toFixed(3)} mm` } });
      const doubt = doubts.driveSprocket!;
      const shown =
        verdicts.driveSprocket.action === 'undecided'
          ? doubt.shares.replace > 0.5
            ? 'replace'
            : 'keep'
          : verdicts.driveSprocket.action;
      const wrong = truth > 0.5 === (shown === 'replace') ? 0 : 1;
      const tenth = Math.floor(10 * doubt.wrong);
      const of = tenths.get(tenth) ?? { stated: [], wrong: [] };
      of.stated.push(doubt.wrong);
      of.wrong.push(wrong);
      tenths.set(tenth, of);
      all.push([doubt.wrong, wrong]);
    }
    for (const [tenth, { stated, wrong }] of tenths)
      if (wrong.length >= 200)
        expect(Math.abs(mean(stated) - mean(wrong)), `tenth ${tenth}`).toBeLessThan(0.03 + 1 / Math.sqrt(wrong.length));
    expect(
      sampleCorrelation(
        all.map(([stated]) => stated),
        all.map(([, wrong]) => wrong),
      ),
    ).toBeGreaterThan(0.3);
  });
});
