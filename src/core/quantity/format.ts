import { toInches, type Mm } from './length';

/** The two ways a bench writes lengths. */
export type UnitSystem = 'mm' | 'in';

/** Decimals that a bench can read off its tools: hundredths of a millimetre, thousandths of an inch. */
export const DECIMALS: Record<UnitSystem, number> = { mm: 2, in: 3 };

/** Rounds without leaving a minus sign on zero. */
function fixed(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? text.replace('-', '') : text;
}

/**
 * Writes a length with its unit, e.g. `7.90 mm` or `0.311 in`.
 * @param decimals digits after the point; two for mm and three for inches unless given
 */
export function formatLength(length: Mm, unit: UnitSystem, decimals = DECIMALS[unit]): string {
  return `${formatFigure(length, unit, decimals)} ${unit}`;
}

/** The figure alone, for places where the unit stands beside it. */
export function formatFigure(length: Mm, unit: UnitSystem, decimals = DECIMALS[unit]): string {
  return fixed(unit === 'mm' ? length : toInches(length), decimals);
}

/**
 * The nearest sixty-fourth of an inch in lowest terms, as it stands on a drill or a rule: `13/64`, `1 1/2`, `0`.
 * @param length any length; negative ones carry a minus sign
 */
export function nearest64(length: Mm): string {
  const total = Math.round(Math.abs(toInches(length)) * 64);
  const sign = length < 0 && total > 0 ? '-' : '';
  const whole = Math.floor(total / 64);
  let top = total % 64;
  let bottom = 64;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  if (top === 0) return `${sign}${whole}`;
  return whole === 0 ? `${sign}${top}/${bottom}` : `${sign}${whole} ${top}/${bottom}`;
}

/** A position along a bar as one reads it off a rule: whole millimetres, or inches to the nearest sixty-fourth. */
export function formatPosition(length: Mm, unit: UnitSystem): string {
  return unit === 'mm' ? formatLength(length, 'mm', 0) : `${nearest64(length)} in`;
}
