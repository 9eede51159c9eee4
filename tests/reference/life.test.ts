import { linearRegression } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { backtest, byDay, lineAt, reachedBy, reachOf, usualRate, wearLine, type Look } from '../../src/core/life';
import { DEFAULTS } from '../../src/core/limits';
import { random } from './truth/random';

/** Looks at hours from the first; each with its own doubt, hours exact. */
const looksAt = (points: readonly (readonly [hours: number, value: number])[], u: number): readonly Look[] =>
  points.map(([hours, value], i) => ({ value, u, gap: i === 0 ? 0 : hours - points[i - 1]![0], gapU: 0 }));

/** NIST StRD, linear regression, data set Norris: y, x (from memory; the certified values below tell a slip). */
const NORRIS = [
  [0.1, 0.2],
  [338.8, 337.4],
  [118.1, 118.2],
  [888.0, 884.6],
  [9.2, 10.1],
  [228.1, 226.5],
  [668.5, 666.3],
  [998.5, 996.3],
  [449.1, 448.6],
  [778.9, 777.0],
  [559.2, 558.2],
  [0.3, 0.4],
  [0.1, 0.6],
  [778.1, 775.5],
  [668.8, 666.9],
  [339.3, 338.0],
  [448.9, 447.5],
  [10.8, 11.6],
  [557.7, 556.0],
  [228.3, 228.1],
  [998.0, 995.8],
  [888.8, 887.6],
  [119.6, 120.2],
  [0.3, 0.3],
  [0.6, 0.3],
  [557.6, 556.8],
  [339.3, 339.1],
  [888.0, 887.2],
  [998.5, 999.0],
  [778.9, 779.0],
  [10.2, 11.1],
  [117.6, 118.3],
  [228.9, 229.2],
  [668.4, 669.1],
  [449.2, 448.9],
  [0.2, 0.5],
] as const;

describe('NIST StRD Norris, from memory', () => {
  const points = NORRIS.map(([y, x]) => [x, y] as const).sort(([one], [other]) => one - other);
  const line = wearLine(looksAt(points, 1), null);
  const residual = Math.sqrt(line.misfit.chiSquare / line.misfit.degrees);

  it('has the certified slope, intercept and residual standard deviation', () => {
    expect(line.rate.value).toBeCloseTo(1.00211681802045, 11);
    expect(lineAt(line, -points.at(-1)![0]).value).toBeCloseTo(-0.262323073774029, 9);
    expect(residual).toBeCloseTo(0.884796396144373, 11);
  });

  it('has the certified standard deviations, with the scatter of the data as their doubt', () => {
    expect(line.rate.u * residual).toBeCloseTo(0.429796848199937e-3, 12);
    expect(lineAt(line, -points.at(-1)![0]).u * residual).toBeCloseTo(0.232818234301152, 9);
  });

  it('is the line of a general library', () => {
    const { m, b } = linearRegression(points.map(([x, y]) => [x, y]));
    expect(line.rate.value).toBeCloseTo(m, 11);
    expect(lineAt(line, -points.at(-1)![0]).value).toBeCloseTo(b, 9);
  });
});

describe('the worked example of the model', () => {
  const looks = looksAt(
    [
      [0, 8.0],
      [40, 7.6],
      [80, 7.3],
    ],
    0.07,
  );
  const prior = { value: -0.01, u: 0.004 };

  it('is least squares where nothing is known of such pieces', () => {
    const { rate } = wearLine(looks, null);
    expect(rate.value).toBeCloseTo(-0.00875, 8);
    expect(rate.u).toBeCloseTo(0.00124, 5);
  });

  it('leans on what is known of such pieces as far as it must', () => {
    const { rate } = wearLine(looks, prior);
    expect(rate.value).toBeCloseTo(-0.00886, 5);
    expect(rate.u).toBeCloseTo(0.00118, 5);
  });

  it('reaches its limit within its band', () => {
    const { middle, from, until, already } = reachOf(wearLine(looks, prior), 6, 'min');
    expect(Math.round(80 + middle!)).toBe(224);
    expect(Math.round(80 + from!)).toBe(197);
    expect(Math.round(80 + until!)).toBe(263);
    expect(already).toBeLessThan(1e-6);
  });

  it('has the band of plain draws', () => {
    const { normal } = random(4242);
    const line = wearLine(looks, prior);
    const slope = line.covariance / line.now.u;
    const rest = Math.sqrt(line.rate.u ** 2 - slope ** 2);
    const draws = Array.from({ length: 40_000 }, () => {
      const z = normal(1);
      const rate = line.rate.value + slope * z + rest * normal(1);
      return (line.now.value + line.now.u * z - 6) / -rate;
    }).sort((one, other) => one - other);
    const { middle, from, until } = reachOf(line, 6, 'min');
    const at = (share: number) => draws[Math.round(share * draws.length)]!;
    for (const [hour, share] of [
      [from, 0.1],
      [middle, 0.5],
      [until, 0.9],
    ] as const)
      expect(Math.abs(hour! - at(share))).toBeLessThan(1.5);
  });
});

describe('one look', () => {
  it('goes on as such pieces do', () => {
    const prior = { value: -0.01, u: 0.004 };
    const line = wearLine([{ value: 8, u: 0.07, gap: 0, gapU: 0 }], prior);
    expect(line.rate.value).toBeCloseTo(prior.value, 12);
    expect(line.rate.u).toBeCloseTo(prior.u, 12);
    expect(line.now.value).toBeCloseTo(8, 9);
    expect(line.now.u).toBeCloseTo(0.07, 9);
  });

  it('of a bar comes to the hours that its plans count', () => {
    // Two dressings of 0.3 mm above 6.0, fifty hours each.
    const line = wearLine([{ value: 6.6, u: 0.01, gap: 0, gapU: 0 }], usualRate('bar.depth', DEFAULTS));
    expect(reachOf(line, 6, 'min').middle).toBeCloseTo(2 * DEFAULTS['plan.life.dressing'].value, 6);
  });
});

describe('simulated fleets with known wear', () => {
  const LIMIT = 6;
  const PRIOR = { value: -0.01, u: 0.003 };
  const TOLD = 0.15;

  /** A piece with known truth: looked at every so often, its hours told 15 % off, each time anew. */
  function piece(seed: number, many: number) {
    const { normal, between } = random(seed);
    const rate = Math.min(-0.001, PRIOR.value + PRIOR.u * normal(1));
    let depth = between(8.4, 8.8) + 0.3 * many;
    const looks = Array.from({ length: many }, (_, i): Look => {
      const told = i === 0 ? 0 : between(20, 40);
      const gap = told * (1 + TOLD * normal(1));
      depth += rate * gap;
      return { value: depth + 0.07 * normal(1), u: 0.07, gap: told, gapU: told * TOLD };
    });
    return { looks, truth: (LIMIT - depth) / rate };
  }

  it.each([1, 2, 3, 5, 8])('hold the true hour within the band of eight in ten after %i looks', (many) => {
    const pieces = Array.from({ length: 1500 }, (_, i) => piece(1000 * many + i, many));
    const held = pieces.filter(({ looks, truth }) => {
      const { from, until } = reachOf(wearLine(looks, PRIOR), LIMIT, 'min');
      return truth >= from! && truth <= (until ?? Infinity);
    });
    expect(held.length / pieces.length).toBeGreaterThan(0.76);
    expect(held.length / pieces.length).toBeLessThan(0.84);
  });

  it('foresee each next look from those before within the band of eight in ten, by their backtest', () => {
    const tries = Array.from({ length: 400 }, (_, i) => backtest(piece(30_000 + i, 8).looks, PRIOR));
    const sum = (of: (each: (typeof tries)[number]) => number) => tries.reduce((all, each) => all + of(each), 0);
    expect(sum(({ foreseen }) => foreseen)).toBe(400 * 7);
    const share = sum(({ held }) => held) / (400 * 7);
    expect(share).toBeGreaterThan(0.76);
    expect(share).toBeLessThan(0.84);
  });

  it('tell the day as well as the hours a week allow', () => {
    const held = Array.from({ length: 1500 }, (_, i) => {
      const { looks, truth } = piece(90_000 + i, 4);
      const { normal } = random(500_000 + i);
      const week = 10 * Math.max(0.2, 1 + 0.3 * normal(1));
      const line = byDay(wearLine(looks, PRIOR), { hoursPerWeek: 10, u: 3 });
      const { from, until } = reachOf(line, LIMIT, 'min');
      const day = (truth / week) * 7;
      return day >= from! && day <= (until ?? Infinity);
    }).filter(Boolean).length;
    expect(held / 1500).toBeGreaterThan(0.76);
    expect(held / 1500).toBeLessThan(0.84);
  });

  it('have a narrower band the more was looked at, on average', () => {
    const width = (many: number) =>
      Array.from({ length: 200 }, (_, i) => {
        const line = wearLine(piece(7000 + i, many).looks, PRIOR);
        return line.rate.u;
      }).reduce((sum, each) => sum + each, 0);
    expect(width(2)).toBeLessThan(width(1));
    expect(width(4)).toBeLessThan(width(2));
    expect(width(8)).toBeLessThan(width(4));
  });

  it('mind looks that lie further off a line than their doubt allows', () => {
    const off = looksAt(
      [
        [0, 8.0],
        [20, 6.9],
        [40, 7.9],
        [60, 6.8],
      ],
      0.05,
    );
    const calm = looksAt(
      [
        [0, 8.0],
        [20, 7.8],
        [40, 7.6],
        [60, 7.4],
      ],
      0.05,
    );
    expect(wearLine(off, PRIOR).rate.u).toBeGreaterThan(4 * wearLine(calm, PRIOR).rate.u);
  });

  it('never reach a limit before they have, and surely once far beyond', () => {
    const line = wearLine(piece(3, 4).looks, PRIOR);
    expect(reachedBy(line, 0, 'min', 0)).toBeLessThan(1e-9);
    expect(reachedBy(line, 12, 'min', 0)).toBeGreaterThan(1 - 1e-9);
    expect(reachOf(line, 12, 'min')).toMatchObject({ middle: 0, from: 0, until: 0 });
  });
});
