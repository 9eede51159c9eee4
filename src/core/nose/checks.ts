import type { BenchSheet } from '../sheet';
import { observedCheck, seenChecks, withOutcome, type Check } from '../judge';

/** A nose that does not turn and is packed with dirt is washed and tried again before anybody condemns it. */
const isToWash = ({ bar }: BenchSheet): boolean =>
  bar?.checks?.noseTurns === 'seized' &&
  bar.checks.noseDirt === 'packed' &&
  !(bar.reworkDone ?? []).includes('free-nose');

/** Checks of the bar's nose. A hard nose has nothing that turns, and wears by its facing. */
export function assessNose(sheet: BenchSheet): readonly Check[] {
  const { bar } = sheet;
  const checks = seenChecks('nose', 'bar.checks', bar?.checks ?? {}, bar?.nose === 'hard' ? 'hard' : 'sprocket');
  if (!isToWash(sheet)) return checks;
  return checks.map((check) =>
    check.id === 'nose.turns'
      ? { ...withOutcome(check, 'undecided', 'free-nose'), note: { code: 'wash-first' }, again: 'bar.checks.noseTurns' }
      : check,
  );
}

/**
 * What a failed nose means for its bar: re-nose it if the nose can be replaced, condemn it if not, ask if nobody has
 * said.
 */
export function noseOnBar(sheet: BenchSheet, nose: readonly Check[]): Check | null {
  if (!nose.some(({ outcome, condemns }) => outcome === 'fail' && condemns)) return null;
  const replaceable = sheet.bar?.noseReplaceable;
  const head = { id: 'bar.nose', part: 'bar', condemns: replaceable !== true, work: RE_NOSE } as const;
  if (replaceable === undefined)
    return observedCheck({ ...head, note: { code: 'ask-replaceable' } }, 'unknown', { unknown: 'undecided' });
  return observedCheck(head, replaceable ? 'replaceable' : 'fixed', { replaceable: 'fail', fixed: 'fail' });
}

const RE_NOSE = { operation: 're-nose', from: 'fail' } as const;
