import { mean as meanOf } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { learnedOf, lifetimes, NOTHING_SAID, piecesOf, pooled, type Lasted, type Visit } from '../../src/core/life';
import { DEFAULTS } from '../../src/core/limits';
import { random } from './truth/random';

describe('pooling', () => {
  // model.md §15.
  it('has the worked example', () => {
    const all = pooled([0.008, 0.01, 0.014].map((value) => ({ value, u: 0.001 })))!;
    expect(all.mean).toBeCloseTo(0.01067, 5);
    expect(all.spread).toBeCloseTo(0.00289, 5);
  });

  // Common practice, no source: equal doubts weigh equally.
  it('is the plain mean where all are known alike, with the scatter of the mean', () => {
    const values = [3.1, 2.2, 4.8, 3.9, 2.7];
    const all = pooled(values.map((value) => ({ value, u: 0.01 })))!;
    const mean = meanOf(values);
    const scatter = Math.sqrt(values.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (5 * 4));
    expect(all.mean).toBeCloseTo(mean, 6);
    expect(all.u).toBeCloseTo(scatter, 6);
    // Student's t, 0.9 one-sided at four degrees: 1.533 (common tables).
    expect(all.until - all.mean).toBeCloseTo(1.533 * scatter, 3);
  });

  it('is the same as the estimator written out plainly, and says nothing of one', () => {
    const known = [
      { value: 1.2, u: 0.3 },
      { value: 2.9, u: 0.5 },
      { value: 1.9, u: 0.2 },
      { value: 3.4, u: 0.4 },
    ];
    const w = known.map(({ u }) => u ** -2);
    const sum = (of: (i: number) => number) => w.reduce((all, _, i) => all + of(i), 0);
    const fixed = sum((i) => w[i]! * known[i]!.value) / sum((i) => w[i]!);
    const q = sum((i) => w[i]! * (known[i]!.value - fixed) ** 2);
    const tau2 = (q - 3) / (sum((i) => w[i]!) - sum((i) => w[i]! ** 2) / sum((i) => w[i]!));
    const each = known.map(({ u }) => 1 / (u * u + tau2));
    const mean = sum((i) => each[i]! * known[i]!.value) / sum((i) => each[i]!);
    const all = pooled(known)!;
    expect(all.mean).toBeCloseTo(mean, 12);
    expect(all.spread).toBeCloseTo(Math.sqrt(tau2), 12);
    expect(pooled(known.slice(0, 1))).toBeNull();
  });

  it('holds what pieces have in common eight times in ten, however few they are', () => {
    const { normal } = random(2911);
    for (const count of [3, 6, 20]) {
      let held = 0;
      for (let i = 0; i < ROUNDS; i += 1) {
        const known = Array.from({ length: count }, (_, j) => {
          const u = 0.5 + (j % 3) * 0.4;
          return { value: 10 + normal(0.8) + normal(u), u };
        });
        const { from, until } = pooled(known)!;
        if (from <= 10 && 10 <= until) held += 1;
      }
      expect(held / ROUNDS, `${count} pieces`).toBeGreaterThan(0.76);
      expect(held / ROUNDS, `${count} pieces`).toBeLessThan(0.88);
    }
  });
});
const ROUNDS = 1500;

describe('lives that have not ended', () => {
  /** A Weibull life of this middle and shape. */
  const lifeBy = (uniform: number, middle: number, shape: number) => middle * (-Math.log2(uniform)) ** (1 / shape);

  it('count as such, and never as ended: the middle is where the plain likelihood has it', () => {
    const lasted: readonly Lasted[] = [
      ...[20, 26, 31, 33, 38].map((hours) => ({ from: hours, until: hours })),
      ...[22, 30, 36].map((hours) => ({ from: hours, until: null })),
    ];
    const found = lifetimes(lasted)!;
    let best = { value: -Infinity, middle: 0 };
    for (let middle = 15; middle < 80; middle += 0.1)
      for (let shape = 0.6; shape <= 6; shape += 0.05) {
        const value = lasted.reduce((sum, { from, until }) => {
          const hazard = Math.LN2 * (from / middle) ** shape;
          return sum - hazard + (until === null ? 0 : Math.log((shape / from) * hazard));
        }, 0);
        if (value > best.value) best = { value, middle };
      }
    expect(found.middle / best.middle).toBeGreaterThan(0.96);
    expect(found.middle / best.middle).toBeLessThan(1.04);
    expect(found).toMatchObject({ ended: 5, going: 3 });
    // Those in use counted as ended would say less.
    const asEnded = lifetimes(lasted.map(({ from }) => ({ from, until: from })))!;
    expect(found.middle).toBeGreaterThan(asEnded.middle);
  });

  it('leave the middle within its interval eight times in ten', () => {
    const { between } = random(2912);
    let held = 0;
    for (let i = 0; i < LIVES; i += 1) {
      const lasted = Array.from({ length: 16 }, (_, j): Lasted => {
        const [hours, seen] = [lifeBy(1 - between(0, 1), 40, 2.2), between(20, 70)];
        if (hours > seen) return { from: seen, until: null };
        // Every third end was not seen itself.
        return j % 3 === 0 ? { from: hours * 0.8, until: hours * 1.1 } : { from: hours, until: hours };
      });
      const found = lifetimes(lasted);
      if (found && found.from <= 40 && 40 <= found.until) held += 1;
    }
    expect(held / LIVES).toBeGreaterThan(0.72);
    expect(held / LIVES).toBeLessThan(0.9);
  });

  it('say nothing while none has ended', () => {
    expect(lifetimes([{ from: 20, until: null }])).toBeNull();
    expect(lifetimes([])).toBeNull();
  });
});
const LIVES = 120;

describe('what the records of a shop teach', () => {
  /** A shop whose saws run four hours a week and come every ten weeks; its bars lose 0.01 mm an hour, all by dressing. */
  function shop(bars: number, seed: number) {
    const { normal } = random(seed);
    const pasts = Array.from({ length: bars }, (_, bar) => {
      const rate = 0.01 * (1 + normal(0.15));
      const visits = Array.from({ length: 5 }, (_, i): Visit => {
        const at = Date.UTC(2024, 0, 1) + i * 10 * 7 * 24 * 3600 * 1000;
        const depth = 12 - rate * 40 * i + normal(0.05);
        return {
          jobId: `${bar}-${i}`,
          tag: `L-${bar}-${i}`,
          came: new Date(at).toISOString(),
          went: new Date(at).toISOString(),
          facts: {
            ...{ brought: ['bar'], renewed: [], others: [], hoursPerWeek: 4, marks: { bar: { pitch: '325' } } },
            ...{ worked: { bar: ['dress-rails'] }, edge: { came: null, went: null }, found: {} },
            came: { 'bar.depth': { value: depth, u: 0.05 } },
            went: { 'bar.depth': { value: depth - rate * 40 + normal(0.05), u: 0.05 } },
          },
        };
      });
      return { saw: `saw-${bar}`, visits };
    });
    return piecesOf(pasts, NOTHING_SAID);
  }

  it('is what was put into them, with its count', () => {
    const { figures, forecasts } = learnedOf(shop(30, 2913), DEFAULTS);
    const loss = figures.find(({ id }) => id === 'bar.dress.loss')!;
    expect(loss.count).toBe(150);
    expect(Math.abs(loss.value - 0.4)).toBeLessThan(0.02);
    const hours = figures.find(({ id }) => id === 'plan.life.dressing')!;
    // What the figures take, at the rate of the shop.
    expect(hours.count).toBe(30);
    expect(Math.abs(hours.value / (DEFAULTS['bar.dress.loss'].value / 0.01) - 1)).toBeLessThan(0.1);
    expect(hours.from < hours.value && hours.value < hours.until).toBe(true);
    expect(forecasts).toEqual([{ wear: 'bar.depth', foreseen: 120, held: expect.any(Number) as number }]);
  });

  it('is narrower the more there is, and nothing where there is nothing', () => {
    const widthOf = (bars: number) => {
      const { from, until } = learnedOf(shop(bars, 2914), DEFAULTS).figures.find(
        ({ id }) => id === 'plan.life.dressing',
      )!;
      return until - from;
    };
    expect(widthOf(60)).toBeLessThan(widthOf(6));
    const none = learnedOf([], DEFAULTS);
    expect([none.figures, none.forecasts]).toEqual([[], []]);
    expect(none.lives.every(({ ended, going, hours }) => ended + going === 0 && hours === null)).toBe(true);
  });
});

describe('lives by the jobs of a shop', () => {
  /** A chain goes on new at each job that ends the one before, so many running hours apart. */
  function chains(hours: readonly number[]): readonly Visit[] {
    let at = Date.UTC(2024, 0, 1);
    return [0, ...hours].map((lasted, i): Visit => {
      at += (lasted / 4) * 7 * 24 * 3600 * 1000;
      const moment = new Date(at).toISOString();
      return {
        ...{ jobId: `job-${i}`, tag: `L-${i}`, came: moment, went: moment },
        facts: {
          ...{ brought: ['chain'], renewed: ['chain'], others: [], hoursPerWeek: 4, marks: {} },
          ...{ worked: {}, edge: { came: null, went: null }, found: {}, came: {}, went: {} },
        },
      };
    });
  }

  it('end since their last look where the job that replaced them did not look at them', () => {
    const [first, second] = chains([30]);
    const unseen = { ...second!, facts: { ...second!.facts, brought: [] } };
    const more = chains([28, 31, 33]).map((visit) => ({ ...visit, jobId: `other-${visit.jobId}` }));
    const middleWith = (replaced: Visit) => {
      const pasts = [
        { saw: 'saw', visits: [first!, replaced] },
        { saw: 'other', visits: more },
      ];
      const { lives } = learnedOf(piecesOf(pasts, NOTHING_SAID), DEFAULTS);
      return lives.find(({ part }) => part === 'chain')!.hours!.middle;
    };
    // Counted as ended at its last look, it would have lasted no hour at all.
    expect(Math.abs(middleWith(unseen) / middleWith(second!) - 1)).toBeLessThan(0.1);
  });

  it('are those of parts that went on new, with one in use', () => {
    const hours = [28, 31, 35, 30, 33, 29];
    const pieces = piecesOf([{ saw: 'saw', visits: chains(hours) }], NOTHING_SAID);
    const { lives, figures } = learnedOf(pieces, DEFAULTS);
    const life = lives.find(({ part }) => part === 'chain')!;
    expect(life).toMatchObject({ ended: hours.length, going: 1 });
    expect(Math.abs(life.hours!.middle - 31)).toBeLessThan(3);
    expect(figures.find(({ id }) => id === 'plan.life.chain')).toMatchObject({ count: hours.length });
  });
});
