import { describe, expect, it } from 'vitest';
import { looksFirst, whatIf } from './choosing';
import type { Choices } from './choices';
import type { PlanName } from './plan';

const plan = (
  choices: Choices,
  costToday: number,
  over: { named?: PlanName[]; isAlike?: boolean; isBeaten?: boolean } = {},
) => ({
  choices,
  costToday,
  named: over.named ?? [],
  isAlike: over.isAlike ?? false,
  isBeaten: over.isBeaten ?? false,
});

const keep = plan({ bar: 'keep', chain: 'keep' }, 0, { named: ['least-today'] });
const chain = plan({ bar: 'keep', chain: 'replace' }, 1700, { named: ['least-per-hour'] });
const bar = plan({ bar: 'replace', chain: 'keep' }, 5000, { isBeaten: true });
const fresh = plan({ bar: 'replace', chain: 'replace' }, 6700, { named: ['fresh-set'] });
const plans = [keep, chain, bar, fresh];

describe('the plan that is looked at first', () => {
  it('has the cheapest hour, or costs least today where hours are alike', () => {
    expect(looksFirst(plans)).toBe(chain);
    const alike = { ...keep, isAlike: true };
    expect(looksFirst([alike, chain])).toBe(alike);
    expect(looksFirst([{ ...alike, isBeaten: true }, chain])).toBe(chain);
    expect(looksFirst([])).toBeNull();
  });
});

describe('what if another choice is made for one part', () => {
  it('the rest stays as far as it can, and the cheapest is taken of what is as near', () => {
    expect(whatIf(plans, keep, 'bar', 'replace')).toBe(bar);
    expect(whatIf(plans, chain, 'bar', 'replace')).toBe(fresh);
    expect(whatIf(plans, fresh, 'chain', 'keep')).toBe(bar);
    expect(whatIf([...plans, { ...fresh, costToday: 6000 }], chain, 'bar', 'replace')?.costToday).toBe(6000);
    expect(whatIf(plans, keep, 'bar', 'recondition')).toBeNull();
  });
});
