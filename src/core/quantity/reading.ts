import { quadrature } from './quadrature';
import { INSTRUMENTS, type InstrumentId } from './instrument';
import { mm, type Mm, type Unit, type Units } from './length';

/** A length measured once or several times with one instrument. */
export interface MeasuredReading {
  readonly kind: 'measured';
  /** At least one value. */
  readonly repeats: readonly [Mm, ...Mm[]];
  readonly instrument: InstrumentId;
  /** How well the hand places the tool here, mm, where it differs from the instrument's usual. */
  readonly placing?: number;
  /**
   * Standard deviation of one placing as this job's repeats or a study of this hand show it, mm; it replaces what is
   * usual.
   */
  readonly scatter?: number;
  /** Whose hand, where a study of it stands. */
  readonly by?: string;
  /**
   * What this hand's tool shows too much, mm, as a study found: it is taken off; and what is left of the tool's own
   * error.
   */
  readonly bias?: { readonly value: number; readonly shared: number };
}

/** A length known only to lie between two go/no-go marks; an open side is null. */
export interface BoundedReading {
  readonly kind: 'bounded';
  readonly lo: Mm | null;
  readonly hi: Mm | null;
  /** Standard uncertainty of a reading made at one of the marks, mm. */
  readonly u?: number;
}

/** A length, however it was learned. */
export type LengthReading = MeasuredReading | BoundedReading;

/**
 * One value with one standard uncertainty, both in millimetres: what arithmetic is done with. `shared` is the part of
 * the uncertainty that every reading of the same tool has in common: in a difference of two of them it cancels.
 */
export interface Estimate<U extends Unit = 'mm'> {
  readonly value: Units[U];
  readonly u: number;
  readonly shared?: number;
  readonly tool?: InstrumentId;
  /** The marks between which the value lies anywhere alike, where it was read by two of them. */
  readonly between?: readonly [number, number];
}

/** A measured reading from its values. */
export function measured(repeats: readonly [Mm, ...Mm[]], instrument: InstrumentId, placing?: number): MeasuredReading {
  return placing === undefined
    ? { kind: 'measured', repeats, instrument }
    : { kind: 'measured', repeats, instrument, placing };
}

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * What one placing of a tool adds, standard deviation in mm: `e² = placing² + resolution²/12`, or as the job's own
 * repeats show it.
 * @see JCGM 100:2008 4.3.7 (rectangular distributions), 5.1.2 (sum of squares)
 */
export function placingUncertainty({
  instrument,
  placing,
  scatter,
}: Pick<MeasuredReading, 'instrument' | 'placing' | 'scatter'>): number {
  if (scatter !== undefined) return scatter;
  const { resolution, placing: usual } = INSTRUMENTS[instrument];
  return quadrature(placing ?? usual, resolution / Math.sqrt(12));
}

/**
 * What a tool shares with every reading of the job, standard deviation in mm: `b² = maxError²/3` (JCGM 100:2008 4.3.7).
 */
export function sharedUncertainty(instrument: InstrumentId): number {
  return INSTRUMENTS[instrument].maxError / Math.sqrt(3);
}

/** The same for one reading: what a study of the tool has left of it, where there is one. */
const sharedIn = ({ instrument, bias }: MeasuredReading): number => bias?.shared ?? sharedUncertainty(instrument);

/**
 * Standard uncertainty of the mean of n repeats, mm: `u² = b² + e²/n`. Repeating helps, down to what the tool shares.
 * @see JCGM 100:2008 4.2 (repeats), 5.2.4 (what readings have in common)
 * @example depth rod, one reading 0.0530, nine 0.0241
 */
export function standardUncertainty(reading: MeasuredReading): number {
  return quadrature(sharedIn(reading), placingUncertainty(reading) / Math.sqrt(reading.repeats.length));
}

/**
 * The single value and standard uncertainty that stand for a reading; a bias that a study found is taken off (JCGM
 * 100:2008 3.2.4). A reading bounded on both sides is rectangular: its middle, and half its width over √3 (JCGM
 * 100:2008 4.3.7).
 * @returns null when one bound is missing: half a statement has no middle
 */
export function estimate(reading: LengthReading): Estimate | null {
  if (reading.kind === 'measured')
    return {
      // No length is below nothing, whatever is taken off.
      value: mm(reading.bias ? Math.max(0, mean(reading.repeats) - reading.bias.value) : mean(reading.repeats)),
      u: standardUncertainty(reading),
      shared: sharedIn(reading),
      tool: reading.instrument,
    };
  if (reading.lo === null || reading.hi === null) return null;
  const { lo, hi } = reading;
  return { value: mm((lo + hi) / 2), u: (hi - lo) / Math.sqrt(12), between: [lo, hi] };
}

/** The part of an uncertainty that a reading does not share with others of its tool, mm. */
export function ownUncertainty({ u, shared = 0 }: Estimate): number {
  return Math.sqrt(Math.max(0, u ** 2 - shared ** 2));
}

/** Whether two estimates were made with one tool, so that its own error is in both alike. */
export const sameTool = (a: Estimate, b: Estimate): boolean => a.tool !== undefined && a.tool === b.tool;

/**
 * The difference of two estimates, uncertainties added in squares (JCGM 100:2008 5.1.2); what one tool put into both
 * cancels (5.2.4).
 */
export function difference(a: Estimate, b: Estimate): Estimate {
  const [first, second] = sameTool(a, b) ? [ownUncertainty(a), ownUncertainty(b)] : [a.u, b.u];
  return { value: mm(a.value - b.value), u: quadrature(first, second) };
}

/** A bound of a length: an estimate that the true value reaches or does not exceed. */
export interface Bounds<U extends Unit = 'mm'> {
  /** The true value is at least this; null where nothing holds it from below. */
  readonly lo: Estimate<U> | null;
  /** The true value is at most this; null where nothing holds it from above. */
  readonly hi: Estimate<U> | null;
}

/** What a reading says from below and from above: a measured one the same from both sides, a bounded one its marks. */
export function boundsOf(reading: LengthReading): Bounds {
  const both = estimate(reading);
  if (both) return { lo: both, hi: both };
  const { lo, hi, u = 0 } = reading as BoundedReading;
  return { lo: lo === null ? null : { value: lo, u }, hi: hi === null ? null : { value: hi, u } };
}
