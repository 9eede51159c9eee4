import {
  missingCheck,
  readingCheck,
  repeatOf,
  seenCheck,
  seenChecks,
  withOutcome,
  workCheck,
  type Check,
} from '../judge';
import type { Limits } from '../limits';
import { countOf } from '../quantity';
import type { BenchSheet, DriveSprocketSheet } from '../sheet';

const part = 'driveSprocket' as const;

/** Measured wear against its limit. Compared by eye alone, the grade is asked. */
function wearChecks({ wear, grade }: DriveSprocketSheet, limits: Limits): readonly Check[] {
  const [limit, watch] = [limits['sprocket.wear'], limits['sprocket.wear.watch']];
  const measured = wear
    ? [readingCheck({ id: 'sprocket.wear', part, repeat: repeatOf('driveSprocket.wear', wear) }, wear, limit, watch)]
    : [];
  if (grade === undefined)
    return wear
      ? measured
      : [
          missingCheck({ id: 'sprocket.wear', part }, limit.provenance, {
            code: 'needs',
            readings: ['driveSprocket.wear'],
          }),
        ];
  return [...measured, gradeCheck(grade, measured[0] ?? null)];
}

/** What the eye finds. Deep by eye beside a measure that clears contradicts it: one of the two is made again before anybody decides. */
function gradeCheck(grade: NonNullable<DriveSprocketSheet['grade']>, measured: Check | null): Check {
  const check = seenCheck('driveSprocket.grade', grade);
  const clears = measured !== null && (measured.outcome === 'ok' || measured.outcome === 'watch');
  if (grade !== 'deep' || !clears) return check;
  return { ...withOutcome(check, 'undecided'), repeat: measured.repeat, note: { code: 'grade-disagrees' } };
}

/** Chains that wore in turn share the wear: a set that rotates counts as long as it has chains. */
const chainsFrom = ({ rotationSet = 1 }: DriveSprocketSheet, limits: Limits): number =>
  Math.max(limits['sprocket.chains'].value, rotationSet);

function chainsCheck(sprocket: DriveSprocketSheet, limits: Limits): readonly Check[] {
  const { chainsRun } = sprocket;
  if (chainsRun === undefined) return [];
  const limit = { ...limits['sprocket.chains'], value: chainsFrom(sprocket, limits) };
  const check = workCheck({ id: 'sprocket.chains', part }, { value: countOf(chainsRun), u: 0 }, limit);
  return [withOutcome(check, chainsRun >= limit.value ? 'watch' : 'ok')];
}

/** Checks of the drive sprocket. */
export function assessDriveSprocket({ driveSprocket: sprocket = {} }: BenchSheet, limits: Limits): readonly Check[] {
  return [
    ...wearChecks(sprocket, limits),
    ...seenChecks(part, 'driveSprocket', sprocket),
    ...chainsCheck(sprocket, limits),
  ];
}

/** Whether a drive sprocket is within its limit, by its checks; null when it was not measured. */
export function sprocketSound(checks: readonly Check[]): boolean | 'close' | null {
  const outcomes = checks.filter(({ condemns }) => condemns).map(({ outcome }) => outcome);
  if (outcomes.includes('fail')) return false;
  if (outcomes.includes('undecided')) return 'close';
  return outcomes.includes('not-measured') ? null : true;
}
