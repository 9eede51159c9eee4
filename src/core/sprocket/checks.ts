import { missingCheck, readingCheck, repeatOf, seenChecks, withOutcome, workCheck, type Check } from '../judge';
import type { Limits } from '../limits';
import { countOf } from '../quantity';
import type { BenchSheet } from '../sheet';

/** Checks of the drive sprocket. */
export function assessDriveSprocket(sheet: BenchSheet, limits: Limits): readonly Check[] {
  const part = 'driveSprocket' as const;
  const sprocket = sheet.driveSprocket ?? {};
  const { wear } = sprocket;
  const checks: Check[] = [
    wear
      ? readingCheck(
          { id: 'sprocket.wear', part, repeat: repeatOf('driveSprocket.wear', wear) },
          wear,
          limits['sprocket.wear'],
          limits['sprocket.wear.watch'],
        )
      : missingCheck({ id: 'sprocket.wear', part }, limits['sprocket.wear'].provenance, {
          code: 'needs',
          readings: ['driveSprocket.wear'],
        }),
    ...seenChecks(part, 'driveSprocket', sprocket),
  ];
  if (sprocket.chainsRun !== undefined) {
    const limit = limits['sprocket.chains'];
    const check = workCheck({ id: 'sprocket.chains', part }, { value: countOf(sprocket.chainsRun), u: 0 }, limit);
    checks.push(withOutcome(check, sprocket.chainsRun >= limit.value ? 'watch' : 'ok'));
  }
  return checks;
}

/** Whether a drive sprocket is within its limit, by its checks; null when it was not measured. */
export function sprocketSound(checks: readonly Check[]): boolean | 'close' | null {
  const outcomes = checks.filter(({ condemns }) => condemns).map(({ outcome }) => outcome);
  if (outcomes.includes('fail')) return false;
  if (outcomes.includes('undecided')) return 'close';
  return outcomes.includes('not-measured') ? null : true;
}
