import type { FamilyId } from '../families';
import { make, readingCheck, workCheck, type Check, type Head } from '../judge';
import { liftLimitId, type Limit, type Limits } from '../limits';
import { estimate, type LengthReading } from '../quantity';
import type { Schools } from '../schools';
import type { BenchSheet } from '../sheet';

/**
 * How high a tensioned chain may lift: by its family, with what a shop allows that lets a chain sag round a hard nose.
 */
export function liftLimit(family: FamilyId, { bar }: BenchSheet, limits: Limits, schools: Schools): Limit<'mm'> {
  const limit = limits[liftLimitId(family)];
  const mayHang = schools.tension === 'sag-on-hard-nose' && bar?.nose === 'hard';
  return mayHang ? { ...limit, value: limit.value + limits['refit.lift.sag'].value } : limit;
}

/** A bar of which nobody knows the length is taken to be this long, mm: shorter ones are rarely seen on the bench. */
const SHORT_BAR = 250;

/**
 * How far a tensioned chain must lift: a share of the bar's length, and more round a hard nose, where nothing turns with
 * it. What lifts less is too tight: it eats power, wears the nose and stretches.
 */
export function leastLift({ bar }: BenchSheet, limits: Limits): Limit<'mm'> {
  const share = limits['refit.lift.least'];
  const length = [bar?.effectiveLength, bar?.listedLength, bar?.overallLength].find((reading) => reading !== undefined);
  const long = (length && estimate(length)?.value) ?? SHORT_BAR;
  const more = bar?.nose === 'hard' ? limits['refit.lift.least-hard'].value : 0;
  return { ...share, unit: 'mm', role: 'min', value: (long * share.value) / 100 + more };
}

/** The two limits that a lift lies between, as checks; of two that are held to it the one that it breaks. */
function liftCheck(head: Head, lift: LengthReading, most: Limit<'mm'>, least: Limit<'mm'>): Check {
  const value = estimate(lift);
  const against = (limit: Limit<'mm'>) =>
    value ? workCheck(head, value, limit) : readingCheck(head, lift, limit, null);
  const [floor, ceiling] = [against(least), against(most)];
  // Where one is broken it is said, and what cannot be judged is not called right.
  return floor.outcome === 'fail' || (ceiling.outcome === 'ok' && floor.outcome !== 'ok') ? floor : ceiling;
}

/**
 * The tension of the chain, by how far it lifts off the bar at mid-bar.
 * @param family of the chain that goes on; null while its pitch is not settled
 * @returns null where it was not measured
 */
export function tensionCheck(
  sheet: BenchSheet,
  family: FamilyId | null,
  limits: Limits,
  schools: Schools,
): Check | null {
  const lift = sheet.refit?.lift;
  if (!lift) return null;
  const head = { id: 'refit.lift', part: 'chain', condemns: false } as const;
  if (family === null)
    return make(
      { ...head, note: { code: 'needs', readings: ['chain.pitch'] } },
      { kind: 'max', outcome: 'not-measured', provenance: 'practice', condemns: false },
    );
  const limit = liftLimit(family, sheet, limits, schools);
  return liftCheck(head, lift, limit, leastLift(sheet, limits));
}

/** The check of the tension, where it was measured. */
export const tensionOf = (checks: readonly Check[]): Check | null =>
  checks.find(({ id }) => id === 'refit.lift') ?? null;
