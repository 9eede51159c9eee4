/** How long a piece lasted, running hours: it was seen whole after `from`, and no more after `until`. */
export interface Lasted {
  /** 0 or more. */
  readonly from: number;
  /** Not before `from`; the same where its end was seen; null of one that is in use still. */
  readonly until: number | null;
}

/** How long such pieces last. */
export interface Lifetimes {
  readonly ended: number;
  readonly going: number;
  /** Half of them last longer, running hours; eight times in ten between. */
  readonly middle: number;
  readonly from: number;
  readonly until: number;
}

/** Shapes that are looked at: from ends at any age to ends nearly at one age. */
const SHAPES = Array.from({ length: 25 }, (_, i) => 0.6 * 10 ** (i / 24));
const MIDDLES = 161;
/** How much further than what lasted the middle may lie, either way. */
const BEYOND = 8;
/** Twice the fall of the log likelihood that bounds eight in ten: χ² of one degree. */
const EIGHT_IN_TEN_FALLS = 1.6423744151498167;
const LEAST_HOURS = 1;

/** Log of the Weibull likelihood of one piece, its middle and shape given. */
function logLikelihood({ from, until }: Lasted, middle: number, shape: number): number {
  const hazard = (hours: number) => Math.LN2 * (Math.max(LEAST_HOURS, hours) / middle) ** shape;
  if (until === null) return from === 0 ? 0 : -hazard(from);
  if (until > from) return -hazard(from) + Math.log(-Math.expm1(hazard(from) - hazard(until)) || Number.MIN_VALUE);
  const hours = Math.max(LEAST_HOURS, from);
  return Math.log((shape / hours) * hazard(hours)) - hazard(hours);
}

/**
 * How long pieces last: a Weibull life by the likelihood of all, where one that is in use still has lasted so long at
 * least, and never counts as ended. The interval is by the likelihood's own fall.
 * @param lasted of pieces whose beginning is known
 * @returns null while fewer than two have ended: nothing ended says nothing of an end
 * @see model.md §15
 */
export function lifetimes(lasted: readonly Lasted[]): Lifetimes | null {
  const ended = lasted.filter(({ until }) => until !== null).length;
  if (ended < 2) return null;
  const hours = lasted.map(({ from, until }) => Math.max(LEAST_HOURS, until ?? from));
  const [low, high] = [Math.log(Math.min(...hours) / BEYOND), Math.log(Math.max(...hours) * BEYOND)];
  const middles = Array.from({ length: MIDDLES }, (_, i) => Math.exp(low + ((high - low) * i) / (MIDDLES - 1)));
  const profile = middles.map((middle) =>
    Math.max(...SHAPES.map((shape) => lasted.reduce((sum, each) => sum + logLikelihood(each, middle, shape), 0))),
  );
  const best = profile.indexOf(Math.max(...profile));
  const isWithin = (i: number) => 2 * (profile[best]! - profile[i]!) <= EIGHT_IN_TEN_FALLS;
  const [first, last] = [middles.findIndex((_, i) => isWithin(i)), middles.findLastIndex((_, i) => isWithin(i))];
  return {
    ended,
    going: lasted.length - ended,
    middle: middles[best]!,
    from: middles[Math.max(0, first - 1)]!,
    until: middles[Math.min(MIDDLES - 1, last + 1)]!,
  };
}
