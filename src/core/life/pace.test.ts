import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { middleOf } from '../quantity';
import type { Operation } from '../sheet';
import { pacesOf, spellsOf, type Logged } from './pace';

const at = (minutes: number): string => new Date(Date.UTC(2026, 2, 2, 8) + Math.round(minutes * 60_000)).toISOString();

/** Something typed, or work that is done by then. */
const wrote = (minutes: number, more: Partial<Omit<Logged, 'at' | 'work'>> & { done?: readonly Operation[] } = {}) => {
  const { done, jobId = 'J', by = 'Ines' } = more;
  return { jobId, by, at: at(minutes), work: done ? { place: 'bar.reworkDone', done } : null } satisfies Logged;
};

describe('spells of work', () => {
  it('run from what the same person wrote on the job before until it is ticked off', () => {
    const log = [
      wrote(0),
      wrote(9, { done: ['dress-rails'] }),
      wrote(9.1, { by: 'Tam', jobId: 'K' }),
      wrote(14, { done: ['dress-rails', 'deburr'] }),
    ];
    expect(spellsOf(log)).toEqual([
      { operations: ['dress-rails'], minutes: 9 },
      { operations: ['deburr'], minutes: 5 },
    ]);
  });

  it('have no beginning that is known where nobody wrote before, or the person wrote elsewhere', () => {
    expect(spellsOf([wrote(9, { done: ['deburr'] })])).toEqual([]);
    expect(spellsOf([wrote(0), wrote(4, { jobId: 'K' }), wrote(9, { done: ['deburr'] })])).toEqual([]);
    expect(spellsOf([wrote(0, { by: 'Tam' }), wrote(9, { done: ['deburr'] })])).toEqual([]);
  });

  it('are one where work is ticked off at once, and none where it was written down afterwards or overnight', () => {
    const two = [wrote(0), wrote(8, { done: ['deburr'] }), wrote(8.2, { done: ['deburr', 'close-rails'] })];
    expect(spellsOf(two)).toEqual([
      { operations: ['deburr', 'close-rails'], minutes: expect.closeTo(8.2, 3) as number },
    ]);
    expect(spellsOf([wrote(0), wrote(0.3, { done: ['deburr'] })])).toEqual([]);
    expect(spellsOf([wrote(0), wrote(600, { done: ['deburr'] })])).toEqual([]);
  });

  it('tell nothing of work that is taken back, and of a tick again only what came new', () => {
    const log = [wrote(0), wrote(5, { done: ['deburr'] }), wrote(7, { done: [] }), wrote(10, { done: ['deburr'] })];
    expect(spellsOf(log).map(({ minutes }) => minutes)).toEqual([5, 3]);
  });
});

describe('how long work takes', () => {
  const spells = (operations: readonly Operation[], ...minutes: number[]) =>
    minutes.map((each) => ({ operations, minutes: each }));

  it('is told of four times that an operation was done by itself', () => {
    expect(pacesOf(spells(['deburr'], 4, 5, 6)).each).toEqual([]);
    expect(pacesOf(spells(['deburr'], 4, 5, 6, 50)).each).toEqual([
      { operation: 'deburr', count: 4, middle: 5.5, from: 4, until: 50 },
    ]);
  });

  it('goes into the figures of plans by kind, shared evenly; dressing and service into none', () => {
    const all = [
      ...spells(['deburr', 'close-rails'], 10, 12, 14, 16),
      ...spells(['rake-groove'], 2, 3, 4, 5),
      ...spells(['dress-rails'], 30, 31, 32, 33),
      ...spells(['grease-nose'], 1, 1, 1, 1),
      ...spells(['deburr', 'rake-groove'], 60, 60, 60, 60),
    ];
    expect(pacesOf(all).figures).toEqual([
      { id: 'plan.minutes.cleaning', count: 4, middle: 3.5, from: 2, until: 5 },
      { id: 'plan.minutes.operation', count: 4, middle: 6.5, from: 5, until: 8 },
    ]);
  });
});

describe('the middle of some values', () => {
  it('is the plain one, between two that it lies between', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 4, maxLength: 400 }),
        (values) => {
          const { middle, from, until, count } = middleOf(values)!;
          const below = values.filter((value) => value < middle).length;
          const above = values.filter((value) => value > middle).length;
          expect(Math.max(below, above)).toBeLessThanOrEqual(count / 2);
          expect(from <= middle && middle <= until).toBe(true);
        },
      ),
    );
  });

  it('is bounded by nothing below four values, and by a number above thousands', () => {
    expect([[], [1], [1, 2], [1, 2, 3]].map(middleOf)).toEqual([null, null, null, null]);
    const many = Array.from({ length: 20_001 }, (_, i) => i);
    const { from, until } = middleOf(many)!;
    // By the normal approximation of the binomial: 1.2816 · √n / 2 to each side.
    expect(from).toBeGreaterThan(10_000 - 95);
    expect(until).toBeLessThan(10_000 + 95);
    expect(until - from).toBeGreaterThan(170);
  });

  it('holds the true middle at least eight times in ten, however skew they are', () => {
    let [held, state] = [0, 7];
    const random = () => (state = (state * 48271) % 2147483647) / 2147483647;
    const [RUNS, TRUE] = [2000, Math.log(2)];
    for (let run = 0; run < RUNS; run += 1) {
      const { from, until } = middleOf(Array.from({ length: 9 }, () => -Math.log(1 - random())))!;
      if (from <= TRUE && TRUE <= until) held += 1;
    }
    expect(held / RUNS).toBeGreaterThan(0.79);
  });
});
