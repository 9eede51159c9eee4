import { z } from 'zod';
import { SPROCKET_KINDS } from '../declared';
import { FAMILY_IDS, GAUGE_IDS } from '../families';
import { SEQUENCES } from '../identify';
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
  /** Order of the cutters of a chain; what earlier versions wrote down does not say it. */
  sequence: z.enum(SEQUENCES).nullable().default(null),
  mount: z.string().max(40).nullable(),
  oilHole: z.string().max(40).nullable(),
  /** Length a bar is listed as, inches. */
  listedInches: z.number().min(4).max(120).nullable(),
  teeth: z.int().min(4).max(20).nullable(),
  /** One piece, or a rim on a hub. */
  sprocketKind: z.enum(SPROCKET_KINDS).nullable().default(null),
  /** Splines of a rim, or of the drum's hub that it sits on. */
  splines: z.int().min(2).max(60).nullable().default(null),
  /** Bore that it turns on, mm. */
  bore: z.number().min(5).max(60).nullable().default(null),
  /** Saws that it is made for, as the shop names them, with semicolons between. */
  saw: z.string().max(200).nullable().default(null),
  quantity: z.int().min(0),
  minimum: z.int().min(0),
  priceCents: z.int().min(0),
});
export type StockPart = z.infer<typeof stockPartSchema>;

/** What a part may say of itself, none of it said. */
export const NOTHING_SAID = {
  pitch: null,
  gauge: null,
  driveLinks: null,
  kickbackClass: null,
  sequence: null,
  mount: null,
  oilHole: null,
  listedInches: null,
  teeth: null,
  sprocketKind: null,
  splines: null,
  bore: null,
  saw: null,
} as const satisfies Partial<StockPart>;
