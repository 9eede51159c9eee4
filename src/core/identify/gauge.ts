import { GAUGES, GAUGE_IDS, HARVESTER_GAUGE, type GaugeId } from '../families';
import { estimate, normalCdf, type BoundedReading, type LengthReading } from '../quantity';
import { markEvidence, scaled, type Evidence } from './combine';
import type { IdentityReason } from './reasons';

/** Drive links only wear thinner: by at most this much, mm (model §3). */
export const LINK_WEAR = 0.06;
/** A groove near its floor is wider than its gauge by clearance and little wear, mm (common practice, no source). */
export const FLOOR_WIDENING = 0.15;
/** Near the floor at a place chosen for being little worn, mm (common practice, no source). */
export const SOUND_WIDENING = 0.1;
/** At the mouth wear goes much further, mm (common practice, no source): a worn .050 passes for .058. */
export const MOUTH_WIDENING = 0.45;
/** The hand's feel at a slot or a tab: how far a mark may be passed, mm, standard uncertainty. */
const TAB_FEEL = 0.02;

/** A value spread evenly over an interval and blurred by u, seen at x: density up to a common factor. */
function blurredInterval(x: number, lo: number, hi: number, u: number): number {
  return (normalCdf((x - lo) / u) - normalCdf((x - hi) / u)) / (hi - lo);
}

/** Which of the two marks let the part pass: a mark of the part's own size does, a refusing mark of its own size does not. */
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

const WIDENING = { sound: SOUND_WIDENING, floor: FLOOR_WIDENING, mouth: MOUTH_WIDENING } as const;

/** The gauge of a bar from its groove: at a sound place or near the floor, where it wears little, or at the mouth where it wears much. */
export function grooveEvidence(reading: LengthReading, where: keyof typeof WIDENING): Evidence<GaugeId> {
  const widening = WIDENING[where];
  return widthEvidence(
    reading,
    'lo',
    (gauge) => [GAUGES[gauge].thickness, GAUGES[gauge].thickness + widening],
    (at) => {
      if (reading.kind === 'bounded') return { code: 'slot', lo: reading.lo, hi: reading.hi };
      return { code: where === 'mouth' ? 'groove-mouth' : 'groove-floor', width: at!.value, u: at!.u };
    },
  );
}

/** A gauge punched on the part. */
export function gaugeMarkEvidence(value: GaugeId, text: string): Evidence<GaugeId> {
  return markEvidence([value], { code: 'gauge-mark', value, text });
}
