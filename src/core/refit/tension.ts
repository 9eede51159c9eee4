import type { FamilyId } from '../families';
import { make, readingCheck, workCheck, type Check } from '../judge';
import { liftLimitId, type Limit, type Limits } from '../limits';
import { estimate } from '../quantity';
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
  const value = estimate(lift);
  return value ? workCheck(head, value, limit) : readingCheck(head, lift, limit, null);
}

/** The check of the tension, where it was measured. */
export const tensionOf = (checks: readonly Check[]): Check | null =>
  checks.find(({ id }) => id === 'refit.lift') ?? null;
