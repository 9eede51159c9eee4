import { FAMILY_IDS, GAUGE_IDS, familyAndGaugeMeet, type FamilyId, type GaugeId } from '../families';
import { concluded, contradiction, ranked, type Evidence } from './combine';
import type { Candidate, Identified, IdentityReason } from './reasons';

/** A family and gauge that do not meet in practice are not impossible, only this rare beside a pair that does. */
export const RARE_PAIR = 0.001;

/** All that speaks of one part's pitch and gauge; `notes` are findings that weigh nothing but must be said. */
export interface PitchAndGaugeEvidence {
  readonly pitch: readonly Evidence<FamilyId>[];
  readonly gauge: readonly Evidence<GaugeId>[];
  readonly pitchNotes: readonly IdentityReason[];
  readonly gaugeNotes: readonly IdentityReason[];
}

/** How freely each pair may be believed: fully where it is made in practice. */
const PAIRS = FAMILY_IDS.map((family) => GAUGE_IDS.map((gauge) => (familyAndGaugeMeet(family, gauge) ? 1 : RARE_PAIR)));

const product = <T extends string>(evidence: readonly Evidence<T>[], candidate: T): number =>
  evidence.reduce((weight, item) => weight * item.weightOf(candidate), 1);

/**
 * Weighs pitch and gauge together, because families and gauges meet only in some pairs: links of .063 speak against low
 * profile, links of .043 for it. Each property is concluded from the best pair that each of its values is part of, so
 * that a family made in many gauges is not favoured for that.
 */
export function identifyPitchAndGauge(given: PitchAndGaugeEvidence): {
  pitch: Identified<FamilyId>;
  gauge: Identified<GaugeId>;
} {
  if (given.pitch.length + given.gauge.length === 0)
    return {
      pitch: concluded<FamilyId>([], given.pitchNotes, null),
      gauge: concluded<GaugeId>([], given.gaugeNotes, null),
    };
  const evidence = given.gauge.some(({ mark }) => mark) ? { ...given, gauge: given.gauge.map(believingMarks) } : given;
  const ofFamily = FAMILY_IDS.map((family) => product(evidence.pitch, family));
  /** The weight of each pair, families down and gauges across. */
  const pairsBy = (gauges: readonly Evidence<GaugeId>[]): readonly (readonly number[])[] => {
    const ofGauge = GAUGE_IDS.map((gauge) => product(gauges, gauge));
    return PAIRS.map((row, i) => row.map((freely, j) => freely * ofFamily[i]! * ofGauge[j]!));
  };
  const pairs = pairsBy(evidence.gauge);
  // A worn groove never overrules a pitch that is marked.
  const isMarked = evidence.pitch.some(({ mark }) => mark);
  const pitchPairs = isMarked ? pairsBy(evidence.gauge.filter(({ wears }) => !wears)) : pairs;
  // Each value weighs as much as the best pair it is part of.
  const families = ranked(FAMILY_IDS.map((value, i) => ({ value, weight: Math.max(...pitchPairs[i]!) })));
  const gauges = ranked(GAUGE_IDS.map((value, j) => ({ value, weight: Math.max(...pairs.map((row) => row[j]!)) })));
  const pitchClash = contradiction(FAMILY_IDS, evidence.pitch);
  const gaugeClash = contradiction(GAUGE_IDS, evidence.gauge, notOnlyWorn);
  const pitch = concluded(families, pitchReasons(evidence, families), pitchClash);
  const gauge = concluded(
    gauges,
    [...evidence.gauge.map(({ reason }) => reason), ...evidence.gaugeNotes, ...mouthNote(evidence, gauges)],
    gaugeClash,
  );
  return { pitch: withRarePair(pitch, gauge), gauge };
}

const believingMarks = (item: Evidence<GaugeId>): Evidence<GaugeId> =>
  item.besideMark ? { ...item, weightOf: item.besideMark } : item;

/** A groove wider than its mark says is worn, and no contradiction; one that is narrower is. */
const WORN_EXPLAINS = 0.012;

function notOnlyWorn(a: Evidence<GaugeId>, b: Evidence<GaugeId>): boolean {
  if (!a.wears && !b.wears) return true;
  return GAUGE_IDS.every((gauge) => a.weightOf(gauge) * b.weightOf(gauge) < WORN_EXPLAINS);
}

function pitchReasons(evidence: PitchAndGaugeEvidence, families: readonly Candidate<FamilyId>[]): IdentityReason[] {
  const reasons = [...evidence.pitch.map(({ reason }) => reason), ...evidence.pitchNotes];
  const [first, second] = families;
  const pair = [first?.value, second?.value].sort().join();
  if (pair === '38,38lp' && (first?.weight ?? 0) < 0.95) return [...reasons, { code: 'build-open' }];
  const before = ranked(FAMILY_IDS.map((value) => ({ value, weight: product(evidence.pitch, value) })));
  const gaugeDecided = evidence.pitch.length > 0 && (first?.weight ?? 0) >= 0.95 && (before[0]?.weight ?? 0) < 0.95;
  return gaugeDecided ? [...reasons, { code: 'gauge-narrows-pitch' }] : reasons;
}

function mouthNote(evidence: PitchAndGaugeEvidence, gauges: readonly Candidate<GaugeId>[]): IdentityReason[] {
  const onlyMouth = evidence.gauge.length > 0 && evidence.gauge.every(({ reason }) => reason.code === 'groove-mouth');
  return onlyMouth && gauges.length > 1 ? [{ code: 'mouth-may-pass-for-wider' }] : [];
}

function withRarePair(pitch: Identified<FamilyId>, gauge: Identified<GaugeId>): Identified<FamilyId> {
  if (pitch.value === null || gauge.value === null || familyAndGaugeMeet(pitch.value, gauge.value)) return pitch;
  return { ...pitch, why: [...pitch.why, { code: 'pair-not-in-practice', family: pitch.value, gauge: gauge.value }] };
}
