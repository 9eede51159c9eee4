import { seeded } from '../doubt';

/** Random numbers that hang on a seed and a name alone, whatever else was drawn before. */
export interface Draw {
  /** Evenly between two numbers. */
  readonly between: (lo: number, hi: number) => number;
  readonly normal: (spread: number) => number;
  readonly chance: (share: number) => boolean;
  readonly pick: <T>(among: readonly T[]) => T;
}

/** FNV-1a, 32 bits (Fowler, Noll, Vo; public domain). */
function hashed(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash | 0;
}

/**
 * The random numbers of a name under a seed: the same for ever.
 * @param name what is drawn, such as a place of the sheet
 */
export function drawn(seed: number, name: string): Draw {
  const { uniform, normal } = seeded(hashed(`${seed} ${name}`));
  return {
    between: (lo, hi) => lo + (hi - lo) * uniform(),
    normal: (spread) => spread * normal(),
    chance: (share) => uniform() < share,
    pick: (among) => among[Math.floor(among.length * uniform())]!,
  };
}
