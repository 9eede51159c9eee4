import { NOT_SIGNED } from '../../../../tests/support/course';
import { describe, expect, it } from 'vitest';
import { DEFAULT_SCHOOLS } from '../../../core/schools';
import { DEFAULTS } from '../../../core/limits';
import type { Standing } from './job-store';
import { keeping } from './keeping';
import { meaningOf } from './meaning';

const SHOP = { limits: DEFAULTS, codes: [], schools: DEFAULT_SCHOOLS, studies: [] };

const standing = (texts: Readonly<Record<string, string>>): Map<string, Standing> =>
  new Map(
    Object.entries(texts).map(([path, text]) => [
      path,
      { path, text, unit: 'mm', id: path, by: 'Tam', at: null, conflict: null },
    ]),
  );

const depths = (far: string) => ({
  'bar.edges.A.stations.0.at': '60',
  'bar.edges.A.stations.0.near': '8',
  'bar.edges.A.stations.0.far': far,
  'chain.stamp': '72',
});

describe('what readings mean', () => {
  it('counts a draft before what was stored at its place', () => {
    const drafts = standing({ 'bar.edges.A.stations.0.far': '6' });
    const { entered, appraisal } = meaningOf({ standing: standing(depths('8')), drafts }, SHOP, NOT_SIGNED, 'Tam');
    expect(entered.sheet.bar?.edges?.A?.stations).toHaveLength(1);
    expect(appraisal.bar.edges.A.figures[0]?.step?.value).toBeCloseTo(2);
  });

  it('says what cannot be read, and reads the rest', () => {
    const { entered } = meaningOf({ standing: standing(depths('eight')), drafts: new Map() }, SHOP, NOT_SIGNED, 'Tam');
    expect(entered.refused.map(({ path }) => path)).toEqual(['bar.edges.A.stations.0.far']);
    expect(entered.sheet.chain?.stamp).toBe('72');
  });

  it('keeps what a key on the bar does not touch', () => {
    const find = keeping(meaningOf);
    const before = find({ standing: standing(depths('8')), drafts: new Map() }, SHOP, NOT_SIGNED, 'Tam');
    const after = find({ standing: standing(depths('7')), drafts: new Map() }, SHOP, NOT_SIGNED, 'Tam');
    // What can be drawn is told by a function, which is another one each time.
    const data = (meaning: typeof after) => JSON.parse(JSON.stringify(meaning)) as unknown;
    expect(data(after)).toEqual(
      data(meaningOf({ standing: standing(depths('7')), drafts: new Map() }, SHOP, NOT_SIGNED, 'Tam')),
    );
    expect(after.appraisal.bar).not.toBe(before.appraisal.bar);
    expect(after.appraisal.identity).toBe(before.appraisal.identity);
    expect(after.steps[0]).toBe(before.steps[0]);
    expect(after.entered.sheet.chain).toBe(before.entered.sheet.chain);
  });
});
