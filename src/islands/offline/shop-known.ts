import type { ShopView } from '../../contract';

/** A shop of which nothing is kept: its pages are drawn all the same. */
export const UNKNOWN_SHOP: ShopView = {
  name: '',
  currency: 'EUR',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  style: 'en-GB',
  unit: 'mm',
  customerPrice: 'left-out',
  people: [],
  me: null,
  isDemo: false,
};
