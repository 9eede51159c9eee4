/** Random numbers from a seed, so that a simulation that failed can be run again. */
export interface Random {
  /** Evenly between two numbers. */
  readonly between: (lo: number, hi: number) => number;
  readonly normal: (spread: number) => number;
  readonly chance: (share: number) => boolean;
}

/** Mulberry32 (public domain). */
export function random(seed: number): Random {
  let state = seed;
  const next = (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  return {
    between: (lo, hi) => lo + (hi - lo) * next(),
    normal: (spread) => spread * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    chance: (share) => next() < share,
  };
}
