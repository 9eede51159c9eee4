import { inv, matrix, multiply, transpose, type Matrix } from 'mathjs';
import { describe, expect, it } from 'vitest';
import {
  alikeBelief,
  allAtLeast,
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
import { barBelief, stationsOf } from '../../src/core/bar';
import { normalCdf } from '../../src/core/quantity';
import { readSheet } from '../../src/core/sheet';
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
