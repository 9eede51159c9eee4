import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../assess';
import { READINGS, sheetFromEntries } from '../sheet';

const FINDINGS = READINGS.flatMap(({ id, told: { seen, nose } }) =>
  seen ? Object.keys(seen.words).map((word) => ({ id, word, seen, nose })) : [],
);

/** A sheet with one finding, on the kind of nose that it belongs to, and a station for it to stand at. */
function checksOf(id: string, word: string, nose: string | undefined) {
  const path = id.replace('stations.', 'A.stations.0.');
  const said = [
    { path, text: word },
    { path: 'bar.nose', text: nose ?? 'sprocket' },
    ...(path === id ? [] : [{ path: 'bar.edges.A.stations.0.at', text: '60' }]),
  ];
  const { sheet, refused } = sheetFromEntries(said.map((each) => ({ ...each, unit: 'mm' as const })));
  expect(refused).toEqual([]);
  return appraise(sheet, DEFAULT_RULES, null).checks;
}

describe('every finding that is declared', () => {
  it.each(FINDINGS)('$id $word is judged as its word says', ({ id, word, seen, nose }) => {
    const made = checksOf(id, word, nose).filter((check) => check.id === seen.check && check.observed === word);
    expect(made).toHaveLength(1);
    expect(made[0]).toMatchObject({
      part: seen.part,
      outcome: seen.words[word]!.outcome,
      work: seen.words[word]!.work,
    });
  });
});
