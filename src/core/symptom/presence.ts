import { flatMap } from '../flat-map';
import { CAUSE_LIST, rowOf, type Cause } from './causes';
import type { FindingId } from './findings';
import type { Found } from './found';
import type { School, Symptom } from './symptom';

/**
 * A cause before it is known that the complaint is there: how likely it is present, and how often it then brings the
 * complaint about.
 */
export interface Present {
  readonly cause: Cause;
  readonly present: number;
  readonly strength: number;
}

/**
 * How likely a complaint is before anything is read, and how likely nothing found explains it (trade figures, model
 * §18).
 */
const COMPLAINT = 0.3;
export const UNEXPLAINED = 0.1 * COMPLAINT;
const OF_THOSE = 0.9;
/** No cause is likelier than this before anything was looked at. */
const AT_MOST = 0.5;

/** How much likelier uneven cutters are, before anything is read, to the school that finds curved cuts in them. */
const TO_ITS_SCHOOL = 4;

const weightOf = (cause: Cause, symptom: Symptom, school: School): number => {
  const { brings, school: own } = rowOf(cause);
  return (brings[symptom] ?? 0) * (own === school ? TO_ITS_SCHOOL : 1);
};

/** Causes that a symptom may have, in the order of the rows. */
export const causesOf = (symptom: Symptom): readonly Cause[] =>
  CAUSE_LIST.filter((cause) => rowOf(cause).brings[symptom] !== undefined);

/** Whether the schools differ on a symptom. */
export const isDisputed = (symptom: Symptom): boolean =>
  causesOf(symptom).some((cause) => rowOf(cause).school !== undefined);

/** How likely each cause of a symptom is present before anything was looked at: `p = min(0.5, 0.9·c·w/s)`. */
export function priorsOf(symptom: Symptom, school: School): readonly Present[] {
  const causes = causesOf(symptom);
  const all = causes.reduce((sum, cause) => sum + weightOf(cause, symptom, school), 0);
  return causes.map((cause) => {
    const { strength } = rowOf(cause);
    const weight = weightOf(cause, symptom, school) / all;
    return { cause, present: Math.min(AT_MOST, (OF_THOSE * COMPLAINT * weight) / strength), strength };
  });
}

/** By how much a finding multiplies the odds of a cause; 1 where it says nothing of it. */
export function ratioOf({ id, results, sureness }: Pick<Found, 'id' | 'results' | 'sureness'>, cause: Cause): number {
  const by = rowOf(cause).evidence[id];
  if (!by) return 1;
  const said = results.find((result) => by[result] !== undefined);
  return said === undefined ? 1 : by[said]! ** sureness;
}

/** The odds of a chance multiplied. */
export function oddsTimes(chance: number, ratio: number): number {
  const odds = (chance / (1 - chance)) * ratio;
  return odds / (1 + odds);
}

/** The same after all that was found: each finding by itself (Bayes). What is not known moves nothing. */
export const presentBy = (priors: readonly Present[], found: readonly Found[]): readonly Present[] =>
  priors.map(({ cause, present, strength }) => ({
    cause,
    present: oddsTimes(
      present,
      found.reduce((ratio, each) => ratio * ratioOf(each, cause), 1),
    ),
    strength,
  }));

/**
 * What a finding may do to the odds of a cause at best: the result that speaks most for it, and the one that speaks
 * most against it.
 */
export interface Reach {
  readonly up: number;
  readonly down: number;
}

/** Findings that speak of a cause, with what they may do to it, worked out once. */
export const REACHES: ReadonlyMap<Cause, readonly (readonly [FindingId, Reach])[]> = new Map(
  CAUSE_LIST.map((cause) => [
    cause,
    flatMap(Object.entries(rowOf(cause).evidence), ([id, results]) => {
      const all = Object.values(results) as number[];
      return [[id as FindingId, { up: Math.max(1, ...all), down: Math.min(1, ...all) }] as const];
    }),
  ]),
);
