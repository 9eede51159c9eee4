/** A stream of numbers drawn by chance, the same for the same seed. */
export interface Stream {
  /** From 0 up to 1, alike everywhere. */
  readonly uniform: () => number;
  /** Of a standard normal. */
  readonly normal: () => number;
}

/** Numbers from 0 up to 1 (Mulberry32, T. Ettinger; public domain). */
function mulberry(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/**
 * A stream for a seed. Normals come in pairs (the polar method: Marsaglia & Bray 1964).
 * @param seed a whole number
 */
export function seeded(seed: number): Stream {
  const uniform = mulberry(seed);
  let kept = 0;
  let isKept = false;
  const normal = (): number => {
    if (isKept) {
      isKept = false;
      return kept;
    }
    for (;;) {
      const x = 2 * uniform() - 1;
      const y = 2 * uniform() - 1;
      const square = x * x + y * y;
      if (square >= 1 || square === 0) continue;
      const scale = Math.sqrt((-2 * Math.log(square)) / square);
      kept = y * scale;
      isKept = true;
      return x * scale;
    }
  };
  return { uniform, normal };
}
