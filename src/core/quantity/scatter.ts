import { chiSquareQuantile } from './chi-square';
import { INSTRUMENTS } from './instrument';
import { placingUncertainty, type MeasuredReading } from './reading';

/** From so many degrees of freedom the scatter of a job's own repeats replaces what is usual (model §1). */
export const DEGREES_NEEDED = 6;

/**
 * A scatter that chance alone exceeds less often than once in a hundred is not the usual one; by degrees of freedom,
 * from 1.
 */
const BEYOND_CHANCE = Array.from({ length: DEGREES_NEEDED - 1 }, (_, i) => chiSquareQuantile(0.99, i + 1));

/** Repeats of one tool, placed in one way. */
interface Pool {
  squares: number;
  degrees: number;
  readonly usual: number;
  readonly resolution: number;
}

const poolOf = ({ instrument, placing, by }: MeasuredReading): string => `${instrument}|${placing ?? ''}|${by ?? ''}`;

/**
 * The scatter of a pool where it replaces the usual one: from enough repeats, or where it is larger than chance allows.
 */
function scatterOf({ squares, degrees, usual, resolution }: Pool): number | null {
  if (degrees === 0) return null;
  const own = Math.sqrt(squares / degrees);
  // Repeats that never differ show the step of the tool, and no more.
  if (degrees >= DEGREES_NEEDED) return Math.max(own, resolution / Math.sqrt(12));
  return squares / usual ** 2 > BEYOND_CHANCE[degrees - 1]! ? own : null;
}

/**
 * The scatter of repeats, pooled over the places of a job for each tool and way of placing it (JCGM 100:2008 4.2.4,
 * H.3). With six degrees of freedom it replaces what is usual; with fewer it does so only where it is larger than
 * chance allows.
 * @returns a function from a reading to the standard deviation of one placing, mm; null where the usual one stands
 */
export function pooledScatter(readings: Iterable<MeasuredReading>): (reading: MeasuredReading) => number | null {
  const pools = new Map<string, Pool>();
  for (const reading of readings) {
    const n = reading.repeats.length;
    if (n < 2) continue;
    const centre = reading.repeats.reduce((sum, each) => sum + each, 0) / n;
    const { resolution } = INSTRUMENTS[reading.instrument];
    const pool = pools.get(poolOf(reading)) ?? {
      squares: 0,
      degrees: 0,
      usual: placingUncertainty(reading),
      resolution,
    };
    pool.squares += reading.repeats.reduce((sum, each) => sum + (each - centre) ** 2, 0);
    pool.degrees += n - 1;
    pools.set(poolOf(reading), pool);
  }
  const found = new Map([...pools].map(([key, pool]) => [key, scatterOf(pool)]));
  return (reading) => found.get(poolOf(reading)) ?? null;
}
