import { judgedParts } from '../judge';
import type { Askable } from '../sheet';
import { notLookedAt, worthLooking, type Looking } from './ask';
import { rowOf, type Cause } from './causes';
import { crookedCuts, driftParts, oddsOf, pullOf, type CutSide, type DriftPart, type Pull } from './crooked';
import type { DriftBelief } from './drift-belief';
import { findings, type Found, type Told } from './found';
import { aggravated, noisyOr, type Ranking, type Standing } from './noisy-or';
import { causesOf, isDisputed, presentBy, priorsOf, ratioOf, type Present } from './presence';
import { sideOf, type School, type Symptom } from './symptom';

/** One cause as it stands in a complaint, and what speaks for it and against it. */
export interface CauseStanding extends Standing {
  readonly for: readonly Found[];
  readonly against: readonly Found[];
}

/** A symptom with its causes, the heaviest first. */
export interface Diagnosis {
  readonly symptom: Symptom;
  readonly causes: readonly CauseStanding[];
  /** Chance that nothing found explains it, and that as a share beside those of the causes. */
  readonly unexplained: number;
  readonly unexplainedShare: number;
  /** What nobody has looked at yet. */
  readonly notLookedAt: { readonly measures: readonly Askable[]; readonly minutes: number };
  /** What to look at next for it; null where nothing would change what is named first. */
  readonly next: Looking | null;
  /**
   * Of a crooked cut: whether what was found comes to enough to explain it; null of any other complaint, or while
   * nothing was found.
   */
  readonly enough: boolean | null;
  /** How the other school ranks them; null where the schools do not differ. */
  readonly otherSchool: {
    readonly school: School;
    readonly causes: readonly { readonly cause: Cause; readonly share: number }[];
  } | null;
}

/** What draws a cut aside, whether or not anybody complains of it. */
export interface Crooked {
  readonly parts: readonly DriftPart[];
  /** The drift that all parts come to, mm over 300, to the right above 0. */
  readonly pull: Pull;
  /** How likely the cut is told to run to each side. */
  readonly odds: Readonly<Record<CutSide, number>>;
  /** How likely the chain is dull or its gauges high: then a bar that leans or is worn steers more. */
  readonly forced: number;
}

/** The complaint of which every cause that aggravates another is a cause itself: where its chance is looked up. */
const AGGRAVATORS: Symptom = 'needs-force';
const FORCES: readonly Cause[] = ['cutters-dull', 'depth-gauges-high'];

const besideOf = (found: readonly Found[], school: School): readonly Present[] =>
  presentBy(priorsOf(AGGRAVATORS, school), found);

/** How likely anything makes the chain be forced. */
const forcedBy = (beside: readonly Present[]): number =>
  1 - beside.reduce((left, { cause, present }) => (FORCES.includes(cause) ? left * (1 - present) : left), 1);

/**
 * How causes rank in a complaint, by how likely each is present.
 * @returns ranks them for any chances; it is asked of the same causes, in the same order, each time
 */
function rankingFor(symptom: Symptom, beside: readonly Present[], drift: DriftBelief, school: School) {
  const side = sideOf(symptom);
  // What aggravates a cause does not hang on the chances that are asked about.
  let strengths: ReturnType<typeof aggravated> | null = null;
  // The cuts are drawn for the first of them, and weighed anew for all others.
  let rank: ReturnType<typeof crookedCuts> | null = null;
  return (present: readonly Present[]): Ranking => {
    strengths ??= aggravated(present, beside);
    const raised = strengths.map((each, i) => ({ ...each, present: present[i]!.present }));
    if (side === null) return noisyOr(raised);
    if (rank === null) {
      const by = new Map(raised.map(({ cause, aggravatedBy }) => [cause, aggravatedBy]));
      rank = crookedCuts(driftParts(raised, drift, forcedBy(beside), school), side, (cause) => by.get(cause) ?? []);
    }
    return rank(Float64Array.from(raised, (each) => each.present));
  };
}

const withEvidence = (standing: Standing, found: readonly Found[]): CauseStanding => ({
  ...standing,
  for: found.filter((each) => ratioOf(each, standing.cause) > 1),
  against: found.filter((each) => ratioOf(each, standing.cause) < 1),
});

const CURVED: Symptom = 'cuts-curved-right';

/** What draws a cut aside, from all that was found. */
export function crookedOf(told: Told, school: School): Crooked {
  const found = findings(told);
  const beside = besideOf(found, school);
  const present = aggravated(presentBy(priorsOf(CURVED, school), found), beside);
  const forced = forcedBy(beside);
  const parts = driftParts(present, told.drift, forced, school);
  const pull = pullOf(parts);
  return { parts, pull, odds: oddsOf(pull), forced };
}

/** A cause more likely present than this counts as found. */
export const FOUND_FROM = 0.5;
/** What was found explains a crooked cut where it makes it likelier than this. */
const EXPLAINS_FROM = 0.25;

/** Whether the parts that were found come to enough for the side of the complaint. */
function isEnough(
  symptom: Symptom,
  present: readonly Present[],
  beside: readonly Present[],
  told: Told,
  school: School,
) {
  const side = sideOf(symptom);
  const found = aggravated(present, beside).filter((each) => each.present > FOUND_FROM);
  if (side === null || found.length === 0) return null;
  return oddsOf(pullOf(driftParts(found, told.drift, forcedBy(beside), school)))[side] >= EXPLAINS_FROM;
}

/** Every symptom of the complaint with its causes, by the school of the shop. */
export function diagnose(told: Told, school: School): readonly Diagnosis[] {
  const symptoms = told.sheet.job?.symptoms ?? [];
  return symptoms.length === 0 ? [] : [...new Set(symptoms)].map((symptom) => diagnosisOf(symptom, told, school));
}

/** One symptom with its causes, whether or not anybody has complained of it. */
export function diagnosisOf(symptom: Symptom, told: Told, school: School): Diagnosis {
  const found = findings(told);
  const parts = judgedParts(told.sheet);
  const by = (own: School) => {
    const beside = besideOf(found, own);
    const present = presentBy(priorsOf(symptom, own), found);
    const rank = rankingFor(symptom, beside, told.drift, own);
    return { beside, present, rank, ranking: rank(present) };
  };
  const { beside, present, rank, ranking } = by(school);
  const other = school === 'bar-first' ? ('cutters-too' as const) : ('bar-first' as const);
  const [next] = worthLooking(told, found, parts, present, ranking, rank);
  return {
    symptom,
    causes: ranking.causes.map((standing) => withEvidence(standing, found)),
    unexplained: ranking.unexplained,
    unexplainedShare: ranking.unexplainedShare,
    notLookedAt: notLookedAt(told, found, parts, causesOf(symptom)),
    next: next ?? null,
    enough: isEnough(symptom, present, beside, told, school),
    otherSchool: isDisputed(symptom) ? { school: other, causes: by(other).ranking.causes } : null,
  };
}

/** The part that a cause lies in. */
export const partOfCause = (cause: Cause) => rowOf(cause).part;

/** Blue patches are seen, and what ran hot is asked as if somebody had complained of it. */
const HOT: Symptom = 'runs-hot';
/** Where nothing else was found it ran tight, or dull. */
const ELSE: readonly Cause[] = ['tension-tight', 'cutters-dull'];

/**
 * What may have made a bar run so hot that it went blue: what was found of it, or what leaves no other trace. Empty
 * where no blue was seen.
 */
export function heatCauses(told: Told, school: School): readonly Cause[] {
  if (!told.checks.some(({ id, outcome }) => id === 'bar.blueing' && outcome === 'watch')) return [];
  const found = diagnosisOf(HOT, told, school).causes.filter(({ present }) => present > FOUND_FROM);
  return found.length > 0 ? found.map(({ cause }) => cause) : ELSE;
}
