import { judgedParts } from '../judge';
import type { Part } from '../reading';
import type { Schools } from '../schools';
import { beginOf, isThere, isWithin, minutesFor, readingAt, type Askable } from '../sheet';
import { CAUSE_PARTS, type Cause } from './causes';
import { EVIDENCE_LIST, moves, REACHES, type Evidence, type Says } from './evidence';
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
  readonly otherSchool: {
    readonly school: Schools['curvedCuts'];
    readonly causes: readonly { readonly cause: Cause; readonly share: number }[];
  } | null;
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

const says = ({ says: said }: Found): Says => said;

/** Causes by their shares, the heaviest first. */
function ranked(
  symptom: Symptom,
  school: Schools['curvedCuts'],
  found: readonly Found[],
): readonly { readonly cause: Cause; readonly share: number }[] {
  return [...sharesOf(weightsOf(symptom, school), found.map(says))].sort((a, b) => b.share - a.share);
}

/** The same with what speaks for and against each. */
const withEvidence = (ranking: ReturnType<typeof ranked>, found: readonly Found[]): readonly CauseStanding[] =>
  ranking.map(({ cause, share }) => {
    const moved = found.map((each) => moves(each.says, cause));
    return {
      cause,
      share,
      for: found.filter((_, i) => moved[i]! > 0),
      against: found.filter((_, i) => moved[i]! < 0),
    };
  });

/** With so large a share a cause counts as found: nothing more is asked for it. */
export const FOUND_SHARE = 0.85;

/** The largest share once the odds of one cause were multiplied. */
function bestAfter(share: number, by: number, bestOther: number): number {
  const all = 1 - share + by * share;
  return Math.max(by * share, bestOther) / all;
}

/**
 * What looking would take off the chance of naming the wrong cause. The chances of the two results follow from the ratios: with a ratio `up` for a find and `down` for none, a sound saw shows a find in
 * `(1 − down)/(up − down)` of cases and an ailing one `up` times as often.
 */
function gainOf({ up, down }: { up: number; down: number }, share: number, bestOther: number): number {
  if (up <= 1 || down >= 1) return 0;
  const falsely = (1 - down) / (up - down);
  const finds = share * up * falsely + (1 - share) * falsely;
  const after = finds * bestAfter(share, up, bestOther) + (1 - finds) * bestAfter(share, down, bestOther);
  return Math.max(0, after - Math.max(share, bestOther));
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

function separating(
  [first, second]: ReturnType<typeof ranked>,
  found: readonly Found[],
  told: Told,
  parts: readonly Part[],
): Separating | null {
  if (!first || !second || first.share >= FOUND_SHARE) return null;
  const there = new Set(found.map(({ id }) => id));
  let most: Separating | null = null;
  let best = 0;
  for (const [id, evidence] of EVIDENCE_LIST) {
    if (there.has(id)) continue;
    for (const [own, other] of [
      [first, second],
      [second, first],
    ] as const) {
      const reach = REACHES.get(id)!.get(own.cause);
      if (!reach || !parts.includes(CAUSE_PARTS[own.cause])) continue;
      const measure = askedFor(evidence, told);
      if (!measure) continue;
      const [gain, minutes] = [gainOf(reach, own.share, other.share), minutesFor(measure)];
      const rate = (gain + LEAST_GAIN) / minutes;
      if (rate <= best) continue;
      best = rate;
      most = { measure, between: [first.cause, second.cause], gain, minutes };
    }
  }
  return most;
}

/** Every symptom of the complaint with its causes, by the school of the shop. */
export function diagnose(told: Told, school: Schools['curvedCuts']): readonly Diagnosis[] {
  const symptoms = told.sheet.job?.symptoms ?? [];
  if (symptoms.length === 0) return [];
  const found = findings(told);
  const parts = judgedParts(told.sheet);
  return [...new Set(symptoms)].map((symptom) => {
    const ranking = ranked(symptom, school, found);
    const other = school === 'bar-first' ? ('cutters-too' as const) : ('bar-first' as const);
    return {
      symptom,
      causes: withEvidence(ranking, found),
      next: separating(ranking, found, told, parts),
      otherSchool: isDisputed(symptom) ? { school: other, causes: ranked(symptom, other, found) } : null,
    };
  });
}
