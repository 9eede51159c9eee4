import { describe, expect, it } from 'vitest';
import { looksFirst, waysToSave, whatIf } from './choosing';
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

describe('both ways of saving a bar', () => {
  const way = (choices: Choices, costToday: number) => plan(choices, costToday);
  const noseAlone = way({ bar: 'keep', nose: 'replace', chain: 'keep' }, 2500);
  const noseDressed = way({ bar: 'recondition', nose: 'replace', chain: 'keep' }, 3500);
  const noseChain = way({ bar: 'keep', nose: 'replace', chain: 'replace' }, 4200);
  const barAlone = way({ bar: 'replace', nose: 'replace', chain: 'keep' }, 5500);
  const barChain = way({ bar: 'replace', nose: 'replace', chain: 'replace' }, 7200);
  const all = [noseAlone, noseDressed, noseChain, barAlone, barChain];

  it('stand beside each other with all else alike, as in the chosen plan', () => {
    expect(waysToSave(all, null)).toEqual({ nose: noseAlone, bar: barAlone });
    expect(waysToSave(all, barChain)).toEqual({ nose: noseChain, bar: barChain });
  });

  it('are not told where one of them is not possible', () => {
    expect(waysToSave([noseAlone, noseChain], null)).toBeNull();
    expect(waysToSave([barAlone], barAlone)).toBeNull();
    expect(waysToSave([noseAlone, barChain], null)).toBeNull();
  });
});
