import {
  measuredCheck,
  measuredChecks,
  repeatOf,
  seenCheck,
  seenChecks,
  withOutcome,
  workCheck,
  type Check,
} from '../judge';
import type { Limits } from '../limits';
import { atMost, CONTRADICTS_BELOW, evenlyOver, gradedAs, weighedBy, type Grades } from '../belief';
import { boundsOf, countOf, exactly, outcomeWithin } from '../quantity';
import type { BenchSheet, DriveSprocketSheet } from '../sheet';

const part = 'driveSprocket' as const;

type Grade = NonNullable<DriveSprocketSheet['grade']>;

/** The eye against the drawn grades, mm of wear (shop's figures): it sees deep grooves well and light ones badly. */
export const EYE: Grades<Grade> = { words: ['none', 'light', 'deep'], from: [0.15, 0.55], spread: 0.07 };
/** Before anybody looks a drive sprocket may be worn anything up to this, mm (shop's figure). */
const ANY_WEAR = evenlyOver(0, 0.9);

const OUTCOME_OF = { none: 'ok', light: 'watch', deep: 'fail' } as const satisfies Record<Grade, Check['outcome']>;

/** An eye that is not sure is helped by a blade. */
const BY_BLADE = repeatOf('driveSprocket.wear', undefined, 'feeler');

/**
 * What the eye finds where nothing was measured: its word, as sure as that makes it that the wear is within its limit.
 * Light grooves may be deeper than they look.
 */
function gradeAlone(grade: Grade, limit: number): Check {
  const probability = atMost(gradedAs(ANY_WEAR, EYE, grade), limit);
  const check = { ...seenCheck('driveSprocket.grade', grade), probability, repeat: BY_BLADE };
  return withOutcome(check, outcomeWithin(exactly(probability)));
}

/**
 * What the eye finds beside a measure: it moves the same belief. Where the measure makes its word unlikely one of the
 * two is made again; an eye that says deep then leaves it undecided, and never condemns by itself.
 */
function gradeBeside(grade: Grade, measured: Check, expected: number): Check {
  const check = seenCheck('driveSprocket.grade', grade);
  const { outcome, repeat } = measured;
  if (expected < CONTRADICTS_BELOW)
    return {
      ...withOutcome(check, grade === 'deep' ? 'undecided' : 'watch'),
      repeat,
      again: 'driveSprocket.wear',
      note: { code: 'grade-disagrees', measured: outcome === 'fail' ? 'worn' : 'sound' },
    };
  // It agrees as far as the measure goes: the measure, with the eye's say in it, decides.
  const follows = grade === 'deep' && outcome !== 'fail' ? (outcome === 'undecided' ? 'undecided' : 'watch') : null;
  return follows ? { ...withOutcome(check, follows), repeat } : withOutcome(check, OUTCOME_OF[grade]);
}

/** Wear against its limit: by what was measured and what the eye found together, or by one of them alone. */
function wearChecks({ wear, grade }: DriveSprocketSheet, limits: Limits): readonly Check[] {
  const [limit, watch] = [limits['sprocket.wear'], limits['sprocket.wear.watch']];
  if (!wear && grade !== undefined) return [gradeAlone(grade, limit.value)];
  const measured = measuredCheck('driveSprocket.wear', wear, limits);
  if (!wear || grade === undefined) return [measured];
  const weighed = weighedBy(boundsOf(wear));
  if (!weighed) return [measured, gradeBeside(grade, measured, 1)];
  const both = gradedAs(weighed, EYE, grade);
  const within = both.expected < CONTRADICTS_BELOW ? measured.probability! : atMost(both, limit.value);
  const together = {
    ...measured,
    probability: within,
    outcome: outcomeWithin(exactly(within), measured.value! > watch.value),
  };
  return [together, gradeBeside(grade, together, both.expected)];
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
    ...measuredChecks(part, 'driveSprocket', sprocket, limits),
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
