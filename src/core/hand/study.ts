import {
  chiSquareQuantile,
  DEGREES_NEEDED,
  INSTRUMENTS,
  quadrature,
  type Estimate,
  type InstrumentId,
  type Mm,
} from '../quantity';

/** A hand and a tool put to the test: one place measured again and again, or a block of known size. */
export interface Study {
  readonly by: string;
  readonly instrument: InstrumentId;
  /** The day, as an ISO date. */
  readonly on: string;
  /** At least one take. */
  readonly takes: readonly Mm[];
  /** The size of the block, with its own doubt; null where a place of unknown size was measured. */
  readonly known: Estimate | null;
}

/** What a study shows. */
export interface StudyResult {
  readonly takes: number;
  readonly mean: number;
  /** Standard deviation of one take, mm. */
  readonly sd: number;
  /** Between these it lies with 95 %, mm; null for a single take. */
  readonly between: readonly [number, number] | null;
  /** What the tool shows too much, mm; null where the size was not known. */
  readonly bias: Estimate | null;
}

const CONFIDENCE = 0.95;

/**
 * Standard deviation of one take with its interval, and the bias against a known size.
 * @see JCGM 100:2008 4.2.2 (experimental standard deviation), 4.2.3 (of the mean); the interval by χ²: NIST/SEMATECH
 *   e-Handbook 7.2.3.1 (from memory)
 */
export function studyResult({ takes, known }: Pick<Study, 'takes' | 'known'>): StudyResult {
  const n = takes.length;
  const mean = takes.reduce<number>((sum, take) => sum + take, 0) / n;
  const squares = takes.reduce<number>((sum, take) => sum + (take - mean) ** 2, 0);
  const degrees = n - 1;
  const sd = degrees === 0 ? 0 : Math.sqrt(squares / degrees);
  const bound = (probability: number) => Math.sqrt(squares / chiSquareQuantile(probability, degrees));
  return {
    takes: n,
    mean,
    sd,
    between: degrees === 0 ? null : [bound((1 + CONFIDENCE) / 2), bound((1 - CONFIDENCE) / 2)],
    bias: known && { value: (mean - known.value) as Mm, u: quadrature(sd / Math.sqrt(n), known.u) },
  };
}

/** What readings of a hand carry from its study on. */
export interface HandFigures {
  /** Standard deviation of one placing, mm. */
  readonly own: number;
  /**
   * Taken off every reading, mm, with the doubt that is left of the tool's own error; null where no block was measured.
   */
  readonly bias: { readonly value: number; readonly shared: number } | null;
}

/**
 * A tool further off than so many times what it is trusted with is broken, or the block is another: no reading is put
 * right by that (shop's figure).
 */
const BELIEVED_UP_TO = 10;

/** Whether a bias is one that a tool may have. */
export const isBelieved = ({ instrument }: Pick<Study, 'instrument'>, { bias }: Pick<StudyResult, 'bias'>): boolean =>
  bias === null || Math.abs(bias.value) <= BELIEVED_UP_TO * INSTRUMENTS[instrument].maxError;

/**
 * What a study gives to readings; null where it has too few takes for that, or a bias that no tool has. Takes that
 * never differ show the step of the tool, and no more.
 */
export function figuresOf(study: Study): HandFigures | null {
  if (study.takes.length - 1 < DEGREES_NEEDED) return null;
  const result = studyResult(study);
  if (!isBelieved(study, result)) return null;
  const { sd, bias } = result;
  return {
    own: Math.max(sd, INSTRUMENTS[study.instrument].resolution / Math.sqrt(12)),
    bias: bias && { value: bias.value, shared: bias.u },
  };
}

/** The newest study of each hand with each tool that has enough takes: these count. */
export function studiesThatCount(studies: readonly Study[]): readonly Study[] {
  const newest = new Map<string, Study>();
  for (const study of studies) {
    const key = `${study.instrument} ${study.by}`;
    const before = newest.get(key);
    if (figuresOf(study) && (!before || study.on >= before.on)) newest.set(key, study);
  }
  return [...newest.values()];
}
