import { flatMap } from '../flat-map';
import { FAMILIES, FAMILY_IDS, HARVESTER_PITCH, type FamilyId, type PitchMark } from '../families';
import { estimate, mm, normalCdf, type LengthReading, type Mm } from '../quantity';
import { CROSS_CHECK_ERROR, MARK_ERROR, misread, naming, scaled, type Evidence } from './combine';
import type { IdentityReason } from './reasons';

/** A chain in use is longer than new by up to this share (model §2: limit of elongation). */
export const MAX_STRETCH = 0.03;
const STRETCH_STEPS = 12;
/** A span whose pitch is this many standard uncertainties outside every family fits none. */
const FITS_NONE_BEYOND = 4;
/** Beyond so many a family's likelihood is below anything that is ever listed, and not computed. */
const NEGLIGIBLE_BEYOND = 9;

/** Pitch and its standard uncertainty from a span over rivets: `p = span/k`, k = rivets − 1. */
export function pitchFromSpan(
  span: { readonly value: number; readonly u: number },
  rivets: number,
): { pitch: Mm; u: number } {
  const k = rivets - 1;
  return { pitch: mm(span.value / k), u: span.u / k };
}

/**
 * Rivets to span so that the pitch is known to a wanted standard uncertainty: the smallest k with `u(span)/k ≤ wanted`,
 * plus one.
 * @param uSpan standard uncertainty of the span, mm
 * @param wanted wanted standard uncertainty of the pitch, mm, above zero
 */
export function rivetsFor(uSpan: number, wanted: number): number {
  return Math.max(3, Math.ceil(uSpan / wanted - 1e-9) + 1);
}

/**
 * How likely a measured pitch is for a family: unworn pitch anywhere in its range, stretched by 0…3 %, blurred by u.
 * A density in 1/mm, up to a common factor.
 */
export function pitchLikelihood(pitch: number, u: number, family: FamilyId): number {
  if (distance(pitch, u, family) > NEGLIGIBLE_BEYOND) return 0;
  const [lo, hi] = FAMILIES[family].unworn;
  let sum = 0;
  for (let i = 0; i <= STRETCH_STEPS; i += 1) {
    const stretch = 1 + (MAX_STRETCH * i) / STRETCH_STEPS;
    const weight = i === 0 || i === STRETCH_STEPS ? 0.5 : 1;
    const inside = normalCdf((hi * stretch - pitch) / u) - normalCdf((lo * stretch - pitch) / u);
    sum += (weight * inside) / ((hi - lo) * stretch);
  }
  return sum / STRETCH_STEPS;
}

/** Distance in standard uncertainties from the nearest pitch a family can have; 0 inside its range. */
function distance(pitch: number, u: number, family: FamilyId): number {
  const [lo, hi] = FAMILIES[family].unworn;
  return Math.max(0, lo - pitch, pitch - hi * (1 + MAX_STRETCH)) / u;
}

const fits = (pitch: number, u: number): boolean =>
  FAMILY_IDS.some((family) => distance(pitch, u, family) <= FITS_NONE_BEYOND);

/**
 * A span speaks for families, or for none: then the rivets were probably miscounted by one, and the count that would
 * fit is named.
 */
export function spanEvidence(length: LengthReading, rivets: number): Evidence<FamilyId> | IdentityReason | null {
  const span = estimate(length);
  if (!span) return null;
  const { pitch, u } = pitchFromSpan(span, rivets);
  if (Math.abs(pitch - HARVESTER_PITCH) < 0.6) return { code: 'harvester-pitch' };
  if (!fits(pitch, u)) {
    const miscounted = [rivets + 1, rivets - 1].find(
      (count) => count > 2 && fits(span.value / (count - 1), span.u / (count - 1)),
    );
    return { code: 'span-fits-none', pitch, rivets, miscounted: miscounted ?? null };
  }
  return {
    reason: { code: 'span', pitch, u, rivets },
    weightOf: scaled(FAMILY_IDS, (family) => pitchLikelihood(pitch, u, family)),
  };
}

/** The families a mark may mean: a plain 3/8 stands on low-profile and standard parts alike. */
export function familiesOfMark(mark: PitchMark): readonly FamilyId[] {
  return mark === '3/8' ? ['38lp', '38'] : [mark];
}

/** A stamp, template or sprocket mark. Several templates that fit are one statement. */
export function pitchMarkEvidence(
  marks: readonly PitchMark[],
  on: 'stamp' | 'template' | 'sprocket' | 'nose',
  text: string,
): Evidence<FamilyId> {
  const isMark = on !== 'template';
  const doubt = isMark ? misread(MARK_ERROR, FAMILY_IDS.length - 1) : misread(CROSS_CHECK_ERROR);
  return naming(flatMap(marks, familiesOfMark), { code: 'pitch-mark', on, value: marks[0]!, text }, doubt, isMark);
}

/**
 * A file that is a size off the custom is found on some benches: chance that it speaks for another family (shop's
 * figure).
 */
const FILE_ERROR = 0.1;
/** Files are sold in steps of about half a millimetre: nearer than this is the same size, mm. */
const FILE_STEP = 0.2;

/** Families that a round file of this diameter is used on. The older custom of 5.5 mm on 3/8 standard counts too. */
export function familiesOfFile(diameter: number): readonly FamilyId[] {
  const near = (size: number) => Math.abs(size - diameter) < FILE_STEP;
  return FAMILY_IDS.filter((family) => near(FAMILIES[family].file) || (family === '38' && near(OLDER_FILE_38)));
}

/** Round file on 3/8 standard by the older custom, mm (model §2, memory). */
const OLDER_FILE_38 = 5.5;

/** The file that was used on a chain tells its build; a size no family uses is only said. */
export function fileEvidence(size: LengthReading): Evidence<FamilyId> | IdentityReason | null {
  const diameter = estimate(size)?.value;
  if (diameter === undefined) return null;
  const families = familiesOfFile(diameter);
  if (families.length === 0) return { code: 'file-fits-none', diameter };
  return {
    reason: { code: 'file-size', diameter },
    weightOf: (family) => (families.includes(family) ? 1 : misread(FILE_ERROR)),
  };
}

/** Chain laid beside a known one: the small build is 1/4 or low profile, the large one everything else. */
export function chassisEvidence(chassis: 'small' | 'large'): Evidence<FamilyId> {
  return naming(
    FAMILY_IDS.filter((family) => FAMILIES[family].chassis === chassis),
    { code: 'chassis', chassis },
    misread(MARK_ERROR),
  );
}
