import { flatMap } from '../flat-map';
import type { Part } from '../reading';
import { READINGS, valuesAt, type BenchSheet, type Operation } from '../sheet';
import { partOfCause, type Cause, type DriftBelief, type Told } from '../symptom';

/** The group of the sheet that a part stands in; a nose stands with its bar. */
const GROUP_OF = { bar: 'bar', chain: 'chain', driveSprocket: 'driveSprocket' } as const;

/** A copy without what stands at a place. */
function without<T>(value: T, [key, ...rest]: readonly string[]): T {
  if (key === undefined || typeof value !== 'object' || value === null || !(key in value)) return value;
  const { [key]: inner, ...others } = value as Readonly<Record<string, unknown>>;
  return (rest.length === 0 ? others : { ...others, [key]: without(inner, rest) }) as T;
}

const SEEN = READINGS.filter(({ told }) => told.seen);

/** Work that was done on all parts. */
function done({ bar, chain, driveSprocket }: BenchSheet): readonly Operation[] {
  return [...(bar?.reworkDone ?? []), ...(chain?.reworkDone ?? []), ...(driveSprocket?.reworkDone ?? [])];
}

/** Places of findings that were mended since. */
const mended = (sheet: BenchSheet, work: readonly string[]): readonly (readonly string[])[] =>
  flatMap(SEEN, ({ id, told }) => {
    const keys = id.split('.');
    const [word] = valuesAt(sheet, keys);
    const calledFor = typeof word === 'string' ? told.seen!.words[word]?.work : null;
    return calledFor && work.includes(calledFor) ? [keys] : [];
  });

/** Pulls on a cut without those of parts that were renewed. */
const pullsLeft = (drift: DriftBelief, renewed: readonly Part[]): DriftBelief =>
  Object.fromEntries(
    (Object.keys(drift) as readonly Cause[])
      .filter((cause) => !renewed.includes(partOfCause(cause)))
      .map((cause) => [cause, drift[cause]]),
  );

/**
 * What is still true of the saw as it goes out: without what was found on parts that were renewed since, what was
 * mended, and the tension that it came with. Rules between parts were held to when the new ones were chosen.
 */
export function asItGoesOut(
  { sheet, checks, fit, tension, pattern, wearPlace, drift }: Told,
  renewed: readonly Part[],
): Told {
  const work = done(sheet);
  const gone = flatMap(renewed, (part) => (part === 'nose' ? [] : [[GROUP_OF[part]]]));
  const places = [...mended(sheet, work), ['strip', 'tension'], ...gone];
  const noseGone = renewed.includes('nose') || renewed.includes('bar');
  const isGone = (part: Part): boolean => renewed.includes(part) || (part === 'nose' && noseGone);
  return {
    sheet: places.reduce((left, place) => without(left, place), sheet),
    checks: checks.filter(({ part, work: calledFor }) => !isGone(part) && !(calledFor && work.includes(calledFor))),
    fit: renewed.length > 0 ? [] : fit,
    tension: renewed.length > 0 ? null : tension,
    pattern: renewed.includes('bar') ? { code: 'not-measured' } : pattern,
    drift: pullsLeft(drift, renewed),
    wearPlace: renewed.includes('bar') ? { code: 'not-measured' } : wearPlace,
  };
}
