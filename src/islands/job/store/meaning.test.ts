import { describe, expect, it } from 'vitest';
import { DEFAULT_SCHOOLS } from '../../../core/schools';
import { DEFAULTS } from '../../../core/limits';
import type { Standing } from './job-store';
import { Judged } from './judged';
import { meaningOf, type Given, type Meaning } from './meaning';

const VIEW: Given['view'] = {
  ...{ limits: DEFAULTS, codes: [], schools: DEFAULT_SCHOOLS, studies: [] },
  ...{ job: { state: 'open' }, signOffs: [], choices: null },
};

const given = (texts: Readonly<Record<string, string>>, drafts = new Map<string, Standing>()): Given => ({
  ...{ standing: standing(texts), drafts },
  ...{ view: VIEW, who: 'Tam' },
});

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
    const { entered, appraisal } = meaningOf(given(depths('8'), drafts));
    expect(entered.sheet.bar?.edges?.A?.stations).toHaveLength(1);
    expect(appraisal.bar.edges.A.figures[0]?.step?.value).toBeCloseTo(2);
  });

  it('says what cannot be read, and reads the rest', () => {
    const { entered } = meaningOf(given(depths('eight')));
    expect(entered.refused.map(({ path }) => path)).toEqual(['bar.edges.A.stations.0.far']);
    expect(entered.sheet.chain?.stamp).toBe('72');
  });

  it('keeps what a key on the bar does not touch', () => {
    const [before, after] = [given(depths('8')), given(depths('7'))];
    const judged = new Judged(before, meaningOf(before));
    const was = judged.now(before);
    expectKept(was, judged.now(after));
  });

  it('is what was worked out ahead in turns, and is worked out once', async () => {
    const [before, after] = [given(depths('8')), given(depths('7'))];
    const judged = new Judged(before, meaningOf(before));
    const was = judged.now(before);
    await judged.ahead(after, () => false);
    const is = judged.now({ ...after });
    expect(judged.now(after)).toBe(is);
    expectKept(was, is);
  });

  it('stays where nobody waits for the next', async () => {
    const before = given(depths('8'));
    const judged = new Judged(before, meaningOf(before));
    const was = judged.now(before);
    await judged.ahead(given(depths('7')), () => true);
    expect(judged.now(before)).toBe(was);
  });
});

/** That a depth was changed in a meaning, and that all else of it was kept. */
function expectKept(before: Meaning, after: Meaning): void {
  // What can be drawn is told by a function, which is another one each time.
  const data = (meaning: Meaning) => JSON.parse(JSON.stringify(meaning)) as unknown;
  expect(data(after)).toEqual(data(meaningOf(given(depths('7')))));
  expect(after.appraisal.bar).not.toBe(before.appraisal.bar);
  expect(after.appraisal.identity).toBe(before.appraisal.identity);
  expect(after.steps[0]).toBe(before.steps[0]);
  expect(after.entered.sheet.chain).toBe(before.entered.sheet.chain);
}
