import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { familyAndGaugeMeet } from '../../src/core/families';
import { DEFAULTS } from '../../src/core/limits';
import {
  askedOfStock,
  asksForMount,
  planSet,
  possiblePlans,
  sensibleOf,
  suitsClass,
  suitsSaw,
  wantedOf,
  withBars,
  type Judged,
  type Plan,
} from '../../src/core/plan';
import { PARTS } from '../../src/core/reading';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import type { StockPart } from '../../src/core/stock';
import { anyStock, judgedSet } from '../support/plans';

const least = (judged: Judged, stock: readonly StockPart[]): number =>
  Math.min(...possiblePlans({ judged, limits: DEFAULTS, stock }).plans.map(({ costToday }) => costToday));

describe('plans', () => {
  it('never get dearer by one part more on the shelf, nor cheaper by a dearer one', () => {
    fc.assert(
      fc.property(judgedSet, anyStock(16), fc.nat(), (judged, stock, which) => {
        const [more, ...fewer] = stock;
        if (!more) return;
        expect(least(judged, stock)).toBeLessThanOrEqual(least(judged, fewer));
        const dearer = stock.map((part, i) =>
          i === which % stock.length ? { ...part, priceCents: part.priceCents + 500 } : part,
        );
        expect(least(judged, dearer)).toBeGreaterThanOrEqual(least(judged, stock));
      }),
      { seed: 21, numRuns: 80 },
    );
  });

  it('break no rule: one pitch, one gauge, one count, the mount of the saw, no step up, nothing condemned or undecided', () => {
    let seen = 0;
    fc.assert(
      fc.property(judgedSet, anyStock(40), (judged, stock) => {
        const wanted = wantedOf(judged, DEFAULT_SCHOOLS);
        for (const { choices, picks, costToday, minutes, hoursToNext, costPerHour } of possiblePlans({
          judged,
          limits: DEFAULTS,
          stock,
        }).plans) {
          seen += 1;
          const { bar, chain, driveSprocket } = picks;
          for (const part of PARTS) {
            const { action } = judged.verdicts[part];
            const isOut = action === 'replace' || action === 'undecided';
            if (isOut && choices[part] !== undefined) expect(choices[part], part).toBe('replace');
            expect(part in picks && choices[part] !== 'replace').toBe(false);
          }
          const pitches = [bar?.pitch, chain?.pitch, driveSprocket?.pitch, picks.nose?.pitch].filter(Boolean);
          expect(new Set(pitches).size).toBeLessThanOrEqual(1);
          if (bar && chain) expect([chain.gauge, chain.driveLinks]).toEqual([bar.gauge, bar.driveLinks]);
          if (bar) expect(suitsSaw(bar, wanted)).toBe(true);
          if (chain) {
            expect(suitsClass(chain, wanted)).toBe(true);
            expect(familyAndGaugeMeet(chain.pitch!, chain.gauge!)).toBe(true);
          }
          expect(Object.values(picks).every(({ quantity }) => quantity > 0)).toBe(true);
          expect(Number.isInteger(costToday) && costToday >= 0 && minutes >= 0).toBe(true);
          expect(hoursToNext).toBeGreaterThan(0);
          expect(costPerHour.low).toBeLessThanOrEqual(costPerHour.value);
          expect(costPerHour.high).toBeGreaterThanOrEqual(costPerHour.value);
        }
      }),
      { seed: 22, numRuns: 60 },
    );
    expect(seen).toBeGreaterThan(40);
  });

  it('that are shown come the cheapest today first, and the more a plan costs today the less it costs an hour, but for the named ones', () => {
    fc.assert(
      fc.property(judgedSet, anyStock(40), (judged, stock) => {
        const { plans } = planSet({ judged, limits: DEFAULTS, stock });
        const today = plans.map(({ costToday }) => costToday);
        expect(today).toEqual([...today].sort((a, b) => a - b));
        const unnamed = plans.filter(({ named }) => !named.includes('fresh-set'));
        const hourly = unnamed.map(({ costPerHour: { value } }) => value);
        expect(hourly).toEqual([...hourly].sort((a, b) => b - a));
      }),
      { seed: 23, numRuns: 60 },
    );
  });

  it('that are shown without a name are those that no other beats, by the plain definition', () => {
    const cost = fc.tuple(fc.integer({ min: 0, max: 6 }), fc.integer({ min: 0, max: 6 }));
    fc.assert(
      fc.property(fc.array(cost, { maxLength: 12 }), (costs) => {
        const range = (value: number) => ({ value, low: value, high: value });
        const all = costs.map(
          ([costToday, hour]) => ({ choices: { bar: 'keep' }, picks: {}, costToday, costPerHour: range(hour) }) as Plan,
        );
        const beats = ([today, hour]: (typeof costs)[number], [other, its]: (typeof costs)[number]) =>
          today <= other && hour <= its && (today < other || hour < its);
        const named = (plan: Plan) => `${plan.costToday} ${plan.costPerHour.value}`;
        const best = costs.filter((each) => !costs.some((other) => beats(other, each))).map((each) => each.join(' '));
        const { plans } = sensibleOf({ plans: all, ruledOut: {} });
        expect(plans.map(named)).toEqual(expect.arrayContaining(best));
        for (const plan of plans) if (plan.named.length === 0) expect(best).toContain(named(plan));
      }),
      { seed: 24, numRuns: 200 },
    );
  });

  it('may be of parts that are not there only where ordering is asked for, and say so', () => {
    fc.assert(
      fc.property(judgedSet, anyStock(20), (judged, stock) => {
        const gone = stock.map((part) => ({ ...part, quantity: 0 }));
        const none = possiblePlans({ judged, limits: DEFAULTS, stock: gone }).plans;
        expect(none.every(({ picks }) => Object.keys(picks).length === 0)).toBe(true);
        for (const { picks, notes } of possiblePlans({ judged, limits: DEFAULTS, stock: gone, toOrder: true }).plans)
          expect(notes.some(({ code }) => code === 'to-order')).toBe(Object.keys(picks).length > 0);
      }),
      { seed: 24, numRuns: 60 },
    );
  });

  it('are the same of the parts that are asked for as of the whole list', () => {
    fc.assert(
      fc.property(judgedSet, anyStock(60), (judged, stock) => {
        const asked = askedOfStock(judged, DEFAULT_SCHOOLS);
        const bars = stock.filter(({ kind, mount }) => kind === 'bar' && asksForMount(asked, mount));
        const { numbers, pitches } = withBars(asked, bars);
        const answers = stock.filter(({ kind, pitch, gauge, driveLinks }) => {
          if (kind === 'bar') return false;
          if (kind !== 'chain') return pitch !== null && pitches.includes(pitch);
          return numbers.some((each) => each.pitch === pitch && each.gauge === gauge && each.driveLinks === driveLinks);
        });
        const of = (parts: readonly StockPart[]) =>
          possiblePlans({ judged, limits: DEFAULTS, stock: parts, toOrder: true });
        expect(of([...bars, ...answers])).toEqual(of(stock));
      }),
      { seed: 25, numRuns: 150 },
    );
  });
});
