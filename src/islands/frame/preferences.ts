import type { UnitSystem } from '../../core/quantity';

/** What a person chose for this device. Kept in cookies, so that the server's first page is right already. */
export interface Preferences {
  readonly unit: UnitSystem;
  /** Whether this device has chosen it; else the shop's counts. */
  readonly isUnitChosen: boolean;
  readonly bench: 'light' | 'dark';
  /** Name of the person at the bench; empty until somebody said who. */
  readonly who: string;
}

const COOKIE = { unit: 'serrata-unit', bench: 'serrata-bench', who: 'serrata-who' } as const;
const YEAR_SECONDS = 31_536_000;

/** Reads preferences from a cookie header; what is not there has its default. */
export function preferencesFrom(cookies: string): Preferences {
  const values = new Map(
    cookies.split(/;\s*/).map((pair) => {
      const [name = '', ...rest] = pair.split('=');
      return [name, decode(rest.join('='))] as const;
    }),
  );
  return {
    unit: values.get(COOKIE.unit) === 'in' ? 'in' : 'mm',
    isUnitChosen: values.get(COOKIE.unit) === 'in' || values.get(COOKIE.unit) === 'mm',
    bench: values.get(COOKIE.bench) === 'dark' ? 'dark' : 'light',
    who: values.get(COOKIE.who) ?? '',
  };
}

/** The unit that counts on a device: its own choice, else the shop's. */
export const unitOn = (
  { unit, isUnitChosen }: Pick<Preferences, 'unit' | 'isUnitChosen'>,
  shop: { readonly unit: UnitSystem },
): UnitSystem => (isUnitChosen ? unit : shop.unit);

function decode(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return '';
  }
}

/** Remembers one preference on this device. */
export function remember(name: keyof typeof COOKIE, value: string): void {
  document.cookie = `${COOKIE[name]}=${encodeURIComponent(value)}; path=/; max-age=${YEAR_SECONDS}; samesite=lax`;
}
