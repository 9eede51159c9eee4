import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILIES, FAMILY_IDS, GAUGES, GAUGES_OF_FAMILY, type FamilyId } from '../../src/core/families';
import { identify } from '../../src/core/identify';
import { readSheet, type WrittenBenchSheet } from '../../src/core/sheet';

type Chain = NonNullable<WrittenBenchSheet['chain']>;

function chainOf(chain: Chain) {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, chain });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return identify(read.value).chain;
}

const weight = (chain: Chain, family: FamilyId) =>
  chainOf(chain).pitch.candidates.find(({ value }) => value === family)?.weight ?? 0;

/** A true chain, and evidence that tells the truth about it. */
const truth = fc.constantFrom(...FAMILY_IDS).chain((family) =>
  fc.record({
    family: fc.constant(family),
    gauge: fc.constantFrom(...GAUGES_OF_FAMILY[family]),
    stretch: fc.double({ min: 0, max: 0.02, noNaN: true }),
    order: fc.shuffledSubarray(['span', 'stamp', 'chassis', 'driveLinkThickness', 'template'] as const, {
      minLength: 1,
    }),
  }),
);

function evidence({
  family,
  gauge,
  stretch,
}: {
  family: FamilyId;
  gauge: keyof typeof GAUGES;
  stretch: number;
}): Required<Pick<Chain, 'span' | 'stamp' | 'chassis' | 'driveLinkThickness' | 'template'>> {
  const pitch = FAMILIES[family].pitch * (1 + stretch);
  const stamps: Record<FamilyId, string> = {
    quarter: '1/4',
    '325': '.325',
    '38lp': '3/8LP',
    '38': '3/8',
    '404': '.404',
  };
  return {
    span: { rivets: 11, length: `${(10 * pitch).toFixed(2)} mm` },
    stamp: stamps[family],
    chassis: FAMILIES[family].chassis,
    driveLinkThickness: `${(GAUGES[gauge].thickness - 0.02).toFixed(3)} mm`,
    template: [family],
  };
}

describe('evidence', () => {
  it('for the truth never lowers its weight by more than rounding, and never contradicts itself', () => {
    fc.assert(
      fc.property(truth, (given) => {
        const all = evidence(given);
        let chain: Chain = {};
        let before = 0;
        for (const kind of given.order) {
          chain = { ...chain, [kind]: all[kind] };
          const now = weight(chain, given.family);
          expect(now).toBeGreaterThanOrEqual(before - 1e-9);
          before = now;
          expect(chainOf(chain).pitch.status).not.toBe('conflict');
        }
      }),
      { seed: 11, numRuns: 100 },
    );
  });

  it('all of it together settles the pitch on the truth', () => {
    fc.assert(
      fc.property(truth, (given) => {
        expect(chainOf(evidence(given)).pitch).toMatchObject({ status: 'settled', value: given.family });
      }),
      { seed: 12, numRuns: 60 },
    );
  });

  it('withdrawn leaves the state it found', () => {
    fc.assert(
      fc.property(truth, (given) => {
        const { stamp, ...rest } = evidence(given);
        const before = chainOf(rest);
        chainOf({ ...rest, stamp });
        expect(chainOf(rest)).toEqual(before);
      }),
      { seed: 13, numRuns: 40 },
    );
  });

  it('typed in inches or millimetres says the same', () => {
    fc.assert(
      fc.property(truth, (given) => {
        const metric = evidence(given);
        const inch: Chain = {
          ...metric,
          span: { rivets: 11, length: `${Number.parseFloat(String(metric.span!.length)) / 25.4} in` },
        };
        expect(chainOf(inch).pitch.value).toBe(chainOf(metric).pitch.value);
      }),
      { seed: 14, numRuns: 40 },
    );
  });
});

describe('counting', () => {
  it('is settled by two equal counts whatever slip stands beside them', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 34, max: 120 }),
        fc.constantFrom(-1, 1),
        fc.constantFrom(0, 1, 2),
        (links, slip, place) => {
          const counts = [links, links];
          counts.splice(place, 0, links + slip);
          expect(chainOf({ driveLinks: counts }).driveLinks).toMatchObject({ status: 'settled', value: links });
          expect(chainOf({ driveLinks: [links, links + slip] }).driveLinks.status).toBe('open');
        },
      ),
      { seed: 15, numRuns: 50 },
    );
  });
});
