import type { Check } from '../../core/judge';
import { formatFigure, formatLength, mm, type UnitSystem } from '../../core/quantity';

/** A check's value with its unit, as shown. */
export function checkValue(
  { value, unit, bound = null }: Pick<Check, 'value' | 'unit'> & Partial<Pick<Check, 'bound'>>,
  system: UnitSystem,
): string {
  return value === null ? '' : `${boundWord(bound)}${figure(value, unit, system)}`;
}

const BOUND = { 'at-least': 'at least', 'at-most': 'at most' };

/** A bound says from which side it holds the value. */
const boundWord = (bound: Check['bound']): string => (bound === null ? '' : `${BOUND[bound]} `);

/** A stretch is told to the hundredth, a share of something to the whole percent. */
export const percentText = (value: number): string => value.toFixed(Math.abs(value) >= 10 ? 0 : 2);

/** A figure in the unit of its check. */
export function figure(value: number, unit: Check['unit'], system: UnitSystem): string {
  if (unit === '%') return `${percentText(value)} %`;
  if (unit === 'mm') return formatLength(mm(value), system);
  if (unit === 'deg') return `${value.toFixed(0)}\u00b0`;
  return String(value);
}

/** The deciding number of a check and its doubt: `7.20 mm ± 0.11`; a bound is called one. */
export function valueWithDoubt(
  { value, unit, uncertainty, bound }: Pick<Check, 'value' | 'unit' | 'uncertainty' | 'bound'>,
  system: UnitSystem,
): string {
  if (value === null) return '';
  const shown = checkValue({ value, unit, bound }, system);
  if (bound !== null) return shown;
  if (!uncertainty || unit === 'count' || unit === null) return shown;
  const doubt = unit === 'mm' ? formatFigure(mm(2 * uncertainty), system) : (2 * uncertainty).toFixed(2);
  return `${shown} ± ${doubt}`;
}
