import { NOT_SIGNED } from '../support/course';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { stepStates } from '../../src/core/workflow';
import { STEPS } from '../../src/core/reading';
import { assessmentSchema } from '../../src/core/report';
import { readEntry, readingAt, readSheet, sheetFromEntries, type Entry } from '../../src/core/sheet';
import { assessmentDocument, entryProblem } from '../../src/wording';
import { anyEntries, fitting, PLACES } from '../support/entries';

const RUNS = { seed: 1964, numRuns: 60 };

const documentOf = (entries: readonly Entry[]) =>
  JSON.parse(
    JSON.stringify(assessmentDocument(appraise(sheetFromEntries(entries).sheet, DEFAULT_RULES, null))),
  ) as unknown;

describe('whatever the sheet has a place for', () => {
  it('is every field of it', () => {
    expect(PLACES.length).toBeGreaterThan(150);
    expect(PLACES).toEqual(expect.arrayContaining(['bar.checks.hardNose', 'bar.edges.B.stations.2.after.far']));
  });

  it.each(PLACES)('%s is understood where it fits, and refused with a sentence where it does not', (path) => {
    fc.assert(
      fc.property(fitting(path), (text) => readEntry({ path, text, unit: 'mm' }).ok),
      { seed: 1, numRuns: 5 },
    );
    if (readingAt(path)!.kind.kind === 'text') return;
    const read = readEntry({ path, text: 'quite another thing', unit: 'mm' });
    expect(read.ok).toBe(false);
    if (!read.ok) expect(entryProblem(read.error)).toMatch(/^.+: .+\.$|^.+\.$/);
  });

  it('is assessed into a document that its schema accepts, in whatever order it was typed', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const document = documentOf(entries);
        assessmentSchema.parse(document);
        expect(documentOf([...entries].reverse())).toEqual(document);
      }),
      RUNS,
    );
  });

  it('means the same as the sheet that is written of it', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const { sheet, written } = sheetFromEntries(entries);
        expect(readSheet(JSON.parse(JSON.stringify(written)))).toEqual({ ok: true, value: sheet });
      }),
      RUNS,
    );
  });

  it('counts for nothing once it is withdrawn', () => {
    fc.assert(
      fc.property(anyEntries, fc.nat(), (entries, which) => {
        const { path } = entries[which % entries.length]!;
        expect(documentOf([...entries, { path, text: '', unit: 'mm' }])).toEqual(
          documentOf(entries.filter((entry) => entry.path !== path)),
        );
      }),
      { ...RUNS, numRuns: 30 },
    );
  });

  it('is kept out while it cannot be read, and takes nothing else with it', () => {
    fc.assert(
      fc.property(anyEntries, fc.nat(), (entries, which) => {
        const readable = entries.filter(({ path }) => readingAt(path)!.kind.kind !== 'text');
        const spoilt = readable[which % readable.length];
        if (!spoilt) return;
        const others = entries.filter((entry) => entry !== spoilt);
        const { refused, sheet } = sheetFromEntries([...others, { ...spoilt, text: '??' }]);
        expect(refused.map(({ path }) => path)).toEqual([spoilt.path]);
        expect(sheet).toEqual(sheetFromEntries(others).sheet);
      }),
      { ...RUNS, numRuns: 30 },
    );
  });

  it('leaves every step with a state', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const { sheet } = sheetFromEntries(entries);
        expect(stepStates(sheet, appraise(sheet, DEFAULT_RULES, null), NOT_SIGNED)).toHaveLength(STEPS.length);
      }),
      { ...RUNS, numRuns: 30 },
    );
  });
});

describe('more than there is room for', () => {
  const station = (edge: string, i: number, field: string, text: string): Entry => ({
    path: `bar.edges.${edge}.stations.${i}.${field}`,
    text,
    unit: 'mm',
  });

  it('is refused by name, and the rest of the bar still counts', () => {
    const entries = Array.from({ length: 62 }, (_, i) => [
      station('A', i, 'at', `${i * 5}`),
      station('A', i, 'near', '8'),
    ]).flat();
    const { sheet, refused, stationKeys } = sheetFromEntries([
      ...entries,
      { path: 'bar.stamp', text: '325', unit: 'mm' },
    ]);
    expect(sheet.bar?.edges?.A?.stations).toHaveLength(60);
    expect(sheet.bar?.stamp).toBe('325');
    expect(stationKeys.A).toHaveLength(60);
    expect(refused.map(({ path }) => path)).toEqual(
      ['60.at', '60.near', '61.at', '61.near'].map((end) => `bar.edges.A.stations.${end}`),
    );
    expect(entryProblem(refused[0]!.problem)).toBe(
      'There is room for 60 here, and this is one too many: take one off first.',
    );
  });

  it('of a count leaves the first that fit', () => {
    const counts = Array.from({ length: 22 }, (_, i) => ({
      path: `chain.driveLinks.${i}`,
      text: '72',
      unit: 'mm' as const,
    }));
    const { sheet, refused } = sheetFromEntries(counts);
    expect(sheet.chain?.driveLinks).toHaveLength(20);
    expect(refused.map(({ path }) => path)).toEqual(['chain.driveLinks.20', 'chain.driveLinks.21']);
  });

  it('of text is refused with the length that fits', () => {
    const read = readEntry({ path: 'bar.stamp', text: 'x'.repeat(201), unit: 'mm' });
    expect(!read.ok && entryProblem(read.error)).toBe('This is too long: at most 200 characters.');
  });
});

it('however many groups are half typed, they wait and nothing else is lost', () => {
  const half = Array.from({ length: 40 }, (_, i) =>
    ['A', 'B'].flatMap((edge) =>
      [
        ['at', `${i * 5}`],
        ['near', '8'],
        ['chipNear.length', '4'],
        ['chipFar.depth', '1'],
      ].map(([field, text]) => ({
        path: `bar.edges.${edge}.stations.${i}.${field}`,
        text: text!,
        unit: 'mm' as const,
      })),
    ),
  ).flat();
  const damage = Array.from({ length: 30 }, (_, i) => ({
    path: `chain.damage.${i}.cutter`,
    text: `${i + 1}`,
    unit: 'mm' as const,
  }));
  const whole: Entry[] = [
    { path: 'chain.damage.7.side', text: 'left', unit: 'mm' },
    { path: 'chain.damage.7.setBack', text: '1', unit: 'mm' },
  ];
  const { sheet, refused } = sheetFromEntries([...half, ...damage, ...whole]);
  expect(refused).toEqual([]);
  for (const edge of ['A', 'B'] as const) {
    const stations = sheet.bar!.edges![edge]!.stations;
    expect(stations).toHaveLength(40);
    expect(stations.every(({ near, chipNear, chipFar }) => near && !chipNear && !chipFar)).toBe(true);
  }
  expect(sheet.chain?.damage).toMatchObject([{ side: 'left', cutter: 8 }]);
});
