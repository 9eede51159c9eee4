import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import { DEFAULTS } from '../limits';
import { readSheet } from '../sheet';
import { nextVisit } from './visit';

const visit = (job: object, over: object = {}) => {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, job, chain: { stamp: '325' }, ...over });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const sheet = read.value;
  return nextVisit({ sheet, ...appraise(sheet, DEFAULT_RULES, null) }, { chain: 'replace' }, DEFAULTS);
};

describe('the next visit', () => {
  it('goes by the use, and comes sooner for milling', () => {
    expect(visit({ use: 'bucking' })).toEqual({
      days: 42,
      because: { code: 'use', use: 'bucking', weeks: 6 },
      habits: [],
    });
    expect(visit({ use: 'milling' }).days).toBe(21);
    expect(visit({}).because).toMatchObject({ code: 'use', use: null });
  });

  it('comes sooner where a habit is hard on the bar, with the habit named', () => {
    expect(visit({ use: 'bucking', turnOver: 'never' })).toMatchObject({ days: 32, habits: ['never-turned-over'] });
  });

  it('comes when a part is used up, where it is known how long the saw runs', () => {
    // A new chain lives 30 hours: at 10 a week it is used up in three weeks.
    expect(visit({ use: 'bucking', hoursPerWeek: 10 })).toEqual({
      days: 21,
      because: { code: 'wear', part: 'chain', hours: 30, hoursPerWeek: 10 },
      habits: [],
    });
    expect(visit({ use: 'bucking', hoursPerWeek: 1 }).days).toBe(42);
    expect(visit({ use: 'bucking', hoursPerWeek: 0 }).days).toBe(42);
  });

  it('never comes later for more use, and never within a week', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 99, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (hours, more) => {
          const few = visit({ use: 'felling', hoursPerWeek: Number(hours.toFixed(2)) }).days;
          const many = visit({ use: 'felling', hoursPerWeek: Number(Math.min(99, hours + more).toFixed(2)) }).days;
          expect(many).toBeLessThanOrEqual(few);
          expect(many).toBeGreaterThanOrEqual(7);
        },
      ),
      { seed: 14, numRuns: 60 },
    );
  });
});
