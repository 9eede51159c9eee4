import { flatMap } from '../flat-map';
import { FAMILIES, FAMILY_IDS, GAUGE_IDS, GAUGES_OF_FAMILY, type FamilyId, type GaugeId } from '../families';
import { minutesFor, type Askable, type BenchSheet, type EvidenceId } from '../sheet';
import { MARK_ERROR } from './combine';
import type { Candidate, Identified, IdentifiedPart, IdentifiedProperty, IdentityReason, Settling } from './reasons';

/**
 * An observation that could be made, into which classes it parts the candidates, and how often it succeeds (shop's
 * figure).
 */
interface Observation<T> {
  readonly measure: Askable;
  readonly classOf: (candidate: T) => string;
  readonly succeeds: number;
}

const pitchClass = (family: FamilyId): string => String(FAMILIES[family].pitch);
const itself = (value: string): string => value;

/** Marks are often worn off or never were there. */
const LEGIBLE = 0.6;
const MEASURED = 0.97;

const PITCH: Readonly<Record<IdentifiedPart, readonly Observation<FamilyId>[]>> = {
  chain: [
    { measure: 'chain.span', classOf: pitchClass, succeeds: MEASURED },
    { measure: 'chain.template', classOf: pitchClass, succeeds: MEASURED },
    { measure: 'chain.chassis', classOf: (family) => FAMILIES[family].chassis, succeeds: MEASURED },
    { measure: 'chain.fileSize', classOf: (family) => String(FAMILIES[family].file), succeeds: 0.8 },
    { measure: 'chain.stamp', classOf: itself, succeeds: LEGIBLE },
    // Gauges that only one of the families is made in tell them apart.
    { measure: 'chain.driveLinkThickness', classOf: (family) => GAUGES_OF_FAMILY[family].join(), succeeds: 0.5 },
  ],
  bar: [
    { measure: 'bar.stamp', classOf: itself, succeeds: LEGIBLE },
    { measure: 'bar.nosePitch', classOf: itself, succeeds: LEGIBLE - 0.05 },
  ],
  driveSprocket: [
    { measure: 'driveSprocket.pitch', classOf: itself, succeeds: LEGIBLE },
    { measure: 'driveSprocket.stamp', classOf: itself, succeeds: LEGIBLE - 0.05 },
  ],
  nose: [
    { measure: 'bar.nosePitch', classOf: itself, succeeds: LEGIBLE },
    { measure: 'bar.stamp', classOf: itself, succeeds: LEGIBLE - 0.05 },
  ],
};

const GAUGE: Readonly<Record<'chain' | 'bar', readonly Observation<GaugeId>[]>> = {
  chain: [
    { measure: 'chain.driveLinkThickness', classOf: itself, succeeds: MEASURED },
    { measure: 'chain.stamp', classOf: itself, succeeds: LEGIBLE },
  ],
  bar: [
    { measure: 'bar.groove', classOf: itself, succeeds: 0.9 },
    { measure: 'bar.stamp', classOf: itself, succeeds: LEGIBLE },
  ],
};

const LINKS: Readonly<Record<'chain' | 'bar', readonly Observation<number>[]>> = {
  chain: [{ measure: 'chain.driveLinks', classOf: String, succeeds: 0.95 }],
  bar: [
    { measure: 'bar.stamp', classOf: String, succeeds: LEGIBLE },
    { measure: 'loop.tape', classOf: String, succeeds: 0.5 },
  ],
};

/** A number of which nothing is known, with three candidates alike, is called wrong two times in three. */
const BLIND_LINKS: readonly Candidate<number>[] = [1, 2, 3].map((value) => ({ value, weight: 1 / 3 }));

const even = <T>(values: readonly T[]): readonly Candidate<T>[] =>
  values.map((value) => ({ value, weight: 1 / values.length }));

/**
 * Expected drop in the chance that the heaviest candidate is wrong, when the observation parts the candidates into its
 * classes.
 */
export function gainOf<T>(candidates: readonly Candidate<T>[], { classOf, succeeds }: Observation<T>): number {
  const now = Math.max(0, ...candidates.map(({ weight }) => weight));
  const best = new Map<string, number>();
  for (const { value, weight } of candidates) best.set(classOf(value), Math.max(best.get(classOf(value)) ?? 0, weight));
  const after = [...best.values()].reduce((sum, weight) => sum + weight, 0);
  return succeeds * Math.max(0, after - now);
}

/** Whether a reading stands on the sheet. */
function made(sheet: BenchSheet, measure: Askable): boolean {
  const value = measure
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], sheet);
  return value !== undefined && value !== '' && !(Array.isArray(value) && value.length === 0);
}

/** Whether a reading can be made at all: a hard nose has no sprocket that carries a mark. */
const applies = ({ bar }: BenchSheet, measure: Askable): boolean => measure !== 'bar.nosePitch' || bar?.nose !== 'hard';

/** Readings worth making again although they stand: a second count, a longer span. */
const REPEATABLE: readonly string[] = ['chain.driveLinks'];

function bestOf<T>(
  sheet: BenchSheet,
  candidates: readonly Candidate<T>[],
  observations: readonly Observation<T>[],
): Settling | null {
  const worth = observations
    .filter(({ measure }) => applies(sheet, measure) && (REPEATABLE.includes(measure) || !made(sheet, measure)))
    .map((observation) => ({
      measure: observation.measure,
      minutes: minutesFor(observation.measure),
      gain: gainOf(candidates, observation),
    }))
    .filter(({ gain }) => gain > 0);
  return worth.reduce<Settling | null>(
    (best, next) => (best && best.gain / best.minutes >= next.gain / next.minutes ? best : next),
    null,
  );
}

/** Contradicting evidence is cleared up by making the quicker of the two readings again. */
function repeatOf(
  clash: IdentityReason | undefined,
  sourceOf: (reason: IdentityReason) => EvidenceId | null,
): Settling | null {
  if (clash?.code !== 'disagree') return null;
  const sources = flatMap([clash.first, clash.second], (reason) => sourceOf(reason) ?? []);
  const [quickest] = [...sources].sort((a, b) => minutesFor(a) - minutesFor(b));
  return quickest ? { measure: quickest, minutes: minutesFor(quickest), gain: 0.5 } : null;
}

/**
 * What to make again when all was made and the number is open all the same (a thickness between two gauges, a stamp
 * that nobody can read): the observation that would tell most if it came out clearer.
 */
function againOf<T>(observations: readonly Observation<T>[], candidates: readonly Candidate<T>[]): Settling | null {
  const worth = (observation: Observation<T>) => gainOf(candidates, observation) / minutesFor(observation.measure);
  const [best] = [...observations].sort((a, b) => worth(b) - worth(a));
  return best ? { measure: best.measure, minutes: minutesFor(best.measure), gain: LEAST_GAIN } : null;
}

/**
 * A gain that is never nothing while a number is open: two equal counts are asked for even when one count is all but
 * sure.
 */
const LEAST_GAIN = 0.05;

function settling<T>(
  sheet: BenchSheet,
  property: Identified<T>,
  unknown: readonly Candidate<T>[],
  observations: readonly Observation<T>[],
  sourceOf: (reason: IdentityReason) => EvidenceId | null,
): Identified<T> {
  if (property.status === 'settled') return property;
  if (property.status === 'conflict') return { ...property, settledBy: repeatOf(property.why[0], sourceOf) };
  const candidates = property.candidates.length > 0 ? property.candidates : unknown;
  const best = bestOf(sheet, candidates, observations);
  if (best) return { ...property, settledBy: { ...best, gain: Math.max(best.gain, LEAST_GAIN) } };
  return { ...property, settledBy: againOf(observations, candidates) };
}

/**
 * What would confirm a number that one mark alone says: the quickest observation of another kind that could contradict
 * it.
 * @param mark the reading that the mark stands on
 */
export function confirming(
  sheet: BenchSheet,
  part: IdentifiedPart,
  property: IdentifiedProperty,
  mark: EvidenceId,
): Settling | null {
  const observations: readonly { readonly measure: Askable }[] =
    property === 'pitch' ? PITCH[part] : (property === 'gauge' ? GAUGE : LINKS)[part as 'chain' | 'bar'];
  const [quickest] = observations
    .map(({ measure }) => measure)
    .filter((measure) => measure !== mark && !made(sheet, measure) && !CONFIRMS_NOTHING.includes(measure))
    .filter((measure) => applies(sheet, measure))
    .sort((a, b) => minutesFor(a) - minutesFor(b));
  return quickest === undefined ? null : { measure: quickest, minutes: minutesFor(quickest), gain: MARK_ERROR };
}

/** Too vague to confirm a mark. */
const CONFIRMS_NOTHING: readonly string[] = ['chain.fileSize'];

type SourceOf = (reason: IdentityReason) => EvidenceId | null;

/** Adds to a pitch the observation that would settle it. */
export function withPitchSettling(
  sheet: BenchSheet,
  part: IdentifiedPart,
  property: Identified<FamilyId>,
  sourceOf: SourceOf,
): Identified<FamilyId> {
  return settling(sheet, property, even(FAMILY_IDS), PITCH[part], sourceOf);
}

/** Adds to a gauge the observation that would settle it. */
export function withGaugeSettling(
  sheet: BenchSheet,
  part: 'chain' | 'bar',
  property: Identified<GaugeId>,
  sourceOf: SourceOf,
): Identified<GaugeId> {
  return settling(sheet, property, even(GAUGE_IDS), GAUGE[part], sourceOf);
}

/** Adds to a link count the observation that would settle it. */
export function withLinksSettling(
  sheet: BenchSheet,
  part: 'chain' | 'bar',
  property: Identified<number>,
  sourceOf: SourceOf,
): Identified<number> {
  return settling(sheet, property, BLIND_LINKS, LINKS[part], sourceOf);
}
