import { z } from 'zod';

/** How the simulated supplier behaves; the shop sets it to practise. */
export const SUPPLIER_MOODS = ['usual', 'slow', 'late', 'out-of-stock', 'unreachable'] as const;
export type SupplierMood = (typeof SUPPLIER_MOODS)[number];

export const supplierMoodSchema = z.strictObject({
  by: z.string().min(1).max(80).optional(),
  mood: z.enum(SUPPLIER_MOODS),
});

/** What a supplier answers on the wire. */
export const supplierAnswerSchema = z.object({
  offers: z.array(
    z.object({
      sku: z.string(),
      name: z.string(),
      kickbackClass: z.enum(['low-kickback', 'standard']),
      priceCents: z.int().min(0),
      /** Working days until it is here. */
      days: z.int().min(0),
    }),
  ),
});
export type SupplierAnswer = z.infer<typeof supplierAnswerSchema>;

/** What the counter hears of it: offers, none, or that nobody answered. Never an error: the counter goes on without. */
export type SupplierReply =
  | { readonly state: 'offers'; readonly offers: SupplierAnswer['offers'] }
  | { readonly state: 'none' }
  | { readonly state: 'no-answer'; readonly why: string };
