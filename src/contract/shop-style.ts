import { z } from 'zod';

/** Styles to choose from, with the last day of a year and a large amount as each writes them. */
export const STYLES = {
  'en-GB': '31 Dec 2026 · 1,234.50',
  'en-US': 'Dec 31, 2026 · 1,234.50',
  'de-DE': '31.12.2026 · 1.234,50',
  'de-CH': '31.12.2026 · 1’234.50',
  'fr-FR': '31 déc. 2026 · 1 234,50',
  'sv-SE': '31 dec. 2026 · 1 234,50',
  'fi-FI': '31.12.2026 · 1 234,50',
  'nl-NL': '31 dec 2026 · 1.234,50',
} as const;
const STYLE_TAGS = Object.keys(STYLES) as [keyof typeof STYLES, ...(keyof typeof STYLES)[]];

/** Whether the customer's page tells the price. */
export const CUSTOMER_PRICES = ['left-out', 'told'] as const;

/** What the shop says of itself. */
export const shopFactsSchema = z.strictObject({
  name: z.string().trim().min(1, 'Write the name of the shop.').max(80),
  currency: z.string().refine((code) => Intl.supportedValuesOf('currency').includes(code), {
    message: 'A currency is three letters such as EUR.',
  }),
  timeZone: z.string().refine((zone) => zone === 'UTC' || Intl.supportedValuesOf('timeZone').includes(zone), {
    message: 'A time zone is a name such as Europe/Paris.',
  }),
  style: z.enum(STYLE_TAGS),
  /** What lengths are shown in where a device has not chosen. */
  unit: z.enum(['mm', 'in']).optional(),
  /** It stays as it is where nothing is said of it. */
  customerPrice: z.enum(CUSTOMER_PRICES).optional(),
});
export type ShopFacts = z.infer<typeof shopFactsSchema>;

/** What the shop says of itself, as it is written down: by whom, and what stood there when it was written. */
export const putShopFactsSchema = shopFactsSchema.extend({
  by: z.string().min(1).max(80).optional(),
  was: shopFactsSchema.optional(),
});
export type PutShopFacts = z.infer<typeof putShopFactsSchema>;
