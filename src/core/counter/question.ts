import type { Need } from '../stock';
import type { Identity, IdentifiedProperty } from '../identify';
import { minutesFor, type Askable, type BenchSheet } from '../sheet';
import { numbersOf, type CounterNumbers } from './numbers';

/** The one thing to ask, by the place on the sheet that its answer goes to, and what it would settle. */
export interface Question {
  readonly asks: Askable;
  readonly settles: IdentifiedProperty | 'class' | 'mount' | 'sprocketKind' | 'teeth' | 'saw';
  readonly minutes: number;
}

/** What can be asked over a telephone: marks and counts first, what needs a tool not at all. */
const BY_WORD: Readonly<Record<IdentifiedProperty, readonly Askable[]>> = {
  pitch: ['bar.stamp', 'chain.stamp', 'chain.chassis', 'chain.fileSize'],
  gauge: ['bar.stamp', 'chain.stamp', 'chain.driveLinkThickness'],
  driveLinks: ['bar.stamp', 'chain.driveLinks'],
};

/** The two builds of 3/8 are told apart by these. */
const BY_BUILD = ['chain.chassis', 'chain.fileSize', 'chain.stamp'] as const;

function stands(sheet: BenchSheet, path: Askable): boolean {
  const value = path.split('.').reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], sheet);
  return value !== undefined && value !== '';
}

function ask(property: Question['settles'], path: Askable): Question {
  return { asks: path, settles: property, minutes: minutesFor(path) };
}

function byWord(sheet: BenchSheet, numbers: CounterNumbers, property: IdentifiedProperty): Question {
  const buildOpen = property === 'pitch' && [...numbers.pitch.values].sort().join() === '38,38lp';
  const paths = buildOpen ? BY_BUILD : BY_WORD[property];
  const open = paths.find((path) => path === 'chain.driveLinks' || !stands(sheet, path));
  return ask(property, open ?? (property === 'gauge' ? 'chain.driveLinkThickness' : 'chain.span'));
}

/** Whether one count of the links says what the stamp says: that sells, with the caution that it was one. */
export const isCountedOnce = ({ chain }: BenchSheet, { driveLinks }: CounterNumbers): boolean =>
  driveLinks.status === 'settled' && chain?.driveLinks?.length === 1 && driveLinks.values[0] === chain.driveLinks[0];

/** What a drive sprocket is sold by beside its pitch: its kind, its teeth and what it sits on. */
function onTheDrive({ sprocketKind, teeth, splines, bore }: Need): Question | null {
  if (sprocketKind === null) return ask('sprocketKind', 'driveSprocket.type');
  if (teeth === null) return ask('teeth', 'driveSprocket.teeth');
  if (sprocketKind === 'rim') return splines === null ? ask('saw', 'saw.splines') : null;
  return bore === null ? ask('saw', 'driveSprocket.bore') : null;
}

/**
 * The next question: the first number that is not settled, by what the caller can tell or, with the chain in hand, by
 * the measurement that settles most a minute; then the count that a stamp cannot replace, then who runs the saw. A bar
 * is first of all a matter of its mount.
 */
export function nextQuestion(
  sheet: BenchSheet,
  identity: Identity,
  numbers: CounterNumbers,
  need: Need,
  inHand: boolean,
): Question | null {
  if (need.kind === 'bar' && need.mount === null) return ask('mount', 'saw.mount');
  for (const property of numbersOf(need.kind)) {
    if (numbers[property].status === 'settled') continue;
    const settling = identity.chain[property].settledBy;
    return inHand && settling
      ? { asks: settling.measure, settles: property, minutes: settling.minutes }
      : byWord(sheet, numbers, property);
  }
  if (need.kind === 'drive-sprocket') return onTheDrive(need);
  if (need.kind === 'nose' && need.teeth === null) return ask('teeth', 'bar.noseTeeth');
  if (need.kind !== 'chain') return null;
  if (need.kickbackClass === null)
    return ask('class', stands(sheet, 'job.operatorTrained') ? 'chain.kickbackClass' : 'job.operatorTrained');
  if (identity.chain.driveLinks.value === null && !isCountedOnce(sheet, numbers))
    return ask('driveLinks', 'chain.driveLinks');
  return null;
}
