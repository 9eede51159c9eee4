import { dayFormat, numberFormat } from './formats';

/** What writing amounts and dates needs of a shop. */
export interface ShopStyle {
  /** ISO 4217. */
  readonly currency: string;
  /** Name of the IANA time zone database. */
  readonly timeZone: string;
  /** Language tag (BCP 47) whose numbers and dates are written. */
  readonly style: string;
}

/** Decimals of a currency: two for most, none for some. */
export function decimalsOf({ currency, style }: Pick<ShopStyle, 'currency' | 'style'>): number {
  return numberFormat(style, { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;
}

/** An amount in the currency's smallest unit, as written on a price tag. */
export function money(smallest: number, shop: ShopStyle): string {
  const amount = smallest / 10 ** decimalsOf(shop);
  return numberFormat(shop.style, { style: 'currency', currency: shop.currency }).format(amount);
}

/** The amount as one types it, without its currency. */
export const amountText = (smallest: number, shop: ShopStyle): string =>
  (smallest / 10 ** decimalsOf(shop)).toFixed(decimalsOf(shop));

/** The sign of the shop's currency, such as `£`. */
export const currencySign = ({ currency, style }: Pick<ShopStyle, 'currency' | 'style'>): string =>
  numberFormat(style, { style: 'currency', currency })
    .formatToParts(1)
    .find(({ type }) => type === 'currency')?.value ?? currency;

/** A whole number as the shop writes it, such as `20,000`. */
export const wholeNumber = (value: number, { style }: Pick<ShopStyle, 'style'>): string =>
  numberFormat(style, { maximumFractionDigits: 0 }).format(value);

/** A day in the shop's zone, such as `25 Nov 2026`. */
export function shopDay(iso: string, { style, timeZone }: ShopStyle): string {
  return dayFormat(style, { dateStyle: 'medium', timeZone }).format(new Date(iso));
}

/** A calendar day as the shop writes it: it is the same day in every zone. */
export const plainDay = (day: string, { style }: Pick<ShopStyle, 'style'>): string =>
  shopDay(`${day}T00:00:00Z`, { style, timeZone: 'UTC', currency: '' });

/** A day and time in the shop's zone. */
export function shopMoment(iso: string, { style, timeZone }: ShopStyle): string {
  return dayFormat(style, { dateStyle: 'medium', timeStyle: 'short', timeZone }).format(new Date(iso));
}

/** The calendar day of a moment in the shop's zone, `2026-11-23`. */
export function calendarDay(moment: Date, timeZone: string): string {
  return dayFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(moment);
}
