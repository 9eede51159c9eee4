import fc from 'fast-check';
import { mean, sampleCorrelation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { assess } from '../../src/core/assess';
import { DESERVED, drawnShares, moversOf, seeded, sharesOf, type Factor } from '../../src/core/doubt';
import { DEFAULTS } from '../../src/core/limits';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';
import { anySheet } from '../support/sheets';

type Parts = Omit<WrittenBenchSheet, 'format' | 'version'>;
function appraised(parts: Parts) {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return assess(read.value, DEFAULTS);
}

const factor = (over: Partial<Factor>): Factor => ({
  group: 'one',
  calls: 'replace',
  well: 0.9,
  measure: 'bar.checks.bow',
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
    const { checks, doubts, hangsOn, verdicts } = appraised({ driveSprocket: { wear: '0.55 mm' } });
    const check = checks.find(({ id }) => id === 'sprocket.wear')!;
    expect(verdicts.driveSprocket.action).toBe('undecided');
    expect(doubts.driveSprocket!.shares.replace).toBeCloseTo(1 - check.probability!, 12);
    expect(doubts.driveSprocket!.wrong).toBeCloseTo(Math.min(check.probability!, 1 - check.probability!), 12);
    const drawn = drawnShares(hangsOn.driveSprocket!, 200_000, seeded(7));
    expect(drawn.replace).toBeCloseTo(1 - check.probability!, 2);
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

  it('sums to one, and draws agree with the closed form, on any factors and any sheet', () => {
    fc.assert(
      fc.property(factors, fc.integer({ min: 0, max: 1e9 }), (given, seed) => {
        const shares = sharesOf(given);
        const drawn = drawnShares(given, 20_000, seeded(seed));
        expect(DESERVED.reduce((sum, each) => sum + shares[each], 0)).toBeCloseTo(1, 9);
        // Five standard deviations of a share by 20 000 draws.
        for (const each of DESERVED)
          expect(Math.abs(drawn[each] - shares[each]), each).toBeLessThan(
            5 * Math.sqrt(Math.max(shares[each] * (1 - shares[each]), 1e-4) / 20_000),
          );
      }),
      { seed: 88, numRuns: 60 },
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
      { seed: 89, numRuns: 60 },
    );
  });

  it('what is read off one thing comes out together: two limits on one depth are no two risks', () => {
    const one = [factor({ well: 0.9 })];
    const two = [factor({ well: 0.9 }), factor({ well: 0.95 })];
    expect(sharesOf(two).replace).toBeCloseTo(sharesOf(one).replace, 12);
    expect(sharesOf([factor({ well: 0.9 }), factor({ group: 'two', well: 0.9 })]).replace).toBeCloseTo(0.19, 12);
  });

  it('a tighter reading never raises the chance of a wrong verdict on average: knowing one thing never does', () => {
    fc.assert(
      fc.property(factors, (given) => {
        const movedBy = moversOf(given);
        const all = movedBy.reduce((sum, { share }) => sum + share, 0);
        for (const { share } of movedBy) expect(share).toBeGreaterThanOrEqual(0);
        if (movedBy.length > 0) expect(all).toBeCloseTo(1, 9);
      }),
      { seed: 90, numRuns: 200 },
    );
  });
});

/** Standard uncertainty of a reading by feeler blade, mm, as the shop's figures have it. */
const BLADE_U = 0.0338;

describe('stated doubt on simulated sprockets with known truth', () => {
  it('is right within 3 points per tenth, and does not stray with the truth', () => {
    const next = seeded(2026);
    const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
    const tenths = new Map<number, { stated: number[]; wrong: number[] }>();
    const all: [number, number][] = [];
    for (let i = 0; i < 8000; i += 1) {
      const truth = 0.33 + 0.34 * next();
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
