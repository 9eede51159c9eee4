import { GAUGES, GAUGE_IDS, HARVESTER_GAUGE, type GaugeId } from '../families';
import { boundsOf, estimate, normalCdf, type BoundedReading, type LengthReading } from '../quantity';
import { MARK_ERROR, misread, naming, scaled, type Evidence } from './combine';
import type { IdentityReason } from './reasons';

/** Drive links only wear thinner: by at most this much, mm (model §3). */
export const LINK_WEAR = 0.06;
/** A groove near its floor is wider than its gauge by clearance and little wear, mm (common practice, no source). */
export const FLOOR_WIDENING = 0.15;
/** Near the floor at a place chosen for being little worn, mm (common practice, no source). */
export const SOUND_WIDENING = 0.1;
/** A floor may be worn wider than that by up to so much, mm (common practice, no source). */
export const FLOOR_WORN = 1.5;
/**
 * Share of bars whose floor is worn so (shop's figure); of bars whose gauge is marked, the mark is believed before a
 * worn groove.
 */
const WORN_SHARE = 0.05;
const MARKED_WORN_SHARE = 0.85;
/** A groove is not narrower than its gauge: how well a wider gauge explains it (shop's figure). */
const GROOVE_NARROWER = 0.001;
/** The hand's feel at a slot or a tab: how far a mark may be passed, mm, standard uncertainty. */
const TAB_FEEL = 0.02;

/** A value spread evenly over an interval and blurred by u, seen at x: density up to a common factor. */
function blurredInterval(x: number, lo: number, hi: number, u: number): number {
  return (normalCdf((x - lo) / u) - normalCdf((x - hi) / u)) / (hi - lo);
}

/**
 * Which of the two marks let the part pass: a mark of the part's own size does, a refusing mark of its own size does
 * not.
 */
type Passing = 'lo' | 'hi';

/** Chance that a value spread evenly over [lo, hi] is felt to lie between two marks. */
function feltBetween(lo: number, hi: number, marks: BoundedReading, passing: Passing): number {
  const STEPS = 8;
  const lean = (side: Passing) => (side === passing ? 1 : -1);
  let sum = 0;
  for (let i = 0; i <= STEPS; i += 1) {
    const x = lo + ((hi - lo) * i) / STEPS;
    const above = marks.lo === null ? 1 : normalCdf((x - marks.lo) / TAB_FEEL + lean('lo'));
    const below = marks.hi === null ? 1 : normalCdf((marks.hi - x) / TAB_FEEL + lean('hi'));
    sum += above * below;
  }
  return sum / (STEPS + 1);
}

/** How a gauge shows in a measured width: link thickness [g − wear, g], groove width [g, g + widening]. */
function widthEvidence(
  reading: LengthReading,
  passing: Passing,
  range: (gauge: GaugeId) => [number, number],
  reasonOf: (value: ReturnType<typeof estimate>) => IdentityReason,
): Evidence<GaugeId> {
  const value = estimate(reading);
  const likelihood = (gauge: GaugeId): number => {
    const [lo, hi] = range(gauge);
    if (reading.kind === 'bounded') return feltBetween(lo, hi, reading, passing);
    return blurredInterval(value!.value, lo, hi, value!.u);
  };
  return { reason: reasonOf(value), weightOf: scaled(GAUGE_IDS, likelihood) };
}

/** The gauge of a chain from its drive links' thickness or the slot they fill. */
export function thicknessEvidence(reading: LengthReading): Evidence<GaugeId> | IdentityReason {
  const value = estimate(reading);
  if (reading.kind === 'measured' && value) {
    if (Math.abs(value.value - HARVESTER_GAUGE) < 0.15) return { code: 'harvester-gauge' };
    const nearest = Math.min(
      ...GAUGE_IDS.map((gauge) =>
        Math.max(GAUGES[gauge].thickness - LINK_WEAR - value.value, value.value - GAUGES[gauge].thickness, 0),
      ),
    );
    if (nearest > 4 * value.u) return { code: 'thickness-fits-none', thickness: value.value };
  }
  return widthEvidence(
    reading,
    'hi',
    (gauge) => [GAUGES[gauge].thickness - LINK_WEAR, GAUGES[gauge].thickness],
    (at) =>
      reading.kind === 'bounded'
        ? { code: 'slot', lo: reading.lo, hi: reading.hi }
        : { code: 'thickness', thickness: at!.value, u: at!.u },
  );
}

const WIDENING = { sound: SOUND_WIDENING, floor: FLOOR_WIDENING } as const;

/** Chance that the groove is at least as wide as a gauge, as the reading shows it. */
function atLeast(reading: LengthReading, thickness: number): number {
  const { hi } = boundsOf(reading);
  return hi === null ? 1 : normalCdf((hi.value - thickness) / Math.max(hi.u, TAB_FEEL));
}

/**
 * The gauge of a bar from its groove: at a sound place or near the floor, where it wears little. A groove worn wider
 * than usual still leaves the narrower gauges their share. The mouth wears without end and says its gauge only from
 * below: no gauge is wider than it.
 */
export function grooveEvidence(reading: LengthReading, where: 'sound' | 'floor' | 'mouth'): Evidence<GaugeId> {
  const reasonOf = (at: ReturnType<typeof estimate>): IdentityReason => {
    if (reading.kind === 'bounded') return { code: 'slot', lo: reading.lo, hi: reading.hi };
    return { code: where === 'mouth' ? 'groove-mouth' : 'groove-floor', width: at!.value, u: at!.u };
  };
  const floor = (gauge: GaugeId): number => Math.max(GROOVE_NARROWER, atLeast(reading, GAUGES[gauge].thickness));
  if (where === 'mouth')
    return { reason: reasonOf(estimate(reading)), wears: true, weightOf: scaled(GAUGE_IDS, floor) };
  const likelihood = (share: number) =>
    scaled(GAUGE_IDS, (gauge) => {
      const made = GAUGES[gauge].thickness;
      return (
        (1 - share) * seenIn(reading, made, made + WIDENING[where]) + share * seenIn(reading, made, made + FLOOR_WORN)
      );
    });
  return {
    reason: reasonOf(estimate(reading)),
    wears: true,
    weightOf: likelihood(WORN_SHARE),
    besideMark: likelihood(MARKED_WORN_SHARE),
  };
}

/**
 * How well a groove spread evenly over an interval explains a reading: a density for a measured one, a chance for tabs.
 */
function seenIn(reading: LengthReading, lo: number, hi: number): number {
  if (reading.kind === 'bounded') return feltBetween(lo, hi, reading, 'lo');
  const { value, u } = estimate(reading)!;
  return blurredInterval(value, lo, hi, u);
}

/** A gauge punched on the part. */
export function gaugeMarkEvidence(value: GaugeId, text: string): Evidence<GaugeId> {
  return naming([value], { code: 'gauge-mark', value, text }, misread(MARK_ERROR, GAUGE_IDS.length - 1), true);
}
