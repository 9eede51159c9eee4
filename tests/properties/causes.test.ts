import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES, type Appraisal } from '../../src/core/assess';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';
import {
  CAUSE_LIST,
  causesOf,
  crookedCut,
  noisyOr,
  presentBy,
  priorsOf,
  ratioOf,
  REACHES,
  rowOf,
  sideOf,
  type DriftPart,
  type Found,
} from '../../src/core/symptom';
import { SYMPTOMS } from '../../src/core/declared';
import { anySheet, mirrored } from '../support/sheets';

const RUNS = { seed: 2031, numRuns: 150 };

/** Every finding with every result that a row speaks of, as sure as it can be. */
const ALL: readonly Pick<Found, 'id' | 'results' | 'sureness'>[] = CAUSE_LIST.flatMap((cause) =>
  Object.entries(rowOf(cause).evidence).flatMap(([id, results]) =>
    Object.keys(results).map((result) => ({ id: id as Found['id'], results: [result], sureness: 1 })),
  ),
);
const anyFound = fc
  .record({ of: fc.constantFrom(...ALL), sureness: fc.double({ min: 0, max: 1, noNaN: true }) })
  .map(({ of, sureness }) => ({ ...of, sureness }) as Found);
const symptom = fc.constantFrom(...SYMPTOMS);
const school = fc.constantFrom('bar-first', 'cutters-too' as const);
const founds = fc.array(anyFound, { maxLength: 12 });

function assessed(written: WrittenBenchSheet): Appraisal {
  const read = readSheet(written);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return appraise(read.value, DEFAULT_RULES, null);
}

describe('how likely a cause is present', () => {
  it('is raised by what speaks for it, lowered by what clears it, and the same in whatever order things were found', () => {
    fc.assert(
      fc.property(symptom, school, founds, anyFound, (of, by, before, finding) => {
        const was = presentBy(priorsOf(of, by), before);
        const is = presentBy(priorsOf(of, by), [...before, finding]);
        const turned = presentBy(priorsOf(of, by), [finding, ...[...before].reverse()]);
        is.forEach(({ cause, present }, i) => {
          const ratio = ratioOf(finding, cause);
          if (ratio > 1) expect(present).toBeGreaterThanOrEqual(was[i]!.present - 1e-12);
          if (ratio < 1) expect(present).toBeLessThanOrEqual(was[i]!.present + 1e-12);
          if (ratio === 1) expect(present).toBe(was[i]!.present);
          expect(turned[i]!.present).toBeCloseTo(present, 9);
        });
      }),
      RUNS,
    );
  });

  it('can be found out of every cause of a symptom, and none is likelier than even before anybody looked', () => {
    for (const of of SYMPTOMS)
      for (const { cause, present } of priorsOf(of, 'cutters-too')) {
        expect(present, `${of}: ${cause}`).toBeLessThanOrEqual(0.5);
        expect(
          REACHES.get(cause)!.some(([, { up }]) => up > 2),
          `${of}: ${cause}`,
        ).toBe(true);
      }
  });
});

describe('causes that add up', () => {
  it('are no likelier at work than present, share the whole with the unexplained, and clearing one never raises it', () => {
    fc.assert(
      fc.property(symptom, school, founds, anyFound, (of, by, before, finding) => {
        const [was, is] = [before, [...before, finding]].map((found) => noisyOr(presentBy(priorsOf(of, by), found)));
        const all = is!.causes.reduce((sum, { share }) => sum + share, is!.unexplainedShare);
        expect(all).toBeCloseTo(1, 9);
        for (const { cause, present, acting } of is!.causes) {
          expect(present).toBeLessThanOrEqual(1 + 1e-12);
          expect(acting).toBeLessThanOrEqual(present + 1e-12);
          const before_ = was!.causes.find((each) => each.cause === cause)!;
          if (ratioOf(finding, cause) < 1) expect(present).toBeLessThanOrEqual(before_.present + 1e-9);
        }
      }),
      RUNS,
    );
  });

  const anyPart = fc.record({
    present: fc.double({ min: 0.01, max: 0.99, noNaN: true }),
    mean: fc.integer({ min: -15, max: 15 }),
    u: fc.integer({ min: 1, max: 6 }),
  });
  const parts = fc.array(anyPart, { minLength: 2, maxLength: 6 }).map((list) =>
    list.map(({ present, mean, u }, i): DriftPart => ({
      cause: causesOf('cuts-curved-left')[i]!,
      present,
      faulty: { mean, u },
      sound: { mean: 0, u: 1 },
    })),
  );

  it('of a crooked cut share the whole too, and tell the same of the mirror image', () => {
    fc.assert(
      fc.property(parts, (list) => {
        const right = crookedCut(list, 'right', () => []);
        expect(right.causes.reduce((sum, { share }) => sum + share, right.unexplainedShare)).toBeCloseTo(1, 9);
        for (const { present, acting } of right.causes) expect(acting).toBeLessThanOrEqual(present + 1e-12);
        const turned = list.map((part) => ({ ...part, faulty: { ...part.faulty, mean: -part.faulty.mean } }));
        const left = crookedCut(turned, 'left', () => []);
        expect(left.unexplainedShare).toBeCloseTo(right.unexplainedShare, 9);
        for (const { cause, share } of left.causes)
          expect(share).toBeCloseTo(right.causes.find((each) => each.cause === cause)!.share, 9);
      }),
      { ...RUNS, numRuns: 30 },
    );
  });
});

describe('on any sheet', () => {
  it('causes are ranked, share the whole with the unexplained, and turn with the sides', () => {
    fc.assert(
      fc.property(anySheet, fc.subarray([...SYMPTOMS], { minLength: 1 }), (sheet, symptoms) => {
        const { diagnoses } = assessed({ ...sheet, job: { ...sheet.job, symptoms } });
        expect(diagnoses.map((each) => each.symptom)).toEqual(symptoms);
        for (const { causes, unexplainedShare } of diagnoses) {
          expect(causes.reduce((sum, { share }) => sum + share, unexplainedShare)).toBeCloseTo(1, 6);
          expect(causes.map(({ share }) => share)).toEqual(causes.map(({ share }) => share).sort((a, b) => b - a));
        }
      }),
      { ...RUNS, numRuns: 20 },
    );
  });

  it('verdict and causes tell one story: rails that are sent to the file are never cleared as a cause', () => {
    fc.assert(
      fc.property(anySheet, (sheet) => {
        for (const written of [sheet, mirrored(sheet)]) {
          const { diagnoses, checks } = assessed({ ...written, job: { symptoms: ['cuts-curved-left'] } });
          const called = checks.some(({ id, outcome }) => id === 'bar.step' && outcome === 'fail');
          const rails = diagnoses[0]!.causes.find(({ cause }) => cause === 'rails-unlevel')!;
          if (called) expect(rails.against.map(({ id }) => id)).not.toContain('step');
        }
        expect(sideOf('cuts-curved-left')).toBe('left');
      }),
      { ...RUNS, numRuns: 20 },
    );
  });
});
