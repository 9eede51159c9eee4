import { mm, quadrature, type Estimate } from '../quantity';

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** How well a top-plate angle can be read off a guide, standard uncertainty in degrees (common practice, no source). */
export const ANGLE_DOUBT = 1;

/**
 * Set-back that bringing a top plate from one angle to a smaller one takes off its point: `w·(tan α₁ − tan α₂)`. A
 * larger angle is filed in behind the point, which stays where it is: nothing.
 * @param width of the top plate, mm
 * @param from degrees as found
 * @param to degrees wanted
 * @example angleSetBack(6, 45, 30) // 2.536 mm
 */
export function angleSetBack(width: number, from: number, to: number): number {
  return Math.max(0, width * (Math.tan(radians(from)) - Math.tan(radians(to))));
}

/** The same with its doubt, from the doubt of the width and of the angle. */
export function angleSetBackOf(width: Estimate, from: number, to: number): Estimate {
  const value = angleSetBack(width.value, from, to);
  if (value === 0) return { value: mm(0), u: 0 };
  const byAngle = (width.value * radians(ANGLE_DOUBT)) / Math.cos(radians(from)) ** 2;
  const byWidth = (width.u * value) / width.value;
  return { value: mm(value), u: quadrature(byAngle, byWidth) };
}
