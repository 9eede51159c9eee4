import { never } from '../../core/result';
import type { Advice, AdviceCode, Because } from '../../core/advice';
import type { DriftFactor } from '../../core/bar';
import type { BookingState } from '../../core/booking';
import type { FailedProof, Proof } from '../../core/proof';
import type { Schools } from '../../core/schools';
import type { StillOpen } from '../../core/handover';
import type { HarderHabit, NextVisit } from '../../core/visit';
import { AILMENTS, symptomName } from './ailments';
import { checkName } from './checks-said';
import { choiceLabel } from './choices';
import { partName } from './labels';
import { stepName } from './steps';
import { readingName } from './places';
import { inSentence, list, sentence } from './sentence';
import { plural } from './plural';

/** How a part of a plan stands. */
export const bookingWord: Record<BookingState, string> = {
  taken: 'Taken',
  'on-shelf': 'On the shelf',
  ordered: 'Ordered',
  confirmed: 'Confirmed',
  late: 'Late',
  refused: 'Refused',
  missing: 'Not on the shelf',
};

/** How the saw was proved. */
export const proofWord: Record<Proof['state'], string> = {
  'not-needed': 'not needed',
  'not-proved': 'not proved',
  passed: 'cuts as it should',
  failed: 'failed',
};

/** Cautions before a saw is put together and started. */
export const REFIT_CAUTIONS: readonly string[] = [
  'Battery out or spark lead off until all of it is on. Gloves on: a dressed rail is sharp.',
  'Follow the saw maker’s approved bar and chain combinations.',
];

export const PROOF_CAUTIONS: readonly string[] = [
  'Protective clothing for the test cut. The saw maker’s instructions and the local rules on saw work come first.',
  'A saw whose chain turns while it idles is not tried: it goes back to the sprocket.',
];

/** Cautions that go home with the customer. */
export const HOME_CAUTIONS: readonly string[] = [
  'This is what was measured here, and advice to a competent user; it is no certificate of the saw.',
  'Follow the saw maker’s approved bar and chain combinations and the local rules on saw work and kickback.',
  'A worn bar edge can cut like a knife: gloves on whenever the chain is off.',
];

/** How the chain is tensioned in this shop. */
export const TENSION_SAYS: Record<Schools['tension'], string> = {
  snug: 'Here: snug. It pulls round by hand, snaps back, and lifts midway by one drive link at most.',
  'sag-on-hard-nose': 'Here: snug on a sprocket nose; round a hard nose it may hang a little.',
  warm: 'Here: set while the chain is warm, and slackened before it cools.',
};

/** How the shop’s factor on the predicted drift stands. */
export function driftFactorSentence({ factor, interval, cuts }: DriftFactor): string {
  const from = plural(cuts, { one: '# other test cut is logged', other: '# other test cuts are logged' });
  if (!interval) return `Uncalibrated: ${from}, five are needed. The curve is the plain model.`;
  return `Calibrated by the shop’s ${cuts} other test cuts: ${factor.toFixed(2)} times the plain model (${interval.low.toFixed(2)} to ${interval.high.toFixed(2)}, 95 %).`;
}

/** A proof that failed: what it is like, what explains it best, where to go back to. */
export function failedProofSentence({ symptom, cause, share, unexplainedShare, step, measure }: FailedProof): string {
  const likeliest = `${inSentence(AILMENTS[cause].name)} (${Math.round(100 * share)} %)`;
  const why =
    unexplainedShare > share
      ? `${sentence(symptomName(symptom))}: nothing found explains it (${Math.round(100 * unexplainedShare)} %), the first to look at again: ${likeliest}.`
      : `${sentence(symptomName(symptom))}: most likely ${likeliest}.`;
  const back = measure === null ? '' : ` What tells it from the next cause: ${readingName(measure)}.`;
  return `${why} Back to ${stepName[step]}.${back}`;
}

/** Advice in the customer’s words. */
export const adviceSentence: Record<AdviceCode, string> = {
  'check-tension-soon':
    'Look at the tension after the first minutes: a new chain settles. Saw off, chain cool, gloves on.',
  'carry-wrench': 'Take the wrench along and look at the tension at each tank or battery: a slack chain comes off.',
  'slacken-when-cold': 'Slacken the chain before the saw cools: set warm, it shrinks tight on the bar.',
  'clear-after-filing':
    'Filing on the bar drops filings into the oil port: clear it each time, and turn the bar over at each filing.',
  'sharpen-sooner':
    'Sharpen when it wants pushing: a sharp chain pulls itself in. Forcing a blunt one wears the bar at one spot.',
  'sharpen-evenly': 'File both sides alike: the longer side cuts more, and wears the rail of its side.',
  'keep-oil-coming': 'See that oil flies off the nose before you begin; rake the groove when it does not.',
  'turn-over': 'Turn the bar over at every chain change: it lasts about half as long again.',
  'go-on-greasing': 'The nose has been greased: go on greasing it at each service.',
};

const because = (reason: Because): string => {
  switch (reason.from) {
    case 'word':
      return `${readingName(reason.reading)}: ${choiceLabel(reason.reading, reason.word)}`;
    case 'check':
      return inSentence(checkName[reason.check.id]);
    case 'renewed':
      return `new ${inSentence(partName[reason.part])}`;
    case 'one-spot':
      return 'worn at one spot';
    case 'one-edge-dips':
      return 'one edge alone dips';
    case 'greased':
      return 'greased before';
    case 'school':
      return 'the way this shop tensions';
    default:
      return never(reason);
  }
};

/** What an advice follows from. */
export const adviceBecause = ({ because: reasons }: Advice): string => list([...new Set(reasons.map(because))]);

const HABIT: Record<HarderHabit, string> = {
  'never-turned-over': 'the bar is never turned over',
  'never-sharpened': 'the chain is never sharpened',
  forced: 'the bar is worn at one spot',
};

/** Why the next visit is then. */
export function visitBecause({ because: reason, habits }: NextVisit): string {
  if (reason.code === 'wear')
    return `The ${inSentence(partName[reason.part])} has about ${Math.round(reason.hours)} running hours left, at ${reason.hoursPerWeek} a week.`;
  const use =
    reason.use === null ? 'Usual where the use is not known' : `Usual for ${choiceLabel('job.use', reason.use)}`;
  return habits.length === 0 ? `${use}.` : `${use}, sooner because ${list(habits.map((habit) => HABIT[habit]))}.`;
}

/** What is still open about a job that is to be handed over. */
export function stillOpenSentence(open: StillOpen): string {
  switch (open.code) {
    case 'not-signed':
      return 'Nobody has signed the verdicts off.';
    case 'undecided':
      return `The ${inSentence(partName[open.part])} is undecided.`;
    case 'condemned':
      return `The ${inSentence(partName[open.part])} is condemned, and no plan that was signed replaces it.`;
    case 'work-left':
      return `Work on the ${inSentence(partName[open.part])} is not ticked off.`;
    case 'parts-missing':
      return `Not taken from the shelf: ${list(open.skus)}.`;
    case 'refit-left':
      return open.acts === 1
        ? 'One act of putting it back on is not ticked off.'
        : `${open.acts} acts of putting it back on are not ticked off.`;
    case 'slack':
      return 'The chain lifts more than it may.';
    case 'tight':
      return 'The chain is too tight: it lifts less than it must.';
    case 'tension-open':
      return 'The tension was not measured, or cannot be judged.';
    case 'not-proved':
      return 'The saw was not proved.';
    case 'proof-failed':
      return 'The proof failed.';
    default:
      return never(open);
  }
}

/** Why the next visit is on a day of the customer's own. */
export const visitAgreed = 'Agreed on with the customer.';
