import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILIES, FAMILY_IDS, GAUGES, GAUGES_OF_FAMILY } from '../../src/core/families';
import { effectOf, identify, toggled } from '../../src/core/identify';
import { EVIDENCE_IDS, readSheet, type BenchSheet } from '../../src/core/sheet';
import { anySheet } from '../support/sheets';

const evidence = fc.constantFrom(...EVIDENCE_IDS);

const read = (sheet: unknown): BenchSheet => {
  const result = readSheet(sheet);
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
};

/** A loop whose every reading tells the truth. */
const truth = fc.constantFrom(...FAMILY_IDS).chain((family) =>
  fc.record({
    family: fc.constant(family),
    gauge: fc.constantFrom(...GAUGES_OF_FAMILY[family]),
    links: fc.integer({ min: 40, max: 90 }),
    stretch: fc.double({ min: 0, max: 0.015, noNaN: true }),
    order: fc.shuffledSubarray(['span', 'fileSize', 'driveLinkThickness', 'driveLinks', 'loopLength'] as const, {
      minLength: 2,
    }),
  }),
);

const inUnit = (mm: number, unit: 'mm' | 'in') =>
  unit === 'mm' ? `${mm.toFixed(3)} mm` : `${(mm / 25.4).toFixed(5)} in`;

function chainOf(
  { family, gauge, links, stretch }: Omit<typeof truth extends fc.Arbitrary<infer T> ? T : never, 'order'>,
  unit: 'mm' | 'in',
) {
  const pitch = FAMILIES[family].pitch * (1 + stretch);
  return {
    span: { rivets: 11, length: inUnit(10 * pitch, unit) },
    fileSize: inUnit(FAMILIES[family].file, unit),
    driveLinkThickness: inUnit(GAUGES[gauge].thickness - 0.02, unit),
    driveLinks: [links, links],
    loopLength: inUnit(2 * pitch * links, unit),
  };
}

describe('evidence set aside', () => {
  it('is as if it had never been read, and put back restores the former state', () => {
    fc.assert(
      fc.property(anySheet, evidence, (written, id) => {
        const sheet = read(written);
        const before = identify(sheet);
        const without = identify(toggled(sheet, id));
        expect(identify(toggled(toggled(sheet, id), id))).toEqual(before);
        if (!before.evidence.some((item) => item.id === id)) expect(without.chain).toEqual(before.chain);
      }),
      { seed: 51, numRuns: 60 },
    );
  });

  it('says of every effect how it stands with and without', () => {
    fc.assert(
      fc.property(anySheet, evidence, (written, id) => {
        const sheet = read(written);
        for (const { before, after } of effectOf(sheet, identify(sheet), id))
          expect([before.status, before.value, before.candidates]).not.toEqual([
            after.status,
            after.value,
            after.candidates,
          ]);
      }),
      { seed: 52, numRuns: 30 },
    );
  });
});

describe('more evidence for the truth', () => {
  it('never lowers the weight of any true number', () => {
    fc.assert(
      fc.property(truth, (given) => {
        const all = chainOf(given, 'mm');
        let chain: Partial<typeof all> = {};
        const weights = { pitch: 0, driveLinks: 0 };
        for (const kind of given.order) {
          chain = { ...chain, [kind]: all[kind] };
          const { pitch, driveLinks } = identify(read({ format: 'serrata-bench-sheet', version: 1, chain })).chain;
          const now = {
            pitch: pitch.candidates.find(({ value }) => value === given.family)?.weight ?? 0,
            driveLinks: driveLinks.candidates.find(({ value }) => value === given.links)?.weight ?? 0,
          };
          expect(now.pitch).toBeGreaterThanOrEqual(weights.pitch - 1e-9);
          if (kind === 'driveLinks') expect(now.driveLinks).toBeGreaterThanOrEqual(weights.driveLinks - 1e-9);
          expect([pitch.status, driveLinks.status]).not.toContain('conflict');
          Object.assign(weights, now);
        }
      }),
      { seed: 53, numRuns: 75 },
    );
  });

  it('says the same in inches and millimetres', () => {
    fc.assert(
      fc.property(truth, (given) => {
        const [metric, inch] = (['mm', 'in'] as const).map(
          (unit) => identify(read({ format: 'serrata-bench-sheet', version: 1, chain: chainOf(given, unit) })).chain,
        );
        for (const property of ['pitch', 'gauge', 'driveLinks'] as const) {
          expect(inch![property].status).toBe(metric![property].status);
          expect(inch![property].value).toBe(metric![property].value);
        }
      }),
      { seed: 54, numRuns: 50 },
    );
  });
});

describe('what would settle a number', () => {
  it('is asked for while it is open; a reading that stands is asked for again only when all were made', () => {
    fc.assert(
      fc.property(anySheet, (written) => {
        const sheet = read(written);
        const { chain } = identify(sheet);
        for (const property of ['pitch', 'gauge', 'driveLinks'] as const) {
          const { status, settledBy } = chain[property];
          if (status === 'settled') expect(settledBy).toBeNull();
          // An open number always has something that would tell.
          if (status === 'open') expect(settledBy).not.toBeNull();
          if (status !== 'open' || !settledBy) continue;
          expect(settledBy.gain).toBeGreaterThan(0);
          expect(settledBy.minutes).toBeGreaterThan(0);
          const stands = settledBy.measure
            .split('.')
            .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], sheet);
          if (settledBy.gain > 0.05)
            expect(stands === undefined || stands === '' || property === 'driveLinks').toBe(true);
        }
      }),
      { seed: 55, numRuns: 75 },
    );
  });
});
