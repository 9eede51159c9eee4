/**
 * Lengths are plain numbers in millimetres that carry a brand, so that an inch or an angle
 * cannot be handed to a function that wants millimetres.
 */
declare const millimetres: unique symbol;
/** A length in millimetres: any finite number. */
export type Mm = number & { readonly [millimetres]: true };

declare const degreesBrand: unique symbol;
/** A plane angle in degrees. */
export type Degrees = number & { readonly [degreesBrand]: true };

declare const percentBrand: unique symbol;
/** Hundredths of something: any finite number. */
export type Percent = number & { readonly [percentBrand]: true };

declare const countBrand: unique symbol;
/** A number of things. */
export type Count = number & { readonly [countBrand]: true };

/** What a value is counted in, with the type that carries it: values of different units cannot be compared. */
export interface Units {
  readonly mm: Mm;
  readonly '%': Percent;
  readonly count: Count;
  readonly deg: Degrees;
}
export type Unit = keyof Units;

/** Grants the brand of a percentage. */
export const percent = (value: number): Percent => value as Percent;

/** Grants the brand of an angle. */
export const angleOf = (value: number): Degrees => value as Degrees;

/** Grants the brand of a count. */
export const countOf = (value: number): Count => value as Count;

/**
 * Millimetres in one inch, exactly.
 * @see International yard and pound agreement, 1959; NIST SP 811, appendix B.
 */
export const MM_PER_INCH = 25.4;

/**
 * Grants the millimetre brand.
 * @param value millimetres
 * @throws RangeError when `value` is not finite: a caller that computed NaN has a defect
 */
export function mm(value: number): Mm {
  if (!Number.isFinite(value)) throw new RangeError(`A length must be finite, not ${value}.`);
  return value as Mm;
}

/**
 * Converts inches. `inches(0.05)` is 1.27 mm.
 * @param value inches
 */
export function inches(value: number): Mm {
  return mm(value * MM_PER_INCH);
}

/** The same length in inches. */
export function toInches(length: Mm): number {
  return length / MM_PER_INCH;
}

/**
 * Converts an angle.
 * @param radians radians, finite
 */
export function degrees(radians: number): Degrees {
  if (!Number.isFinite(radians)) throw new RangeError(`An angle must be finite, not ${radians}.`);
  return ((radians * 180) / Math.PI) as Degrees;
}

/** The same angle in radians. */
export function toRadians(angle: Degrees): number {
  return (angle * Math.PI) / 180;
}
