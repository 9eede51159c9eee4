import { describe, expect, it } from 'vitest';
import { DEMO_FURTHER_JOBS, DEMO_SHEETS } from '../../src/data/demo';
import { besideOf, documentOf, keptAppraisals } from '../support/kept-appraisals';

/** Whoever means to change what is said keeps it anew by `npm run appraisals`, and says in the commit what changed. */
describe('what was said of a sheet', () => {
  const kept = keptAppraisals();
  const demo = [...Object.keys(DEMO_SHEETS), ...DEMO_FURTHER_JOBS.map(({ tag }) => tag)];

  it('is kept of every demo sheet', () => {
    expect(kept.map(({ name }) => name)).toEqual(expect.arrayContaining(demo));
    expect(kept.length).toBeGreaterThan(demo.length + 50);
  });

  it.each(kept)('is said of it still: $name', ({ sheet, document }) => {
    expect(documentOf(sheet)).toEqual(document);
  });

  it.each(kept)('is planned, handed over, and said of it in round figures as it was: $name', ({ sheet, beside }) => {
    expect(besideOf(sheet)).toEqual(beside);
  });
});
