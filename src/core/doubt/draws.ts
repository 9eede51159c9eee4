import type { Factor } from './factors';
import { DESERVED, type Deserved, type Shares } from './shares';

/** A stream of numbers from 0 up to 1, the same for the same seed (Mulberry32, T. Ettinger; public domain). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** Factors laid out flat, so that a draw is arithmetic over them. */
interface Compiled {
  readonly groups: number;
  readonly group: Uint16Array;
  readonly rank: Uint8Array;
  readonly well: Float64Array;
}

const RANK: Readonly<Record<Factor['calls'], number>> = { clean: 1, recondition: 2, replace: 3 };

function compile(factors: readonly Factor[]): Compiled {
  const names = [...new Set(factors.map(({ group }) => group))];
  return {
    groups: names.length,
    group: Uint16Array.from(factors, ({ group }) => names.indexOf(group)),
    rank: Uint8Array.from(factors, ({ calls }) => RANK[calls]),
    well: Float64Array.from(factors, ({ well }) => well),
  };
}

/**
 * Shares of verdicts by drawing how everything may be: one number for each group decides all that is read off it, and the worst of what comes out badly is the verdict.
 * @param draws how many, at least 1
 * @param next numbers from 0 up to 1
 */
export function drawnShares(factors: readonly Factor[], draws: number, next: () => number): Shares {
  const { groups, group, rank, well } = compile(factors);
  const counts = [0, 0, 0, 0];
  const drawn = new Float64Array(groups);
  for (let draw = 0; draw < draws; draw += 1) {
    for (let i = 0; i < groups; i += 1) drawn[i] = next();
    let worst = 0;
    for (let i = 0; i < well.length; i += 1) if (drawn[group[i]!]! >= well[i]! && rank[i]! > worst) worst = rank[i]!;
    counts[worst]! += 1;
  }
  return Object.fromEntries(DESERVED.map((deserved, i) => [deserved, counts[i]! / draws])) as Record<Deserved, number>;
}
