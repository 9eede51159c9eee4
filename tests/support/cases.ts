import { createHash } from 'node:crypto';
import fc from 'fast-check';

/** A number from 0 to 1 for a place in a case: of the case and the place's name alone, so that a new reading leaves all others as they were. */
export function drawn(seed: number, id: string): number {
  const digest = createHash('sha1').update(`${seed} ${id}`).digest();
  return digest.readUInt32LE() / 2 ** 32;
}

/** A case: what draws it, and how much of what could be said is. */
export interface Case {
  readonly seed: number;
  readonly kept: number;
}

/** Cases; one that fails is made smaller by keeping less of it. */
export const anyCase: fc.Arbitrary<Case> = fc
  .record({
    seed: fc.nat(),
    kept: fc.oneof(
      { weight: 2, arbitrary: fc.constant(100) },
      { weight: 1, arbitrary: fc.integer({ min: 1, max: 100 }) },
    ),
  })
  .map(({ seed, kept }) => ({ seed, kept: kept / 100 }));
