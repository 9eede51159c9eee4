import { judgedParts } from '../judge';
import type { Schools } from '../schools';
import { beginOf, isThere, isWithin, minutesFor, readingAt, type Askable } from '../sheet';
import { CAUSE_PARTS, type Cause } from './causes';
import { causesIn, EVIDENCE_LIST, type Evidence, type Says } from './evidence';
import { findings, type Found, type Told } from './found';
import { isDisputed, weightsOf, type Symptom } from './weights';

/** One cause as it stands: its share of the complaint, and what speaks for it and against it. */
export interface CauseStanding {
  readonly cause: Cause;
  readonly share: number;
  readonly for: readonly Found[];
  readonly against: readonly Found[];
}

/** The check that separates the two causes in front, and what it takes off the chance of naming the wrong one. */
export interface Separating {
  readonly measure: Askable;
  readonly between: readonly [Cause, Cause];
  readonly gain: number;
  readonly minutes: number;
}

/** A symptom with its causes, the heaviest first. */
export interface Diagnosis {
  readonly symptom: Symptom;
  readonly causes: readonly CauseStanding[];
  readonly next: Separating | null;
  /** How the other school ranks them; null where the schools do not differ. */
  readonly otherSchool: { readonly school: Schools['curvedCuts']; readonly causes: readonly CauseStanding[] } | null;
}

/** How a result moves the logarithm of a cause's odds. */
function moves({ for: likelier, against }: Says, cause: Cause): number {
  const up = likelier?.causes.includes(cause) ? Math.log(likelier.by) : 0;
  const down = against?.causes.includes(cause) ? Math.log(against.by) : 0;
  return up - down;
}

/**
 * Shares of causes from their weights and what was found: logarithms of odds added, then normalised (Bayes; each finding counts by itself). What is not known moves nothing.
 * @param weights before anything is read, each above nothing
 * @returns shares that sum to 1, in the order of the weights
 * @example sharesOf([['groove-worn', 1], ['bar-bent', 1]], [{ for: { causes: ['groove-worn'], by: 4 } }]) // 0.8, 0.2
 */
export function sharesOf(
  weights: readonly (readonly [Cause, number])[],
  said: readonly Says[],
): readonly { readonly cause: Cause; readonly share: number }[] {
  const logs = weights.map(([cause, weight]) => said.reduce((log, says) => log + moves(says, cause), Math.log(weight)));
  const most = Math.max(...logs);
  const odds = logs.map((log) => Math.exp(log - most));
  const all = odds.reduce((sum, each) => sum + each, 0);
  return weights.map(([cause], i) => ({ cause, share: odds[i]! / all }));
}

function ranked(symptom: Symptom, school: Schools['curvedCuts'], found: readonly Found[]): readonly CauseStanding[] {
  const shares = sharesOf(
    weightsOf(symptom, school),
    found.map(({ says }) => says),
  );
  return shares
    .map(({ cause, share }) => ({
      cause,
      share,
      for: found.filter(({ says }) => moves(says, cause) > 0),
      against: found.filter(({ says }) => moves(says, cause) < 0),
    }))
    .sort((a, b) => b.share - a.share);
}

/** With so large a share a cause counts as found: nothing more is asked for it. */
export const FOUND_SHARE = 0.85;

/** The ratios of a piece of evidence for a cause: of the result that speaks most for it, and of the one that speaks most against it. */
function ratiosFor({ results }: Evidence, cause: Cause): { readonly up: number; readonly down: number } {
  const all = (Object.values(results) as readonly Says[]).map((says) => moves(says, cause));
  return { up: Math.exp(Math.max(0, ...all)), down: Math.exp(Math.min(0, ...all)) };
}

const best = (shares: readonly number[]): number => Math.max(...shares);

/** Shares once the odds of one were multiplied. */
function multiplied(shares: readonly number[], at: number, by: number): readonly number[] {
  const all = 1 - shares[at]! + by * shares[at]!;
  return shares.map((share, i) => (i === at ? by * share : share) / all);
}

/**
 * What looking would take off the chance of naming the wrong cause. The chances of the two results follow from the ratios: with a ratio `up` for a find and `down` for none, a sound saw shows a find in
 * `(1 − down)/(up − down)` of cases and an ailing one `up` times as often.
 */
function gainOf(evidence: Evidence, cause: Cause, shares: readonly number[], at: number): number {
  const { up, down } = ratiosFor(evidence, cause);
  if (up <= 1 || down >= 1) return 0;
  const falsely = (1 - down) / (up - down);
  const finds = shares[at]! * up * falsely + (1 - shares[at]!) * falsely;
  const after = finds * best(multiplied(shares, at, up)) + (1 - finds) * best(multiplied(shares, at, down));
  return Math.max(0, after - best(shares));
}

/** A check that gains less than this is not asked for. */
const LEAST_GAIN = 1e-6;

/** Readings of the saw as a whole, which came only with it. */
const ON_SAW = ['strip', 'loop', 'saw'] as const;

/** The reading to take for a piece of evidence: the first it rests on that is not there yet. None where all are, or it belongs to what did not come. */
function askedFor({ asks }: Evidence, { sheet }: Told): Askable | null {
  const brought = sheet.job?.brought ?? [];
  const hasSaw = brought.length === 0 || brought.includes('whole-saw');
  const nose = sheet.bar?.nose ?? 'sprocket';
  const mayAsk = (asked: Askable): boolean => {
    const ownNose = readingAt(beginOf(asked))?.told.nose;
    return (hasSaw || !ON_SAW.some((group) => isWithin(asked, group))) && (ownNose === undefined || ownNose === nose);
  };
  return asks.find((asked) => mayAsk(asked) && !isThere(sheet, asked)) ?? null;
}

function separating(causes: readonly CauseStanding[], found: readonly Found[], told: Told): Separating | null {
  const [first, second] = causes;
  if (!first || !second || first.share >= FOUND_SHARE) return null;
  const shares = causes.map(({ share }) => share);
  const parts = judgedParts(told.sheet);
  const open = EVIDENCE_LIST.filter(([id]) => !found.some((each) => each.id === id)).map(([, evidence]) => evidence);
  const asked = open.flatMap((evidence): Separating[] =>
    [first, second].flatMap(({ cause }, at) => {
      if (!causesIn(evidence).includes(cause) || !parts.includes(CAUSE_PARTS[cause])) return [];
      const measure = askedFor(evidence, told);
      if (!measure) return [];
      const between = [first.cause, second.cause] as const;
      return [{ measure, between, gain: gainOf(evidence, cause, shares, at), minutes: minutesFor(measure) }];
    }),
  );
  const rate = ({ gain, minutes }: Separating) => (gain + LEAST_GAIN) / minutes;
  return asked.reduce<Separating | null>((most, next) => (most && rate(most) >= rate(next) ? most : next), null);
}

/** Every symptom of the complaint with its causes, by the school of the shop. */
export function diagnose(told: Told, school: Schools['curvedCuts']): readonly Diagnosis[] {
  const symptoms = told.sheet.job?.symptoms ?? [];
  if (symptoms.length === 0) return [];
  const found = findings(told);
  return [...new Set(symptoms)].map((symptom) => {
    const causes = ranked(symptom, school, found);
    const other = school === 'bar-first' ? ('cutters-too' as const) : ('bar-first' as const);
    return {
      symptom,
      causes,
      next: separating(causes, found, told),
      otherSchool: isDisputed(symptom) ? { school: other, causes: ranked(symptom, other, found) } : null,
    };
  });
}
