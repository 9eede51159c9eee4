import { z } from 'zod';
import { FAMILY_IDS, GAUGE_IDS } from '../families';
import { STOCK_KINDS } from './stock-kind';

/** One line of stock. Money in the currency's smallest unit. */
export const stockPartSchema = z.strictObject({
  sku: z.string().min(1).max(60),
  kind: z.enum(STOCK_KINDS),
  name: z.string().min(1).max(160),
  pitch: z.enum(FAMILY_IDS).nullable(),
  gauge: z.enum(GAUGE_IDS).nullable(),
  driveLinks: z.int().min(1).max(400).nullable(),
  kickbackClass: z.enum(['low-kickback', 'standard']).nullable(),
  mount: z.string().max(40).nullable(),
  oilHole: z.string().max(40).nullable(),
  /** Length a bar is listed as, inches. */
  listedInches: z.number().min(4).max(120).nullable(),
  teeth: z.int().min(4).max(20).nullable(),
  quantity: z.int().min(0),
  minimum: z.int().min(0),
  priceCents: z.int().min(0),
});
export type StockPart = z.infer<typeof stockPartSchema>;
