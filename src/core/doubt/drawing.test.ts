import { expect, it } from 'vitest';
import { DEMO_SHEETS } from '../../data/demo';
import { appraise, DEFAULT_RULES } from '../assess';
import { readSheet } from '../sheet';
import { drawing } from './drawing';

it('tells how far it is, from nothing to all, and never goes back', () => {
  const read = readSheet(DEMO_SHEETS['L-0417']);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const told = [...drawing(appraise(read.value, DEFAULT_RULES, null), 4000, 1)];
  expect(told.length).toBeGreaterThan(3);
  expect(told).toEqual([...told].sort((a, b) => a - b));
  for (const share of told) {
    expect(share).toBeGreaterThanOrEqual(0);
    expect(share).toBeLessThanOrEqual(1);
  }
});
