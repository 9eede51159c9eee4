import { INSTRUMENTS, type InstrumentId } from './instrument';
import { mm, type Mm } from './length';

/** A length measured once or several times with one instrument. */
export interface MeasuredReading {
  readonly kind: 'measured';
  /** At least one value. */
  readonly repeats: readonly [Mm, ...Mm[]];
  readonly instrument: InstrumentId;
  /** How well the hand places the tool here, mm, where it differs from the instrument's usual. */
  readonly placing?: number;
}

/** A length known only to lie between two go/no-go marks; an open side is null. */
export interface BoundedReading {
  readonly kind: 'bounded';
  readonly lo: Mm | null;
  readonly hi: Mm | null;
}

/** A length, however it was learned. */
export type LengthReading = MeasuredReading | BoundedReading;

/** One value with one standard uncertainty, both in millimetres: what arithmetic is done with. */
export interface Estimate {
  readonly value: Mm;
  readonly u: number;
}

/** A measured reading from its values. */
export function measured(repeats: readonly [Mm, ...Mm[]], instrument: InstrumentId, placing?: number): MeasuredReading {
  return placing === undefined
    ? { kind: 'measured', repeats, instrument }
    : { kind: 'measured', repeats, instrument, placing };
}

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * Standard uncertainty of a measured length, mm:
 * `u² = (resolution/√12)² + (maxError/√3)² + placing² + (n ≥ 2 ? s²/n : 0)`.
 * @see JCGM 100:2008 4.2 (repeats), 4.3.7 (rectangular distributions), 5.1.2 (sum of squares)
 */
export function standardUncertainty(reading: MeasuredReading): number {
  const { resolution, maxError, placing } = INSTRUMENTS[reading.instrument];
  const hand = reading.placing ?? placing;
  const n = reading.repeats.length;
  const centre = mean(reading.repeats);
  const scatter = n < 2 ? 0 : reading.repeats.reduce((sum, x) => sum + (x - centre) ** 2, 0) / (n - 1) / n;
  return Math.sqrt(resolution ** 2 / 12 + maxError ** 2 / 3 + hand ** 2 + scatter);
}

/**
 * The single value and standard uncertainty that stand for a reading. A reading bounded on both sides is
 * rectangular: its middle, and half its width over √3 (JCGM 100:2008 4.3.7).
 * @returns null when one bound is missing: half a statement has no middle
 */
export function estimate(reading: LengthReading): Estimate | null {
  if (reading.kind === 'measured') return { value: mm(mean(reading.repeats)), u: standardUncertainty(reading) };
  if (reading.lo === null || reading.hi === null) return null;
  return { value: mm((reading.lo + reading.hi) / 2), u: (reading.hi - reading.lo) / Math.sqrt(12) };
}

/** The difference of two independent estimates, uncertainties added in squares (JCGM 100:2008 5.1.2). */
export function difference(a: Estimate, b: Estimate): Estimate {
  return { value: mm(a.value - b.value), u: Math.hypot(a.u, b.u) };
}
