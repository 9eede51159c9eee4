import type { Limit } from '../../core/limits';
import { amountText, currencySign, decimalsOf } from '../../wording';
import type { ShopView } from '../../contract';

type Unit = Limit['unit'];

/** Rates in money are kept in its smallest unit, and shown and typed as money. */
const isMoney = (unit: Unit): boolean => unit === 'ct' || unit === 'ct/h';

/** A limit as its field holds it. */
export const limitText = ({ value, unit }: Pick<Limit, 'value' | 'unit'>, shop: ShopView): string =>
  isMoney(unit) ? amountText(value, shop) : String(value);

/** What was typed in a field, in the unit that the limit is kept in; what is no amount stands as it was typed. */
export function limitTyped(typed: string, unit: Unit, shop: ShopView): string {
  const amount = Number(typed.trim().replace(',', '.'));
  if (!isMoney(unit) || typed.trim() === '' || !Number.isFinite(amount)) return typed;
  return String(Math.round(amount * 10 ** decimalsOf(shop)));
}

/** The unit beside the field. */
export function unitText(unit: Unit, shop: ShopView): string {
  if (unit === 'count') return '';
  return isMoney(unit) ? `${currencySign(shop)}${unit === 'ct/h' ? '/h' : ''}` : unit;
}
