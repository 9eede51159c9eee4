import type { Limits } from '../families';
import { countOf } from '../quantity';
import type { BenchSheet } from '../sheet';
import { missingCheck, observedCheck, readingCheck, repeatOf, workCheck, type Check } from './check';

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
  ];
  if (sprocket.turns)
    checks.push(
      observedCheck({ id: 'sprocket.turns', part, condemns: true }, sprocket.turns, {
        free: 'ok',
        rough: 'watch',
        seized: 'fail',
      }),
    );
  if (sprocket.chainsRun !== undefined) {
    const limit = limits['sprocket.chains'];
    const check = workCheck({ id: 'sprocket.chains', part }, { value: countOf(sprocket.chainsRun), u: 0 }, limit);
    checks.push({ ...check, outcome: sprocket.chainsRun >= limit.value ? 'watch' : 'ok' });
  }
  return checks;
}

/** Checks of the bar's nose. A hard nose has nothing that turns, and wears by its facing. */
export function assessNose(sheet: BenchSheet): readonly Check[] {
  const { nose, checks: observed = {} } = sheet.bar ?? {};
  return nose === 'hard' ? hardNose(observed) : sprocketNose(observed);
}

type Observed = NonNullable<NonNullable<BenchSheet['bar']>['checks']>;

function hardNose({ hardNose: wear }: Observed): readonly Check[] {
  if (!wear) return [];
  const head = { id: 'nose.hard-wear', part: 'nose', condemns: true } as const;
  return [observedCheck(head, wear, { good: 'ok', worn: 'watch', through: 'fail' })];
}

function sprocketNose(observed: Observed): readonly Check[] {
  const part = 'nose' as const;
  const checks = [
    observedCheck({ id: 'nose.turns', part, condemns: true }, observed.noseTurns, {
      free: 'ok',
      rough: 'watch',
      seized: 'fail',
    }),
  ];
  if (observed.tipPlay)
    checks.push(
      observedCheck({ id: 'nose.tip-play', part, condemns: true }, observed.tipPlay, {
        none: 'ok',
        slight: 'watch',
        loose: 'fail',
      }),
    );
  if (observed.noseTeeth)
    checks.push(
      observedCheck({ id: 'nose.teeth', part, condemns: true }, observed.noseTeeth, {
        good: 'ok',
        worn: 'watch',
        missing: 'fail',
      }),
    );
  if (observed.nosePinch)
    checks.push(observedCheck({ id: 'nose.pinch', part }, observed.nosePinch, { no: 'ok', yes: 'fail' }));
  if (observed.noseDirt)
    checks.push(observedCheck({ id: 'nose.dirt', part }, observed.noseDirt, { clear: 'ok', packed: 'fail' }));
  return checks;
}

/** What a failed nose means for its bar: re-nose it if the nose can be replaced, condemn it if not, ask if nobody has said. */
export function noseOnBar(sheet: BenchSheet, nose: readonly Check[]): Check | null {
  if (!nose.some(({ outcome, condemns }) => outcome === 'fail' && condemns)) return null;
  const replaceable = sheet.bar?.noseReplaceable;
  const head = { id: 'bar.nose', part: 'bar', condemns: replaceable !== true } as const;
  if (replaceable === undefined)
    return observedCheck({ ...head, note: { code: 'ask-replaceable' } }, 'unknown', { unknown: 'undecided' });
  return observedCheck(head, replaceable ? 'replaceable' : 'fixed', { replaceable: 'fail', fixed: 'fail' });
}
