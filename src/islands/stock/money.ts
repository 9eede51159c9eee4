/** An amount in the currency's smallest unit, as written on a price tag. */
export function money(cents: number, currency: string): string {
  return new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(cents / 100);
}
