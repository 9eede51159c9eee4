import { inv, matrix, multiply, transpose, type Matrix } from 'mathjs';
import { describe, expect, it } from 'vitest';
import {
  alikeBelief,
  allAtLeast,
  answered,
  believedPieces,
  CLOSE_ROWS,
  believedAt,
  correlation,
  dipChance,
  layoutOf,
  leastAlong,
  leastValue,
  leastWithin,
  pairBelief,
  profileBelief,
  shortestOf,
  type AlikeKind,
  type AlikeReading,
  type Make,
  type PairSighting,
  type ProfilePrior,
} from '../../src/core/belief';
import { barBelief, chanceOfAnswer, stationsOf, type LevelAnswer, type LevelTestKind } from '../../src/core/groove';
import { gaugesSeen, lengthAfterCorrection, noneHigher } from '../../src/core/chain';
import { estimate, measured, mm, normalCdf, type Bounds } from '../../src/core/quantity';
import { readSheet } from '../../src/core/sheet';
import { crookedCut, noisyOr, oddsOf } from '../../src/core/symptom';
import { random } from './truth/random';

const make: Make = { levelSpread: 0.5, scale: 0.2, weight: 1 };
const prior: ProfilePrior = { level: 7, makes: [make] };
const ats = [40, 120, 210, 330];
const values = [7.2, 7.05, 6.8, 7.1];
const places = [40, 80, 120, 165, 210, 270, 330];
const sightings = ats.map((at, i) => ({ at, value: values[i]!, variance: 0.0025 }));

/** Covariance of two places by the prior. */
const covariance = (a: number, b: number, { levelSpread, scale }: Make = make) =>
  levelSpread ** 2 + scale ** 2 * correlation(Math.abs(a - b));

describe('a profile from all its readings (Rasmussen & Williams, Gaussian Processes for Machine Learning, eq. 2.25 and 2.26)', () => {
  it('has the mean and the variance that the formula gives with a library’s inverse', () => {
    const belief = profileBelief(sightings, layoutOf(ats, places), prior);
    const readings = matrix(ats.map((a, i) => ats.map((b, j) => covariance(a, b) + (i === j ? 0.0025 : 0))));
    const inverse = inv(readings);
    places.forEach((place, j) => {
      const toReadings = matrix([ats.map((at) => covariance(at, place))]);
      const weights = multiply(toReadings, inverse);
      const mean = multiply(weights, matrix(values.map((value) => [value - 7]))).get([0, 0]) as number;
      const taken = (multiply(weights, transpose(toReadings)) as Matrix).get([0, 0]) as number;
      const { mean: ours, u } = believedAt(belief, j);
      expect(ours).toBeCloseTo(7 + mean, 9);
      expect(u ** 2).toBeCloseTo(covariance(place, place) - taken, 9);
    });
  });

  it('weighs the ways of being made by how well they explain the readings (eq. 5.8)', () => {
    const makes = [
      { levelSpread: 0.5, scale: 0.01, weight: 1 },
      { levelSpread: 0.5, scale: 0.3, weight: 1 },
    ];
    const weightOf = (readings: number[]) => {
      const made = readings.map((value, i) => ({ at: ats[i]!, value, variance: 0.0025 }));
      const { components } = profileBelief(made, layoutOf(ats, places), { level: 7, makes });
      return components.find(({ made: { scale } }) => scale === 0.3)?.weight ?? 0;
    };
    expect(weightOf([7.0, 7.05, 6.95, 7.0])).toBeLessThan(0.2);
    expect(weightOf([7.6, 6.7, 7.5, 6.6])).toBeGreaterThan(0.99);
  });

  it('asks one question of the least: at a lone place it is that of the reading itself', () => {
    const belief = profileBelief([sightings[0]!], layoutOf([40], [40]), {
      level: null,
      makes: [{ ...make, levelSpread: 30 }],
    });
    const least = leastAlong(belief, 0.02, new Map(), 0, CLOSE_ROWS);
    expect(leastValue(least).u).toBeCloseTo(Math.hypot(0.05, 0.02), 2);
    expect(leastWithin(least, 7.1)).toBeCloseTo(normalCdf(0.1 / Math.hypot(0.05, 0.02)), 1);
  });

  it('of two profiles read alike is what it is of each by itself', () => {
    const second: Make = { levelSpread: 0.2, scale: 0.1, weight: 1 };
    const steps = [0.1, 0.3, 0.2, -0.1];
    const pair = ats.flatMap((at, i): readonly PairSighting[] =>
      [1, -1].map((sign) => ({
        at,
        first: 1,
        second: sign / 2,
        value: values[i]! + (sign * steps[i]!) / 2,
        variance: 0.005,
      })),
    );
    const [together] = pairBelief(pair, places, [{ first: make, second, weight: 1 }], 7);
    const mean = profileBelief(sightings, layoutOf(ats, places), prior);
    const step = profileBelief(
      ats.map((at, i) => ({ at, value: steps[i]!, variance: 0.01 })),
      layoutOf(ats, places),
      { level: 0, makes: [second] },
    );
    places.forEach((_, j) => {
      expect(together!.mean[j]).toBeCloseTo(believedAt(mean, j).mean, 9);
      expect(together!.mean[places.length + j]).toBeCloseTo(believedAt(step, j).mean, 9);
    });
  });
});

describe('rails read with two tools, or one of them alone', () => {
  const believed = (stations: object[]) => {
    const read = readSheet({ format: 'serrata-bench-sheet', version: 1, bar: { edges: { A: { stations } } } });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    const along = { A: stationsOf(read.value.bar, 'A'), B: [] };
    return barBelief(along, { A: null, B: null }, { depths: [6], step: 0.1 }).edges.A!;
  };
  const coarse = (depth: string) => ({ repeats: [depth], instrument: 'depth-marks' });

  it('each keep what their own tool shows: a coarse reading of one rail hides no fine one of the other', () => {
    const [place] = believed([{ at: '100 mm', near: coarse('7.5 mm'), far: '6.0 mm' }]).stations;
    expect(place!.far.value).toBeCloseTo(6, 1);
    expect(place!.far.u).toBeLessThan(0.08);
    expect(place!.near.u).toBeGreaterThan(place!.far.u);
  });

  it('a rail that was not read is thought to stand near the other, and no surer than that', () => {
    const [place] = believed([{ at: '100 mm', far: '6.4 mm' }]).stations;
    expect(place!.far.value).toBeCloseTo(6.4, 2);
    expect(place!.near.value).toBeCloseTo(6.4, 1);
    expect(place!.near.u).toBeGreaterThan(0.07);
  });
});

describe('the shortest of many', () => {
  const pieces = [4.12, 4.2, 4.08, 4.3, 4.15].map((value) => ({ value, own: 0.04 }));
  const KIND: AlikeKind = {
    spreads: [0.02, 0.05, 0.1, 0.2, 0.4, 0.8].map((spread) => [spread, 1] as const),
    odd: { share: 0.03, spread: 0.4 },
  };
  /** Pieces that tell nothing of one another. */
  const each = (readings: readonly AlikeReading[]) => ({
    belief: alikeBelief(readings, { spreads: [[1e3, 1]], odd: { share: 0, spread: 0 } }),
    pieces: readings.map((_, reading) => ({ reading, off: 0, u: 0, bias: 1 })),
  });

  it('has the chance and the moments that a simulation has', () => {
    const { normal } = random(11);
    const draws = Array.from({ length: 40_000 }, () => {
      const common = normal(0.03);
      return Math.min(...pieces.map(({ value, own }) => value + normal(own))) + common;
    });
    const mean = draws.reduce((sum, each) => sum + each, 0) / draws.length;
    const spread = Math.sqrt(draws.reduce((sum, each) => sum + (each - mean) ** 2, 0) / draws.length);
    for (const limit of [4, 4.03, 4.08])
      expect(allAtLeast([each(pieces)], limit, 0.03, 0)).toBeCloseTo(
        draws.filter((each) => each >= limit).length / draws.length,
        1.7,
      );
    expect(shortestOf(pieces, 0.03)!.value).toBeCloseTo(mean, 2);
    expect(shortestOf(pieces, 0.03)!.u).toBeCloseTo(spread, 2);
  });

  it('of one is the one, and of none is nothing', () => {
    expect(allAtLeast([each([{ value: 4.05, own: 0.03 }])], 4, 0.04, 0)).toBeCloseTo(normalCdf(1), 3);
    expect(shortestOf([], 0.03)).toBeNull();
  });

  it('draws readings together where they scatter more than the pieces do, and leaves them where they do not', () => {
    const noise = random(3);
    const alike = Array.from({ length: 30 }, () => ({ value: 5 + noise.normal(0.05), own: 0.05 }));
    const spread = (list: readonly { value: number }[]) =>
      Math.max(...list.map(({ value }) => value)) - Math.min(...list.map(({ value }) => value));
    expect(spread(believedPieces(alikeBelief(alike, KIND)))).toBeLessThan(spread(alike) / 2);
    const unlike = [4.2, 5.1, 4.7, 5.6, 4.9].map((value) => ({ value, own: 0.02 }));
    believedPieces(alikeBelief(unlike, KIND)).forEach(({ value }, i) => expect(value).toBeCloseTo(unlike[i]!.value, 2));
  });
});

describe('a dip of one reading', () => {
  it('is likely where it lies far below all others, and nothing where it does not', () => {
    const chance = (value: number) => dipChance({ at: 0, value, variance: 0.0025 }, 7.98, 0.0003);
    expect(chance(8)).toBe(0);
    expect(chance(7.95)).toBeLessThan(0.01);
    expect(chance(7.6)).toBeGreaterThan(0.9);
  });

  it('says nothing of a place that no other reading knows', () => {
    expect(dipChance({ at: 0, value: 7, variance: 0.0025 }, 7, 0.0025)).toBe(0);
  });
});

describe('check values of one belief (model §18)', () => {
  /**
   * Chance that one step common to an edge is beyond 0.10 mm, after answers, by a plain sum over its prior N(0, 0.14).
   */
  function after(kind: LevelTestKind, says: readonly LevelAnswer[], isBeyond: (step: number) => boolean): number {
    let [beyond, all] = [0, 0];
    for (let step = -1; step <= 1; step += 0.0005) {
      const weight = says.reduce(
        (product, answer) => product * chanceOfAnswer(kind, answer, step),
        Math.exp(-(step ** 2) / (2 * 0.14 ** 2)),
      );
      all += weight;
      if (isBeyond(step)) beyond += weight;
    }
    return beyond / all;
  }
  const near = (times: number): LevelAnswer[] => Array.from({ length: times }, () => 'near');
  const over = (step: number) => step >= 0.1;

  it.each([
    ['square', [0.238, 0.728, 0.84, 0.89]],
    ['blade', [0.238, 0.894, 0.974, 0.99]],
  ] as const)('by %s: a step after nought to three times near high', (kind, wanted) => {
    wanted.forEach((chance, times) => expect(after(kind, near(times), over)).toBeCloseTo(chance, 2));
  });

  it('after one level, and after near, near, level', () => {
    const beyond = (step: number) => Math.abs(step) >= 0.1;
    expect(after('square', ['level'], beyond)).toBeCloseTo(0.039, 2);
    expect(after('blade', ['level'], beyond)).toBeCloseTo(0.071, 2);
    expect(after('square', [...near(2), 'level'], over)).toBeCloseTo(0.285, 2);
    expect(after('blade', [...near(2), 'level'], over)).toBeCloseTo(0.738, 1.9);
  });

  it('the three answers share every chance, blunders included', () => {
    for (const kind of ['square', 'blade', 'marker', 'stands'] as const)
      for (const step of [-0.3, -0.1, 0, 0.05, 0.2]) {
        const all = (['level', 'near', 'far'] as const).map((says) => chanceOfAnswer(kind, says, step));
        expect(all.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 12);
        expect(Math.min(...all)).toBeGreaterThanOrEqual(0.01);
      }
  });

  it('draws of a tested edge have the chance that a plain sum has', () => {
    const way = { weight: 1, mean: Float64Array.of(0), factor: Float64Array.of(0.14) };
    for (const says of [near(1), near(3), [...near(2), 'level'] as LevelAnswer[]]) {
      const value = {
        of: Float64Array.of(1),
        answers: says.map((answer) => (step: number) => chanceOfAnswer('blade', answer, step)),
        guide: { value: 0.2, variance: 0.01 },
      };
      const { paths, effective } = answered([way], [value], 1024);
      const share = paths.filter(over).length / paths.length;
      expect(share).toBeCloseTo(after('blade', says, over), 1.5);
      expect(effective).toBeGreaterThan(57);
    }
  });

  it.each([
    ['thirty read 0.65', [[30, 0.65]], 0.9997],
    ['one of thirty reads 0.55', [[29, 0.65], [1, 0.55]], 0.897], // prettier-ignore
    ['one of thirty reads 0.50', [[29, 0.65], [1, 0.5]], 0.126], // prettier-ignore
    ['one of thirty reads 0.45', [[29, 0.65], [1, 0.45]], 0.003], // prettier-ignore
    ['half read 0.55 and half 0.60', [[15, 0.55], [15, 0.6]], 0.564], // prettier-ignore
  ] as const)('depth gauges, none above the setting less 0.10, by blade: %s', (_, read, wanted) => {
    const heights = read.flatMap(([times, height]) =>
      Array.from({ length: times }, () => estimate(measured([mm(height)], 'feeler'))!),
    );
    const seen = gaugesSeen({ left: heights.map((height) => ({ lo: height, hi: height })), right: [] }, 'hi')!;
    // Oddness is found at the likeliest mean and not summed over: that costs a hundredth at most.
    expect(Math.abs(noneHigher(seen, 0.55) - wanted)).toBeLessThan(0.01);
  });

  const two = [
    { cause: 'groove-worn', present: 0.5, strength: 0.8 },
    { cause: 'bar-bent', present: 0.2, strength: 0.5 },
  ] as const;

  it('causes add up: present, acting, unexplained', () => {
    const { causes, unexplained, unexplainedShare } = noisyOr(two, 0.05);
    const [first, second] = causes;
    expect(first).toMatchObject({ cause: 'groove-worn' });
    expect([first!.present, second!.present].map((chance) => chance.toFixed(3))).toEqual(['0.851', '0.294']);
    expect([first!.acting, second!.acting].map((chance) => chance.toFixed(3))).toEqual(['0.821', '0.205']);
    expect(unexplained).toBeCloseTo(0.103, 3);
    expect(first!.share + second!.share + unexplainedShare).toBeCloseTo(1, 12);
  });

  it('a crooked cut: the odds of both sides from the sum of what pulls', () => {
    const odds = (parts: readonly (readonly [number, number])[]) =>
      Object.values(
        oddsOf({
          mean: parts.reduce((sum, [mean]) => sum + mean, 0),
          u: Math.hypot(...parts.map(([, u]) => u)),
        }),
      ).map((chance) => Number(chance.toFixed(3)));
    expect(odds([[8, 2], [4, 1]])).toEqual([0.015, 0.067, 0.918]); // prettier-ignore
    expect(odds([[10, 2], [-9, 2]])).toEqual([0.058, 0.82, 0.123]); // prettier-ignore
  });
});

describe('causes that add up, against a plain sum over all worlds', () => {
  it('have the chances that counting every combination gives', () => {
    const given = [
      ['groove-worn', 0.3, 0.6],
      ['rails-unlevel', 0.12, 0.8],
      ['bar-bent', 0.05, 0.8],
      ['cutters-dull', 0.6, 0.4],
    ] as const;
    const causes = given.map(([cause, present, strength]) => ({ cause, present, strength }));
    const lambda = 0.03;
    const wanted = given.map(() => ({ present: 0, acting: 0 }));
    let [complaint, unexplained] = [0, 0];
    // A world: which causes are present, which of those act, and whether something unknown does.
    for (let world = 0; world < 2 ** (2 * given.length + 1); world += 1) {
      const bit = (i: number) => (world >> i) & 1;
      const isUnknown = bit(2 * given.length) === 1;
      let chance = isUnknown ? lambda : 1 - lambda;
      let isThere = isUnknown;
      given.forEach(([, present, strength], i) => {
        const [is, acts] = [bit(2 * i) === 1, bit(2 * i + 1) === 1];
        chance *= is ? present * (acts ? strength : 1 - strength) : acts ? 0 : 1 - present;
        isThere ||= acts;
      });
      if (!isThere) continue;
      complaint += chance;
      if (isUnknown) unexplained += chance;
      wanted.forEach((each, i) => {
        if (bit(2 * i)) each.present += chance;
        if (bit(2 * i + 1)) each.acting += chance;
      });
    }
    const found = noisyOr(causes, lambda);
    given.forEach(([cause], i) => {
      const standing = found.causes.find((each) => each.cause === cause)!;
      expect(standing.present).toBeCloseTo(wanted[i]!.present / complaint, 12);
      expect(standing.acting).toBeCloseTo(wanted[i]!.acting / complaint, 12);
    });
    expect(found.unexplained).toBeCloseTo(unexplained / complaint, 12);
  });

  it('a crooked cut has the chances that drawing it plainly gives', () => {
    const part = (
      cause: 'rails-unlevel' | 'cutters-uneven' | 'bar-bent',
      present: number,
      mean: number,
      u: number,
    ) => ({
      cause,
      present,
      faulty: { mean, u },
      sound: { mean: 0, u: 1 },
    });
    const parts = [part('rails-unlevel', 0.7, 9, 3), part('cutters-uneven', 0.4, -5, 2), part('bar-bent', 0.05, 0, 9)];
    const draw = random(18);
    const sums = parts.map(() => ({ present: 0, acting: 0 }));
    let [all, unexplained] = [0, 0];
    for (let run = 0; run < 200_000; run += 1) {
      const drawn = parts.map(({ present, faulty, sound }) => {
        const isFaulty = draw.chance(present);
        const { mean, u } = isFaulty ? faulty : sound;
        return { isFaulty, pull: mean + draw.normal(u) };
      });
      const drift = drawn.reduce((sum, { pull }) => sum + pull, 0);
      if (!draw.chance(0.955 * normalCdf((drift - 6) / 3) + 0.015)) continue;
      all += 1;
      const atWork = drawn.map(({ isFaulty, pull }) => isFaulty && pull >= 1.5);
      if (!atWork.includes(true)) unexplained += 1;
      drawn.forEach(({ isFaulty }, i) => {
        if (isFaulty) sums[i]!.present += 1;
        if (atWork[i]) sums[i]!.acting += 1;
      });
    }
    const found = crookedCut(parts, 'right', () => []);
    parts.forEach(({ cause }, i) => {
      const standing = found.causes.find((each) => each.cause === cause)!;
      expect(standing.present, cause).toBeCloseTo(sums[i]!.present / all, 1.5);
      expect(standing.acting, cause).toBeCloseTo(sums[i]!.acting / all, 1.5);
    });
    expect(found.unexplained).toBeCloseTo(unexplained / all, 1.5);
  });
});

describe('filing back (model §18)', () => {
  const known = (value: number): Bounds => {
    const both = { value: mm(value), u: 0 };
    return { lo: both, hi: both };
  };
  const cutters = { left: [known(6), known(6)], right: [] };
  const filed = (place: 'corner' | 'behind', setBack: number, angle: number) =>
    lengthAfterCorrection(cutters, [{ side: 'left', cutter: 1, setBack: known(setBack), place }], {
      left: { value: mm(angle), u: 0 },
    })!.length.value;

  it('takes the larger of damage and angle at the working corner, and both where the damage sits behind it', () => {
    expect(filed('corner', 1.2, 0.8)).toBeCloseTo(4.8, 9);
    expect(filed('corner', 0.5, 0.8)).toBeCloseTo(5.2, 9);
    expect(filed('behind', 1.2, 0.8)).toBeCloseTo(4, 9);
  });

  it('holds what goes of a cutter in one figure', () => {
    const found = lengthAfterCorrection(cutters, [{ side: 'left', cutter: 1, setBack: known(1.2), place: 'behind' }], {
      left: { value: mm(0.8), u: 0 },
    })!;
    expect(found.going!.share.value).toBeCloseTo((100 * (6 - found.length.value)) / 6, 9);
  });
});
